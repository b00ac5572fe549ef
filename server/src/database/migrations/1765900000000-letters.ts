import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Letters to families, and the language in which a family is written to. */
export class Letters1765900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE child ADD COLUMN family_language text CHECK (family_language IN ('en', 'de', 'fr'));
      CREATE TABLE letter (
        -- made by who writes it: sent twice it is one
        id uuid PRIMARY KEY,
        club_id uuid NOT NULL,
        child_id uuid NOT NULL,
        kind text NOT NULL CHECK (kind IN ('before', 'after', 'missed', 'grading', 'link', 'own')),
        -- the class or grading day it is about, where there is one
        about_id uuid,
        language text NOT NULL CHECK (language IN ('en', 'de', 'fr')),
        to_addresses text[] NOT NULL CHECK (cardinality(to_addresses) > 0),
        subject text NOT NULL,
        body text NOT NULL,
        written_by uuid,
        written_at timestamptz NOT NULL DEFAULT now(),
        -- caught: kept in the mailbox of Leiter, no mail server being set; unsure: the server stopped while it was sent
        state text NOT NULL CHECK (state IN ('waiting', 'sending', 'sent', 'caught', 'failed', 'unsure')),
        tries integer NOT NULL DEFAULT 0,
        next_try_at timestamptz NOT NULL DEFAULT now(),
        why_not text,
        done_at timestamptz,
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, written_by) REFERENCES person (club_id, id) ON DELETE SET NULL (written_by)
      );
      CREATE INDEX letter_club ON letter (club_id, written_at);
      CREATE INDEX letter_child ON letter (child_id);
      CREATE INDEX letter_due ON letter (next_try_at) WHERE state IN ('waiting', 'sending');
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE letter; ALTER TABLE child DROP COLUMN family_language');
  }
}
