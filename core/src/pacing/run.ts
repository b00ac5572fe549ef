import { stepsOf, type Step } from '../timing/step.js';
import type { TimedItem } from '../timing/timeline.js';
import type { ItemId, Seconds } from '../values/unit.js';
import type { GoWay } from '../voice/teaching-voice.js';

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
  readonly v: 2;
  readonly startedAt: Milliseconds;
  readonly itemIndex: number;
  /** What stands at `itemIndex`; null as long as nobody looked. */
  readonly pass: Pass | 'over' | null;
  readonly itemStartedAt: Milliseconds;
  /** When the body began, where somebody said so; null as long as that is when the plan says. */
  readonly workStartedAt: Milliseconds | null;
  readonly pausedAt: Milliseconds | null;
  /** Whether explaining ends when its time is over, or when the leader says so. */
  readonly go: GoWay;
  /** Pauses of this item that are over, by what they interrupted. */
  readonly pausedSeconds: RealParts;
  /** Real seconds per item so far, pauses included; an item taught twice is summed. */
  readonly realSeconds: Readonly<Record<ItemId, Seconds>>;
  /** What was really measured, by `passKey`; taught again, the last time counts. What was skipped or left early is not in it. */
  readonly realParts: Readonly<Record<string, RealParts>>;
  /** What was really done one after the other, each item as often as it was gone to: what a recording shows. */
  readonly visits: readonly Visit[];
}

/** One stay at an item, on the clock of the class that was really held. */
export interface Visit {
  readonly item: ItemId;
  /** Seconds from the start of the class, pauses included. */
  readonly beginsSecond: Seconds;
  readonly seconds: Seconds;
}

/** What explaining and going there took, and what the work with all around it took. */
export interface RealParts {
  readonly explain: Seconds;
  readonly work: Seconds;
}

export const passKey = (item: ItemId, round: number): string => `${item} ${String(round)}`;

/** `go`: the explaining is over, the work begins now. */
export type RunMove = 'on' | 'back' | 'pause' | 'resume' | 'go';

/** Where a class is at a moment. */
export interface Position {
  readonly itemIndex: number;
  /** Null when the last item is over. */
  readonly timed: TimedItem | null;
  readonly next: TimedItem | null;
  readonly remainingSeconds: Seconds;
  readonly step: Step | null;
  readonly stepRemainingSeconds: Seconds;
  /** How much longer than planned the explaining takes that waits for the signal; 0 otherwise. */
  readonly overSeconds: Seconds;
  /** Which rep, second or count of the step is now, from 1; 0 where nothing is counted. */
  readonly count: number;
  /** Seconds behind the plan; negative when ahead. Pauses count as behind. */
  readonly behindSeconds: Seconds;
  readonly isPaused: boolean;
}

/** So little before the work begins, in seconds, the explaining is still what happens. */
const momentBeforeWork = 0.001;
/** No pause so far. */
export const noPause: RealParts = { explain: 0, work: 0 };

export function startRun(now: Milliseconds, go: GoWay = 'by-itself'): Run {
  return {
    v: 2,
    startedAt: now,
    itemIndex: 0,
    pass: null,
    itemStartedAt: now,
    workStartedAt: null,
    pausedAt: null,
    go,
    pausedSeconds: noPause,
    realSeconds: {},
    realParts: {},
    visits: [],
  };
}

