// npm test: formatting, lint with the import rules, dead code, types, unit and server tests, and the built application in a
// browser. Installs what is missing, leaves nothing running, and ends with one line that adds up all runners.
import { existsSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { requireChromium, requireNode, requirePackages, requirePostgres, requireVoice } from './requirements.mjs';
import { buildIfChanged } from './build.mjs';
import { bin, root, runBeside, tsc } from './run.mjs';
import { say } from './say.mjs';

requireNode();
requirePackages();
requirePostgres();
requireChromium();
requireVoice({ isNeeded: true });

let passed = 0;
let failed = 0;
const env = { ...process.env, NO_COLOR: '1', FORCE_COLOR: '' };

/** What failed, said once more before the last line: a long report hides it. */
const failures = [];

/** Runs a check that either holds or does not: it counts as one. */
async function check(name, program, args) {
  const begun = Date.now();
  const { code, output } = await runBeside(program, args, { env });
  note(name, code === 0, output, begun);
  if (code === 0) passed += 1;
  else failed += 1;
}

function note(name, isGood, output, begun) {
  say(`${isGood ? 'ok    ' : 'FAILED'} ${name} (${((Date.now() - begun) / 1000).toFixed(0)} s)`);
  if (!isGood) say(output.trim());
}

/** Runs a runner that counts its own tests. @param count reads passed and failed from its report. */
async function runner(name, program, args, report, count) {
  const begun = Date.now();
  rmSync(report, { force: true });
  const { code, output } = await runBeside(program, args, { env });
  const counted = existsSync(report) ? count(JSON.parse(readFileSync(report, 'utf8'))) : { passed: 0, failed: 0 };
  // a runner that broke before or beside its tests is a failure as well
  const broken = code !== 0 && counted.failed === 0 ? 1 : 0;
  failures.push(...(counted.failures ?? []));
  passed += counted.passed;
  failed += counted.failed + broken;
  note(`${name}: ${counted.passed} passed, ${counted.failed + broken} failed`, code === 0, output, begun);
}

/** What is ours at the top: walking through '.' would go through the databases of the tests, which come and go. */
const ownFiles = () => readdirSync(root).filter((name) => !/^(\.git|\.leiter.*|\.eslintcache|node_modules)$/.test(name));

const lint = async () => {
  await check('formatting (prettier)', bin('prettier'), ['--check', '--cache', '--ignore-unknown', ...ownFiles()]);
  await check('dead code (knip)', bin('knip'), ['--cache']);
  await check('imports (dependency-cruiser)', bin('depcruise'), [
    '--cache',
    'node_modules/.cache/dependency-cruiser',
    'core/src',
    'contract/src',
    'server/src',
    'web/src',
  ]);
  await check('lint (oxlint)', bin('oxlint'), ['--deny-warnings']);
  await check('lint (eslint)', bin('eslint'), ['--cache', '--max-warnings', '0', 'contract', 'server', 'web/src']);
};
const failuresOf = ({ name, message, assertionResults }) => [
  ...(message ? [`${name}\n${message}`] : []),
  ...assertionResults
    .filter(({ status }) => status === 'failed')
    .map(({ fullName, failureMessages }) => `${name}\n${fullName}\n${failureMessages.join('\n')}`),
];
const vitestReport = `${root}/.leiter-test/vitest.json`;
const vitest = () =>
  runner(
    'unit and server tests (vitest)',
    bin('vitest'),
    ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${vitestReport}`],
    vitestReport,
    (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests, failures: report.testResults.flatMap(failuresOf) }),
  );
/** Of a suite of the browser: what failed, and what passed only when it was tried again. */
const notAtOnce = ({ file, specs = [], suites = [] }) => [
  ...specs
    .filter(({ tests }) => tests.some(({ status }) => status === 'unexpected' || status === 'flaky'))
    .map(({ title, tests }) => {
      const { status, results } = tests[0];
      const message = results.map(({ error }) => error?.message ?? '').find((one) => one !== '') ?? '';
      return `${file}\n${title}\n${status === 'flaky' ? 'passed only the second time; the first time:' : 'failed:'}\n${message}`;
    }),
  ...suites.flatMap(notAtOnce),
];
const playwright = () =>
  runner(
    'browser tests (playwright)',
    bin('playwright'),
    ['test', '--config', 'e2e/playwright.config.ts'],
    `${root}/e2e/results/report.json`,
    ({ stats, suites }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected, failures: suites.flatMap(notAtOnce) }),
  );

// what all stand on comes first; the browser has the machine for itself, so that nothing in it is late
await check('types (tsc)', process.execPath, [...tsc, '-b']);
await Promise.all([vitest(), lint()]);
await buildIfChanged();
await playwright();
for (const failure of failures) say(failure.trim().split('\n').slice(0, 20).join('\n'));
say(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
