import { expect, it } from 'vitest';
import type { TeachingStyle, Way } from '../class-plan/way.js';
import { learnedPace } from './learned-pace.js';
import { styleThatFits } from './style-that-fits.js';

/** Six classes with five items each of one way, explained so many times as long as reckoned. */
const taught = (way: Way, times: number, classes = 6) =>
  learnedPace(
    Array.from({ length: classes * 5 }, (_, index) => ({
      classId: `c${String(index % classes)}`,
      kind: 'skill' as const,
      way,
      plannedExplainSeconds: 20,
      realExplainSeconds: 20 * times,
      plannedWorkSeconds: 60,
      realWorkSeconds: 60,
      isClockBound: false,
    })),
  );

it.each<[string, Way, number, TeachingStyle, TeachingStyle | null]>([
  ['explains in a third of the time what is taught', 'teach', 0.33, 'as-it-comes', 'along'],
  ['explains at length what is only named', 'follow', 2.5, 'as-it-comes', 'watch-then-do'],
  ['explains as is reckoned', 'teach', 1.1, 'as-it-comes', null],
  ['chose already what fits', 'teach', 0.33, 'along', null],
])('who %s is told so', (_who, way, times, style, fits) => {
  expect(styleThatFits(taught(way, times), style)).toBe(fits);
});

it('says nothing after two classes', () => {
  expect(styleThatFits(taught('teach', 0.2, 2), 'as-it-comes')).toBeNull();
});
