import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How a club looks on paper, and the badges and certificates of it that others can verify. */
export class Badges1765800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE club
        ADD COLUMN colour text CHECK (colour ~ '^#[0-9a-f]{6}$'),
        ADD COLUMN second_colour text CHECK (second_colour ~ '^#[0-9a-f]{6}$');
      -- a PNG that was drawn anew from what was given
      CREATE TABLE club_crest (
        club_id uuid PRIMARY KEY REFERENCES club (id) ON DELETE CASCADE,
        png bytea NOT NULL,
        given_at timestamptz NOT NULL DEFAULT now()
      );
      -- what the club signs with
      CREATE TABLE club_key (
        club_id uuid PRIMARY KEY REFERENCES club (id) ON DELETE CASCADE,
        private_key jsonb NOT NULL,
        public_key jsonb NOT NULL,
        made_at timestamptz NOT NULL DEFAULT now()
      );
      -- no child stands here: when the grade goes, all that is left is that something was given and is valid no more
      CREATE TABLE badge (
        id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
        club_id uuid NOT NULL REFERENCES club (id) ON DELETE CASCADE,
        award_id uuid UNIQUE REFERENCES grade_award (id) ON DELETE SET NULL,
        made_at timestamptz NOT NULL DEFAULT now(),
        -- when a signed badge was first handed out; null for the certificate on paper alone
        signed_at timestamptz
      );
      CREATE INDEX badge_club ON badge (club_id);
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(
      'DROP TABLE badge; DROP TABLE club_key; DROP TABLE club_crest; ALTER TABLE club DROP COLUMN colour, DROP COLUMN second_colour',
    );
  }
}
