import { earliestEnd, endOf, firstFit, timetableModel, type Timetable } from '@leiter/core';
import highs from 'highs';
import type { Answers, Tasks } from './tasks.js';

// its types are written for CommonJS, where the function is a member; what is loaded is the ES module, which is the function itself
const loadHighs = highs as unknown as typeof highs.default;

/** Loaded once in a thread. */
let solver: ReturnType<typeof loadHighs> | undefined;

/** The least that a solver is given: below it is not worth beginning. */
const leastSeconds = 0.05;

/**
 * The shortest timetable in which nobody waits: ends are tried from the earliest that could be at all, until there is one. What was
 * found without searching stands where nothing better was found in time.
 */
export async function findTimetable({ parties, hall, milliseconds }: Tasks['findTimetable']): Promise<Answers['findTimetable']> {
  const until = performance.now() + milliseconds;
  const noneBefore = earliestEnd(parties, hall);
  const fallback = firstFit(parties, hall);
  let isProven = true;
  for (let end = noneBefore; end <= endOf(fallback); end += 1) {
    const model = timetableModel(parties, hall, end);
    if (!model) continue;
    const seconds = (until - performance.now()) / 1000;
    if (seconds < leastSeconds) {
      isProven = false;
      break;
    }
    const answer = await solve(model.lp, seconds);
    const timetable: Timetable | null = answer.values && model.read(answer.values);
    if (timetable) return { timetable, noneBefore, isBest: isProven };
    // not shown to be impossible: a longer one may be found, but none is called the best
    if (!answer.isImpossible) isProven = false;
  }
  return { timetable: fallback, noneBefore, isBest: isProven };
}

async function solve(
  lp: string,
  seconds: number,
): Promise<{ readonly values: ReadonlyMap<string, number> | null; readonly isImpossible: boolean }> {
  solver ??= loadHighs();
  const found = (await solver).solve(lp, { time_limit: seconds, mip_rel_gap: 0.005, output_flag: false });
  if (found.Status === 'Infeasible') return { values: null, isImpossible: true };
  // stopped in time it may still have found one; without any, its values are no timetable, which `read` sees
  if (found.Status !== 'Optimal' && found.Status !== 'Time limit reached') return { values: null, isImpossible: false };
  // of a mixed-integer program each variable has a value, where one was found
  const columns = Object.entries(found.Columns as Readonly<Record<string, { readonly Primal?: number }>>);
  const values = new Map(columns.map(([name, { Primal }]) => [name, Primal ?? 0]));
  return { values, isImpossible: false };
}
