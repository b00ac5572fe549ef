import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What the device that teaches shows, for those beside it, and links by which a phone without a sign-in is one of them. */
export class Remote1765300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE stage (
        class_id uuid PRIMARY KEY,
        club_id uuid NOT NULL,
        state jsonb NOT NULL,
        told_at timestamptz NOT NULL DEFAULT now(),
        FOREIGN KEY (club_id, class_id) REFERENCES class_session (club_id, id) ON DELETE CASCADE
      );
      CREATE TABLE remote_link (
        token_hash bytea PRIMARY KEY CHECK (octet_length(token_hash) = 32),
        club_id uuid NOT NULL,
        class_id uuid NOT NULL,
        person_id uuid NOT NULL REFERENCES person (id) ON DELETE CASCADE,
        made_at timestamptz NOT NULL DEFAULT now(),
        FOREIGN KEY (club_id, class_id) REFERENCES class_session (club_id, id) ON DELETE CASCADE
      );
      CREATE INDEX ON remote_link (class_id);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE remote_link; DROP TABLE stage');
  }
}
