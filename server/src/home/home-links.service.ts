import { createHash, randomBytes } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound, ProblemException } from '../http/problem.js';

const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();
/** 32 bytes in base64url. */
const tokenShape = /^[\w-]{43}$/;

/** So many wrong links from one address in so many minutes, and it is asked to wait. */
const wrong = { most: 20, minutes: 10 } as const;

/** So long an address is not looked at again; then its wrong links of the last minutes are counted anew. */
const waitSeconds = 30;
const mostWaiting = 10_000;

const tooMany = (): ProblemException =>
  new ProblemException(429, 'There were many links that lead nowhere. Wait ten minutes, then try again.');

/** `Bearer` and the token of a link, which stands in no address: addresses are written into logs. */
export const tokenIn = (authorization: string | undefined): string => /^Bearer (.{1,100})$/.exec(authorization ?? '')?.[1] ?? '';

/** The child whose page a link opens. */
export interface HomeChild {
  readonly childId: string;
  readonly clubId: string;
}

/** Links by which a family opens the page of its child: known by their hash alone, one a child, ended by a newer one or on purpose. */
@Injectable()
export class HomeLinksService {
  /** Addresses that are to wait, and until when: they cost no question to the database. Other processes find out by themselves. */
  private readonly waiting = new Map<string, number>();

  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /** @returns its token, told here and nowhere else; the one before is good no more */
  async make(clubId: string, childId: string): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    const made = await rows(
      this.source,
      `INSERT INTO home_link (child_id, club_id, token_hash) SELECT id, club_id, $3 FROM child WHERE club_id = $1 AND id = $2 AND archived_at IS NULL
       ON CONFLICT (child_id) DO UPDATE SET token_hash = excluded.token_hash, calendar_hash = NULL, made_at = now(), last_opened_at = NULL RETURNING 1 AS one`,
      [clubId, childId, hashOf(token)],
    );
    if (made.length === 0) throw notFound('child');
    return token;
  }

  async end(clubId: string, childId: string): Promise<void> {
    await this.source.query('DELETE FROM home_link WHERE club_id = $1 AND child_id = $2', [clubId, childId]);
  }

  async stateOf(clubId: string, childId: string): Promise<{ readonly madeAt: string | null; readonly lastOpenedAt: string | null }> {
    const [found] = await rows<{ made_at: Date; last_opened_at: Date | null }>(
      this.source,
      'SELECT made_at, last_opened_at FROM home_link WHERE club_id = $1 AND child_id = $2',
      [clubId, childId],
    );
    return { madeAt: found?.made_at.toISOString() ?? null, lastOpenedAt: found?.last_opened_at?.toISOString() ?? null };
  }

  /**
   * The child of a link.
   * @param address where it is asked from: who guesses is asked to wait, whatever is guessed
   * @throws 404 for a link that was never made, was ended, or is of a child that left; 429 for an address with many wrong ones
   */
  async childOf(token: string, address: string): Promise<HomeChild> {
    const by = hashOf(address).toString('base64url');
    if ((this.waiting.get(by) ?? 0) > Date.now()) throw tooMany();
    this.waiting.delete(by);
    const [tried] = await rows<{ tries: number }>(
      this.source,
      'SELECT count(*)::int AS tries FROM home_try WHERE address = $1 AND at > now() - make_interval(mins => $2)',
      [by, wrong.minutes],
    );
    if ((tried?.tries ?? 0) >= wrong.most) {
      if (this.waiting.size >= mostWaiting) this.waiting.clear();
      this.waiting.set(by, Date.now() + waitSeconds * 1000);
      throw tooMany();
    }
    const found = tokenShape.test(token)
      ? await rows<{ child_id: string; club_id: string }>(
          this.source,
          `WITH opened AS (UPDATE home_link l SET last_opened_at = now() FROM child c
             WHERE l.token_hash = $1 AND c.id = l.child_id AND c.archived_at IS NULL RETURNING l.child_id, l.club_id)
           SELECT child_id, club_id FROM opened`,
          [hashOf(token)],
        )
      : [];
    const [child] = found;
    if (child) return { childId: child.child_id, clubId: child.club_id };
    await this.source.query('INSERT INTO home_try (address) VALUES ($1)', [by]);
    throw new ProblemException(404, 'This link is not good any more. Ask the club for a new one.');
  }
}
