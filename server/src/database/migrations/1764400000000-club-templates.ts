import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Running orders that a club keeps to start from, beside those that ship. */
export class ClubTemplates1764400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE plan_template (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        name text NOT NULL CHECK (name <> ''),
        document jsonb NOT NULL,
        made_at timestamptz NOT NULL DEFAULT now(),
        made_by uuid,
        FOREIGN KEY (club_id, made_by) REFERENCES person (club_id, id) ON DELETE SET NULL (made_by)
      );
      CREATE UNIQUE INDEX plan_template_name ON plan_template (club_id, lower(name));
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE plan_template');
  }
}
