import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ageBandOf } from './age-band.js';
import {
  activeSecondsOf,
  doseFaults,
  doseLimits,
  numbersOf,
  restSecondsOf,
  sameDose,
  shownSecondsOf,
  stepDose,
  withUneven,
  type Dose,
} from './dose.js';
import { doseText } from './dose-text.js';
import { sidesText } from './sides.js';

const reps: Dose = { kind: 'reps', sets: 3, reps: 8, secondsPerRep: 2, restSeconds: 10 };
const hold: Dose = { kind: 'hold', sets: 2, holdSeconds: 20, restSeconds: 5 };
const timed: Dose = { kind: 'timed', seconds: 240 };
const counts: Dose = { kind: 'counts', eights: 8, bpm: 96, repeats: 2, countIn: 8 };
const waltz: Dose = { kind: 'counts', eights: 16, beats: 3, bpm: 120, repeats: 1, countIn: 3, learnBpm: 60, learnTimes: 2 };
const lengths: Dose = { kind: 'lengths', lengths: 4, metres: 5, secondsPerMetre: 1.5, restSeconds: 3, back: 'backwards' };
const ladder: Dose = { kind: 'hold', sets: 3, holdSeconds: 60, restSeconds: 20, uneven: [10, 30, 60] };
const fivesAndTens: Dose = { kind: 'reps', sets: 2, reps: 10, secondsPerRep: 2, restSeconds: 10, uneven: [5, 10] };

describe('a dose', () => {
  it.each<[Dose, number, number, string]>([
    [reps, 48, 20, '3 × 8'],
    [{ ...reps, sets: 1 }, 16, 0, '8 times'],
    [hold, 40, 5, '2 × 20 s'],
    [{ ...hold, sets: 1 }, 20, 0, 'hold 20 s'],
    [timed, 240, 0, '4:00'],
    [{ kind: 'timed', seconds: 45 }, 45, 0, '45 s'],
    [counts, 80, 5, '8 × 8 at 96, 2 times'],
    [{ ...counts, repeats: 1, countIn: 0 }, 40, 0, '8 × 8 at 96'],
    // 48 counts: once at 120 a minute, twice at 60; a count-in of three before each tempo
    [waltz, 24 + 96, 4.5, '16 × 3 at 120, first 2 times at 60'],
    [lengths, 30, 9, '4 lengths of 5 m, back backwards'],
    [ladder, 100, 40, 'hold 10, 30, 60 s'],
    [fivesAndTens, 30, 10, '5, 10 times'],
  ])('%j works %s s, rests %s s and reads %s', (dose, active, rest, text) => {
    expect([activeSecondsOf(dose), restSecondsOf(dose), doseText(dose)]).toEqual([active, rest, text]);
  });

  it.each<[Dose, Dose]>([
    [reps, { ...reps, reps: 9 }],
    [hold, { ...hold, holdSeconds: 25 }],
    [timed, { kind: 'timed', seconds: 255 }],
    [counts, { ...counts, eights: 9 }],
    [lengths, { ...lengths, lengths: 5 }],
    [ladder, { ...ladder, holdSeconds: 65, uneven: [15, 35, 65] }],
    [fivesAndTens, { ...fivesAndTens, reps: 11, uneven: [6, 11] }],
  ])('%j is made larger by a step, and back', (dose, larger) => {
    expect(stepDose(dose, 'more')).toEqual(larger);
    expect(sameDose(stepDose(larger, 'less'), dose)).toBe(true);
  });

  it('stays within what one can do, whatever is pressed', () => {
    const presses = fc.array(fc.constantFrom('more' as const, 'less' as const), { maxLength: 400 });
    fc.assert(
      fc.property(fc.constantFrom(reps, hold, timed, counts, waltz, lengths, ladder, fivesAndTens), presses, (dose, keys) => {
        expect(doseFaults(keys.reduce(stepDose, dose))).toEqual([]);
      }),
    );
  });

  it.each(Object.keys(doseLimits) as (keyof typeof doseLimits)[])('is refused beyond the limits of %s, and taken at them', (name) => {
    const dose = [reps, hold, timed, counts, waltz, lengths].find((one) => numbersOf(one).some(([number]) => number === name));
    const { least, most } = doseLimits[name];
    const faultsAt = (value: number): readonly string[] => doseFaults({ ...dose, [name]: value } as Dose); // a dose of the same kind
    expect([faultsAt(least), faultsAt(most)]).toEqual([[], []]);
    for (const wrong of [least - 0.1, most + 0.1, Number.NaN, Number.POSITIVE_INFINITY]) expect(faultsAt(wrong)).toEqual([name]);
  });

  it.each<[string, Dose]>([
    ['one set alone', { ...ladder, sets: 1, uneven: [60] }],
    ['another number of sets', { ...ladder, sets: 2 }],
    ['another longest one', { ...ladder, holdSeconds: 30 }],
    ['a hold of nothing', { ...ladder, uneven: [0, 30, 60] }],
    ['no list', { ...ladder, uneven: 'three' } as unknown as Dose],
  ])('of uneven sets is refused with %s', (_what, dose) => {
    expect(doseFaults(dose)).toEqual(['holdSeconds']);
  });

  it('is refused where nobody can say what the way back is', () => {
    expect(doseFaults({ ...lengths, back: 'upside down' } as unknown as Dose)).toEqual(['lengths']);
  });

  it('is not the same as one of another kind or with another rest', () => {
    expect(sameDose(reps, hold)).toBe(false);
    expect(sameDose(reps, { ...reps, restSeconds: 11 })).toBe(false);
    expect(sameDose(ladder, { ...ladder, uneven: [10, 30, 60] })).toBe(true);
    expect(sameDose(ladder, { ...ladder, uneven: [10, 40, 60] })).toBe(false);
    expect(sameDose(waltz, { ...waltz, learnTimes: 1 })).toBe(false);
  });
});

