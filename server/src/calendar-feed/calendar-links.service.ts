import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import type { Role } from '@leiter/contract';
import { rows } from '../database/rows.js';

const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();
/** 32 bytes in base64url. */
const tokenLength = 43;

/** Whose calendar a link shows. */
export interface Follower {
  readonly personId: string;
  readonly clubId: string;
  readonly role: Role;
}

/** Links by which a calendar follows what one person teaches: known by their hash alone, one a person, ended by a newer one or on purpose. */
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
    return found ? { personId: found.id, clubId: found.club_id, role: found.role } : null;
  }
}
