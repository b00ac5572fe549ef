import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A letter to the family of a child that is ready and not entered yet. */
export class LettersToTheReady1766200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE letter DROP CONSTRAINT letter_kind_check;
      ALTER TABLE letter ADD CONSTRAINT letter_kind_check CHECK (kind IN ('before', 'after', 'missed', 'ready', 'grading', 'link', 'own'));
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      UPDATE letter SET kind = 'own' WHERE kind = 'ready';
      ALTER TABLE letter DROP CONSTRAINT letter_kind_check;
      ALTER TABLE letter ADD CONSTRAINT letter_kind_check CHECK (kind IN ('before', 'after', 'missed', 'grading', 'link', 'own'));
    `);
  }
}
