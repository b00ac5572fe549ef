import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Links by which the calendar of a phone follows what a person teaches, and what such calendars were told of each class. */
export class CalendarFeed1765500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE calendar_link (
        person_id uuid PRIMARY KEY REFERENCES person (id) ON DELETE CASCADE,
        token_hash bytea NOT NULL UNIQUE CHECK (octet_length(token_hash) = 32),
        made_at timestamptz NOT NULL DEFAULT now()
      );
      CREATE TABLE calendar_told (
        group_id uuid NOT NULL REFERENCES teaching_group (id) ON DELETE CASCADE,
        uid text NOT NULL,
        content text NOT NULL,
        sequence integer NOT NULL DEFAULT 0,
        changed_at timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY (group_id, uid)
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE calendar_told; DROP TABLE calendar_link');
  }
}
