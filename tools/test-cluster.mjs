// Vitest's global set-up for the server tests: a PostgreSQL cluster of its own, gone when they are over.
// Where LEITER_TEST_DATABASE_URL is set, that server is used and left as it is.
import { cluster, freePort } from './cluster.mjs';
import { requirePostgres } from './requirements.mjs';
import { root } from './run.mjs';

let own = null;

export async function setup() {
  if (process.env['LEITER_TEST_DATABASE_URL']) return;
  requirePostgres();
  own = cluster({ folder: `${root}/.leiter-test/server`, port: await freePort(), isForTests: true });
  own.start();
  process.env['LEITER_TEST_DATABASE_URL'] = own.url('postgres');
}

export function teardown() {
  own?.destroy();
}
