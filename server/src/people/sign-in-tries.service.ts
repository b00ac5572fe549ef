import { createHash, createHmac, timingSafeEqual } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { Request, Response } from 'express';
import { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';
import { ProblemException } from '../http/problem.js';

const windowSeconds = 60;
/** Wrong passwords a minute: for one person from one address; from one address for all; and for one person from everywhere. */
const most = { pair: 20, address: 100, person: 60 } as const;
const knownCookie = 'leiter-known';
const yearMilliseconds = 365 * 24 * 3600 * 1000;

/**
 * Counts wrong passwords in the database, so that every server process knows of them. A browser in which a person has signed in
 * before counts for itself: who guesses elsewhere does not lock that person out.
 */
@Injectable()
export class SignInTriesService {
  private readonly secret = process.env['LEITER_SESSION_SECRET'] ?? 'leiter';

  constructor(@InjectDataSource() private readonly source: DataSource) {}

  /**
   * Notes a try before the password is looked at, so that a hundred at once are a hundred.
   * @throws 429 where there were too many
   */
  async note(request: Request, email: string): Promise<void> {
    const person = email.trim().toLowerCase();
    const address = request.ip ?? '';
    const isKnown = this.isKnown(request, person);
    const keys = isKnown
      ? { own: keyOf('known', person, address) }
      : { pair: keyOf('pair', person, address), address: keyOf('address', address), person: keyOf('person', person) };
    const limits: Readonly<Record<string, number>> = { ...most, own: most.pair };
    const names = Object.keys(keys);
    const tried = await rows<{ readonly key: string; readonly tries: number }>(
      this.source,
      `WITH noted AS (INSERT INTO sign_in_try (key) SELECT unnest($1::text[]) RETURNING key)
       SELECT k.key, (SELECT count(*)::int FROM sign_in_try t WHERE t.key = k.key AND t.at > now() - make_interval(secs => $2)) AS tries
       FROM (SELECT DISTINCT key FROM noted) k`,
      [Object.values(keys), windowSeconds],
    );
    const byKey = new Map(tried.map(({ key, tries }) => [key, tries]));
    const isOver = names.some((name, index) => (byKey.get(Object.values(keys)[index] ?? '') ?? 0) >= (limits[name] ?? 0));
    if (isOver) throw new ProblemException(429, 'There were many wrong tries. Wait a minute, then try again.');
  }

  /** The password was right: the tries of this person from this address are forgotten, and the browser is known from now on. */
  async forget(request: Request, response: Response, email: string): Promise<void> {
    const person = email.trim().toLowerCase();
    const address = request.ip ?? '';
    await this.source.query(`DELETE FROM sign_in_try WHERE key = ANY($1) OR at < now() - interval '10 minutes'`, [
      [keyOf('pair', person, address), keyOf('known', person, address)],
    ]);
    response.cookie(knownCookie, this.sign(person), {
      httpOnly: true,
      sameSite: 'strict',
      maxAge: yearMilliseconds,
      path: '/api/session',
      secure: request.secure,
    });
  }

  private isKnown(request: Request, person: string): boolean {
    const found = new RegExp(`(?:^|; )${knownCookie}=([\\w-]{1,100})`).exec(request.headers.cookie ?? '')?.[1] ?? '';
    const wanted = this.sign(person);
    return found.length === wanted.length && timingSafeEqual(Buffer.from(found), Buffer.from(wanted));
  }

  private sign(person: string): string {
    return createHmac('sha256', this.secret).update(person).digest('base64url');
  }
}

/** What is counted is not kept readable. */
function keyOf(...parts: readonly string[]): string {
  return createHash('sha256').update(parts.join('\n')).digest('base64url');
}
