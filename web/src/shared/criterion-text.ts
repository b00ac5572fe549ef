import type { Criterion } from '@leiter/core';
import { markWords } from './words';

/** A criterion as one reads it on a syllabus: "alone, both sides, 5 s, twice on 2 days". */
export function criterionText(criterion: Criterion): string {
  const { leastMark, sides, leastSeconds, leastReps, leastCorrect, times, days } = criterion;
  return [
    markWords[leastMark],
    sides === 'both' ? 'both sides' : sides === 'lead' ? 'lead side' : '',
    leastSeconds === undefined ? '' : `${String(leastSeconds)} s`,
    leastReps === undefined ? '' : `${String(leastReps)} times`,
    leastCorrect ? `${String(leastCorrect.correct)} of ${String(leastCorrect.of)} right` : '',
    times === 1 ? 'once' : `${times === 2 ? 'twice' : `${String(times)} times`} on ${String(days)} ${days === 1 ? 'day' : 'days'}`,
  ]
    .filter((part) => part !== '')
    .join(', ');
}
