import type { MigrationInterface, QueryRunner } from 'typeorm';

const tables = ['teaching_group', 'class_session'] as const;

/** A class may last twenty minutes: before school, or for the youngest. */
export class TwentyMinutes1764800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const table of tables)
      await runner.query(`
        ALTER TABLE ${table}
          DROP CONSTRAINT ${table}_length_minutes_check,
          ADD CONSTRAINT ${table}_length_minutes_check CHECK (length_minutes IN (20, 30, 45, 60))`);
  }

  /** Refused while a class of twenty minutes is there: it would be lost. */
  async down(runner: QueryRunner): Promise<void> {
    for (const table of tables)
      await runner.query(`
        ALTER TABLE ${table}
          DROP CONSTRAINT ${table}_length_minutes_check,
          ADD CONSTRAINT ${table}_length_minutes_check CHECK (length_minutes IN (30, 45, 60))`);
  }
}
