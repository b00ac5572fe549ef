import { expect, it } from 'vitest';
import type { Movement } from '../movement/movement.js';
import type { TimedItem } from '../timing/timeline.js';
import { classLoad, noLoad, weekLoads } from './class-load.js';

const timed = (
  movement: Partial<Movement>,
  dose: TimedItem['item']['dose'],
  movingSeconds: number,
  more: Partial<TimedItem> = {},
): TimedItem =>
  ({
    item: { dose },
    movement: { hazards: [], loads: [], effort: 2, kind: 'drill', ...movement },
    sides: 'none',
    share: 1,
    movingSeconds,
    ...more,
  }) as TimedItem; // what a load is reckoned from, and no more

it('sums what moves, what is hard, what lands and what stands on the hands', () => {
  const jumps = timed({ hazards: ['hard-landing'], effort: 4 }, { kind: 'reps', sets: 3, reps: 5, secondsPerRep: 2, restSeconds: 20 }, 30);
  const plank = timed({ hazards: ['weight-on-hands'], effort: 3 }, { kind: 'hold', sets: 2, holdSeconds: 20, restSeconds: 20 }, 40);
  const sit = timed({ effort: 1 }, { kind: 'timed', seconds: 60 }, 60);
  expect(classLoad([jumps, plank, sit])).toEqual({ movingSeconds: 130, hardSeconds: 70, landings: 15, handsSeconds: 40 });
  expect(classLoad([])).toEqual(noLoad);
  // in a pair each does half of it, and of jumps on both sides each side lands
  expect(classLoad([{ ...jumps, share: 0.5 }]).landings).toBe(7.5);
  expect(classLoad([{ ...jumps, sides: 'both' }]).landings).toBe(30);
});

it('a week is what lies between two ends: its last day counts, the day of the one before does not', () => {
  const load = { movingSeconds: 600, hardSeconds: 60, landings: 10, handsSeconds: 30 };
  const on = (day: string) => ({ day, load });
  const weeks = weekLoads(['2026-01-01', '2026-01-08', '2026-01-09', '2026-01-15', '2026-01-16'].map(on), [
    '2026-01-01',
    '2026-01-08',
    '2026-01-15',
    '2026-01-22',
  ]);
  expect(weeks.map(({ classes }) => classes)).toEqual([1, 2, 1]);
  expect(weeks[1]).toEqual({ classes: 2, movingSeconds: 1200, hardSeconds: 120, landings: 20, handsSeconds: 60 });
  expect(weekLoads([], ['2026-01-01', '2026-01-08'])).toEqual([{ ...noLoad, classes: 0 }]);
});
