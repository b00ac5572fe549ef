import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How a person teaches, and what was really measured of an item: explaining and work. Of classes taught before, that is not known. */
export class WaysOfTeaching1764700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE person ADD COLUMN style text NOT NULL DEFAULT 'as-it-comes'`);
    await runner.query(`
      ALTER TABLE item_time
        ADD COLUMN way text,
        ADD COLUMN is_clock_bound boolean,
        ADD COLUMN planned_explain real, ADD COLUMN real_explain real,
        ADD COLUMN planned_work real, ADD COLUMN real_work real`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE person DROP COLUMN style');
    await runner.query(`
      ALTER TABLE item_time
        DROP COLUMN way, DROP COLUMN is_clock_bound, DROP COLUMN planned_explain, DROP COLUMN real_explain, DROP COLUMN planned_work,
        DROP COLUMN real_work`);
  }
}
