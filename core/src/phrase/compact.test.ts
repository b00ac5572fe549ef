import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aPhrase, quayLight } from '../testing/phrases.js';
import { compacted, leavesAt } from './compact.js';
import { walk } from './walk.js';

const wide = { widthM: 9, lengthM: 9 };

describe('a phrase in a room', () => {
  it('is as it is written where there is room', () => {
    const phrase = aPhrase(quayLight);
    expect(leavesAt(phrase, wide)).toBeNull();
    expect(compacted(phrase, wide)).toMatchObject({ fits: true, phrase, changes: [] });
  });

  it('is left at the row that goes too far: three walks and a leap in two metres', () => {
    const phrase = aPhrase('1 R fwd, 2 L fwd, 3 R fwd, 4 L leap fwd, 5 R close');
    // 0.35 on both sides leave 1.3 m: two steps of 0.55
    expect(leavesAt(phrase, { widthM: 2, lengthM: 2 })).toBe(2);
    expect(leavesAt(phrase, { widthM: 2, lengthM: 2.4 })).toBe(3);
    const small = compacted(phrase, { widthM: 2, lengthM: 2 });
    expect(small).toMatchObject({
      fits: true,
      changes: [
        { kind: 'shorter-steps', stride: 0.65 },
        { kind: 'on-the-spot', rows: [3] },
      ],
    });
  });

  it('takes first what is written for little room', () => {
    const small = compacted(aPhrase(quayLight), { widthM: 2.2, lengthM: 2.2 });
    expect(small.fits && small.changes[0]).toEqual({ kind: 'small-rows' });
    expect(small.fits && small.phrase.rows[0]).toMatchObject({ act: 'step', place: 'place' });
  });

  it('fits the room that it was made for, with the same weights and counts, or says what it needs at its smallest', () => {
    const steps = fc.array(
      fc.record({
        place: fc.constantFrom('fwd', 'back', 'side', 'cross', 'behind', 'close'),
        act: fc.constantFrom('', 'leap', 'touch'),
        turn: fc.constantFrom('', ' turn left 90', ' turn right 180'),
      }),
      { minLength: 1, maxLength: 30 },
    );
    const sizes = fc.double({ min: 0.8, max: 4, noNaN: true });
    fc.assert(
      fc.property(steps, sizes, sizes, (some, widthM, lengthM) => {
        let foot = 'R';
        const text = some
          .map(({ place, act, turn }, index) => {
            const row = `${String((index % 8) + 1)} ${foot} ${act} ${place}${turn}`;
            if (act !== 'touch') foot = foot === 'R' ? 'L' : 'R';
            return row;
          })
          .join(', ');
        const phrase = aPhrase(text);
        const room = { widthM, lengthM };
        const small = compacted(phrase, room);
        if (small.fits) {
          const { footprint, stands } = walk(small.phrase);
          expect(footprint.widthM).toBeLessThanOrEqual(widthM + 1e-6);
          expect(footprint.lengthM).toBeLessThanOrEqual(lengthM + 1e-6);
          expect(stands.map(({ weight, facing }) => [weight, facing])).toEqual(
            walk(phrase).stands.map(({ weight, facing }) => [weight, facing]),
          );
        } else expect(small.needs.widthM > widthM || small.needs.lengthM > lengthM).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});
