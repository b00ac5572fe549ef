import { stepsOf, type Step } from '../timing/step.js';
import type { TimedItem } from '../timing/timeline.js';
import type { ItemId, Seconds } from '../unit.js';

/** Milliseconds of a clock that never jumps; comes from outside. */
type Milliseconds = number;

/** A class being taught. Plain data: kept in the browser, it goes on after a reload where it was. */
export interface Run {
  readonly startedAt: Milliseconds;
  readonly itemIndex: number;
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
  return { startedAt: now, itemIndex: 0, itemStartedAt: now, pausedAt: null, realSeconds: {} };
}

/** The moment that counts: while paused, time stands still. */
function momentOf(run: Run, now: Milliseconds): Milliseconds {
  return run.pausedAt ?? now;
}

/**
 * Takes the run to where the clock says: items whose time is over are left, also several at once after the tab slept.
 * @returns the same object when nothing changed.
 */
export function caughtUp(run: Run, items: readonly TimedItem[], now: Milliseconds): Run {
  let current = run;
  for (let timed = items[current.itemIndex]; timed; timed = items[current.itemIndex]) {
    const endsAt = current.itemStartedAt + timed.seconds * 1000;
    if (momentOf(current, now) < endsAt) break;
    current = leave(current, timed, endsAt, current.itemIndex + 1);
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
      return timed ? leave(current, timed, moment, current.itemIndex + 1) : current;
    case 'back': {
      const isAtStart = moment - current.itemStartedAt < 3000;
      const index = Math.max(0, Math.min(items.length - 1, current.itemIndex - (isAtStart || !timed ? 1 : 0)));
      return timed ? leave(current, timed, moment, index) : { ...current, itemIndex: index, itemStartedAt: moment };
    }
  }
}

function leave(run: Run, timed: TimedItem, at: Milliseconds, nextIndex: number): Run {
  const spent = Math.max(0, (at - run.itemStartedAt) / 1000);
  const realSeconds = { ...run.realSeconds, [timed.item.id]: (run.realSeconds[timed.item.id] ?? 0) + spent };
  return { ...run, itemIndex: nextIndex, itemStartedAt: at, realSeconds };
}

/** What to show at a moment. Expects a run that is caught up. */
export function positionOf(run: Run, items: readonly TimedItem[], now: Milliseconds): Position {
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
