import { progressOf, forecastOf } from '@leiter/core';
import { Bench } from 'tinybench';
import { calibrationOf, simulatedCohort } from '../src/testing/simulated-cohort.js';
import { byWorth, roundRobin, simulatedTerm } from '../src/testing/simulated-term.js';

/** Whom to look at and when a grade will be there, on simulated groups: prints one JSON line per row, tables of their own first. */
const terms = Array.from({ length: 100 }, (_, seed) => {
  const [worth, turn] = [simulatedTerm(seed, byWorth, 10), simulatedTerm(seed, roundRobin(), 10)];
  const asMany = worth.metAfter.findIndex((met) => met >= (turn.metAfter.at(-1) ?? 0)) + 1;
  return { worth, turn, classes: asMany === 0 ? worth.metAfter.length : asMany };
});
const tell = (row: object): void => {
  console.log(JSON.stringify(row));
};
const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;
const most = (values: readonly number[]): number => Math.max(...values);
tell({
  table: 'watch',
  terms: terms.length,
  classes: mean(terms.map(({ classes }) => classes)),
  of: terms[0]?.turn.metAfter.length,
  met: mean(terms.map(({ worth }) => worth.metAfter.at(-1) ?? 0)),
  metInTurn: mean(terms.map(({ turn }) => turn.metAfter.at(-1) ?? 0)),
  unlooked: most(terms.map(({ worth }) => worth.longestUnlooked)),
  unlookedInTurn: most(terms.map(({ turn }) => turn.longestUnlooked)),
});
for (const first of [20_000, 30_000, 40_000])
  tell({ table: 'forecast', first, ...calibrationOf(Array.from({ length: 30 }, (_, index) => first + index)) });

const [held = []] = simulatedCohort(7, [22]);
const progress = progressOf(held.map(({ asked }) => asked));
const bench = new Bench({ time: 1500, warmupTime: 300 });
let nth = 0;
bench.add('forecast of a child: seven requirements, 200 runs', () => {
  const one = held[nth % held.length];
  nth += 1;
  if (one) forecastOf(one.asked, progress, one.coming, one.today);
});
await bench.run();
for (const { name, result } of bench.tasks) {
  if (result.state !== 'completed') throw new Error(`${name} did not run to its end`);
  const { p50, p99, samplesCount } = result.latency;
  tell({ name, medianMs: p50, p99Ms: p99, limit: null, runs: samplesCount });
}
