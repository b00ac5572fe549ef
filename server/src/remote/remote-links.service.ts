import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';
import type { Asker } from '../people/asker.js';
import type { OneClass } from './stage.service.js';

/** Longer than any class with its door; a link that was forgotten is good for nothing the next day. */
const hours = 6;

const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();

/**
 * Links by which a phone without a sign-in is a remote: tied to one class and to who made it. They end with the class, when who made
 * them may teach no more, and by themselves.
 */
@Injectable()
export class RemoteLinksService {
  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /** Makes a link; the one before, of the same person and class, is good no more. @returns its token, told here and nowhere else */
  async make(asker: Asker, classId: string): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    const made = await rows(
      this.source,
      `WITH before AS (DELETE FROM remote_link WHERE class_id = $2 AND person_id = $3),
            made AS (INSERT INTO remote_link (token_hash, club_id, class_id, person_id)
                       SELECT $4, club_id, id, $3 FROM class_session WHERE club_id = $1 AND id = $2 AND ended_at IS NULL RETURNING 1 AS one)
       SELECT one FROM made`,
      [asker.clubId, classId, asker.id, hashOf(token)],
    );
    if (made.length === 0) throw notFound('class that is still to be taught');
    return token;
  }

  /** The class a link is for; null for one that was never made or is over. */
  async classOf(token: string): Promise<OneClass | null> {
    const [found] = await rows<{ readonly club_id: string; readonly class_id: string }>(
      this.source,
      `SELECT r.club_id, r.class_id FROM remote_link r
       JOIN class_session c ON c.id = r.class_id AND c.ended_at IS NULL
       JOIN person p ON p.id = r.person_id AND p.put_away_at IS NULL AND p.role IN ('owner', 'instructor')
       WHERE r.token_hash = $1 AND r.made_at > now() - make_interval(hours => $2)`,
      [hashOf(token), hours],
    );
    return found ? { clubId: found.club_id, classId: found.class_id } : null;
  }
}