/** A run of less than a third of a class was a try of it: the class is still to be taught. */
export function isTryOfAClass(taughtSeconds: Seconds, lengthMinutes: number): boolean {
  return taughtSeconds * 3 < lengthMinutes * 60;
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

/** Explaining and going there, as planned. */
const plannedExplain = (timed: TimedItem): Seconds => timed.workStartSecond - timed.startSecond;

/**
 * The moment at which the plan's clock of the item that is being taught stood at nought: what is said at `at` seconds of it is said so much
 * later. Only where the run is not paused; while it is, time stands still.
 */
export function itemZero(run: Run, timed: TimedItem): Milliseconds {
  return run.workStartedAt === null ? run.itemStartedAt : run.workStartedAt - plannedExplain(timed) * 1000;
}

/** How far the item is, on the clock of the plan: where the work began by hand, it counts from there. */
function planSeconds(run: Run, timed: TimedItem, moment: Milliseconds): Seconds {
  return (moment - itemZero(run, timed)) / 1000;
}

/** True while the work of an item waits for the leader's signal, however long the explaining takes. */
export function waitsForSignal(run: Run, timed: TimedItem): boolean {
  return run.go === 'on-signal' && run.workStartedAt === null && timed.parts.explain > 0;
}

function isExplaining(run: Run, timed: TimedItem, moment: Milliseconds): boolean {
  return run.workStartedAt === null && (waitsForSignal(run, timed) || planSeconds(run, timed, moment) < plannedExplain(timed));
}

/** The run with another way in which work begins. What was explained longer than planned until now begins now. */
export function withGo(run: Run, go: GoWay, items: readonly TimedItem[], now: Milliseconds): Run {
  const current = caughtUp(run, items, now);
  const timed = items[current.itemIndex];
  const isOver = timed && waitsForSignal(current, timed) && planSeconds(current, timed, momentOf(current, now)) > plannedExplain(timed);
  return { ...current, go, ...(isOver ? { workStartedAt: momentOf(current, now) } : {}) };
}

/**
 * Takes the run to where the clock says: items whose time is over are left, also several at once after the tab slept.
 * @returns the same object when nothing changed.
 */
export function caughtUp(run: Run, items: readonly TimedItem[], now: Milliseconds): Run {
  let current = anchored(run, items);
  for (let timed = items[current.itemIndex]; timed; timed = items[current.itemIndex]) {
    if (waitsForSignal(current, timed)) break;
    const endsAt =
      current.workStartedAt === null
        ? current.itemStartedAt + timed.seconds * 1000
        : current.workStartedAt + (timed.seconds - plannedExplain(timed)) * 1000;
    if (momentOf(current, now) < endsAt) break;
    current = leave(current, items, endsAt, current.itemIndex + 1);
  }
  return current;
}

/** One press of a key. `back` goes to the start of the item, or, in its first three seconds, to the item before. */
export function moved(run: Run, move: RunMove, items: readonly TimedItem[], now: Milliseconds): Run {
  const current = caughtUp(run, items, now);
  const timed = items[current.itemIndex];
  switch (move) {
    case 'pause':
      return current.pausedAt === null && timed ? { ...current, pausedAt: now } : current;
    case 'resume':
      return resumed(current, timed, now);
    case 'go': {
      if (!timed || !isExplaining(current, timed, momentOf(current, now))) return current;
      return { ...resumed(current, timed, now), workStartedAt: now };
    }
    case 'on':
      return timed ? leave(halted(current, timed, now), items, now, current.itemIndex + 1) : current;
    case 'back': {
      const isAtStart = momentOf(current, now) - current.itemStartedAt < 3000;
      const index = Math.max(0, Math.min(items.length - 1, current.itemIndex - (isAtStart || !timed ? 1 : 0)));
      return timed
        ? leave(halted(current, timed, now), items, now, index)
        : { ...current, itemIndex: index, pass: passAt(items, index), itemStartedAt: now, workStartedAt: null };
    }
  }
}

/**
 * The item that is being taught is put off: what stood after it begins now, in its place. What was spent on it counts as its time.
 * @param items the class as it was @param later the class with the item further down
 */
export function putOff(run: Run, items: readonly TimedItem[], later: readonly TimedItem[], now: Milliseconds): Run {
  const current = caughtUp(run, items, now);
  const timed = items[current.itemIndex];
  if (!timed) return current;
  const left = leave(halted(current, timed, now), items, now, current.itemIndex);
  return { ...left, pass: passAt(later, current.itemIndex), pausedAt: null };
}

/** The pause is over: the item goes on where it was, and is as much longer. */
function resumed(run: Run, timed: TimedItem | undefined, now: Milliseconds): Run {
  return run.pausedAt === null ? run : { ...halted(run, timed, now), pausedAt: null };
}

/** Counts the pause so far to what it interrupts; a run that goes on stays as it is. */
function halted(run: Run, timed: TimedItem | undefined, now: Milliseconds): Run {
  const { pausedAt, pausedSeconds } = run;
  if (pausedAt === null) return run;
  const part = timed && isExplaining(run, timed, pausedAt) ? 'explain' : 'work';
  const pause = now - pausedAt;
  return {
    ...run,
    pausedAt: now,
    itemStartedAt: run.itemStartedAt + pause,
    workStartedAt: run.workStartedAt === null ? null : run.workStartedAt + pause,
    pausedSeconds: { ...pausedSeconds, [part]: pausedSeconds[part] + pause / 1000 },
  };
}

/** An item counts from a third of its work on (model.md): what was left before was skipped. */
const leastShareOfWork = 1 / 3;

function leave(run: Run, items: readonly TimedItem[], at: Milliseconds, nextIndex: number): Run {
  const timed = items[run.itemIndex];
  const id = timed?.item.id ?? '';
  const spent = Math.max(0, (at - run.itemStartedAt) / 1000);
  const planned = timed ? plannedExplain(timed) : 0;
  const until = timed && waitsForSignal(run, timed) ? spent : Math.min(spent, planned);
  const explain = run.workStartedAt === null ? until : (run.workStartedAt - run.itemStartedAt) / 1000;
  const work = Math.max(0, spent - explain);
  const { pausedSeconds } = run;
  const paused = pausedSeconds.explain + pausedSeconds.work;
  const isDone = timed !== undefined && work > 0 && work >= (timed.seconds - planned) * leastShareOfWork;
  return {
    ...run,
    itemIndex: nextIndex,
    pass: passAt(items, nextIndex),
    itemStartedAt: at,
    workStartedAt: null,
    pausedSeconds: noPause,
    realSeconds: { ...run.realSeconds, [id]: (run.realSeconds[id] ?? 0) + spent + paused },
    realParts: isDone
      ? { ...run.realParts, [passKey(id, timed.round)]: { explain: explain + pausedSeconds.explain, work: work + pausedSeconds.work } }
      : run.realParts,
    visits: timed
      ? [...run.visits, { item: id, beginsSecond: (run.itemStartedAt - run.startedAt) / 1000 - paused, seconds: spent + paused }]
      : run.visits,
  };
}

/** What to show at a moment. Expects a run that is caught up. */
export function positionOf(kept: Run, items: readonly TimedItem[], now: Milliseconds): Position {
  const run = anchored(kept, items);
  const timed = items[run.itemIndex] ?? null;
  const moment = momentOf(run, now);
  const isWaiting = timed !== null && waitsForSignal(run, timed);
  const clock = timed ? planSeconds(run, timed, moment) : 0;
  const over = timed && isWaiting ? Math.max(0, clock - plannedExplain(timed)) : 0;
  // what waits stays at the end of its explaining
  const elapsed = timed ? Math.min(isWaiting ? plannedExplain(timed) - momentBeforeWork : timed.seconds, clock) : 0;
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
    overSeconds: over,
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
      return ((nth(step.counts) - 1) % step.beats) + 1;
    case 'length':
    case 'go-to':
    case 'explain':
    case 'set-up':
    case 'change-side':
    case 'rest':
    case 'timed':
      return 0;
  }
}
