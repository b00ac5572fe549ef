// Vitest's global set-up for the server tests: a PostgreSQL cluster of its own, gone when they are over.
// Where LEITER_TEST_DATABASE_URL is set, that server is used and left as it is.
import { cluster, freePort } from './cluster.mjs';
import { root, run, tsc } from './run.mjs';
import { giveUp } from './say.mjs';
import { requirePostgres } from './requirements.mjs';

let own = null;

export async function setup() {
  if (process.env['LEITER_TEST_DATABASE_URL']) return;
  requirePostgres();
  // what does not build leaves no cluster behind
  const built = run(process.execPath, [...tsc, '-b', 'core', 'contract', 'server']);
  if (built.code !== 0) giveUp(built.output);
  own = cluster({ folder: `${root}/.leiter-test/server`, port: await freePort(), isForTests: true });
  own.start();
  process.env['LEITER_TEST_DATABASE_URL'] = own.url('postgres');
  await makeTemplates();
}

/** The demo club and an empty Leiter are made once, by the server as it is built; each test file works on a copy. */
async function makeTemplates() {
  for (const name of ['leiter_empty_template', 'leiter_demo_template']) own.createDatabase(name);
  const made = run(process.execPath, ['server/dist/demo/make-templates.js'], {
    env: { ...process.env, LEITER_EMPTY_URL: own.url('leiter_empty_template'), LEITER_DEMO_URL: own.url('leiter_demo_template') },
  });
  if (made.code === 0) return;
  own.destroy();
  giveUp(made.output);
}

export function teardown() {
  own?.destroy();
}
