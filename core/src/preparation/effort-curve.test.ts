import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Effort } from '../movement/effort.js';
import { aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';

const library = aLibrary(...([0, 1, 2, 3, 4] as const).map((effort) => aMovement(`e${String(effort)}`, { effort })));
const curveOf = (items: readonly (readonly [Effort, number])[]) =>
  evaluated(
    aPlan({
      drills: items.map(([effort, seconds], index) =>
        anItem(`e${String(effort)}`, { id: String(index), dose: { kind: 'timed', seconds } }),
      ),
    }),
    library,
  );

describe('the effort of a class', () => {
  it('has no curve when nothing is planned', () => {
    expect(curveOf([]).effort.values).toEqual([]);
  });

  it('is what is done, at every ten seconds to the end', () => {
    const { effort, timeline } = curveOf([[3, 596]]);
    expect(timeline.totalSeconds).toBe(600);
    expect(effort.values).toHaveLength(61);
    expect(new Set(effort.values)).toEqual(new Set([3]));
  });

  it('is smoothed over the minute around: half way at the change', () => {
    const { effort, timeline } = curveOf([
      [1, 296],
      [4, 295],
    ]);
    const change = timeline.items[1]?.startSecond ?? 0;
    expect(change).toBe(300);
    expect([270, 300, 330].map((second) => effort.values[second / 10])).toEqual([1, 2.5, 4]);
  });

  it('never leaves what the items ask, and has the mean of the class within a minute of it', () => {
    const item = fc.tuple(fc.constantFrom<Effort>(0, 1, 2, 3, 4), fc.integer({ min: 5, max: 400 }));
    fc.assert(
      fc.property(fc.array(item, { minLength: 1, maxLength: 20 }), (items) => {
        const { effort } = curveOf(items);
        const efforts = items.map(([one]) => one);
        for (const value of effort.values) {
          expect(value).toBeGreaterThanOrEqual(Math.min(...efforts) - 1e-9);
          expect(value).toBeLessThanOrEqual(Math.max(...efforts) + 1e-9);
        }
      }),
    );
  });
});
