// npm run bench: measures what has to be fast, beside what it is compared with, and keeps the figures in docs/bench.md.
import { cpus, totalmem } from 'node:os';
import { readFileSync, writeFileSync } from 'node:fs';
import { build as rolldownBuild } from 'rolldown';
import { cluster, freePort } from './cluster.mjs';
import { requireChromium, requireForBench, requireNode, requirePackages, requirePostgres, requireVoice } from './requirements.mjs';
import { bin, root, run, tsc } from './run.mjs';
import { giveUp, say } from './say.mjs';

requireNode();
requirePackages();
requirePostgres();
requireChromium();
requireVoice({ isNeeded: true });
requireForBench();
say('Building …');
const build = run(process.execPath, [...tsc, '-b']);
if (build.code !== 0) giveUp(build.output);

/** @returns the JSON lines that a bench printed. */
function measured(script, env = {}, args = []) {
  const { code, output, stdout } = run(process.execPath, [script, ...args], { env: { ...process.env, ...env } });
  if (code !== 0) giveUp(`${script}:\n${output}`);
  return stdout
    .split('\n')
    .filter((line) => line.startsWith('{'))
    .map((line) => JSON.parse(line));
}

say('Measuring the computation …');
// it plays groups that the tests play as well: bundled with them
await rolldownBuild({
  input: `${root}/core/bench/record.ts`,
  platform: 'node',
  output: { file: `${root}/core/dist-test/bench/record-alone.mjs`, format: 'esm' },
  logLevel: 'warn',
});
const record = measured('core/dist-test/bench/record-alone.mjs');
const watch = record.find(({ table }) => table === 'watch');
const forecasts = record.filter(({ table }) => table === 'forecast');
const core = [
  ...record.filter(({ table }) => table === undefined),
  ...measured('core/dist-test/bench/evaluate.js'),
  ...measured('core/dist-test/bench/figure.js'),
  ...measured('core/dist-test/bench/phrase.js'),
];
say('Measuring the search …');
const web = measured(`${root}/node_modules/vitest/vitest.mjs`, {}, ['run', '--config', 'web/bench/vitest.config.ts']);
/** @returns what a bench of the server says, on a database of its own. */
function onDatabase(script) {
  const database = cluster({ folder: `${root}/.leiter-test/bench`, port: freePorts.shift(), isForTests: false });
  try {
    database.start();
    return measured(script, { LEITER_BENCH_DATABASE_URL: database.url() });
  } finally {
    database.destroy();
  }
}
const freePorts = await Promise.all(Array.from({ length: 7 }, freePort));
say('Measuring the board of a group …');
const server = onDatabase('server/dist-test/bench/board.js');
const forecastBoard = onDatabase('server/dist-test/bench/forecasts.js').find(({ table }) => table === 'forecasts');
say('Measuring a large import, and judging a plan …');
const imported = [...onDatabase('server/dist-test/bench/import.js'), ...onDatabase('server/dist-test/bench/preview.js')];
say('Measuring events, the page of a class and the library …');
const live = onDatabase('server/dist-test/bench/live.js');
const [few, many, growth] = onDatabase('server/dist-test/bench/class-page.js');
say('Setting certificates …');
const certificates = measured('server/dist-test/bench/certificates.js').find(({ table }) => table === 'certificates');
const timetable = measured('server/dist-test/bench/timetable.js').find(({ table }) => table === 'timetable');
const library = onDatabase('server/dist-test/bench/library.js');
say('Measuring the pages in the browser …');
const browser = run(bin('playwright'), ['test', '--config', 'e2e/bench.config.ts']);
if (browser.code !== 0) giveUp(browser.output);
const inBrowser = browser.stdout
  .split('\n')
  .filter((line) => line.startsWith('{'))
  .map((line) => JSON.parse(line));
const pages = inBrowser.filter(({ medianMs }) => medianMs !== undefined);
const counts = inBrowser.filter(({ count }) => count !== undefined);

const ms = (value) => (value === undefined ? '–' : `${value.toFixed(2)} ms`);
const table = (rows, tail) =>
  [
    `| What | median | ${tail} | wanted | runs |`,
    '|---|---|---|---|---|',
    ...rows.map((row) => `| ${row.name} | ${ms(row.medianMs)} | ${ms(row[`${tail}Ms`])} | ${row.wanted ?? '–'} | ${row.runs} |`),
  ].join('\n');
