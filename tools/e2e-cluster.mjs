// The cluster of a Leiter that was started for a test: `away` stops it, `back` starts it, `kill` ends it as a crash would,
// `destroy` removes it. Which one it is, the environment says as it does for npm start.
import { readFileSync } from 'node:fs';
import { cluster } from './cluster.mjs';

const own = cluster({ folder: `${process.env['LEITER_FOLDER']}/postgres`, port: Number(process.env['LEITER_PGPORT']), isForTests: false });
const commands = {
  away: () => own.stop(),
  back: () => own.start(),
  kill: () => process.kill(Number(readFileSync(`${own.folder}/data/postmaster.pid`, 'utf8').split('\n')[0]), 'SIGKILL'),
  destroy: () => own.destroy(),
};
commands[process.argv[2]]();
