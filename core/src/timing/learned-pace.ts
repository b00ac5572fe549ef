import type { Way } from '../class-plan/way.js';
import type { MovementKind } from '../movement/kind.js';
import { groupBy } from '../values/group-by.js';
import type { Seconds } from '../values/unit.js';
import { plainPace, wayAndKind, type Pace, type PartSpread } from './pace.js';

/** What a class taught leaves behind of one item: what was planned without any pace, and what it really took, pauses included. */
export interface ItemRun {
  readonly classId: string;
  readonly kind: MovementKind;
  readonly way: Way;
  /** Explaining and going there. */
  readonly plannedExplainSeconds: Seconds;
  readonly realExplainSeconds: Seconds;
  /** Setting up, work and change of side. */
  readonly plannedWorkSeconds: Seconds;
  readonly realWorkSeconds: Seconds;
  /** Clock or music led the work: it says nothing of the pace. */
  readonly isClockBound: boolean;
}

/** A factor with what it rests on. */
export interface Learned {
  readonly factor: number;
  readonly items: number;
  readonly classes: number;
}

/** The pace of an instructor, as data that is sent and shown. */
export interface LearnedPace {
  readonly explain: readonly (Learned & { readonly way: Way; readonly kind: MovementKind })[];
  readonly explainAll: Learned;
  readonly work: Learned;
  readonly spread: Pace['spread'];
}

/**
 * How much is believed before anything was seen, in planned seconds: so much as reckoned is added to what was seen. Ours: two
 * classes of explaining weigh as much as the table, one kind weighs as much as all others after a class or two of it.
 */
export const paceSettings = { explainAllSeconds: 240, explainKindSeconds: 60, workSeconds: 300, lastClasses: 12, dayToDay: 0.04 } as const;

/**
 * What the last classes say: one factor for explaining by way and kind, shrunk towards the instructor's own over all, that towards 1,
 * and one for the work of doses that are not bound to a clock (model.md). Sums are compared, not single items: (believed + real) /
 * (believed + planned) seconds.
 * @param runs newest class first; items that were skipped or left early are not among them
 */
export function learnedPace(runs: readonly ItemRun[]): LearnedPace {
  const classes = new Set([...new Set(runs.map(({ classId }) => classId))].slice(0, paceSettings.lastClasses));
  const counting = runs.filter(({ classId }) => classes.has(classId));
  const talking = counting.filter(({ plannedExplainSeconds }) => plannedExplainSeconds > 0);
  const working = counting.filter(({ isClockBound, plannedWorkSeconds }) => !isClockBound && plannedWorkSeconds > 0);
  const explained = talking.map(explainOf);
  const worked = working.map(workOf);
  const all = factorOf(explained, 1, paceSettings.explainAllSeconds);
  const explain = [...groupBy(talking, ({ way, kind }) => wayAndKind(way, kind)).values()].flatMap((own) => {
    const [first] = own;
    if (!first) return [];
    const factor = factorOf(own.map(explainOf), all, paceSettings.explainKindSeconds);
    return [{ way: first.way, kind: first.kind, ...restingOn(own, factor) }];
  });
  const work = factorOf(worked, 1, paceSettings.workSeconds);
  const factors = new Map(explain.map(({ way, kind, factor }) => [wayAndKind(way, kind), factor]));
  const byFactor = talking.map((run) => {
    const { planned, real } = explainOf(run);
    return { planned: planned * (factors.get(wayAndKind(run.way, run.kind)) ?? all), real };
  });
  return {
    explain,
    explainAll: restingOn(talking, all),
    work: restingOn(working, work),
    spread: {
      explain: spreadOf(byFactor, plainPace.spread.explain),
      work: spreadOf(
        worked.map(({ planned, real }) => ({ planned: planned * work, real })),
        plainPace.spread.work,
      ),
    },
  };
}

/** What is learned, as the timeline takes it. */
export function paceOf({ explain, explainAll, work, spread }: LearnedPace): Pace {
  return {
    explain: new Map(explain.map(({ way, kind, factor }) => [wayAndKind(way, kind), factor])),
    explainAll: explainAll.factor,
    work: work.factor,
    spread,
  };
}

interface PlannedAndReal {
  readonly planned: Seconds;
  readonly real: Seconds;
}
const explainOf = (run: ItemRun): PlannedAndReal => ({ planned: run.plannedExplainSeconds, real: run.realExplainSeconds });
const workOf = (run: ItemRun): PlannedAndReal => ({ planned: run.plannedWorkSeconds, real: run.realWorkSeconds });
const sum = (numbers: readonly number[]): number => numbers.reduce((total, one) => total + one, 0);

function factorOf(seen: readonly PlannedAndReal[], believed: number, believedSeconds: Seconds): number {
  const planned = sum(seen.map((one) => one.planned));
  const real = sum(seen.map((one) => one.real));
  return (believed * believedSeconds + real) / (believedSeconds + planned);
}

function restingOn(runs: readonly ItemRun[], factor: number): Learned {
  return { factor, items: runs.length, classes: new Set(runs.map(({ classId }) => classId)).size };
}

/**
 * How far single items lie from the factor (root mean square, in shares of what was reckoned, mixed with what was believed as if ten
 * items said so), and how well the factor of the whole is known by now: both sources of knowledge joined by their weights, and the
 * differences between days, which no learning takes away.
 */
function spreadOf(seen: readonly PlannedAndReal[], believed: PartSpread): PartSpread {
  const squares = sum(seen.map(({ planned }) => planned ** 2));
  if (squares === 0) return believed;
  const off = sum(seen.map(({ planned, real }) => (real - planned) ** 2));
  const weight = 10 / seen.length;
  const each = Math.sqrt((off / squares + weight * believed.each ** 2) / (1 + weight));
  const fromSeen = (each * Math.sqrt(squares)) / sum(seen.map(({ planned }) => planned));
  const joined = 1 / (1 / believed.common ** 2 + 1 / fromSeen ** 2);
  return { common: Math.sqrt(joined + paceSettings.dayToDay ** 2), each };
}
