import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What a family told of a child's health; with the child it goes. */
export class HealthNotes1764500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE child ADD COLUMN health_notes jsonb NOT NULL DEFAULT '[]' CHECK (jsonb_typeof(health_notes) = 'array')`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE child DROP COLUMN health_notes');
  }
}
