import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What a club holds otherwise than usual of the checks on a plan: every change a row, the newest of a rule holds. */
export class RulesOfChecks1766400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE check_rule (
        id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        rule text NOT NULL,
        -- "on" or "off" of a check; of a number its value, or null for the usual one
        value jsonb NOT NULL,
        reason text NOT NULL DEFAULT '',
        changed_by uuid REFERENCES person (id) ON DELETE SET NULL,
        changed_at timestamptz NOT NULL DEFAULT now()
      );
      CREATE INDEX check_rule_newest ON check_rule (club_id, rule, id DESC);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE check_rule');
  }
}
