import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Where a person teaches, and what the camera sees of it; nothing as long as nobody said. */
export class TeachingRoom1764300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE person ADD COLUMN room jsonb');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE person DROP COLUMN room');
  }
}
