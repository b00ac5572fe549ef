import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clockText, timeOfDay } from './clock-text.js';
import { addDays, ageOn, daysBetween, isDay, weekdayOf } from './day.js';

describe('days', () => {
  it.each([
    ['2026-11-25', true],
    ['2024-02-29', true],
    ['2026-02-29', false],
    ['2026-02-30', false],
    ['2026-13-01', false],
    ['2026-1-1', false],
    ['', false],
  ])('%s exists: %s', (text, exists) => {
    expect(isDay(text)).toBe(exists);
  });

  it('are counted over summer time and leap years alike', () => {
    expect(addDays('2026-03-28', 2)).toBe('2026-03-30');
    expect(daysBetween('2024-02-01', '2024-03-01')).toBe(29);
    fc.assert(
      fc.property(fc.integer({ min: -20_000, max: 20_000 }), (count) => {
        const day = addDays('2026-11-25', count);
        expect(daysBetween('2026-11-25', day)).toBe(count);
        expect(weekdayOf(addDays(day, 7))).toBe(weekdayOf(day));
      }),
    );
  });

  it('fall on the weekday of the calendar', () => {
    expect([weekdayOf('2026-11-23'), weekdayOf('2026-11-29')]).toEqual([1, 7]);
  });

  it.each([
    ['2019-11-25', 7],
    ['2019-11-26', 6],
    ['2020-02-29', 6],
  ])('make a child born %s on 25 November 2026 %s years old', (birthDate, years) => {
    expect(ageOn(birthDate, '2026-11-25')).toBe(years);
  });

  it('make a child of 29 February older on 1 March', () => {
    expect([ageOn('2020-02-29', '2027-02-28'), ageOn('2020-02-29', '2027-03-01')]).toEqual([6, 7]);
  });
});

describe('times', () => {
  it.each([
    [0, '0:00'],
    [65, '1:05'],
    [59.6, '1:00'],
    [3599, '59:59'],
    [3661, '1:01:01'],
    [-70, '−1:10'],
    [-0.2, '0:00'],
  ])('%s seconds read %s', (seconds, text) => {
    expect(clockText(seconds)).toBe(text);
  });

  it.each([
    ['16:30', 0, '16:30'],
    ['16:30', 43 * 60 + 59, '17:13'],
    ['23:50', 20 * 60, '00:10'],
    ['00:05', -600, '23:55'],
  ])('%s and %s seconds is %s', (start, seconds, time) => {
    expect(timeOfDay(start, seconds)).toBe(time);
  });
});
