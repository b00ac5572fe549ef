import type { Criterion } from '../syllabus/syllabus.js';
import type { Day, MovementSlug } from '../values/unit.js';
import { currentObservations, type Observation, type ObservedSide } from './observation.js';

/** What was measured: seconds that were held, times in a row, the share that was right. */
export type MeasuredIn = 'seconds' | 'reps' | 'share';

export interface MeasuredPoint {
  readonly day: Day;
  /** Seconds, times, or a share from 0 to 1. */
  readonly value: number;
}

/** Everything that was measured of one movement on one side, oldest first: one point a day, the best of it. */
export interface MeasuredLine {
  readonly movement: MovementSlug;
  readonly stage: number | null;
  readonly side: ObservedSide;
  readonly measuredIn: MeasuredIn;
  readonly points: readonly MeasuredPoint[];
  /** The best ever; of two alike the first. */
  readonly best: MeasuredPoint;
  readonly latest: MeasuredPoint;
}

function measuresOf({ seconds, reps, correct, of }: Observation['measure']): readonly (readonly [MeasuredIn, number])[] {
  return [
    ...(seconds === undefined ? [] : [['seconds', seconds] as const]),
    ...(reps === undefined ? [] : [['reps', reps] as const]),
    ...(correct === undefined || of === undefined || of <= 0 ? [] : [['share', correct / of] as const]),
  ];
}

/**
 * The lines of one child, left and right apart; those that were measured most lately first.
 * @param observations of this child, superseded ones included
 */
export function measuredLines(observations: readonly Observation[]): readonly MeasuredLine[] {
  const lines = new Map<
    string,
    { readonly of: Pick<MeasuredLine, 'movement' | 'stage' | 'side' | 'measuredIn'>; readonly days: Map<Day, number> }
  >();
  for (const { movement, stage, side, measure, seenOn } of currentObservations(observations)) {
    for (const [measuredIn, value] of measuresOf(measure)) {
      const key = [movement, stage, side, measuredIn].join(' ');
      const line = lines.get(key) ?? { of: { movement, stage, side, measuredIn }, days: new Map<Day, number>() };
      line.days.set(seenOn, Math.max(value, line.days.get(seenOn) ?? 0));
      lines.set(key, line);
    }
  }
  return [...lines.values()]
    .flatMap(({ of, days }): readonly MeasuredLine[] => {
      const points = [...days].map(([day, value]) => ({ day, value })).toSorted((a, b) => (a.day < b.day ? -1 : 1));
      const latest = points.at(-1);
      const best = points.reduce<MeasuredPoint | null>((most, one) => (most && most.value >= one.value ? most : one), null);
      return best && latest ? [{ ...of, points, best, latest }] : [];
    })
    .toSorted((a, b) => (a.latest.day > b.latest.day ? -1 : a.latest.day < b.latest.day ? 1 : a.movement < b.movement ? -1 : 1));
}

/** Which measure a criterion asks for; null where it asks for none. */
export function measureAsked({ leastSeconds, leastReps, leastCorrect }: Criterion): MeasuredIn | null {
  if (leastSeconds !== undefined) return 'seconds';
  if (leastReps !== undefined) return 'reps';
  return leastCorrect === undefined ? null : 'share';
}

/** What an observation measured of what a criterion asks: seconds, times or a share; null where it was not measured. */
export function measuredAs(measure: Observation['measure'], criterion: Criterion): number | null {
  const asked = measureAsked(criterion);
  return measuresOf(measure).find(([measuredIn]) => measuredIn === asked)?.[1] ?? null;
}

/** The best of some observations in what a criterion asks, and its day; of two alike the first. Null where nothing was measured. */
export function bestOf(observations: readonly Observation[], criterion: Criterion): MeasuredPoint | null {
  return observations
    .toSorted((a, b) => (a.seenOn < b.seenOn ? -1 : a.seenOn > b.seenOn ? 1 : 0))
    .reduce<MeasuredPoint | null>((best, { seenOn, measure }) => {
      const value = measuredAs(measure, criterion);
      return value === null || (best && best.value >= value) ? best : { day: seenOn, value };
    }, null);
}
