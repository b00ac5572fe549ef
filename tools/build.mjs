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
    `${root}/web/first-needs.ts`,
    `${root}/web/texts-plugin.ts`,
    `${root}/web/lingui.config.ts`,
  ];
  for (const file of files.sort()) hash.update(file.slice(root.length)).update('\0').update(readFileSync(file));
  return hash.digest('hex');
}

/** The server in a few files: read in half the time that its thousand modules take. */
export const serverFile = `${root}/server/dist/leiter.mjs`;

/** What stays outside: binaries, what starts threads, what the packages find for themselves (one pg, and its types, for all), and what the packages ask for only where somebody has it. */
const outside = new RegExp(
  `^(${[
    '@node-rs/',
    'sharp$',
    'piscina',
    'pg$',
    '@nestjs/(microservices|websockets)',
    'class-transformer/storage',
    '(pg-native|mysql2?|sqlite3|better-sqlite3|mongodb|oracledb|sql\\.js|redis|ioredis|mssql|hdb-pool|ts-node)$',
    '@sap/',
    '@google-cloud/',
    'react-native',
    'expo',
    'typeorm-aurora',
  ].join('|')})`,
);

async function bundleServer() {
  // not installed yet where this file is read
  const { rolldown } = await import('rolldown');
  const bundle = await rolldown({
    input: { leiter: `${root}/server/dist/main.js` },
    platform: 'node',
    external: outside,
    treeshake: false,
    logLevel: 'silent',
  });
  await bundle.write({
    dir: `${root}/server/dist`,
    format: 'esm',
    keepNames: true,
    entryFileNames: '[name].mjs',
    chunkFileNames: 'leiter-[name].mjs',
  });
  await bundle.close();
}

export async function buildIfChanged() {
  const stamp = `${root}/node_modules/.leiter-built`;
  const wanted = fingerprint();
  const isThere = existsSync(serverFile) && existsSync(`${root}/web/dist/index.html`);
  if (isThere && existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('Building …');
  const types = run(process.execPath, [...tsc, '-b', 'core', 'contract', 'server']);
  if (types.code !== 0) giveUp(`The build failed:\n${types.output}`);
  await bundleServer();
  const web = run(bin('vite'), ['build', '--logLevel', 'warn'], { cwd: `${root}/web` });
  if (web.code !== 0) giveUp(`The build of the interface failed:\n${web.output}`);
  writeFileSync(stamp, wanted);
}
