import { bestOrder, earliestEnd, endOf, timetableModel, type Timetable } from '@leiter/core';
import highs from 'highs';
import type { Answers, Tasks } from './tasks.js';

// its types are written for CommonJS, where the function is a member; what is loaded is the ES module, which is the function itself
const loadHighs = highs as unknown as typeof highs.default;

/** Loaded once in a thread. */
let solver: ReturnType<typeof loadHighs> | undefined;

/** The least that a solver is given: below it is not worth beginning. */
const leastSeconds = 0.03;
/** Orders that are tried before; thirty parties take about a millisecond each. */
const tries = 400;
/** A solver looks at its clock now and then: so much earlier it is told to stop. */
const lateMilliseconds = 250;

/**
 * The shortest timetable in which nobody waits. One is found by trying orders; then a solver is asked from below by when there can
 * be none, until there is one or the time is over; within the end that was found, everybody is done as early as can be.
 */
export async function findTimetable({ parties, hall, milliseconds }: Tasks['findTimetable']): Promise<Answers['findTimetable']> {
  const until = performance.now() + milliseconds - lateMilliseconds;
  const noneBefore = earliestEnd(parties, hall);
  let best: Timetable = bestOrder(parties, hall, tries);
  /** Whether there is one by an end: `found` puts it in place of the best. */
  const ask = async (end: number, seconds: number): Promise<'found' | 'impossible' | 'unknown'> => {
    const model = timetableModel(parties, hall, end);
    if (!model) return 'impossible';
    const answer = await solve(model.lp, seconds);
    const found = answer.values && model.read(answer.values);
    if (found) best = found;
    return found ? 'found' : answer.isImpossible ? 'impossible' : 'unknown';
  };
  const left = (): number => (until - performance.now()) / 1000;
  // from below: how early it cannot be
  let least = noneBefore;
  let said: Awaited<ReturnType<typeof ask>> = 'impossible';
  while (said === 'impossible' && least < endOf(best) && left() > leastSeconds) {
    said = await ask(least, left());
    if (said === 'impossible') least += 1;
  }
  const isBest = least >= endOf(best);
  if (left() > leastSeconds) {
    const model = timetableModel(parties, hall, endOf(best));
    const answer = model ? await solve(model.lp, left()) : null;
    const found = model && answer?.values ? model.read(answer.values) : null;
    if (found && finishes(found) < finishes(best)) best = found;
  }
  return { timetable: best, noneBefore, isBest };
}

/** When each party is done, summed up. */
function finishes(timetable: Timetable): number {
  const ends = new Map<number, number>();
  for (const { party, end } of timetable) ends.set(party, Math.max(end, ends.get(party) ?? 0));
  return [...ends.values()].reduce((sum, end) => sum + end, 0);
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
