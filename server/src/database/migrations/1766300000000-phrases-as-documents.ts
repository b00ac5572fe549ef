import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The steps of an entry have versions of their own: two who write them at once do not write over each other. */
export class PhrasesAsDocuments1766300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE movement ADD COLUMN phrase_version integer NOT NULL DEFAULT 0, ADD COLUMN phrase_saved_by uuid REFERENCES person (id) ON DELETE SET NULL;
      CREATE FUNCTION movement_phrase_version() RETURNS trigger LANGUAGE plpgsql AS $body$
      BEGIN
        -- whoever changes the steps by another way, an import or its undo, makes a version as well
        IF NEW.document -> 'phrase' IS DISTINCT FROM OLD.document -> 'phrase' AND NEW.phrase_version = OLD.phrase_version THEN
          NEW.phrase_version := OLD.phrase_version + 1;
          NEW.phrase_saved_by := NULL;
        END IF;
        RETURN NEW;
      END $body$;
      CREATE TRIGGER movement_phrase BEFORE UPDATE OF document ON movement FOR EACH ROW EXECUTE FUNCTION movement_phrase_version();
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`
      DROP TRIGGER movement_phrase ON movement;
      DROP FUNCTION movement_phrase_version();
      ALTER TABLE movement DROP COLUMN phrase_version, DROP COLUMN phrase_saved_by;
    `);
  }
}
