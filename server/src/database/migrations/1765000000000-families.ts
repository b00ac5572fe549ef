import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Whether a home was told or is only reckoned with, and whom to write to about a child. */
export class Families1765000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE child ADD COLUMN home_known boolean NOT NULL DEFAULT true, ADD COLUMN contacts jsonb NOT NULL DEFAULT '[]';
      -- who came by a list and was never changed has the careful home that nobody told
      UPDATE child SET home_known = false WHERE household_version = 1 AND household =
        '{"surface": "tiles", "clearLengthM": 2, "clearWidthM": 1.5, "things": [], "adult": "not-at-hand", "partner": false, "quietHours": null}';
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE child DROP COLUMN home_known, DROP COLUMN contacts');
  }
}
