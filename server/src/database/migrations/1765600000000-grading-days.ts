import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Grading days: who comes, when it is at which station, what examiners saw, and what was decided. */
export class GradingDays1765600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE grading_day (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL,
        programme_id uuid NOT NULL,
        day date NOT NULL,
        starts_at time NOT NULL,
        warm_up_minutes smallint NOT NULL DEFAULT 10 CHECK (warm_up_minutes BETWEEN 5 AND 30),
        slot_minutes smallint NOT NULL DEFAULT 5 CHECK (slot_minutes IN (3, 5, 10)),
        together smallint NOT NULL DEFAULT 2 CHECK (together BETWEEN 1 AND 4),
        per_visit smallint NOT NULL DEFAULT 1 CHECK (per_visit IN (1, 2)),
        examiner_ids uuid[] NOT NULL,
        -- of parties by their numbers: no child is named in it
        timetable jsonb,
        closed_at timestamptz,
        FOREIGN KEY (club_id, programme_id) REFERENCES programme (club_id, id) ON DELETE CASCADE,
        UNIQUE (club_id, id)
      );
      CREATE INDEX grading_day_club ON grading_day (club_id, day);

      CREATE TABLE grading_entry (
        grading_id uuid NOT NULL,
        child_id uuid NOT NULL,
        club_id uuid NOT NULL,
        grade_id uuid NOT NULL,
        size text NOT NULL DEFAULT '',
        party smallint,
        decision text CHECK (decision IN ('granted', 'not-yet')),
        reason text NOT NULL DEFAULT '',
        -- whether the grade was given here, and not held before
        is_given_here boolean NOT NULL DEFAULT false,
        PRIMARY KEY (grading_id, child_id),
        FOREIGN KEY (club_id, grading_id) REFERENCES grading_day (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, grade_id) REFERENCES grade (club_id, id)
      );
      CREATE INDEX grading_entry_child ON grading_entry (child_id);

      CREATE TABLE grading_mark (
        id uuid PRIMARY KEY,
        club_id uuid NOT NULL,
        grading_id uuid NOT NULL,
        child_id uuid NOT NULL,
        requirement_id uuid NOT NULL REFERENCES requirement (id),
        side text NOT NULL CHECK (side IN ('none', 'left', 'right', 'both')),
        mark text NOT NULL CHECK (mark IN ('not-yet', 'with-help', 'alone', 'clean')),
        help text CHECK (help IN ('told', 'shown', 'hands-on', 'raised-or-lower-surface', 'target-only')),
        measure jsonb NOT NULL,
        faults text[] NOT NULL,
        is_settled boolean NOT NULL,
        examiner_id uuid NOT NULL,
        given_at timestamptz NOT NULL DEFAULT clock_timestamp(),
        -- the mark of the child's record that was made of it
        observation_id uuid,
        FOREIGN KEY (grading_id, child_id) REFERENCES grading_entry (grading_id, child_id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, examiner_id) REFERENCES person (club_id, id)
      );
      CREATE INDEX grading_mark_of ON grading_mark (grading_id, child_id);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE grading_mark; DROP TABLE grading_entry; DROP TABLE grading_day');
  }
}
