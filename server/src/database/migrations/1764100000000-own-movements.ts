import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Movements that a club took in are its own: what ships later leaves them alone. Each import can be undone. */
export class OwnMovements1764100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE movement ADD COLUMN is_own boolean NOT NULL DEFAULT false, ADD COLUMN is_put_away boolean NOT NULL DEFAULT false;

      CREATE TABLE library_import (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        imported_at timestamptz NOT NULL DEFAULT now(),
        imported_by uuid,
        before jsonb NOT NULL,
        undone_at timestamptz,
        FOREIGN KEY (club_id, imported_by) REFERENCES person (club_id, id) ON DELETE SET NULL (imported_by)
      );
      CREATE INDEX library_import_of_club ON library_import (club_id, imported_at);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE library_import; ALTER TABLE movement DROP COLUMN is_own, DROP COLUMN is_put_away;');
  }
}
