import type { ClassPageResponse } from '@leiter/contract';
import { defaultTimingSettings, evaluatePlan, type ClassPlan, type Evaluation, type EvaluationContext, type Library } from '@leiter/core';

/** Whom the plan of a class is reckoned for: those expected, without told absences. */
export function contextOf(page: ClassPageResponse): EvaluationContext {
  const coming = page.children.filter(({ attendance }) => attendance !== 'absent');
  return {
    settings: defaultTimingSettings,
    exposures: new Map(page.exposures.map(({ movement, ...exposure }) => [movement, exposure])),
    paces: new Map(page.paces.map(({ kind, factor }) => [kind, factor])),
    agesYears: coming.map(({ ageYears }) => ageYears),
    programme: page.class.programme,
    slotMinutes: page.class.lengthMinutes,
    stretchingSchool: page.syllabus?.stretchingSchool ?? 'early-static',
    children: coming,
    ladder: page.syllabus,
    startsAt: page.class.startsAt,
    room: page.room,
  };
}

export function evaluationOf(plan: ClassPlan, library: Library, page: ClassPageResponse): Evaluation {
  return evaluatePlan(plan, library, contextOf(page));
}
