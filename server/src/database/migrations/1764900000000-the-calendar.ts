import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Classes that are moved, cancelled, rehearsed or beside the slots, a note of each, and the holidays of the club. */
export class TheCalendar1764900000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE holiday (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        name text NOT NULL,
        from_day date NOT NULL,
        to_day date NOT NULL,
        CHECK (to_day >= from_day)
      );
      CREATE INDEX holiday_club ON holiday (club_id, from_day);
      ALTER TABLE class_session
        ADD COLUMN slot_day date,
        ADD COLUMN cancelled_because text,
        ADD COLUMN cancelled_by_holiday uuid REFERENCES holiday (id) ON DELETE SET NULL,
        ADD COLUMN note text,
        ADD COLUMN rehearsed_at timestamptz;
      CREATE INDEX class_session_club_day ON class_session (club_id, day);
      -- a group has slots from the day on which it began
      ALTER TABLE teaching_group ADD COLUMN since date NOT NULL DEFAULT CURRENT_DATE;
      UPDATE teaching_group t SET since = least(
        CURRENT_DATE,
        (SELECT min(c.day) FROM class_session c WHERE c.group_id = t.id));
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE teaching_group DROP COLUMN since;
      DROP INDEX class_session_club_day;
      ALTER TABLE class_session DROP COLUMN slot_day, DROP COLUMN cancelled_because, DROP COLUMN cancelled_by_holiday, DROP COLUMN note,
        DROP COLUMN rehearsed_at;
      DROP TABLE holiday;
    `);
  }
}
