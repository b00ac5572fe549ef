import { criterionDefaults } from '@leiter/core';
import { describe, expect, it } from 'vitest';
import { criterionText } from './criterion-text';
import { householdRows } from '../children/parts/household-text';
import { dateText, dayText, daysAway } from './words';

describe('words', () => {
  it.each([
    [0, 'today'],
    [1, 'tomorrow'],
    [-1, 'yesterday'],
    [5, 'in 5 days'],
    [-5, '5 days ago'],
    [21, 'in 3 weeks'],
    [-20, '2 weeks ago'],
  ])('for %d days are “%s”', (days, words) => {
    expect(daysAway(days)).toBe(words);
  });

  it('for a day are the same day in every zone', () => {
    expect(dayText('2026-03-29')).toBe('Sun 29 Mar');
    expect(dateText('2025-12-31')).toBe('31 Dec 2025');
  });
});

describe('a criterion', () => {
  const plain = { leastMark: 'alone', sides: 'none', faults: [], ...criterionDefaults } as const;

  it.each([
    [plain, 'alone, twice on 2 days'],
    [{ ...plain, sides: 'both', leastSeconds: 5 }, 'alone, both sides, 5 s, twice on 2 days'],
    [{ ...plain, leastMark: 'clean', leastCorrect: { correct: 9, of: 10 }, times: 1, days: 1 }, 'clean, 9 of 10 right, once'],
    [{ ...plain, leastReps: 8, times: 3, days: 1 }, 'alone, 8 times, 3 times on 1 day'],
  ] as const)('reads as one says it (%#)', (criterion, text) => {
    expect(criterionText(criterion)).toBe(text);
  });
});

describe('a household', () => {
  it('reads as rows, with what is missing said', () => {
    const rows = new Map(
      householdRows({
        surface: 'thick-rug',
        clearLengthM: 2,
        clearWidthM: 1.5,
        things: [],
        adult: 'not-at-hand',
        partner: false,
        quietHours: null,
      }),
    );
    expect([...rows.values()]).toEqual(['thick rug', '2.0 × 1.5 m', 'none', 'not at hand', 'no', 'any time']);
  });
});
