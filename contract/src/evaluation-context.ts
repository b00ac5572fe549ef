import { defaultTimingSettings, paceOf, usualRules, type EvaluationContext } from '@leiter/core';
import { isExpected } from './who-comes.js';
import type { ClassPageResponse } from './class.js';

/** Whom the plan of a class is reckoned for: those expected, without told absences. */
export function evaluationContextOf(page: ClassPageResponse): EvaluationContext {
  const coming = page.children.filter(isExpected);
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
    rules: page.rules ?? usualRules,
  };
}
