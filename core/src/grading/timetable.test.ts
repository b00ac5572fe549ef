import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aRequirement } from '../testing/makers.js';
import { stationOf, stations, visitsOf } from './station.js';
import { bestOrder, earliestEnd, endOf, examinersOf, firstFit, partySizes, routesOf, type Hall, type Party } from './timetable.js';
import { isPossible, timetableModel } from './timetable-model.js';

const hall: Hall = { examiners: 2, perVisit: 1, warmUpSlots: 2, last: null };
const party = (id: number, ...visits: readonly (readonly [(typeof stations)[number], number])[]): Party => ({
  id,
  gradeId: 'reef',
  children: 2,
  visits: visits.map(([station, slots]) => ({ station, slots })),
});

const someParties = fc
  .array(
    fc.uniqueArray(fc.tuple(fc.constantFrom(...stations), fc.integer({ min: 1, max: 3 })), {
      selector: ([name]) => name,
      minLength: 1,
      maxLength: 5,
    }),
    {
      minLength: 1,
      maxLength: 8,
    },
  )
  .map((all) => all.map((visits, id) => party(id + 1, ...visits)));
const someHall = fc.record({
  examiners: fc.integer({ min: 2, max: 5 }),
  perVisit: fc.constantFrom(1, 2),
  warmUpSlots: fc.integer({ min: 1, max: 3 }),
  last: fc.constantFrom(null, 'stretching' as const),
});

describe('parties and what they show', () => {
  it('are as even as can be, and no larger than what is seen together', () => {
    expect([partySizes(7, 3), partySizes(4, 4), partySizes(5, 4), partySizes(0, 2)]).toEqual([[3, 2, 2], [4], [3, 2], []]);
  });

  it('stay at a station as long as what is asked there takes, child after child', () => {
    const asked = [
      { requirement: aRequirement({ leastSeconds: 20, sides: 'both' }), kind: 'strength' as const },
      { requirement: aRequirement(), kind: 'skill' as const },
    ];
    // 20 s to say it, and for each child two sides of 20 s held and 15 s around: 20 + 2 × 70 = 160 s; 20 + 2 × 25 = 70 s
    expect(visitsOf(asked, 2)).toEqual([
      { station: 'skills', minutes: 2 },
      { station: 'strength', minutes: 3 },
    ]);
    expect(stationOf({ requirement: aRequirement(), kind: 'static-stretch' })).toBe('stretching');
    // words are asked where one talks, whatever they are words for
    expect(stationOf({ requirement: aRequirement({ leastCorrect: { correct: 8, of: 10 } }), kind: 'skill' })).toBe('questions');
  });
});

describe('a timetable', () => {
  it('has everybody everywhere once, nobody twice at once, nobody waiting, and what is last, last', () => {
    fc.assert(
      fc.property(someParties, someHall, (parties, there) => {
        const timetable = firstFit(parties, there);
        expect(isPossible(timetable, there)).toBe(true);
        for (const one of parties) {
          const own = timetable.filter((visit) => visit.party === one.id).toSorted((a, b) => a.start - b.start);
          expect(own.map(({ station }) => station).toSorted()).toEqual(one.visits.map(({ station }) => station).toSorted());
          expect(own.slice(1).every(({ start }, index) => start === own[index]?.end)).toBe(true);
          expect((own[0]?.start ?? 0) % there.warmUpSlots).toBe(0);
          if (there.last && own.some(({ station }) => station === there.last)) expect(own.at(-1)?.station).toBe(there.last);
        }
        expect(endOf(timetable)).toBeGreaterThanOrEqual(earliestEnd(parties, there));
      }),
    );
  });

  it('gives every visit its examiners, none at two places at once', () => {
    fc.assert(
      fc.property(someParties, someHall, (parties, there) => {
        const timetable = firstFit(parties, there);
        const looking = examinersOf(timetable, there);
        timetable.forEach((visit, index) => {
          expect(new Set(looking[index]).size).toBe(there.perVisit);
          timetable.forEach((other, at) => {
            if (at === index || other.start >= visit.end || visit.start >= other.end) return;
            expect(looking[at]?.some((examiner) => looking[index]?.includes(examiner))).toBe(false);
          });
        });
      }),
    );
  });

  it('keeps the same eyes at a station where that is possible', () => {
    const parties = [party(1, ['basics', 1], ['skills', 1]), party(2, ['basics', 1], ['skills', 1])];
    const timetable = firstFit(parties, { ...hall, warmUpSlots: 1 });
    const looking = examinersOf(timetable, hall);
    for (const station of ['basics', 'skills']) {
      const own = timetable.flatMap((visit, index) => (visit.station === station ? [looking[index]?.[0]] : []));
      expect(new Set(own).size).toBe(1);
    }
  });

  it('is over no later in the best of many orders than in the one given, and the same each time', () => {
    fc.assert(
      fc.property(someParties, someHall, (parties, there) => {
        const best = bestOrder(parties, there, 20);
        expect(isPossible(best, there)).toBe(true);
        expect(endOf(best)).toBeLessThanOrEqual(endOf(firstFit(parties, there)));
        expect(bestOrder(parties, there, 20)).toEqual(best);
      }),
      { numRuns: 30 },
    );
  });

  it('cannot be over before all is seen, before the busiest station is, and before the longest party is', () => {
    expect(earliestEnd([], hall)).toBe(0);
    expect(earliestEnd([party(1, ['basics', 3]), party(2, ['skills', 2], ['strength', 1])], hall)).toBe(3);
    expect(earliestEnd([party(1, ['basics', 3]), party(2, ['basics', 3])], hall)).toBe(6);
    expect(earliestEnd([party(1, ['basics', 2], ['skills', 2], ['strength', 3])], hall)).toBe(7);
  });

  it('may begin anywhere in either direction, but for what is last', () => {
    const visits = party(1, ['basics', 1], ['skills', 2], ['combinations', 1], ['stretching', 3]).visits;
    const routes = routesOf({ visits }, { last: 'stretching' });
    expect(routes).toHaveLength(6);
    expect(routes.every((route) => route.at(-1)?.station === 'stretching' && route.at(-1)?.to === 7)).toBe(true);
    expect(routesOf({ visits: visits.slice(3) }, { last: 'stretching' })).toHaveLength(1);
  });
});

describe('the model of a timetable', () => {
  it('reads what a solver says only where it is a timetable of all', () => {
    const parties = [party(1, ['basics', 1]), party(2, ['basics', 1]), party(3, ['skills', 2])];
    const model = timetableModel(parties, { ...hall, warmUpSlots: 1 }, 2);
    expect(
      model?.read(
        new Map([
          ['x0_0_0', 1],
          ['x0_0_1', 1],
          ['x1_0_0', 1],
        ]),
      ),
    ).toEqual([
      { party: 1, station: 'basics', start: 0, end: 1 },
      { party: 3, station: 'skills', start: 0, end: 2 },
      { party: 2, station: 'basics', start: 1, end: 2 },
    ]);
    // one is left out; two stand at one station
    expect(
      model?.read(
        new Map([
          ['x0_0_0', 1],
          ['x1_0_0', 1],
        ]),
      ),
    ).toBeNull();
    expect(
      model?.read(
        new Map([
          ['x0_0_0', 2],
          ['x1_0_0', 1],
        ]),
      ),
    ).toBeNull();
    expect(model?.read(new Map())).toBeNull();
  });

  it('is none where somebody cannot be done in time', () => {
    expect(timetableModel([party(1, ['basics', 3])], hall, 2)).toBeNull();
  });
});
