import { createHash, randomBytes } from 'node:crypto';
import connectPgSimple from 'connect-pg-simple';
import session from 'express-session';
import pg from 'pg';
import { Kept } from '../database/kept.js';
import type { NoticesService } from '../database/notices.service.js';

export const sessionCookie = 'leiter';
const twoWeeks = 14 * 24 * 3600;
const keptMilliseconds = 60_000;

export interface SessionSettings {
  readonly databaseUrl: string;
  readonly secret: string | undefined;
  /** Behind TLS the cookie goes over TLS only. */
  readonly isSecure: boolean;
  readonly notices: NoticesService;
}

/** Sessions live in PostgreSQL; a restart signs nobody out as long as the secret stays, and any process knows them. */
export function sessionHandling({ databaseUrl, secret, isSecure, notices }: SessionSettings): {
  readonly handler: ReturnType<typeof session>;
  readonly close: () => Promise<void>;
} {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 4, connectionTimeoutMillis: 3000, query_timeout: 5000 });
  // an idle connection that the database drops is replaced at the next request
  pool.on('error', () => undefined);
  const Store = connectPgSimple(session);
  const kept = new Kept<session.SessionData | null>(notices, 'leiter_session', { most: 5000, milliseconds: keptMilliseconds });

  class KeptStore extends Store {
    override get(sid: string, done: (error: unknown, data?: session.SessionData | null) => void): void {
      const read = (): Promise<session.SessionData | null> =>
        new Promise((resolve, reject) => {
          super.get(sid, (error: unknown, data?: session.SessionData | null) => {
            if (error) reject(error instanceof Error ? error : new Error('session store'));
            else resolve(data ?? null);
          });
        });
      kept.of(createHash('md5').update(sid).digest('hex'), read).then(
        // a copy: what a request does with its session is its own
        (data) => {
          done(null, data && structuredClone(data));
        },
        (error: unknown) => {
          done(error);
        },
      );
    }
  }

  const store = new KeptStore({ pool, tableName: 'session', ttl: twoWeeks, disableTouch: true, errorLog: () => undefined });
  const handler = session({
    name: sessionCookie,
    secret: secret ?? randomBytes(32).toString('hex'),
    store,
    resave: false,
    saveUninitialized: false,
    cookie: { httpOnly: true, sameSite: 'strict', maxAge: twoWeeks * 1000, secure: isSecure, path: '/' },
  });
  return {
    handler,
    close: async () => {
      store.close();
      await pool.end();
    },
  };
}