it.each([
  ['none', ''],
  ['both', 'both sides'],
  ['left', 'left only'],
  ['lead', 'lead side'],
] as const)('sides %s are said: %s', (sides, text) => {
  expect(sidesText(sides)).toBe(text);
});

it.each([
  [3, '4-6'],
  [6.9, '4-6'],
  [7, '7-9'],
  [9.9, '7-9'],
  [10, '10-13'],
  [16, '10-13'],
])('%s years belong to %s', (years, band) => {
  expect(ageBandOf(years)).toBe(band);
});

describe('sets of their own tempo', () => {
  const dose = { kind: 'reps', sets: 2, reps: 10, secondsPerRep: 2, restSeconds: 10, uneven: [5, 10], tempos: [4, 1] } as const;

  it('take what each of them takes, and are shown as the first is', () => {
    expect([activeSecondsOf(dose), shownSecondsOf(dose), restSecondsOf(dose)]).toEqual([30, 20, 10]);
    expect(doseText(dose)).toBe('5 at 4 s, 10 at 1 s');
  });

  it('grow with their reps and keep their tempos; with another number of sets they have none', () => {
    expect(stepDose(dose, 'more')).toMatchObject({ uneven: [6, 11], tempos: [4, 1] });
    expect(withUneven(dose, [3, 4, 5])).not.toHaveProperty('tempos');
  });

  it('are one for each set, and such as somebody can do', () => {
    expect(doseFaults(dose)).toEqual([]);
    for (const tempos of [[4], [4, 0], [4, 1, 2], 'fast'])
      expect(doseFaults({ ...dose, tempos } as unknown as Dose)).toEqual(['secondsPerRep']);
    const { uneven: _sets, ...even } = dose;
    expect(doseFaults(even)).toEqual(['secondsPerRep']);
    expect(sameDose(dose, { ...dose, tempos: [4, 1] })).toBe(true);
    expect(sameDose(dose, { ...dose, tempos: [4, 2] })).toBe(false);
  });
});
