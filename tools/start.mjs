// npm start: from a machine with Node.js and npm to a running Leiter. `--empty` starts without the demo club.
// PORT, LEITER_PGPORT, LEITER_FOLDER (where the data is) and LEITER_DATABASE_URL move things elsewhere; LEITER_PUBLIC_URL is the
// address behind a proxy. What ends by itself, the server or PostgreSQL, is started again.
import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { chownSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { buildIfChanged, serverFile } from './build.mjs';
import { cluster, isFree } from './cluster.mjs';
import { requireFolder, requireNode, requirePackages, requirePostgres, requireVoice } from './requirements.mjs';
import { root, run } from './run.mjs';
import { giveUp, say } from './say.mjs';
import { supervised } from './supervisor.mjs';

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
requireVoice({ isNeeded: false });
requirePackages();
await buildIfChanged();

const pgPort = Number(process.env['LEITER_PGPORT'] ?? '54632');
const database = own ? null : cluster({ folder: `${folder}/postgres`, port: pgPort, isForTests: false });
database?.start();

const isEmptyWanted = process.argv.includes('--empty');
let isStopping = false;
let hasToldAddress = false;
let server = null;

/** As root the server runs as a user who may do nothing else, wherever that user can read what was built. */
const asNobody = unprivileged();
if (process.getuid?.() === 0 && !asNobody)
  say('The server runs as root: no other user can read this folder. Better to start Leiter as a user of its own.');

/** Where clips of families lie: beside the database, for the server alone. */
const files = process.env['LEITER_FILES'] ?? `${folder}/files`;
mkdirSync(files, { recursive: true, mode: 0o700 });
if (asNobody) chownSync(files, asNobody.uid, asNobody.gid);

/** Starts a server process; one that stands by loads everything and waits for a word. */
function spawnServer({ isStandby }) {
  return spawn(process.execPath, [serverFile], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    // a group of its own: Ctrl-C reaches the server once, through this script
    detached: true,
    ...(asNobody ?? {}),
    env: {
      ...process.env,
      PORT: String(port),
      LEITER_DATABASE_URL: own ?? database.url(),
      LEITER_FILES: files,
      LEITER_SESSION_SECRET: process.env['LEITER_SESSION_SECRET'] || sessionSecret(),
      LEITER_DEMO: isEmptyWanted ? 'no' : 'yes',
      LEITER_STANDBY: isStandby ? 'yes' : 'no',
    },
  });
}

const standbyAfterMilliseconds = 100;
let standby = null;
let standbyTimer;
/** The next server, loaded and waiting: loading takes longer than starting. */
function makeStandby() {
  clearTimeout(standbyTimer);
  standbyTimer = setTimeout(() => {
    if (isStopping || standby) return;
    const next = spawnServer({ isStandby: true });
    standby = next;
    next.on('exit', () => {
      if (standby === next) standby = null;
    });
  }, standbyAfterMilliseconds);
}

const watched = supervised({
  what: 'The server',
  say: (sentence) => console.error(sentence),
  giveUp: (sentence) => {
    console.error(sentence);
    void end(1);
  },
  start: (ended) => {
    server = standby ?? spawnServer({ isStandby: false });
    if (server === standby) {
      standby = null;
      server.send('go');
    }
    server.on('message', () => {
      watched.cameUp();
      makeStandby();
      if (hasToldAddress) {
        say('The server is back.');
        return;
      }
      hasToldAddress = true;
      say(`Leiter is at http://127.0.0.1:${port}`);
      say(
        isEmptyWanted
          ? 'The first visitor makes the club and is its owner.'
          : 'Demo club: choose a person on the sign-in page (password farholm-demo).',
      );
    });
    server.on('exit', (code, signal) => {
      if (isStopping) void end(0);
      // what keeps it from coming up at all is no reason to try for ever
      else if (!hasToldAddress) void end(code || 1);
      else ended(signal ?? `code ${String(code)}`);
    });
  },
});

/** PostgreSQL is looked after as well: what ends it does not end Leiter. */
const lookMilliseconds = 250;
let postgres = database?.pid() ?? null;
const look = setInterval(() => {
  if (!database || isStopping || isAlive(postgres)) return;
  console.error('PostgreSQL ended. Starting it again; nothing is lost.');
  const why = database.tryStart();
  postgres = database.pid();
  if (why === null) say('PostgreSQL is back.');
  else console.error(why);
}, lookMilliseconds);

function isAlive(pid) {
  if (pid === null) return false;
  try {
    process.kill(pid, 0);
    // a process that has ended and that nobody asked about yet is not alive
    return !/^State:\s+Z/m.test(readFileSync(`/proc/${String(pid)}/status`, 'utf8'));
  } catch (error) {
    return error.code === 'EPERM';
  }
}

function unprivileged() {
  if (process.getuid?.() !== 0) return null;
  const found = run('id', ['-u', 'nobody']);
  const group = run('id', ['-g', 'nobody']);
  const canRead = run('runuser', ['-u', 'nobody', '--', process.execPath, '-e', `require('fs').accessSync('${serverFile}')`]);
  if (found.code !== 0 || group.code !== 0 || canRead.code !== 0) return null;
  return { uid: Number(found.stdout), gid: Number(group.stdout) };
}

function stop() {
  if (isStopping) return;
  isStopping = true;
  watched.stop();
  clearInterval(look);
  dropStandby();
  if (server && server.exitCode === null && server.signalCode === null) server.kill('SIGTERM');
  else void end(0);
}
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
process.on('SIGHUP', stop);

function dropStandby() {
  clearTimeout(standbyTimer);
  standby?.kill('SIGKILL');
  standby = null;
}

function end(code) {
  dropStandby();
  clearInterval(look);
  watched.stop();
  database?.stop();
  rmSync(lock, { force: true });
  process.exit(code);
}
