import type { TaughtClass, TaughtItem } from '@leiter/contract';
import { aLibrary } from '@leiter/core/testing';
import { describe, expect, it } from 'vitest';
import { excessOf, peakOf, sectionMeans, taughtEffort, totalOf, usualEffort } from './taught';

const item = (section: TaughtItem['section'], plannedSeconds: number, realSeconds: number, movement = 'jog'): TaughtItem => ({
  itemId: `${section}-${movement}`,
  section,
  movement,
  plannedSeconds,
  realSeconds,
});
const taught = (classId: string, ...items: readonly TaughtItem[]): TaughtClass => ({
  classId,
  day: '2026-11-02',
  lengthMinutes: 45,
  items,
  visits: [],
});

describe('classes that were taught', () => {
  it('say how much longer they took than planned', () => {
    const total = totalOf([item('warm-up', 100, 120), item('skill', 300, 320)]);
    expect(total).toEqual({ plannedSeconds: 400, realSeconds: 440 });
    expect(excessOf(total)).toBeCloseTo(0.1, 10);
    expect(excessOf({ plannedSeconds: 0, realSeconds: 30 })).toBe(0);
  });

  it('give the mean of a section over those classes that had it', () => {
    const means = sectionMeans([
      taught('a', item('warm-up', 100, 120), item('warm-up', 60, 60, 'stretch'), item('skill', 300, 360)),
      taught('b', item('warm-up', 200, 200)),
    ]);
    expect(means).toEqual([
      { section: 'warm-up', classes: 2, plannedSeconds: 180, realSeconds: 190 },
      { section: 'skill', classes: 1, plannedSeconds: 300, realSeconds: 360 },
    ]);
    expect(sectionMeans([])).toEqual([]);
  });

  it('have the effort of what was really done, as long as it was done', () => {
    const curve = taughtEffort(
      [item('warm-up', 60, 300, 'breathe'), item('skill', 60, 300, 'jog'), item('skill', 9, 60, 'gone')],
      aLibrary(),
    );
    expect(curve.values).toHaveLength(67);
    expect(peakOf(curve)).toEqual({ effort: 3, minute: 6 });
    expect(peakOf(taughtEffort([], aLibrary()))).toBeNull();
  });
});

describe('the usual effort', () => {
  const curve = (...values: readonly number[]) => ({ stepSeconds: 10, values });

  it('is between the quartiles, for as long as half of the classes go on', () => {
    const classes = [curve(0, 4, 1), curve(1, 2, 2), curve(2, 3), curve(3, 1), curve(4, 0)];
    expect(usualEffort(classes)).toEqual([
      { seconds: 0, low: 1, high: 3 },
      { seconds: 10, low: 1, high: 3 },
    ]);
    expect(usualEffort([curve(1, 3), curve(2, 3)])[0]).toEqual({ seconds: 0, low: 1.25, high: 1.75 });
  });

  it('is nothing without classes, and the class itself of one', () => {
    expect(usualEffort([])).toEqual([]);
    expect(usualEffort([curve()])).toEqual([]);
    expect(usualEffort([curve(2)])).toEqual([{ seconds: 0, low: 2, high: 2 }]);
  });
});
