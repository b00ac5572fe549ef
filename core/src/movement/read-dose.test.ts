import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { withUneven, type Dose } from './dose.js';
import { readDose, writeDose } from './read-dose.js';

const reps: Dose = { kind: 'reps', sets: 2, reps: 6, secondsPerRep: 2.5, restSeconds: 12 };
const hold: Dose = { kind: 'hold', sets: 2, holdSeconds: 10, restSeconds: 6 };

describe('a dose as one writes it', () => {
  it.each<readonly [string, Dose | null, Dose | null]>([
    ['3x8', reps, { ...reps, sets: 3, reps: 8 }],
    ['3 × 8', null, { kind: 'reps', sets: 3, reps: 8, secondsPerRep: 3, restSeconds: 10 }],
    ['8 times', reps, { ...reps, sets: 1, reps: 8 }],
    ['2x20s', hold, { ...hold, holdSeconds: 20 }],
    ['Hold 15 s', hold, { ...hold, sets: 1, holdSeconds: 15 }],
    ['45 s', reps, { kind: 'timed', seconds: 45 }],
    ['4 min', null, { kind: 'timed', seconds: 240 }],
    ['1,5 min', null, { kind: 'timed', seconds: 90 }],
    ['1:30', null, { kind: 'timed', seconds: 90 }],
    ['8x8 @ 96', null, { kind: 'counts', eights: 8, bpm: 96, repeats: 1, countIn: 8 }],
    ['16x3 @ 120', null, { kind: 'counts', eights: 16, beats: 3, bpm: 120, repeats: 1, countIn: 8 }],
    ['8x8 @ 96 learn 2 @ 80', null, { kind: 'counts', eights: 8, bpm: 96, repeats: 1, countIn: 8, learnBpm: 80, learnTimes: 2 }],
    ['8x8 @ 96, learn @ 80', null, { kind: 'counts', eights: 8, bpm: 96, repeats: 1, countIn: 8, learnBpm: 80 }],
    ['10/30/60s', hold, { ...hold, sets: 3, holdSeconds: 60, uneven: [10, 30, 60] }],
    ['5/10 times', reps, { ...reps, sets: 2, reps: 10, uneven: [5, 10] }],
    ['5 slow/10 fast', reps, { ...reps, sets: 2, reps: 10, uneven: [5, 10], tempos: [5, 1.3] }],
    ['5 at 4s, 10 at 1,5 s', reps, { ...reps, sets: 2, reps: 10, uneven: [5, 10], tempos: [4, 1.5] }],
    ['3x8', { ...reps, uneven: [5, 10], tempos: [4, 1] }, { ...reps, sets: 3, reps: 8 }],
    ['5 at 900s/10 at 1s', reps, null],
    ['5 slow', reps, null],
    ['3x8', { ...reps, uneven: [2, 6] }, { ...reps, sets: 3, reps: 8 }],
    [
      '4 lengths of 5 m, back backwards',
      null,
      { kind: 'lengths', lengths: 4, metres: 5, secondsPerMetre: 1.5, restSeconds: 2, back: 'backwards' },
    ],
    [
      '2 lengths of 2,5m back the other side',
      null,
      { kind: 'lengths', lengths: 2, metres: 2.5, secondsPerMetre: 1.5, restSeconds: 2, back: 'other-side' },
    ],
    ['10/9000s', hold, null],
    ['4 lengths of 500 m', null, null],
    ['a lot', reps, null],
    ['', reps, null],
    ['-3x8', reps, null],
    ['0x8', reps, null],
    ['3x99999', reps, null],
    ['8x8 @ 900', null, null],
    ['2.5x8', reps, null],
  ])('“%s” is read', (text, like, dose) => {
    expect(readDose(text, like)).toEqual(dose);
  });

  it('is read as it was written', () => {
    const any: fc.Arbitrary<Dose> = fc.oneof(
      fc.record({
        kind: fc.constant('reps' as const),
        sets: fc.integer({ min: 1, max: 9 }),
        reps: fc.integer({ min: 1, max: 50 }),
        secondsPerRep: fc.constant(2),
        restSeconds: fc.constant(5),
      }),
      fc.record({
        kind: fc.constant('hold' as const),
        sets: fc.integer({ min: 1, max: 9 }),
        holdSeconds: fc.integer({ min: 1, max: 60 }),
        restSeconds: fc.constant(5),
      }),
      fc.record({ kind: fc.constant('timed' as const), seconds: fc.integer({ min: 1, max: 600 }) }),
      fc.record({
        kind: fc.constant('counts' as const),
        eights: fc.integer({ min: 1, max: 32 }),
        bpm: fc.integer({ min: 60, max: 160 }),
        repeats: fc.constant(1),
        countIn: fc.constant(8),
      }),
      fc.record({
        kind: fc.constant('counts' as const),
        eights: fc.integer({ min: 1, max: 32 }),
        bpm: fc.integer({ min: 60, max: 160 }),
        repeats: fc.constant(1),
        countIn: fc.constant(8),
        beats: fc.constantFrom(3, 6),
        learnBpm: fc.integer({ min: 40, max: 120 }),
        learnTimes: fc.integer({ min: 2, max: 9 }),
      }),
      fc
        .array(fc.integer({ min: 1, max: 60 }), { minLength: 2, maxLength: 12 })
        .chain((uneven) =>
          fc.constantFrom<Dose>(withUneven({ ...hold, kind: 'hold' }, uneven), withUneven({ ...reps, kind: 'reps' }, uneven)),
        ),
      fc.record({
        kind: fc.constant('lengths' as const),
        lengths: fc.integer({ min: 1, max: 60 }),
        metres: fc.integer({ min: 1, max: 60 }).map((halves) => halves / 2),
        secondsPerMetre: fc.constant(2),
        restSeconds: fc.constant(1),
        back: fc.constantFrom('same' as const, 'backwards' as const, 'other-side' as const),
      }),
    );
    fc.assert(
      fc.property(any, (dose) => {
        expect(readDose(writeDose(dose), dose)).toEqual(dose);
      }),
    );
  });
});
