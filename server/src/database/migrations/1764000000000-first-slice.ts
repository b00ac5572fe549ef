import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The tables of the first slice. Every table that belongs to a club has `club_id`, and a row refers only to rows of its own club. */
export class FirstSlice1764000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE club (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        name text NOT NULL CHECK (name <> ''),
        time_zone text NOT NULL,
        is_demo boolean NOT NULL DEFAULT false,
        created_at timestamptz NOT NULL DEFAULT now()
      );

      CREATE TABLE person (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        name text NOT NULL CHECK (name <> ''),
        email text NOT NULL CHECK (email = lower(email)),
        role text NOT NULL CHECK (role IN ('owner', 'instructor', 'assistant')),
        password_hash text NOT NULL,
        UNIQUE (email),
        UNIQUE (club_id, id)
      );

      CREATE TABLE session (
        sid varchar PRIMARY KEY,
        sess json NOT NULL,
        expire timestamp(6) NOT NULL
      );
      CREATE INDEX session_expire ON session (expire);

      CREATE TABLE movement (
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        slug text NOT NULL CHECK (slug ~ '^[a-z0-9]+(-[a-z0-9]+)*$'),
        document jsonb NOT NULL,
        PRIMARY KEY (club_id, slug)
      );

      CREATE TABLE programme (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        slug text NOT NULL,
        name text NOT NULL,
        stretching_school text NOT NULL CHECK (stretching_school IN ('early-static', 'dynamic-first')),
        starts_as text NOT NULL,
        UNIQUE (club_id, slug),
        UNIQUE (club_id, id)
      );

      CREATE TABLE syllabus (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL,
        programme_id uuid NOT NULL,
        version integer NOT NULL CHECK (version > 0),
        FOREIGN KEY (club_id, programme_id) REFERENCES programme (club_id, id) ON DELETE CASCADE,
        UNIQUE (programme_id, version),
        UNIQUE (club_id, id)
      );

      CREATE TABLE grade (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL,
        syllabus_id uuid NOT NULL,
        position integer NOT NULL CHECK (position >= 0),
        slug text NOT NULL,
        name text NOT NULL,
        least_weeks_in_grade integer NOT NULL CHECK (least_weeks_in_grade >= 0),
        least_classes integer NOT NULL CHECK (least_classes >= 0),
        least_age_years integer NOT NULL CHECK (least_age_years >= 0),
        FOREIGN KEY (club_id, syllabus_id) REFERENCES syllabus (club_id, id) ON DELETE CASCADE,
        UNIQUE (syllabus_id, position),
        UNIQUE (syllabus_id, slug),
        UNIQUE (club_id, id)
      );

      CREATE TABLE requirement (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL,
        grade_id uuid NOT NULL,
        position integer NOT NULL CHECK (position >= 0),
        movement_slug text NOT NULL,
        stage integer CHECK (stage > 0),
        criterion jsonb NOT NULL,
        FOREIGN KEY (club_id, grade_id) REFERENCES grade (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, movement_slug) REFERENCES movement (club_id, slug),
        UNIQUE (grade_id, position)
      );

      CREATE TABLE teaching_group (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL,
        programme_id uuid NOT NULL,
        name text NOT NULL CHECK (name <> ''),
        weekday smallint NOT NULL CHECK (weekday BETWEEN 1 AND 7),
        starts_at time NOT NULL,
        length_minutes smallint NOT NULL CHECK (length_minutes IN (30, 45, 60)),
        instructor_id uuid,
        archived_at timestamptz,
        FOREIGN KEY (club_id, programme_id) REFERENCES programme (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, instructor_id) REFERENCES person (club_id, id) ON DELETE SET NULL (instructor_id),
        UNIQUE (club_id, id)
      );
      CREATE UNIQUE INDEX teaching_group_name ON teaching_group (club_id, lower(name)) WHERE archived_at IS NULL;

      CREATE TABLE child (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        given_name text NOT NULL CHECK (given_name <> ''),
        family_initial text NOT NULL,
        birth_date date NOT NULL,
        lead_side text NOT NULL CHECK (lead_side IN ('left', 'right')),
        household jsonb NOT NULL,
        archived_at timestamptz,
        UNIQUE (club_id, id)
      );

      CREATE TABLE enrolment (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL,
        child_id uuid NOT NULL,
        group_id uuid NOT NULL,
        from_day date NOT NULL,
        to_day date,
        CHECK (to_day IS NULL OR to_day >= from_day),
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, group_id) REFERENCES teaching_group (club_id, id) ON DELETE CASCADE
      );
      CREATE UNIQUE INDEX enrolment_open ON enrolment (child_id, group_id) WHERE to_day IS NULL;
      CREATE INDEX enrolment_group ON enrolment (group_id, from_day);

      CREATE TABLE grade_award (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL,
        child_id uuid NOT NULL,
        grade_id uuid NOT NULL,
        awarded_on date NOT NULL,
        awarded_by uuid,
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, grade_id) REFERENCES grade (club_id, id),
        FOREIGN KEY (club_id, awarded_by) REFERENCES person (club_id, id) ON DELETE SET NULL (awarded_by),
        UNIQUE (child_id, grade_id)
      );

      CREATE TABLE class_session (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL,
        group_id uuid NOT NULL,
        day date NOT NULL,
        starts_at time NOT NULL,
        length_minutes smallint NOT NULL CHECK (length_minutes IN (30, 45, 60)),
        instructor_id uuid,
        taught_at timestamptz,
        ended_at timestamptz,
        stops_note text,
        CHECK (ended_at IS NULL OR taught_at IS NOT NULL),
        FOREIGN KEY (club_id, group_id) REFERENCES teaching_group (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, instructor_id) REFERENCES person (club_id, id) ON DELETE SET NULL (instructor_id),
        UNIQUE (group_id, day),
        UNIQUE (club_id, id)
      );
      CREATE INDEX class_session_day ON class_session (club_id, day);

      CREATE TABLE class_plan (
        class_id uuid PRIMARY KEY,
        club_id uuid NOT NULL,
        version integer NOT NULL CHECK (version > 0),
        document jsonb NOT NULL,
        saved_at timestamptz NOT NULL DEFAULT now(),
        saved_by uuid,
        FOREIGN KEY (club_id, class_id) REFERENCES class_session (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, saved_by) REFERENCES person (club_id, id) ON DELETE SET NULL (saved_by)
      );

      CREATE TABLE attendance (
        class_id uuid NOT NULL,
        child_id uuid NOT NULL,
        club_id uuid NOT NULL,
        status text NOT NULL CHECK (status IN ('present', 'late', 'absent', 'watched')),
        PRIMARY KEY (class_id, child_id),
        FOREIGN KEY (club_id, class_id) REFERENCES class_session (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE
      );
      CREATE INDEX attendance_child ON attendance (child_id);

      CREATE TABLE item_time (
        class_id uuid NOT NULL,
        item_id text NOT NULL,
        club_id uuid NOT NULL,
        movement_slug text NOT NULL,
        planned_seconds real NOT NULL CHECK (planned_seconds >= 0),
        real_seconds real NOT NULL CHECK (real_seconds >= 0),
        PRIMARY KEY (class_id, item_id),
        FOREIGN KEY (club_id, class_id) REFERENCES class_session (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, movement_slug) REFERENCES movement (club_id, slug)
      );

      CREATE TABLE observation (
        id uuid PRIMARY KEY,
        club_id uuid NOT NULL,
        child_id uuid NOT NULL,
        movement_slug text NOT NULL,
        stage smallint CHECK (stage > 0),
        side text NOT NULL CHECK (side IN ('none', 'left', 'right', 'both')),
        mark text NOT NULL CHECK (mark IN ('not-yet', 'with-help', 'alone', 'clean')),
        help text CHECK (help IN ('hands-on', 'raised-or-lower-surface', 'target-only')),
        measure jsonb NOT NULL,
        faults text[] NOT NULL,
        note text NOT NULL,
        seen_on date NOT NULL,
        recorded_at timestamptz NOT NULL DEFAULT now(),
        recorded_by uuid,
        source text NOT NULL CHECK (source IN ('class', 'clip', 'grading', 'entered-later')),
        class_id uuid,
        supersedes uuid UNIQUE,
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, movement_slug) REFERENCES movement (club_id, slug),
        FOREIGN KEY (club_id, class_id) REFERENCES class_session (club_id, id),
        FOREIGN KEY (child_id, supersedes) REFERENCES observation (child_id, id),
        UNIQUE (child_id, id)
      );
      CREATE INDEX observation_of_movement ON observation (child_id, movement_slug, seen_on);
      CREATE INDEX observation_of_class ON observation (class_id);

      -- A mark is never edited: a correction is a new one that supersedes it. Rows go only with their child.
      CREATE FUNCTION refuse_change_of_observation() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        IF TG_OP = 'DELETE' AND pg_trigger_depth() > 1 THEN
          RETURN OLD;
        END IF;
        RAISE EXCEPTION 'observations are append-only' USING ERRCODE = 'restrict_violation';
      END $$;
      CREATE TRIGGER observation_append_only BEFORE UPDATE OR DELETE ON observation
        FOR EACH ROW EXECUTE FUNCTION refuse_change_of_observation();
      CREATE TRIGGER observation_no_truncate BEFORE TRUNCATE ON observation
        FOR EACH STATEMENT EXECUTE FUNCTION refuse_change_of_observation();
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP TABLE observation, item_time, attendance, class_plan, class_session, grade_award, enrolment, child, teaching_group,
        requirement, grade, syllabus, programme, movement, session, person, club;
      DROP FUNCTION refuse_change_of_observation;
    `);
  }
}
