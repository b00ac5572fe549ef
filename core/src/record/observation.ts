import type { Mark } from '../movement/movement.js';
import type { ChildId, ClassId, Day, MovementSlug, ObservationId } from '../values/unit.js';

export const observedSides = ['none', 'left', 'right', 'both'] as const;
export type ObservedSide = (typeof observedSides)[number];

export const helps = ['told', 'shown', 'hands-on', 'raised-or-lower-surface', 'target-only'] as const;
/**
 * How a child was helped, what fits a call first: it was told while it did it, shown once more, held by its adult, did it with a lower
 * or raised surface, or to a target.
 */
export type Help = (typeof helps)[number];

export const observationSources = ['class', 'clip', 'grading', 'entered-later'] as const;
export type ObservationSource = (typeof observationSources)[number];

export interface Measure {
  readonly seconds?: number;
  readonly reps?: number;
  readonly correct?: number;
  readonly of?: number;
}

/** One dated mark: this child, this movement, this well. Never edited: a correction supersedes. */
export interface Observation {
  readonly id: ObservationId;
  readonly childId: ChildId;
  readonly movement: MovementSlug;
  readonly stage: number | null;
  readonly side: ObservedSide;
  readonly mark: Mark;
  readonly help: Help | null;
  readonly measure: Measure;
  /** Slugs of the movement's faults. */
  readonly faults: readonly string[];
  readonly note: string;
  readonly seenOn: Day;
  /** When it was given, ISO 8601 in UTC: orders the marks of one day. */
  readonly recordedAt: string;
  readonly source: ObservationSource;
  readonly classId: ClassId | null;
  readonly supersedes: ObservationId | null;
  /** It takes back the mark that it supersedes, and says nothing itself. */
  readonly isWithdrawal?: boolean;
}

/**
 * The observations that count, oldest first: those superseded or taken back are left out, and one sent twice counts once.
 * Ordered by day, then by when they were given, then by id, so that the answer does not depend on the order of storage.
 */
export function currentObservations(observations: readonly Observation[]): readonly Observation[] {
  const superseded = new Set(observations.map(({ supersedes }) => supersedes));
  const byId = new Map(observations.filter(({ id, isWithdrawal }) => !superseded.has(id) && !isWithdrawal).map((one) => [one.id, one]));
  return [...byId.values()].sort((a, b) => compare(a.seenOn, b.seenOn) || compare(a.recordedAt, b.recordedAt) || compare(a.id, b.id));
}

function compare(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}

/** True when an observation tells about a side: one on both sides tells about each. */
export function tellsAbout(observation: Observation, side: 'left' | 'right' | null): boolean {
  return side === null || observation.side === 'both' || observation.side === side;
}
