// npm start: from a machine with Node.js and npm to a running Leiter. `--empty` starts without the demo club.
// PORT, LEITER_PGPORT, LEITER_FOLDER (where the data is) and LEITER_DATABASE_URL move things elsewhere.
import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { buildIfChanged } from './build.mjs';
import { cluster, isFree } from './cluster.mjs';
import { requireFolder, requireNode, requirePackages, requirePostgres } from './requirements.mjs';
import { root } from './run.mjs';
import { giveUp, say } from './say.mjs';

const port = Number(process.env['PORT'] ?? '4600');
const folder = process.env['LEITER_FOLDER'] ?? `${root}/.leiter`;
const lock = `${folder}/running`;

function requireAlone() {
  if (!existsSync(lock)) return;
  const pid = readFileSync(lock, 'utf8').trim();
  const command = existsSync(`/proc/${pid}/cmdline`) ? readFileSync(`/proc/${pid}/cmdline`, 'utf8') : '';
  if (command.includes('start.mjs') && Number(pid) !== process.pid) giveUp(`Leiter is already running from this folder (process ${pid}).`);
}

function sessionSecret() {
  const file = `${folder}/session-secret`;
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 });
  return readFileSync(file, 'utf8');
}

requireNode();
if (!Number.isInteger(port) || port < 1 || port > 65_535)
  giveUp(`PORT is ${process.env['PORT']}, which is no port: a number from 1 to 65535.`);
requireFolder(folder);
requireAlone();
if (!(await isFree(port))) giveUp(`Port ${port} is in use: stop what uses it, or start with PORT=4700 npm start.`);
writeFileSync(lock, String(process.pid));

const own = process.env['LEITER_DATABASE_URL'] || null;
if (!own) requirePostgres();
requirePackages();
buildIfChanged();

const pgPort = Number(process.env['LEITER_PGPORT'] ?? '54632');
const database = own ? null : cluster({ folder: `${folder}/postgres`, port: pgPort, isForTests: false });
database?.start();

const isEmptyWanted = process.argv.includes('--empty');
const server = spawn(process.execPath, [`${root}/server/dist/main.js`], {
  cwd: root,
  stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  // a group of its own: Ctrl-C reaches the server once, through this script
  detached: true,
  env: {
    ...process.env,
    PORT: String(port),
    LEITER_DATABASE_URL: own ?? database.url(),
    LEITER_SESSION_SECRET: sessionSecret(),
    LEITER_DEMO: isEmptyWanted ? 'no' : 'yes',
  },
});

let isStopping = false;
function stop() {
  if (isStopping) return;
  isStopping = true;
  server.kill('SIGTERM');
}
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
process.on('SIGHUP', stop);

server.on('message', () => {
  say(`Leiter is at http://127.0.0.1:${port}`);
  say(
    isEmptyWanted
      ? 'The first visitor makes the club and is its owner.'
      : 'Demo club: choose a person on the sign-in page (password farholm-demo).',
  );
});
server.on('exit', (code, signal) => {
  database?.stop();
  rmSync(lock, { force: true });
  if (isStopping) process.exit(0);
  console.error(
    signal
      ? `The server was ended (${signal}). Start again: nothing is lost.`
      : 'The server stopped; see above. Start again: nothing is lost.',
  );
  process.exit(code === 0 || code === null ? 1 : code);
});
