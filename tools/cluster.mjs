// The private PostgreSQL clusters: one for the club under .leiter/, a fresh one for each test run.
import { createHash } from 'node:crypto';
import { createServer } from 'node:net';
import { root, run } from './run.mjs';
import { giveUp } from './say.mjs';

/** As root the server runs as the user postgres, who has to reach the folder; where it cannot, one that it can is taken. */
function reachable(folder) {
  if (process.getuid?.() !== 0) return folder;
  if (run('runuser', ['-u', 'postgres', '--', 'test', '-x', root]).code === 0) return folder;
  const name = createHash('sha256').update(folder).digest('hex').slice(0, 12);
  return `/var/lib/postgresql/leiter-${name}`;
}

/** @param settings folder, port (default 54632), isForTests: nothing is synced to disk. */
export function cluster({ folder, port, isForTests }) {
  const env = {
    ...process.env,
    LEITER_PGROOT: process.env['LEITER_PGROOT'] ?? reachable(folder),
    LEITER_PGPORT: String(port),
    ...(isForTests ? { PGUNSAFE: '1' } : {}),
  };
  const call = (...args) => run('bash', [`${root}/tools/postgres.sh`, ...args], { env });
  return {
    folder: env.LEITER_PGROOT,
    start() {
      const { code, output } = call('start');
      if (code !== 0) giveUp(output.trim() || 'PostgreSQL did not start.');
    },
    /** The process id of its postmaster; null where none runs. */
    pid: () => Number(call('pid').stdout.trim()) || null,
    /** Like start, but says why it did not work instead of ending the tool. */
    tryStart: () => {
      const { code, output } = call('start');
      return code === 0 ? null : output.trim();
    },
    url: (database) => call('url', ...(database ? [database] : [])).stdout.trim(),
    stop: () => call('stop'),
    destroy: () => {
      call('destroy');
      run('rm', ['-rf', env.LEITER_PGROOT]);
    },
    createDatabase: (name) => call('createdb', name),
  };
}

/** @returns true when nobody listens on a port of the loopback address. */
export function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
}

/** @returns a port that is free now. */
export function freePort() {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}
