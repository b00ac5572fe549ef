// Runs programs for the tools.
import { spawn, spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url)).replace(/\/$/, '');

/** Runs a program to its end. @returns its exit code and what it printed. */
export function run(program, args, options = {}) {
  const result = spawnSync(program, args, { cwd: root, encoding: 'utf8', maxBuffer: 256 * 1024 * 1024, ...options });
  return { code: result.status ?? 1, output: `${result.stdout ?? ''}${result.stderr ?? ''}`, stdout: result.stdout ?? '' };
}

/** Like `run`, but other work goes on meanwhile. */
export function runBeside(program, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(program, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'], ...options });
    let output = '';
    child.stdout.on('data', (chunk) => (output += chunk));
    child.stderr.on('data', (chunk) => (output += chunk));
    child.on('error', (error) => resolve({ code: 1, output: String(error) }));
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });
}

/** The path of a program that a package of ours installed. */
export function bin(name) {
  return `${root}/node_modules/.bin/${name}`;
}

/** The compiler: five times as quick as the one that the linter reads by, and it writes the same. */
export const tsc = [`${root}/node_modules/typescript7/bin/tsc`];
