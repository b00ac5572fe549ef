import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Whether a home was told or is only reckoned with, and whom to write to about a child. */
export class Families1765000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      -- on a call a child is told or shown more often than it is held
      ALTER TABLE observation DROP CONSTRAINT observation_help_check,
        ADD CONSTRAINT observation_help_check CHECK (help IN ('told', 'shown', 'hands-on', 'raised-or-lower-surface', 'target-only'));
      ALTER TABLE child ADD COLUMN home_known boolean NOT NULL DEFAULT true, ADD COLUMN contacts jsonb NOT NULL DEFAULT '[]';
      -- who came by a list and was never changed has the careful home that nobody told
      UPDATE child SET home_known = false WHERE household_version = 1 AND household =
        '{"surface": "tiles", "clearLengthM": 2, "clearWidthM": 1.5, "things": [], "adult": "not-at-hand", "partner": false, "quietHours": null}';
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE child DROP COLUMN home_known, DROP COLUMN contacts;
      UPDATE observation SET help = NULL WHERE help IN ('told', 'shown');
      ALTER TABLE observation DROP CONSTRAINT observation_help_check,
        ADD CONSTRAINT observation_help_check CHECK (help IN ('hands-on', 'raised-or-lower-surface', 'target-only'));
    `);
  }
}
