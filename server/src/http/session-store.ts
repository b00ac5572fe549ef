import { randomBytes } from 'node:crypto';
import connectPgSimple from 'connect-pg-simple';
import session from 'express-session';
import pg from 'pg';

const twoWeeks = 14 * 24 * 3600;

/** Sessions live in PostgreSQL; a restart signs nobody out as long as the secret stays. */
export function sessionHandling(
  databaseUrl: string,
  secret: string | undefined,
): { readonly handler: ReturnType<typeof session>; readonly close: () => Promise<void> } {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 4, connectionTimeoutMillis: 3000 });
  // an idle connection that the database drops is replaced at the next request
  pool.on('error', () => undefined);
  const Store = connectPgSimple(session);
  const store = new Store({ pool, tableName: 'session', ttl: twoWeeks, disableTouch: true, errorLog: () => undefined });
  const handler = session({
    name: 'leiter',
    secret: secret ?? randomBytes(32).toString('hex'),
    store,
    resave: false,
    saveUninitialized: false,
    cookie: { httpOnly: true, sameSite: 'strict', maxAge: twoWeeks * 1000, secure: 'auto', path: '/' },
  });
  return {
    handler,
    close: async () => {
      store.close();
      await pool.end();
    },
  };
}
