import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Clips and pictures that families send; the files lie outside of the database. */
export class Clips1766000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE clip (
        -- made by the page that sends it: sent twice it is one
        id uuid PRIMARY KEY,
        club_id uuid NOT NULL,
        child_id uuid NOT NULL,
        movement_slug text NOT NULL,
        stage integer,
        kind text NOT NULL CHECK (kind IN ('video', 'picture')),
        -- random, without an ending: nothing of a child stands in it
        file_name text NOT NULL UNIQUE CHECK (file_name ~ '^[0-9a-f]{40}$'),
        media_type text NOT NULL,
        bytes bigint NOT NULL,
        seconds double precision,
        frames_per_second double precision,
        width integer NOT NULL,
        height integer NOT NULL,
        sent_at timestamptz NOT NULL DEFAULT now(),
        seen_at timestamptz,
        seen_by uuid,
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, seen_by) REFERENCES person (club_id, id) ON DELETE SET NULL (seen_by)
      );
      CREATE INDEX clip_child ON clip (child_id, sent_at);
      CREATE INDEX clip_club ON clip (club_id, sent_at);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE clip');
  }
}
