import type { ClassPageResponse } from '@leiter/contract';
import { useMemo } from 'react';
import {
  defaultTimingSettings,
  evaluatePlan,
  paceOf,
  type ClassPlan,
  type Evaluation,
  type EvaluationContext,
  type Library,
} from '@leiter/core';

/** Whom the plan of a class is reckoned for: those expected, without told absences. */
export function contextOf(page: ClassPageResponse): EvaluationContext {
  const coming = page.children.filter(({ attendance }) => attendance !== 'absent');
  return {
    settings: defaultTimingSettings,
    exposures: new Map(page.exposures.map(({ movement, ...exposure }) => [movement, exposure])),
    pace: paceOf(page.pace),
    style: page.style,
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

/** The same for as long as nothing it rests on is different: a saved plan or an arrived mark is no reason to reckon anew. */
export function useClassContext(page: ClassPageResponse): EvaluationContext {
  const { children, exposures, pace, style, room, syllabus } = page;
  const { programme, lengthMinutes, startsAt } = page.class;
  // eslint-disable-next-line react-hooks/exhaustive-deps -- of the page and its class, these are all that `contextOf` reads
  return useMemo(() => contextOf(page), [children, exposures, pace, style, room, syllabus, programme, lengthMinutes, startsAt]);
}
