import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import type { Role } from '@leiter/contract';
import { rows } from '../database/rows.js';

const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();
/** 32 bytes in base64url. */
const tokenLength = 43;

/** Whose calendar a link shows: what a person teaches, or what a child has. */
export type Follower =
  | { readonly kind: 'person'; readonly personId: string; readonly clubId: string; readonly role: Role }
  | { readonly kind: 'family'; readonly childId: string; readonly clubId: string };

/**
 * Links by which a calendar follows what one person teaches or one child has: known by their hash alone, one each, ended by a newer one
 * or on purpose; that of a family ends with the link of its page.
 */
@Injectable()
export class CalendarLinksService {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /** @returns its token, told here and nowhere else */
  async make(personId: string): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    await this.source.query(
      `INSERT INTO calendar_link (person_id, token_hash) VALUES ($1, $2)
       ON CONFLICT (person_id) DO UPDATE SET token_hash = excluded.token_hash, made_at = now()`,
      [personId, hashOf(token)],
    );
    return token;
  }

  /** The calendar of a family, beside the link of its page: whoever has one has not the other. */
  async makeForFamily(clubId: string, childId: string): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    await this.source.query('UPDATE home_link SET calendar_hash = $3 WHERE club_id = $1 AND child_id = $2', [
      clubId,
      childId,
      hashOf(token),
    ]);
    return token;
  }

  /** When the link of a person was made; null where there is none. */
  async madeAt(personId: string): Promise<string | null> {
    const [found] = await rows<{ readonly made_at: Date }>(this.source, 'SELECT made_at FROM calendar_link WHERE person_id = $1', [
      personId,
    ]);
    return found?.made_at.toISOString() ?? null;
  }

  async end(personId: string): Promise<void> {
    await this.source.query('DELETE FROM calendar_link WHERE person_id = $1', [personId]);
  }

  /** @returns null for a link that was never made or is no more, or of whom does not work here any more */
  async followerOf(token: string): Promise<Follower | null> {
    if (token.length !== tokenLength) return null;
    const [found] = await rows<{ readonly id: string; readonly club_id: string; readonly role: Role }>(
      this.source,
      `SELECT p.id, p.club_id, p.role FROM calendar_link l JOIN person p ON p.id = l.person_id AND p.put_away_at IS NULL WHERE l.token_hash = $1`,
      [hashOf(token)],
    );
    if (found) return { kind: 'person', personId: found.id, clubId: found.club_id, role: found.role };
    const [family] = await rows<{ readonly child_id: string; readonly club_id: string }>(
      this.source,
      `SELECT l.child_id, l.club_id FROM home_link l JOIN child c ON c.id = l.child_id AND c.archived_at IS NULL WHERE l.calendar_hash = $1`,
      [hashOf(token)],
    );
    return family ? { kind: 'family', childId: family.child_id, clubId: family.club_id } : null;
  }
}
