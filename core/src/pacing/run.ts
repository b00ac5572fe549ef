import { stepsOf, type Step } from '../timing/step.js';
import type { TimedItem } from '../timing/timeline.js';
import type { ItemId, Seconds } from '../values/unit.js';

/** Milliseconds of a clock that never jumps; comes from outside. */
type Milliseconds = number;

/** One pass of the timeline, whatever is put in above it: an item, and which round of its circuit. */
export interface Pass {
  readonly item: ItemId;
  readonly round: number;
}

/**
 * A class being taught. Plain data: kept in the browser, it goes on after a reload where it was. The plan may change meanwhile:
 * what is being taught is known by its item, not by its place.
 */
export interface Run {
  readonly v: 1;
  readonly startedAt: Milliseconds;
  readonly itemIndex: number;
  /** What stands at `itemIndex`; null as long as nobody looked. */
  readonly pass: Pass | 'over' | null;
  readonly itemStartedAt: Milliseconds;
  readonly pausedAt: Milliseconds | null;
  /** Real seconds per item so far; an item taught twice is summed. */
  readonly realSeconds: Readonly<Record<ItemId, Seconds>>;
}

export type RunMove = 'on' | 'back' | 'pause' | 'resume';

/** Where a class is at a moment. */
export interface Position {
  readonly itemIndex: number;
  /** Null when the last item is over. */
  readonly timed: TimedItem | null;
  readonly next: TimedItem | null;
  readonly remainingSeconds: Seconds;
  readonly step: Step | null;
  readonly stepRemainingSeconds: Seconds;
  /** Which rep, second or count of the step is now, from 1; 0 where nothing is counted. */
  readonly count: number;
  /** Seconds behind the plan; negative when ahead. Pauses count as behind. */
  readonly behindSeconds: Seconds;
  readonly isPaused: boolean;
}

export function startRun(now: Milliseconds): Run {
  return { v: 1, startedAt: now, itemIndex: 0, pass: null, itemStartedAt: now, pausedAt: null, realSeconds: {} };
}

/** A run of less than a third of a class was a try of it: the class is still to be taught. */
export function isTryOfAClass(taughtSeconds: Seconds, lengthMinutes: number): boolean {
  return taughtSeconds * 3 < lengthMinutes * 60;
}

/**
 * Reads a run as a browser kept it, whichever version of Leiter wrote it.
 * @returns null for what is no run: then the class begins anew
 */
export function openRun(kept: unknown): Run | null {
  if (typeof kept !== 'object' || kept === null) return null;
  const { v, startedAt, itemIndex, itemStartedAt, pausedAt, realSeconds, pass } = kept as Readonly<Record<string, unknown>>;
  const isTime = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value);
  if (v !== undefined && v !== 1) return null;
  if (!isTime(startedAt) || !isTime(itemIndex) || !isTime(itemStartedAt) || !(pausedAt === null || isTime(pausedAt))) return null;
  if (typeof realSeconds !== 'object' || realSeconds === null || !Object.values(realSeconds).every(isTime)) return null;
  return {
    v: 1,
    startedAt,
    itemIndex: Math.max(0, Math.floor(itemIndex)),
    pass: pass === 'over' || isPass(pass) ? pass : null,
    itemStartedAt,
    pausedAt,
    realSeconds: realSeconds as Run['realSeconds'], // looked at above
  };
}

function isPass(value: unknown): value is Pass {
  return typeof value === 'object' && value !== null && 'item' in value && typeof value.item === 'string' && 'round' in value;
}

/**
 * The run on a plan as it is now: what is being taught stays, wherever it stands by now. Where it was taken out, what stands in its
 * place is next.
 * @returns the same object when nothing changed
 */
function anchored(run: Run, items: readonly TimedItem[]): Run {
  const { pass } = run;
  if (pass === 'over') return run.itemIndex === items.length ? run : { ...run, itemIndex: items.length };
  const here = passAt(items, run.itemIndex);
  if (!pass) return { ...run, pass: here };
  if (here !== 'over' && isSamePass(here, pass)) return run;
  const index = items.findIndex((timed) => isSamePass({ item: timed.item.id, round: timed.round }, pass));
  if (index >= 0) return { ...run, itemIndex: index };
  const place = Math.min(run.itemIndex, items.length);
  return { ...run, itemIndex: place, pass: passAt(items, place) };
}

function passAt(items: readonly TimedItem[], index: number): Pass | 'over' {
  const timed = items[index];
  return timed ? { item: timed.item.id, round: timed.round } : 'over';
}

