import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A family's calendar, followed by a link of its own; grading days in calendars. */
export class CalendarsOfFamilies1766100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE home_link ADD COLUMN calendar_hash bytea UNIQUE CHECK (octet_length(calendar_hash) = 32);
      -- grading days as they were told; their ids are hashes, no child stands in them
      CREATE TABLE calendar_told_grading (
        uid text PRIMARY KEY,
        grading_id uuid NOT NULL,
        club_id uuid NOT NULL,
        content text NOT NULL,
        sequence integer NOT NULL DEFAULT 0,
        changed_at timestamptz NOT NULL DEFAULT now(),
        FOREIGN KEY (club_id, grading_id) REFERENCES grading_day (club_id, id) ON DELETE CASCADE
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE calendar_told_grading; ALTER TABLE home_link DROP COLUMN calendar_hash');
  }
}
