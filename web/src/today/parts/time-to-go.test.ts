import { describe, expect, it } from 'vitest';
import { timeToGo } from './time-to-go';

const lanterns = { day: '2026-11-26', startsAt: '16:30', lengthMinutes: 45 };
const at = (time: string): string | null => timeToGo(lanterns, 'Europe/London', new Date(time));

describe('the time to go', () => {
  it('counts minutes and hours on the day, days before it', () => {
    expect(at('2026-11-26T16:05:00Z')).toBe('in 25 min');
    expect(at('2026-11-26T13:20:30Z')).toBe('in 3 h 10 min');
    expect(at('2026-11-26T14:30:00Z')).toBe('in 2 h');
    expect(at('2026-11-25T20:00:00Z')).toBe('tomorrow');
    expect(at('2026-11-22T23:00:00Z')).toBe('in 4 days');
  });

  it('says where one is in a class that runs, and nothing of one that is over', () => {
    expect(at('2026-11-26T16:30:00Z')).toBe('now, minute 1 of 45');
    expect(at('2026-11-26T16:41:30Z')).toBe('now, minute 12 of 45');
    expect(at('2026-11-26T17:15:00Z')).toBeNull();
  });

  it('goes by the zone of the club, wherever one sits', () => {
    expect(timeToGo(lanterns, 'Europe/Berlin', new Date('2026-11-26T15:05:00Z'))).toBe('in 25 min');
  });

  it('stays right over a change of the clock', () => {
    const sunday = { day: '2026-10-25', startsAt: '10:00', lengthMinutes: 45 };
    // at 01:00 UTC the clocks go back: 10:00 is 10:00 UTC, eleven hours after 00:00 British summer time
    expect(timeToGo(sunday, 'Europe/London', new Date('2026-10-24T23:00:00Z'))).toBe('in 11 h');
  });
});
