import { plural, t } from '@lingui/core/macro';
import type { Criterion } from '@leiter/core';
import { markWords } from './words';

/** A criterion as one reads it on a syllabus: "alone, both sides, 5 s, twice on 2 days". */
export function criterionText(criterion: Criterion): string {
  const { leastMark, sides, leastSeconds, leastReps, leastCorrect, times, days } = criterion;
  return [
    markWords[leastMark],
    sides === 'both' ? t`both sides` : sides === 'lead' ? t`lead side` : '',
    leastSeconds === undefined ? '' : `${String(leastSeconds)} s`,
    leastReps === undefined ? '' : plural(leastReps, { one: '# time', other: '# times' }),
    leastCorrect ? t`${leastCorrect.correct} of ${leastCorrect.of} right` : '',
    times === 1
      ? t`once`
      : t`${times === 2 ? t`twice` : plural(times, { one: '# time', other: '# times' })} on ${plural(days, { one: '# day', other: '# days' })}`,
  ]
    .filter((part) => part !== '')
    .join(', ');
}
