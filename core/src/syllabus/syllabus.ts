import type { Side } from '../values/side.js';
import type { Mark } from '../movement/movement.js';
import type { GradeId, MovementSlug, ProgrammeSlug, RequirementId } from '../values/unit.js';

/** When a requirement counts as met (model.md). */
export interface Criterion {
  readonly leastMark: Mark;
  readonly sides: 'none' | 'both' | 'lead';
  readonly leastSeconds?: number;
  readonly leastReps?: number;
  readonly leastCorrect?: { readonly correct: number; readonly of: number };
  /** Faults that keep an `alone` from being `clean`; empty means none does. */
  readonly faults: readonly string[];
  readonly times: number;
  readonly days: number;
  readonly withinWeeks: number;
}

export const criterionDefaults = { times: 2, days: 2, withinWeeks: 26 } as const;

/** A criterion with the defaults for what it leaves out. */
export function wholeCriterion(written: Partial<Criterion>): Criterion {
  return { leastMark: 'alone', sides: 'none', faults: [], ...criterionDefaults, ...written };
}

export interface Requirement {
  readonly id: RequirementId;
  readonly movement: MovementSlug;
  /** The step of the skill that is asked, counted from 1; null for the whole movement. */
  readonly stage: number | null;
  readonly criterion: Criterion;
}

/** A rung of the ladder. */
export interface Grade {
  readonly id: GradeId;
  readonly slug: string;
  readonly name: string;
  readonly requirements: readonly Requirement[];
  readonly leastWeeksInGrade: number;
  readonly leastClasses: number;
  readonly leastAgeYears: number;
  /** Not asked any more; it keeps its place, because children have earned it. */
  readonly isPutAway: boolean;
}

/** The ladder of a programme, lowest grade first. */
export interface Syllabus {
  readonly programme: ProgrammeSlug;
  readonly version: number;
  readonly grades: readonly Grade[];
}

/** The grades that are asked today, lowest first. */
export function gradesInUse<One extends { readonly isPutAway: boolean }>(grades: readonly One[]): readonly One[] {
  return grades.filter(({ isPutAway }) => !isPutAway);
}

/**
 * What a child climbs to next. Grades are known by their slugs, which stay the same from one version of a ladder to the next.
 * @param earned the slugs of all grades the child has, from any version
 * @returns the first grade in use above the highest it has; the first of all for a child without a grade; null at the top or
 * when none of its grades is on this ladder.
 */
export function gradeAbove(syllabus: Syllabus, earned: readonly string[]): Grade | null {
  const highest = syllabus.grades.findLastIndex(({ slug }) => earned.includes(slug));
  if (highest < 0 && earned.length > 0) return null;
  return gradesInUse(syllabus.grades.slice(highest + 1))[0] ?? null;
}

/** The sides on which a requirement is to be shown; null stands for a movement without sides. */
export function sidesAsked(criterion: Criterion, leadSide: Side): readonly (Side | null)[] {
  switch (criterion.sides) {
    case 'none':
      return [null];
    case 'both':
      return ['left', 'right'];
    case 'lead':
      return [leadSide];
  }
}
