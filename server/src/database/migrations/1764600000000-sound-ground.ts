import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * What several people, several server processes and an attacker at once need: versions of what is written whole, one table of
 * imports, events that reach every process, tries counted in the database, people who are invited and put away, and a log of who
 * came to see a child's health notes.
 */
export class SoundGround1764600000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      -- people
      ALTER TABLE person ADD COLUMN put_away_at timestamptz;
      CREATE TABLE invitation (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        kind text NOT NULL CHECK (kind IN ('join', 'reset')),
        -- the link is known to who was given it; here is only what it hashes to
        token_hash text NOT NULL UNIQUE,
        name text NOT NULL,
        email text NOT NULL CHECK (email = lower(email)),
        role text NOT NULL CHECK (role IN ('owner', 'instructor', 'assistant')),
        person_id uuid,
        made_by uuid,
        made_at timestamptz NOT NULL DEFAULT now(),
        ends_at timestamptz NOT NULL,
        used_at timestamptz,
        CHECK ((kind = 'reset') = (person_id IS NOT NULL)),
        FOREIGN KEY (club_id, person_id) REFERENCES person (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, made_by) REFERENCES person (club_id, id) ON DELETE SET NULL (made_by)
      );
      ALTER TABLE session ADD COLUMN person_id uuid GENERATED ALWAYS AS ((sess ->> 'personId')::uuid) STORED;
      CREATE INDEX session_person ON session (person_id);
      -- tries to sign in: lost with a crash, and nobody misses them
      CREATE UNLOGGED TABLE sign_in_try (key text NOT NULL, at timestamptz NOT NULL DEFAULT now());
      CREATE INDEX sign_in_try_key ON sign_in_try (key, at);

      -- what is written whole has a version, so that the later of two writers is told
      ALTER TABLE child ADD COLUMN household_version integer NOT NULL DEFAULT 1, ADD COLUMN health_version integer NOT NULL DEFAULT 1;

      -- who changed who sees a child, and who read or wrote its health notes; goes with the child
      CREATE TABLE child_log (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        club_id uuid NOT NULL,
        child_id uuid NOT NULL,
        at timestamptz NOT NULL DEFAULT now(),
        by_id uuid,
        kind text NOT NULL,
        detail jsonb NOT NULL,
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, by_id) REFERENCES person (club_id, id) ON DELETE SET NULL (by_id)
      );
      CREATE INDEX child_log_child ON child_log (child_id, at);
      CREATE INDEX child_log_recent ON child_log (club_id, at);

      -- one table of imports
      CREATE TABLE import (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        subject text NOT NULL CHECK (subject IN ('library', 'syllabuses', 'children', 'plan')),
        imported_at timestamptz NOT NULL DEFAULT clock_timestamp(),
        imported_by uuid,
        before jsonb NOT NULL,
        undone_at timestamptz,
        FOREIGN KEY (club_id, imported_by) REFERENCES person (club_id, id) ON DELETE SET NULL (imported_by)
      );
      CREATE INDEX import_club ON import (club_id, subject, imported_at);
      INSERT INTO import (id, club_id, subject, imported_at, imported_by, before, undone_at)
        SELECT id, club_id, 'library', imported_at, imported_by, before, undone_at FROM library_import
        UNION ALL SELECT id, club_id, 'syllabuses', imported_at, imported_by, before, undone_at FROM syllabus_import
        UNION ALL SELECT id, club_id, 'children', imported_at, imported_by, before, undone_at FROM children_import;
      DROP TABLE library_import, syllabus_import, children_import;

      -- a mark that was taken back: a later one that says so
      ALTER TABLE observation ADD COLUMN is_withdrawal boolean NOT NULL DEFAULT false,
        ADD CHECK (NOT is_withdrawal OR supersedes IS NOT NULL);

      -- the best of the last three marks by child, movement and stage (0: the whole), kept as marks come in
      CREATE TABLE recent_mark (
        club_id uuid NOT NULL,
        child_id uuid NOT NULL,
        movement_slug text NOT NULL,
        stage smallint NOT NULL,
        best text NOT NULL,
        PRIMARY KEY (child_id, movement_slug, stage),
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE
      );
      CREATE FUNCTION best_of_recent_marks(child uuid, movement text, wanted smallint) RETURNS text LANGUAGE sql STABLE AS $$
        SELECT mark FROM (
          SELECT o.mark FROM observation o
          WHERE o.child_id = child AND o.movement_slug = movement AND coalesce(o.stage, 0) = wanted AND NOT o.is_withdrawal
            AND NOT EXISTS (SELECT 1 FROM observation later WHERE later.supersedes = o.id)
          ORDER BY o.seen_on DESC, o.recorded_at DESC LIMIT 3) AS recent
        ORDER BY array_position(ARRAY['not-yet', 'with-help', 'alone', 'clean'], mark) DESC LIMIT 1
      $$;
      INSERT INTO recent_mark (club_id, child_id, movement_slug, stage, best)
        SELECT club_id, child_id, movement_slug, stage, best FROM (
          SELECT DISTINCT o.club_id, o.child_id, o.movement_slug, coalesce(o.stage, 0)::smallint AS stage FROM observation o) AS keys,
          LATERAL (SELECT best_of_recent_marks(keys.child_id, keys.movement_slug, keys.stage) AS best) AS found
        WHERE best IS NOT NULL;
      CREATE FUNCTION keep_recent_mark() RETURNS trigger LANGUAGE plpgsql AS $$
      DECLARE
        wanted smallint;
        found text;
      BEGIN
        -- a correction may speak of another stage than what it corrects
        FOR wanted IN
          SELECT DISTINCT coalesce(stage, 0)::smallint FROM observation WHERE id = NEW.id OR id = NEW.supersedes ORDER BY 1
        LOOP
          found := best_of_recent_marks(NEW.child_id, NEW.movement_slug, wanted);
          IF found IS NULL THEN
            DELETE FROM recent_mark WHERE child_id = NEW.child_id AND movement_slug = NEW.movement_slug AND stage = wanted;
          ELSE
            INSERT INTO recent_mark VALUES (NEW.club_id, NEW.child_id, NEW.movement_slug, wanted, found)
              ON CONFLICT (child_id, movement_slug, stage) DO UPDATE SET best = EXCLUDED.best;
          END IF;
        END LOOP;
        RETURN NULL;
      END $$;
      CREATE TRIGGER observation_recent AFTER INSERT ON observation FOR EACH ROW EXECUTE FUNCTION keep_recent_mark();

      -- the library has a version: what is answered from it can be kept until it changes
      ALTER TABLE club ADD COLUMN library_version bigint NOT NULL DEFAULT 1;
      CREATE FUNCTION count_library_change() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        UPDATE club SET library_version = library_version + 1 WHERE id IN (SELECT DISTINCT club_id FROM changed);
        PERFORM pg_notify('leiter_library', club_id::text) FROM (SELECT DISTINCT club_id FROM changed) AS clubs;
        RETURN NULL;
      END $$;
      CREATE TRIGGER movement_added AFTER INSERT ON movement REFERENCING NEW TABLE AS changed
        FOR EACH STATEMENT EXECUTE FUNCTION count_library_change();
      CREATE TRIGGER movement_changed AFTER UPDATE ON movement REFERENCING NEW TABLE AS changed
        FOR EACH STATEMENT EXECUTE FUNCTION count_library_change();
      CREATE TRIGGER movement_removed AFTER DELETE ON movement REFERENCING OLD TABLE AS changed
        FOR EACH STATEMENT EXECUTE FUNCTION count_library_change();

      -- who signs in, and as what, may be kept by a server process until it is told otherwise
      CREATE FUNCTION tell_person_changed() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        PERFORM pg_notify('leiter_person', coalesce(NEW.id, OLD.id)::text);
        RETURN NULL;
      END $$;
      CREATE TRIGGER person_changed AFTER UPDATE OR DELETE ON person FOR EACH ROW EXECUTE FUNCTION tell_person_changed();
      CREATE FUNCTION tell_session_ended() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        PERFORM pg_notify('leiter_session', md5(OLD.sid));
        RETURN NULL;
      END $$;
      CREATE TRIGGER session_ended AFTER DELETE ON session FOR EACH ROW EXECUTE FUNCTION tell_session_ended();

      -- what happened, for pages that are open: kept for a while, so that who was away reads on where it was
      CREATE TABLE event (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        at timestamptz NOT NULL DEFAULT now(),
        topic text NOT NULL,
        data jsonb NOT NULL
      );
      CREATE INDEX event_club ON event (club_id, id);
      CREATE INDEX event_at ON event (at);
      CREATE FUNCTION tell_event() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        PERFORM pg_notify('leiter_event', NEW.id || ' ' || NEW.club_id);
        RETURN NULL;
      END $$;
      CREATE TRIGGER event_told AFTER INSERT ON event FOR EACH ROW EXECUTE FUNCTION tell_event();
      -- who has which class open, and on which item; lost with a crash, and told again within seconds
      CREATE UNLOGGED TABLE presence (
        tab uuid PRIMARY KEY,
        club_id uuid NOT NULL,
        class_id uuid NOT NULL,
        person_id uuid NOT NULL,
        item_id text,
        seen_at timestamptz NOT NULL DEFAULT now()
      );
      CREATE INDEX presence_class ON presence (class_id);
      -- written and taken back to see whether something can be written at all
      CREATE UNLOGGED TABLE readiness (pad text NOT NULL);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP TABLE readiness, presence, event;
      DROP FUNCTION tell_event;
      DROP TRIGGER session_ended ON session;
      DROP TRIGGER person_changed ON person;
      DROP FUNCTION tell_session_ended, tell_person_changed;
      DROP TRIGGER movement_added ON movement;
      DROP TRIGGER movement_changed ON movement;
      DROP TRIGGER movement_removed ON movement;
      DROP FUNCTION count_library_change;
      ALTER TABLE club DROP COLUMN library_version;
      DROP TRIGGER observation_recent ON observation;
      DROP FUNCTION keep_recent_mark, best_of_recent_marks;
      DROP TABLE recent_mark;
      ALTER TABLE observation DROP COLUMN is_withdrawal;
      CREATE TABLE library_import (LIKE import INCLUDING ALL);
      CREATE TABLE syllabus_import (LIKE import INCLUDING ALL);
      CREATE TABLE children_import (LIKE import INCLUDING ALL);
      INSERT INTO library_import SELECT * FROM import WHERE subject = 'library';
      INSERT INTO syllabus_import SELECT * FROM import WHERE subject = 'syllabuses';
      INSERT INTO children_import SELECT * FROM import WHERE subject = 'children';
      ALTER TABLE library_import DROP COLUMN subject;
      ALTER TABLE syllabus_import DROP COLUMN subject;
      ALTER TABLE children_import DROP COLUMN subject;
      DROP TABLE import, child_log;
      ALTER TABLE child DROP COLUMN household_version, DROP COLUMN health_version;
      DROP TABLE sign_in_try;
      ALTER TABLE session DROP COLUMN person_id;
      DROP TABLE invitation;
      ALTER TABLE person DROP COLUMN put_away_at;
    `);
  }
}
