// What has to be on the machine before Leiter can start or be tested; installs what is missing.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statfsSync, writeFileSync } from 'node:fs';
import { giveUp, say } from './say.mjs';
import { root, run } from './run.mjs';

const leastFreeBytes = 400 * 1024 * 1024;

export function requireNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) giveUp(`Leiter needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
}

/** Makes a folder of ours, or says why it cannot be used. */
export function requireFolder(folder) {
  try {
    mkdirSync(folder, { recursive: true });
    writeFileSync(`${folder}/.writable`, '');
    readdirSync(folder);
  } catch (error) {
    giveUp(
      error.code === 'ENOSPC'
        ? `The disk is full: nothing can be written in ${folder}.`
        : `The folder ${folder} cannot be read and written (${error.code}); make it yours, then start again.`,
    );
  }
  const { bavail, bsize } = statfsSync(folder);
  if (bavail * bsize < leastFreeBytes) giveUp(`The disk is nearly full: Leiter needs 400 MB free for ${folder}.`);
}

/** Installs Debian packages where that is possible. @param otherwise what to do where it is not, as a half sentence. @param fail told what to do by hand */
function installPackages(packages, otherwise, fail = giveUp) {
  const isRoot = process.getuid?.() === 0;
  const canSudo = !isRoot && run('sudo', ['-n', 'true']).code === 0;
  const advice = `Install ${packages.join(' and ')} with your system's package manager${otherwise}.`;
  if (run('apt-get', ['--version']).code !== 0 || (!isRoot && !canSudo)) {
    fail(advice);
    return;
  }
  say(`Installing ${packages.join(' and ')} (once) …`);
  const apt = (...args) =>
    run(isRoot ? 'apt-get' : 'sudo', isRoot ? args : ['-n', 'apt-get', ...args], {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  apt('update', '-qq');
  if (apt('install', '-y', '-qq', '--no-install-recommends', ...packages).code !== 0) fail(advice);
}

/** What speaks in Teach. @param isNeeded false: without it Leiter starts all the same, and counts are beeps */
export function requireVoice({ isNeeded }) {
  if (run('sh', ['-c', 'command -v espeak-ng']).code === 0) return;
  installPackages(
    ['espeak-ng'],
    '',
    isNeeded ? giveUp : (advice) => say(`${advice} Until then there is no voice in Teach: counts are beeps.`),
  );
}

export function requirePostgres() {
  const hasDebian =
    existsSync('/usr/lib/postgresql') &&
    readdirSync('/usr/lib/postgresql').some((version) => existsSync(`/usr/lib/postgresql/${version}/bin/initdb`));
  if (process.env['PGBIN'] || hasDebian || run('sh', ['-c', 'command -v pg_ctl']).code === 0) return;
  installPackages(['postgresql'], ', or set LEITER_DATABASE_URL to a PostgreSQL server of your own');
}

/** A browser for tests: e2e/playwright.config.ts takes the first of these. */
export function requireChromium() {
  const own = process.env['CHROMIUM'];
  if ((own ? [own] : ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium']).some((program) => existsSync(program))) return;
  installPackages(['chromium-headless-shell'], ', or set CHROMIUM to the path of one');
}

/** What only the bench needs: sounds to listen to, and a browser with a microphone. */
/** What draws a sheet of paper as a picture. */
export function requireForPictures() {
  if (run('sh', ['-c', 'command -v pdftoppm']).code !== 0) installPackages(['poppler-utils'], '');
}

export function requireForBench() {
  const missing = [
    ...(run('sh', ['-c', 'command -v sox']).code === 0 ? [] : ['sox']),
    ...(existsSync('/usr/bin/chromium') ? [] : ['chromium']),
  ];
  if (missing.length > 0) installPackages(missing, '');
}

/** Installs the packages of the lock file when it changed since the last time. */
export function requirePackages() {
  const stamp = `${root}/node_modules/.leiter-lock`;
  const wanted = createHash('sha256')
    .update(readFileSync(`${root}/package-lock.json`))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('Installing packages (once, and when they change) …');
  const { code, output } = run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  if (code !== 0) giveUp(`npm ci failed:\n${output.trim().split('\n').slice(-15).join('\n')}`);
  writeFileSync(stamp, wanted);
}
