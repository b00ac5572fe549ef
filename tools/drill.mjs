// npm run drill: kills the server 200 times and PostgreSQL 20 times under a stream of marks from eight clients, and looks whether
// every mark is there once. DRILL_SERVER and DRILL_POSTGRES ask for other numbers. The figures go to docs/bench.md.
import { spawn, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { cluster, freePort } from './cluster.mjs';
import { root } from './run.mjs';
import { giveUp, say } from './say.mjs';

const wanted = { server: Number(process.env['DRILL_SERVER'] ?? '200'), postgres: Number(process.env['DRILL_POSTGRES'] ?? '20') };
const clients = 8;
const port = await freePort();
const pgPort = await freePort();
const folder = `${root}/.leiter-test/drill-${process.pid}`;
const env = { ...process.env, PORT: String(port), LEITER_PGPORT: String(pgPort), LEITER_FOLDER: folder, LEITER_DATABASE_URL: '' };
const url = `http://127.0.0.1:${port}`;
const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));

const leiter = spawn(process.execPath, ['tools/start.mjs'], { cwd: root, env, stdio: ['ignore', 'pipe', 'pipe'] });
let said = '';
for (const stream of [leiter.stdout, leiter.stderr]) stream.on('data', (chunk) => (said += chunk));
const database = cluster({ folder: `${folder}/postgres`, port: pgPort, isForTests: false });

async function isThere() {
  try {
    return (await fetch(`${url}/api/health`, { signal: AbortSignal.timeout(1000) })).ok;
  } catch {
    return false;
  }
}

async function end(sentence) {
  leiter.kill('SIGTERM');
  await Promise.race([new Promise((resolve) => leiter.on('exit', resolve)), pause(20_000)]);
  database.destroy();
  rmSync(folder, { recursive: true, force: true });
  if (sentence) giveUp(sentence);
}

say('Starting a Leiter to be killed …');
for (let tries = 0; !said.includes(url); tries += 1) {
  if (tries > 1200 || leiter.exitCode !== null) await end(`It did not start:\n${said}`);
  await pause(100);
}

const signedIn = await fetch(`${url}/api/session`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify({ email: 'owner@sail-loft.example', password: 'farholm-demo' }),
});
const cookie = String(signedIn.headers.get('set-cookie')).match(/leiter=[^;]+/)?.[0] ?? '';
const ask = async (path) => (await fetch(`${url}/api/${path}`, { headers: { cookie } })).json();
const children = (await ask('children')).map(({ id }) => id);

let isOver = false;
const acknowledged = new Set();
/** Answers that were neither an acknowledgement nor “try again”, by status and title. */
const otherwise = new Map();
let tries = 0;

/** One client: gives marks, one after the other, and sends each until it is acknowledged, as the browser's queue does. */
async function client(nth) {
  for (let given = 0; !isOver; given += 1) {
    const id = randomUUID();
    const mark = {
      childId: children[(nth + given) % children.length],
      movement: 'cartwheel',
      side: given % 2 === 0 ? 'left' : 'right',
      mark: 'alone',
      measure: {},
      faults: [],
      note: `drill ${nth} ${given}`,
      seenOn: '2026-01-05',
      source: 'entered-later',
    };
    for (;;) {
      tries += 1;
      try {
        const answer = await fetch(`${url}/api/observations/${id}`, {
          method: 'PUT',
          headers: { 'content-type': 'application/json', cookie },
          body: JSON.stringify(mark),
          signal: AbortSignal.timeout(5000),
        });
        const text = await answer.text();
        if (answer.ok) break;
        const said = `${answer.status} ${text.slice(0, 120)}`;
        if (answer.status !== 503) otherwise.set(said, (otherwise.get(said) ?? 0) + 1);
      } catch {
        // no answer: it is sent again
      }
      await pause(50);
    }
    acknowledged.add(id);
  }
}
const streams = Array.from({ length: clients }, (_, nth) => client(nth));

