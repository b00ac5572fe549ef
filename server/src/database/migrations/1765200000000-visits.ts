import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What was done in a class one after the other, on its real clock: the chapters of a recording follow from it. */
export class Visits1765200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE class_session ADD COLUMN visits jsonb NOT NULL DEFAULT '[]'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE class_session DROP COLUMN visits');
  }
}
