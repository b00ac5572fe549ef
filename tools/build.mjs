// Builds core, contract, server and web when their sources changed since the last build.
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { bin, root, run, tsc } from './run.mjs';
import { giveUp, say } from './say.mjs';

const watched = ['core', 'contract', 'server', 'web'];

function filesIn(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = `${folder}/${entry.name}`;
    return entry.isDirectory() ? filesIn(path) : [path];
  });
}

function fingerprint() {
  const hash = createHash('sha256');
  const files = [
    `${root}/package-lock.json`,
    `${root}/tsconfig.base.json`,
    ...watched.flatMap((part) => [`${root}/${part}/tsconfig.json`, `${root}/${part}/package.json`, ...filesIn(`${root}/${part}/src`)]),
    `${root}/web/index.html`,
    `${root}/web/vite.config.ts`,
    `${root}/web/vite.shared.ts`,
  ];
  for (const file of files.sort()) hash.update(file.slice(root.length)).update('\0').update(readFileSync(file));
  return hash.digest('hex');
}

export function buildIfChanged() {
  const stamp = `${root}/node_modules/.leiter-built`;
  const wanted = fingerprint();
  const isThere = existsSync(`${root}/server/dist/main.js`) && existsSync(`${root}/web/dist/index.html`);
  if (isThere && existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('Building …');
  const types = run(process.execPath, [...tsc, '-b', 'core', 'contract', 'server']);
  if (types.code !== 0) giveUp(`The build failed:\n${types.output}`);
  const web = run(bin('vite'), ['build', '--logLevel', 'warn'], { cwd: `${root}/web` });
  if (web.code !== 0) giveUp(`The build of the interface failed:\n${web.output}`);
  writeFileSync(stamp, wanted);
}
