import type { Criterion } from '@leiter/core';

export interface RequirementResponse {
  readonly id: string;
  readonly movement: string;
  readonly stage: number | null;
  readonly criterion: Criterion;
}

export interface GradeResponse {
  readonly id: string;
  readonly slug: string;
  readonly name: string;
  readonly leastWeeksInGrade: number;
  readonly leastClasses: number;
  readonly leastAgeYears: number;
  readonly requirements: readonly RequirementResponse[];
}

export interface SyllabusResponse {
  readonly programme: string;
  readonly programmeName: string;
  readonly stretchingSchool: 'early-static' | 'dynamic-first';
  /** What a child is called that has no grade yet. */
  readonly startsAs: string;
  readonly version: number;
  readonly grades: readonly GradeResponse[];
}
