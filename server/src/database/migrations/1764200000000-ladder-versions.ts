import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * A ladder has versions: what was put away keeps its place, a child finishes the grade it began on the version it began it
 * on, and what was taken in from a file can be undone. A club has a cue of its own on any movement.
 */
export class LadderVersions1764200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE grade ADD COLUMN is_put_away boolean NOT NULL DEFAULT false;
      ALTER TABLE requirement ADD COLUMN is_put_away boolean NOT NULL DEFAULT false;
      ALTER TABLE movement ADD COLUMN own_cue text CHECK (own_cue <> '');
      ALTER TABLE syllabus ADD COLUMN made_at timestamptz NOT NULL DEFAULT now(), ADD COLUMN made_by uuid;
      ALTER TABLE syllabus ADD FOREIGN KEY (club_id, made_by) REFERENCES person (club_id, id) ON DELETE SET NULL (made_by);

      -- children who finish a grade on a version that is not the newest; without a row a child climbs the newest
      CREATE TABLE ladder_pin (
        club_id uuid NOT NULL,
        child_id uuid NOT NULL,
        programme_id uuid NOT NULL,
        syllabus_id uuid NOT NULL,
        PRIMARY KEY (child_id, programme_id),
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, programme_id) REFERENCES programme (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, syllabus_id) REFERENCES syllabus (club_id, id) ON DELETE CASCADE
      );

      CREATE TABLE syllabus_import (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        imported_at timestamptz NOT NULL DEFAULT now(),
        imported_by uuid,
        before jsonb NOT NULL,
        undone_at timestamptz,
        FOREIGN KEY (club_id, imported_by) REFERENCES person (club_id, id) ON DELETE SET NULL (imported_by)
      );

      -- by ids only: what a family asks to be erased is nowhere else
      CREATE TABLE children_import (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        imported_at timestamptz NOT NULL DEFAULT now(),
        imported_by uuid,
        before jsonb NOT NULL,
        undone_at timestamptz,
        FOREIGN KEY (club_id, imported_by) REFERENCES person (club_id, id) ON DELETE SET NULL (imported_by)
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP TABLE children_import, syllabus_import, ladder_pin;
      ALTER TABLE syllabus DROP COLUMN made_at, DROP COLUMN made_by;
      ALTER TABLE movement DROP COLUMN own_cue;
      ALTER TABLE requirement DROP COLUMN is_put_away;
      ALTER TABLE grade DROP COLUMN is_put_away;
    `);
  }
}