const wanted = (rows, text) => rows.map((row) => ({ ...row, wanted: row.limit === null ? undefined : text(row.limit) }));
const [board, byHand, ratio] = server;
const text = `# Bench

The last run of \`npm run bench\`. Machine: ${cpus().length} cores, ${Math.round(totalmem() / 2 ** 30)} GB, Node.js ${process.versions.node}, PostgreSQL and client on one machine.

## Computation (core)

${table(
  wanted(core, (limit) => `median ≤ ${limit} ms`),
  'p99',
)}

## Whom to look at (core)

Over ${watch.terms} simulated terms of ${watch.of} classes, ten looks in each, beside the same children marked in turn.

| What | by worth | in turn | wanted |
|---|---|---|---|
| classes until as many requirements are met as in turn after the whole term | ${watch.classes.toFixed(1)} | ${watch.of} | at least 15 % fewer |
| requirements met at the end | ${watch.met.toFixed(1)} | ${watch.metInTurn.toFixed(1)} | – |
| most classes one after the other without a look | ${watch.unlooked} | ${watch.unlookedInTurn} | at most 2 |

## Timetables of grading days (core and HiGHS)

${timetable.days} made-up days: thirty children, one by one, at six stations with three examiners, in steps of five minutes. Beside it the same day filled in the order of the list, without searching.

| What | searched | in order | cannot be less than |
|---|---|---|---|
| the day lasts, in steps | ${timetable.end.toFixed(1)} | ${timetable.without.toFixed(1)} | ${timetable.least.toFixed(1)} |

The search takes ${(timetable.medianMs / 1000).toFixed(2)} s (median), ${(timetable.worstMs / 1000).toFixed(2)} s at worst; wanted: at most 2 s. On ${timetable.best} of the days the timetable was shown to be the shortest without waiting; on the others the gap is said.

## The board with forecasts

The board of ${forecastBoard.children} children over HTTP, in ms; wanted: with forecasts at most 1.5 times without.

| What | median | times without |
| ---- | ------ | ------------- |
| without forecasts | ${forecastBoard.without.toFixed(1)} | 1 |
| with forecasts, kept since the last mark | ${forecastBoard.kept.toFixed(1)} | ${(forecastBoard.kept / forecastBoard.without).toFixed(2)} |
| with forecasts, all reckoned anew | ${forecastBoard.anew.toFixed(1)} | ${(forecastBoard.anew / forecastBoard.without).toFixed(2)} |

## Certificates

| What                                          | seconds | a certificate, ms | MB |
| --------------------------------------------- | ------- | ----------------- | -- |
| ${certificates.count} in one file (wanted: at most 20 s) | ${certificates.together.seconds.toFixed(1)} | ${((certificates.together.seconds / certificates.count) * 1000).toFixed(0)} | ${(certificates.together.bytes / 1e6).toFixed(1)} |
| ${certificates.alone} files of one | ${certificates.apart.seconds.toFixed(1)} | ${((certificates.apart.seconds / certificates.alone) * 1000).toFixed(0)} | ${(certificates.apart.bytes / 1e6).toFixed(1)} |

## When a grade will be there (core)

Groups of fourteen that learn by another law than the forecast assumes, after 14, 22 and 30 weeks; thirty groups a row, none of them used for tuning.

| groups from seed | forecasts with a span | truth inside | before | after | off, median | as quick as so far | off, mean | as quick as so far | beyond two years | too little seen |
|---|---|---|---|---|---|---|---|---|---|---|
${forecasts
  .map((row) => {
    const share = (value) => `${(100 * value).toFixed(1)} %`;
    const days = (value) => `${value.toFixed(0)} days`;
    return `| ${row.first} | ${row.named} | ${share(row.inside)} | ${share(row.before)} | ${share(row.after)} | ${days(row.medianOffDays)} | ${days(row.naiveMedianOffDays)} | ${days(row.meanOffDays)} | ${days(row.naiveMeanOffDays)} | ${row.far} | ${row.tooLittle} |`;
  })
  .join('\n')}

Wanted: the truth inside in 75 to 85 %, off by a quarter less than “as quick as so far”.

## Search (web)

${table(
  wanted(web, (limit) => `median ≤ ${limit} ms`),
  'p99',
)}

## The board of a group (server)

${table(
  wanted([board, byHand], (limit) => `p95 ≤ ${limit} ms`),
  'p95',
)}

## Events (server)

${table(
  wanted(live, (limit) => `p95 ≤ ${limit} ms`),
  'p95',
)}

## The page of a class as marks grow (server)

${table([few, many], 'p95')}

With ten times the marks it takes ${growth.ratio.toFixed(2)} times as long (p95: ${growth.tailRatio.toFixed(2)} times); wanted: at most ${growth.limit}.

## The library (server)

| What | a second | bytes | wanted | connections |
|---|---|---|---|---|
${library.map((row) => `| ${row.name} | ${Math.round(row.perSecond)} | ${row.bytes} | ${row.limit === null ? '–' : `≥ ${row.limit}`} | ${row.connections} |`).join('\n')}

## Files (server)

${table(
  wanted(imported, (limit) => `p95 ≤ ${limit} ms`),
  'p95',
)}

## Pages (browser)

${table(
  wanted(pages, (limit) => `p95 ≤ ${limit} ms`),
  'p95',
)}

## Two claps

Of double claps made by sox, in hiss, speech, music and jumping at three levels each.

| What | count | of | wanted |
|---|---|---|---|
${counts.map(({ name, count, of, limit }) => `| ${name} | ${count} | ${of === 0 ? '–' : of} | ${limit} |`).join('\n')}

## The board beside its SQL

HTTP, sign-in check and reckoning together take ${ratio.ratio.toFixed(2)} times the p95 of the same SQL sent by hand (median: ${ratio.medianRatio.toFixed(2)} times); wanted: at most ${ratio.limit}.
`;
// the drill keeps its own figures at the end of the page
const before = readFileSync(`${root}/docs/bench.md`, 'utf8');
const drill = before.indexOf('## Drill');
writeFileSync(`${root}/docs/bench.md`, `${text}${drill < 0 ? '' : `\n${before.slice(drill)}`}`);
run(bin('prettier'), ['--write', 'docs/bench.md']);
say(text);
