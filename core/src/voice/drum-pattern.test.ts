import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { metres, strokesBetween, tappedBpm } from './drum-pattern.js';

describe('a beat of our own', () => {
  it('is the same in one piece and in many: no stroke lost, none twice', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 240 }),
        fc.constantFrom(...metres),
        fc.array(fc.double({ min: 0.01, max: 3, noNaN: true }), { minLength: 1, maxLength: 12 }),
        (bpm, metre, lengths) => {
          let from = 0;
          const pieces = lengths.flatMap((length) => {
            const piece = strokesBetween(bpm, metre, from, from + length);
            from += length;
            return piece;
          });
          expect(pieces).toEqual(strokesBetween(bpm, metre, 0, from));
        },
      ),
    );
  });

  it('has its low drum on one, a tick between the beats, and drifts by nothing in an hour', () => {
    expect(strokesBetween(120, 3, 0, 1.5)).toEqual([
      { at: 0, drum: 'low' },
      { at: 0.25, drum: 'tick' },
      { at: 0.5, drum: 'tick' },
      { at: 0.75, drum: 'tick' },
      { at: 1, drum: 'tick' },
      { at: 1.25, drum: 'tick' },
    ]);
    const last = strokesBetween(132, 4, 3599, 3600).filter(({ drum }) => drum === 'low');
    for (const { at } of last) expect(Math.abs(at / (60 / 132) - Math.round(at / (60 / 132)))).toBeLessThan(1e-6);
    expect(last.length).toBeGreaterThan(0);
  });
});

describe('a tempo that is tapped', () => {
  it('is that of the taps, whatever one of them does; two are too few', () => {
    expect(tappedBpm([0, 500])).toBeNull();
    expect(tappedBpm([0, 500, 1000, 1500])).toBe(120);
    expect(tappedBpm([0, 500, 1000, 1700, 2000, 2500])).toBe(120);
    expect(tappedBpm([0, 452, 911, 1362, 1820])).toBeCloseTo(131.9, 0);
  });
});
