import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Whom a name in a call stands for, once somebody has said so: “tablet 3” is Kaia, next time too. */
export class CallNames1765400000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE call_name (
        club_id uuid NOT NULL,
        group_id uuid NOT NULL,
        name text NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
        child_id uuid NOT NULL,
        PRIMARY KEY (group_id, name, child_id),
        FOREIGN KEY (club_id, group_id) REFERENCES teaching_group (club_id, id) ON DELETE CASCADE,
        FOREIGN KEY (club_id, child_id) REFERENCES child (club_id, id) ON DELETE CASCADE
      );
      CREATE INDEX ON call_name (child_id);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE call_name');
  }
}
