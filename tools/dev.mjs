// npm run dev: server and interface in watch mode on the cluster of npm start. The interface is at http://127.0.0.1:4610.
import { spawn } from 'node:child_process';
import { cluster } from './cluster.mjs';
import { requireFolder, requireNode, requirePackages, requirePostgres, requireVoice } from './requirements.mjs';
import { bin, root, run, tsc } from './run.mjs';
import { giveUp, say } from './say.mjs';

requireNode();
requireFolder(`${root}/.leiter`);
requirePostgres();
requireVoice({ isNeeded: false });
requirePackages();
const first = run(process.execPath, [...tsc, '-b', 'core', 'contract', 'server']);
if (first.code !== 0) giveUp(first.output);

const database = cluster({ folder: `${root}/.leiter/postgres`, port: Number(process.env['LEITER_PGPORT'] ?? '54632'), isForTests: false });
database.start();
const env = { ...process.env, PORT: process.env['PORT'] ?? '4600', LEITER_DATABASE_URL: database.url(), LEITER_SESSION_SECRET: 'dev' };
const children = [
  spawn(process.execPath, [...tsc, '-b', '-w', '--preserveWatchOutput', 'core', 'contract', 'server'], { cwd: root, stdio: 'inherit' }),
  spawn(process.execPath, ['--watch', `${root}/server/dist/main.js`], { cwd: root, stdio: 'inherit', env }),
  spawn(bin('vite'), [], { cwd: `${root}/web`, stdio: 'inherit', env: { ...env, LEITER_API_PORT: env.PORT } }),
];
say('The interface, in watch mode, is at http://127.0.0.1:4610');
let isStopping = false;
function stop() {
  if (isStopping) return;
  isStopping = true;
  for (const child of children) child.kill('SIGTERM');
  database.stop();
  process.exit(0);
}
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
