import pg from 'pg';
import type { EntityManager } from 'typeorm';

/** What only one transaction or one process does at a time; the numbers are ours in the database. */
export const locks = { start: 4600, founding: 4601, event: 4602, import: 4603, demo: 4604, tidy: 4605, checks: 4606 } as const;

/** Holds a lock of ours until the transaction ends, alone for one subject: a club, or a club and what is imported. */
export async function lockFor(manager: EntityManager, lock: keyof typeof locks, subject: string): Promise<void> {
  await manager.query('SELECT pg_advisory_xact_lock($1, hashtext($2))', [locks[lock], subject]);
}

/** Does what only one process may do at a time, such as changing the schema; the others wait. */
export async function alone<Done>(databaseUrl: string, lock: keyof typeof locks, work: () => Promise<Done>): Promise<Done> {
  const client = new pg.Client({ connectionString: databaseUrl, connectionTimeoutMillis: 5000 });
  await client.connect();
  try {
    await client.query('SELECT pg_advisory_lock($1, 0)', [locks[lock]]);
    return await work();
  } finally {
    // the lock goes with the connection
    await client.end();
  }
}
