import { describe, expect, it } from 'vitest';
import { forecastShort, forecastWords } from './forecast-words';

const span = (from: string, to: string) => ({ kind: 'span', from, middle: from, to, hangsOn: null }) as const;

describe('when a grade will likely be earned, in words', () => {
  it('is by parts of months while it is near, by months when it is far, never a day', () => {
    expect(forecastWords(span('2026-12-08', '2027-01-12'), '2026-12-01')).toBe('likely between early December and mid-January');
    expect(forecastWords(span('2027-02-21', '2027-02-28'), '2026-12-01')).toBe('likely in late February');
    expect(forecastWords(span('2027-02-15', '2027-06-12'), '2026-12-01')).toBe('likely between February and June');
  });

  it('names the year where a month alone could be this one', () => {
    expect(forecastWords(span('2027-02-15', '2027-11-12'), '2026-12-01')).toBe('likely between February and November 2027');
    expect(forecastShort(span('2027-02-15', '2027-04-12'), '2026-12-01')).toBe('Feb – Apr');
    expect(forecastShort(span('2027-02-15', '2027-02-27'), '2026-12-01')).toBe('Feb');
  });

  it('says where nothing can be said', () => {
    expect(forecastWords({ kind: 'too-little' }, '2026-12-01')).toBe('too little seen to say when');
    expect(forecastWords({ kind: 'far' }, '2026-12-01')).toBe('not within two years at this pace');
  });
});
