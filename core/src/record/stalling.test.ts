import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Grade } from '../syllabus/syllabus.js';
import { anObservation, aRequirement } from '../testing/makers.js';
import { addDays } from '../values/day.js';
import type { ChildToForecast } from './forecast.js';
import type { Observation } from './observation.js';
import { rungsOverTime, stallOf, type Climb } from './stalling.js';
import { standingOf } from './standing.js';

const today = '2026-11-20';
const weeksAgo = (weeks: number): string => addDays(today, -7 * weeks);
const requirements = [aRequirement({}, { id: 'roll', movement: 'roll' }), aRequirement({}, { id: 'bridge', movement: 'bridge' })];
const grade: Grade = {
  id: 'g',
  slug: 'g',
  name: 'G',
  requirements,
  leastWeeksInGrade: 0,
  leastClasses: 0,
  leastAgeYears: 4,
  isPutAway: false,
};
const held = Array.from({ length: 20 }, (_, week) => weeksAgo(week));
const not = (movement: string, weeks: number): Observation => anObservation({ movement, seenOn: weeksAgo(weeks), mark: 'not-yet' });
function child(observations: readonly Observation[], attended: readonly string[] = held, inGradeSince = weeksAgo(20)): ChildToForecast {
  return {
    id: 'noor',
    grade,
    standings: requirements.map((requirement) => standingOf(requirement, observations, { today, leadSide: 'right' })),
    child: { birthDate: '2018-01-01', leadSide: 'right', inGradeSince, classesSince: attended.length },
    attended,
    held: held.length,
  };
}

describe('who stalls, and why', () => {
  it('is who was hardly there, hardly looked at, stuck on one thing, or slow, in this order', () => {
    expect(stallOf(child([], [weeksAgo(1), weeksAgo(6)]), held, today)).toEqual({ kind: 'away', came: 2, held: 8 });
    expect(stallOf(child([not('roll', 2)]), held, today)).toEqual({ kind: 'unlooked', looks: 1, came: 8 });
    const stuck = stallOf(child([not('roll', 1), not('roll', 2), not('roll', 3), not('bridge', 2)]), held, today);
    expect(stuck).toMatchObject({ kind: 'stuck', looks: 3, requirement: { movement: 'roll' } });
    expect(stallOf(child([not('roll', 1), not('bridge', 2)]), held, today)).toEqual({ kind: 'slow', looks: 2 });
  });

  it('is nobody who showed something lately, begins its grade, has all of it, or whose group had no class', () => {
    expect(stallOf(child([anObservation({ movement: 'roll', seenOn: weeksAgo(7) })]), held, today)).toBeNull();
    expect(stallOf(child([], held, weeksAgo(5)), held, today)).toBeNull();
    const all = ['roll', 'bridge'].flatMap((movement) => [15, 14].map((weeks) => anObservation({ movement, seenOn: weeksAgo(weeks) })));
    expect(stallOf(child(all), held, today)).toBeNull();
    expect(stallOf(child([]), [weeksAgo(12)], today)).toBeNull();
  });
});

describe('children by grade over time', () => {
  it('counts each where it stood, from the day it came to the day it left', () => {
    const children: readonly Climb[] = [
      {
        joinedOn: '2026-09-01',
        leftOn: null,
        climbed: [
          { rung: 1, on: '2026-10-01' },
          { rung: 2, on: '2026-11-01' },
        ],
      },
      { joinedOn: '2026-10-01', leftOn: '2026-11-01', climbed: [] },
    ];
    expect(rungsOverTime(children, 2, ['2026-08-31', '2026-09-30', '2026-10-01', '2026-11-01'])).toEqual([
      [0, 0, 0],
      [1, 0, 0],
      [1, 1, 0],
      [0, 0, 1],
    ]);
  });

  it('never loses or doubles a child', () => {
    const day = fc.integer({ min: 0, max: 60 }).map((count) => addDays('2026-09-01', count));
    const climb = fc.record({
      joinedOn: day,
      leftOn: fc.option(day),
      climbed: fc.array(fc.record({ rung: fc.integer({ min: 1, max: 5 }), on: day })),
    });
    fc.assert(
      fc.property(fc.array(climb), day, (children, at) => {
        const [counts = []] = rungsOverTime(children, 4, [at]);
        const there = children.filter(({ joinedOn, leftOn }) => joinedOn <= at && (leftOn === null || at < leftOn));
        expect(counts.reduce((sum, one) => sum + one, 0)).toBe(there.length);
      }),
    );
  });
});
