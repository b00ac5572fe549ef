import type { ClassPageResponse } from '@leiter/contract';
import { evaluationContextOf } from '@leiter/contract/evaluation-context';
import { useMemo } from 'react';
import { evaluatePlan, type ClassPlan, type Evaluation, type EvaluationContext, type Library } from '@leiter/core';

export function evaluationOf(plan: ClassPlan, library: Library, page: ClassPageResponse): Evaluation {
  return evaluatePlan(plan, library, evaluationContextOf(page));
}

/** The same for as long as nothing it rests on is different: a saved plan or an arrived mark is no reason to reckon anew. */
export function useClassContext(page: ClassPageResponse): EvaluationContext {
  const { children, exposures, pace, style, room, syllabus, rules } = page;
  const { programme, lengthMinutes, startsAt } = page.class;
  return useMemo(
    () => evaluationContextOf(page),
    // oxlint-disable-next-line react/exhaustive-deps -- of the page and its class, these are all that `evaluationContextOf` reads
    [children, exposures, pace, style, room, syllabus, rules, programme, lengthMinutes, startsAt],
  );
}
