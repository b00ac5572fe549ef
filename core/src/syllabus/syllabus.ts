import type { Mark } from '../movement/movement.js';
import type { GradeId, MovementSlug, ProgrammeSlug, RequirementId } from '../unit.js';

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
}

/** The ladder of a programme, lowest grade first. */
export interface Syllabus {
  readonly programme: ProgrammeSlug;
  readonly version: number;
  readonly grades: readonly Grade[];
}

/** @returns the grade above; the first for a child without a grade, null at the top or for a grade that is not on this ladder. */
export function gradeAbove(syllabus: Syllabus, earned: GradeId | null): Grade | null {
  if (earned === null) return syllabus.grades[0] ?? null;
  const index = syllabus.grades.findIndex((grade) => grade.id === earned);
  return index < 0 ? null : (syllabus.grades[index + 1] ?? null);
}

/** The sides on which a requirement is to be shown; null stands for a movement without sides. */
export function sidesAsked(criterion: Criterion, leadSide: 'left' | 'right'): readonly ('left' | 'right' | null)[] {
  switch (criterion.sides) {
    case 'none':
      return [null];
    case 'both':
      return ['left', 'right'];
    case 'lead':
      return [leadSide];
  }
}
