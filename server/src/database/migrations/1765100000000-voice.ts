import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How a person leads a class, and the clips that are spoken in it: each made once, for everybody. */
export class Voice1765100000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE person ADD COLUMN voice jsonb NOT NULL DEFAULT '{}';
      CREATE TABLE voice_clip (
        key text PRIMARY KEY CHECK (key ~ '^[0-9a-f]{64}$'),
        text text NOT NULL,
        language text NOT NULL,
        is_quick boolean NOT NULL,
        seconds double precision NOT NULL CHECK (seconds > 0),
        sound bytea NOT NULL,
        made_at timestamptz NOT NULL DEFAULT now()
      );
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE voice_clip; ALTER TABLE person DROP COLUMN voice');
  }
}
