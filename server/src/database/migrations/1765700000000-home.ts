import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The page of a family: its link, what was practised at home, and what the family allows. */
export class Home1765700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE home_link (
        child_id uuid PRIMARY KEY,
        club_id uuid NOT NULL,
        token_hash bytea NOT NULL UNIQUE CHECK (octet_length(token_hash) = 32),
        made_at timestamptz NOT NULL DEFAULT now(),
        last_opened_at timestamptz,
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE
      );
      CREATE TABLE practice (
        id uuid PRIMARY KEY,
        club_id uuid NOT NULL,
        child_id uuid NOT NULL,
        day date NOT NULL,
        movement_slug text NOT NULL,
        feeling text NOT NULL CHECK (feeling IN ('well', 'hard', 'hurt')),
        noted_at timestamptz NOT NULL DEFAULT now(),
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE
      );
      CREATE INDEX practice_child ON practice (child_id, day);
      -- every word on it is kept; the last one holds
      CREATE TABLE consent (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        club_id uuid NOT NULL,
        child_id uuid NOT NULL,
        kind text NOT NULL CHECK (kind IN ('pictures', 'clips', 'badges')),
        is_given boolean NOT NULL,
        at timestamptz NOT NULL DEFAULT now(),
        by_id uuid,
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, by_id) REFERENCES person (club_id, id) ON DELETE SET NULL (by_id)
      );
      CREATE INDEX consent_child ON consent (child_id, kind, id);
      CREATE TABLE home_try (address text NOT NULL, at timestamptz NOT NULL DEFAULT now());
      CREATE INDEX home_try_address ON home_try (address, at);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE home_try; DROP TABLE consent; DROP TABLE practice; DROP TABLE home_link');
  }
}