const isSamePass = (one: Pass, other: Pass): boolean => one.item === other.item && one.round === other.round;

/** The moment that counts: while paused, time stands still. */
function momentOf(run: Run, now: Milliseconds): Milliseconds {
  return run.pausedAt ?? now;
}

/**
 * Takes the run to where the clock says: items whose time is over are left, also several at once after the tab slept.
 * @returns the same object when nothing changed.
 */
export function caughtUp(run: Run, items: readonly TimedItem[], now: Milliseconds): Run {
  let current = anchored(run, items);
  for (let timed = items[current.itemIndex]; timed; timed = items[current.itemIndex]) {
    const endsAt = current.itemStartedAt + timed.seconds * 1000;
    if (momentOf(current, now) < endsAt) break;
    current = leave(current, items, endsAt, current.itemIndex + 1);
  }
  return current;
}

/** One press of a key. `back` goes to the start of the item, or, in its first three seconds, to the item before. */
export function moved(run: Run, move: RunMove, items: readonly TimedItem[], now: Milliseconds): Run {
  const current = caughtUp(run, items, now);
  const moment = momentOf(current, now);
  const timed = items[current.itemIndex];
  switch (move) {
    case 'pause':
      return current.pausedAt === null && timed ? { ...current, pausedAt: now } : current;
    case 'resume':
      return current.pausedAt === null
        ? current
        : { ...current, pausedAt: null, itemStartedAt: current.itemStartedAt + now - current.pausedAt };
    case 'on':
      return timed ? leave(current, items, moment, current.itemIndex + 1) : current;
    case 'back': {
      const isAtStart = moment - current.itemStartedAt < 3000;
      const index = Math.max(0, Math.min(items.length - 1, current.itemIndex - (isAtStart || !timed ? 1 : 0)));
      return timed
        ? leave(current, items, moment, index)
        : { ...current, itemIndex: index, pass: passAt(items, index), itemStartedAt: moment };
    }
  }
}

function leave(run: Run, items: readonly TimedItem[], at: Milliseconds, nextIndex: number): Run {
  const id = items[run.itemIndex]?.item.id ?? '';
  const spent = Math.max(0, (at - run.itemStartedAt) / 1000);
  const realSeconds = { ...run.realSeconds, [id]: (run.realSeconds[id] ?? 0) + spent };
  return { ...run, itemIndex: nextIndex, pass: passAt(items, nextIndex), itemStartedAt: at, realSeconds };
}

/** What to show at a moment. Expects a run that is caught up. */
export function positionOf(kept: Run, items: readonly TimedItem[], now: Milliseconds): Position {
  const run = anchored(kept, items);
  const timed = items[run.itemIndex] ?? null;
  const moment = momentOf(run, now);
  const elapsed = timed ? Math.min(timed.seconds, (moment - run.itemStartedAt) / 1000) : 0;
  const inStep = timed ? stepAt(stepsOf(timed), elapsed) : null;
  const last = items.at(-1);
  const planned = timed ? timed.startSecond + elapsed : last ? last.startSecond + last.seconds : 0;
  return {
    itemIndex: run.itemIndex,
    timed,
    next: items[run.itemIndex + 1] ?? null,
    remainingSeconds: timed ? timed.seconds - elapsed : 0,
    step: inStep?.step ?? null,
    stepRemainingSeconds: inStep ? inStep.step.seconds - inStep.elapsed : 0,
    count: inStep ? countIn(inStep.step, inStep.elapsed) : 0,
    behindSeconds: timed ? (now - run.startedAt) / 1000 - planned : 0,
    isPaused: run.pausedAt !== null,
  };
}

function stepAt(steps: readonly Step[], elapsed: Seconds): { readonly step: Step; readonly elapsed: Seconds } | null {
  let passed = 0;
  for (const step of steps) {
    if (elapsed < passed + step.seconds) return { step, elapsed: elapsed - passed };
    passed += step.seconds;
  }
  const step = steps.at(-1);
  return step ? { step, elapsed: step.seconds } : null;
}

function countIn(step: Step, elapsed: Seconds): number {
  const nth = (of: number): number => Math.min(of, Math.floor((elapsed / step.seconds) * of) + 1);
  switch (step.kind) {
    case 'reps':
      return nth(step.reps);
    case 'hold':
      return nth(Math.round(step.seconds));
    case 'counts':
    case 'count-in':
      return ((nth(step.counts) - 1) % 8) + 1;
    case 'go-to':
    case 'explain':
    case 'set-up':
    case 'change-side':
    case 'rest':
    case 'timed':
      return 0;
  }
}