/** The process that answers: the oldest child of the start script. */
const serverPid = () =>
  Number(spawnSync('pgrep', ['-o', '-P', String(leiter.pid), '-f', 'server/dist/leiter.mjs'], { encoding: 'utf8' }).stdout.trim());
const postgresPid = () => {
  try {
    return Number(readFileSync(`${database.folder}/data/postmaster.pid`, 'utf8').split('\n')[0]);
  } catch {
    return 0;
  }
};

const back = { server: [], postgres: [] };
// PostgreSQL's turns are spread evenly among the server's
const turns = [];
const every = Math.max(1, Math.floor(wanted.server / Math.max(1, wanted.postgres)));
let { server: servers, postgres } = wanted;
while (servers + postgres > 0) {
  for (let count = 0; count < every && servers > 0; count += 1, servers -= 1) turns.push('server');
  if (postgres > 0) {
    turns.push('postgres');
    postgres -= 1;
  }
}

say(`Killing: the server ${wanted.server} times, PostgreSQL ${wanted.postgres} times, under the marks of ${clients} clients …`);
for (const [index, what] of turns.entries()) {
  await pause(500 + Math.random() * 3000);
  const pid = what === 'server' ? serverPid() : postgresPid();
  if (!pid) continue;
  const begun = performance.now();
  process.kill(pid, 'SIGKILL');
  // what is dead answers no more: asked at once, a connection that was open could still be answered
  while (await isThere()) if (performance.now() - begun > 300) break;
  while (!(await isThere())) {
    if (performance.now() - begun > 60_000) await end(`${what} did not come back:\n${said.slice(-2000)}`);
    await pause(20);
  }
  back[what].push(performance.now() - begun);
  if ((index + 1) % 20 === 0) say(`${index + 1} of ${turns.length}; ${acknowledged.size} marks so far`);
}
isOver = true;
await Promise.all(streams);

const stored = [];
for (const id of children) stored.push(...(await ask(`children/${id}`)).observations.filter(({ note }) => note.startsWith('drill ')));
const ids = stored.map(({ id }) => id);
const lost = [...acknowledged].filter((id) => !ids.includes(id)).length;
const doubled = ids.length - new Set(ids).size + (new Set(stored.map(({ note }) => note)).size < stored.length ? 1 : 0);
const quantile = (all, share) => all.toSorted((one, other) => one - other)[Math.min(all.length - 1, Math.floor(share * all.length))] ?? 0;
const row = (name, all) =>
  `| ${name} | ${all.length} | ${(quantile(all, 0.5) / 1000).toFixed(2)} s | ${(quantile(all, 0.95) / 1000).toFixed(2)} s | ${(Math.max(0, ...all) / 1000).toFixed(2)} s |`;
const text = `## Drill

The last run of \`npm run drill\`: killed with \`kill -9\`, under a stream of marks from ${clients} clients that send each mark until it is acknowledged. Back means that \`/api/health\` writes again.

| killed | times | back, median | p95 | longest |
|---|---|---|---|---|
${row('the server', back.server)}
${row('PostgreSQL', back.postgres)}

${acknowledged.size} marks acknowledged in ${tries} tries; **${lost} lost, ${doubled} doubled**; ${[...otherwise.values()].reduce((sum, count) => sum + count, 0)} answers that were neither an acknowledgement nor “try again”${[...otherwise].map(([said, count]) => `; ${count} × ${said}`).join('')}.
`;
const page = `${root}/docs/bench.md`;
const bench = readFileSync(page, 'utf8');
const at = bench.indexOf('## Drill');
writeFileSync(page, `${(at < 0 ? bench : bench.slice(0, at)).trimEnd()}\n\n${text}`);
say(text);
if (otherwise.size > 0)
  say(
    said
      .split('\n')
      .filter((line) => /error/i.test(line))
      .slice(-5)
      .join('\n'),
  );
await end(lost + doubled > 0 ? 'Marks were lost or doubled.' : null);
process.exit(0);
