import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aPhrase, quayLight } from '../testing/phrases.js';
import { buildUp } from './build-up.js';

const phrase = aPhrase(`${quayLight}\n# Third eight\n1 R fwd, 2 L fwd, 3 R fwd, 4 L fwd, 5-8 both sink`);
const total = (steps: ReturnType<typeof buildUp>['steps']): number =>
  steps.reduce((sum, { pauseSeconds, danceSeconds }) => sum + pauseSeconds + danceSeconds, 0);

describe('building a phrase up', () => {
  it('goes from slow words to the other side and alone, joined to what is known', () => {
    const { steps } = buildUp(phrase, { new: [1], known: [0] }, true, Infinity);
    expect(steps.map(({ way, segments, bpm }) => `${way} ${segments.join('+')} ${String(bpm)}`)).toEqual([
      'words 1 63',
      'from-behind 1 84',
      'join 0+1 84',
      'counts 0+1 84',
      'full 0+1 108',
      'other-side 0+1 84',
      'other-full 0+1 108',
      'groups 0+1 108',
      'alone 0+1 108',
    ]);
    // two eights and an eight to count in, at 63: 24 counts, twice the new eight
    expect(steps[0]?.danceSeconds).toBeCloseTo((24 * 60) / 63, 9);
  });

  it('of nothing new is done at its tempo; of nothing at all there is none', () => {
    expect(buildUp(phrase, { new: [], known: [0, 1, 2] }, false, 60).steps.map(({ way }) => way)).not.toContain('words');
    expect(buildUp(phrase, { new: [9], known: [-1, 0.5] }, true, 600).steps).toEqual([]);
  });

  it('is about nine minutes for sixteen new counts to both sides', () => {
    const { usualSeconds } = buildUp(aPhrase(quayLight), { new: [0, 1], known: [] }, true, Infinity);
    expect(usualSeconds / 60).toBeGreaterThan(4);
    expect(usualSeconds / 60).toBeLessThan(9);
  });

  it('takes exactly the time it is given, does what matters most first, and is none where not even that fits', () => {
    const some = fc.subarray([0, 1, 2]);
    fc.assert(
      fc.property(some, some, fc.boolean(), fc.double({ min: 5, max: 1500, noNaN: true }), (fresh, known, hasBothSides, seconds) => {
        const { steps, leastSeconds } = buildUp(phrase, { new: fresh, known }, hasBothSides, seconds);
        if (fresh.length + known.length === 0 || seconds < leastSeconds) {
          expect(steps).toEqual([]);
          return;
        }
        expect(total(steps)).toBeCloseTo(seconds, 6);
        const ways = steps.map(({ way }) => way);
        expect(ways).toContain('full');
        if (fresh.length > 0) expect(ways[0]).toBe('words');
        expect(ways.some((way) => way.startsWith('other'))).toBe(hasBothSides);
        for (const { passes, pauseSeconds } of steps) {
          expect(passes).toBeGreaterThan(0);
          expect(pauseSeconds).toBeGreaterThanOrEqual(8 - 1e-9);
        }
      }),
    );
  });
});
