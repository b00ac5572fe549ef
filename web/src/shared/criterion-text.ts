import { plural, t } from '@lingui/core/macro';
import type { Criterion } from '@leiter/core';
import { markWords } from './words';

/** A criterion as one reads it on a syllabus: "alone, both sides, 5 s, twice on 2 days". */
export function criterionText(criterion: Criterion): string {
  const { sides, times, days } = criterion;
  return [
    markWords[criterion.leastMark],
    sides === 'both' ? t`both sides` : sides === 'lead' ? t`lead side` : '',
    ...measuresAsked(criterion),
    times === 1
      ? t`once`
      : t`${times === 2 ? t`twice` : plural(times, { one: '# time', other: '# times' })} on ${plural(days, { one: '# day', other: '# days' })}`,
  ]
    .filter((part) => part !== '')
    .join(', ');
}

/** How well something is shown where it counts once: "alone, 5 s". */
export function qualityText(criterion: Criterion): string {
  return [markWords[criterion.leastMark], ...measuresAsked(criterion)].join(', ');
}

function measuresAsked({ leastSeconds, leastReps, leastCorrect }: Criterion): readonly string[] {
  return [
    leastSeconds === undefined ? '' : `${String(leastSeconds)} s`,
    leastReps === undefined ? '' : plural(leastReps, { one: '# time', other: '# times' }),
    leastCorrect ? t`${leastCorrect.correct} of ${leastCorrect.of} right` : '',
  ].filter((part) => part !== '');
}
