import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { marks } from '../movement/movement.js';
import { aMovement } from '../testing/makers.js';
import { castOf, castSettings } from './cast.js';
import { debriefOf } from './debrief.js';
import { recordOf, shownOf, tiredFrom } from './shown.js';

const faults = ['knees-bend', 'back-rounds', 'looks-down'].map((slug) => ({ slug, name: slug, fix: 'Mend it.', stops: false }));
const wheel = aMovement('wheel', { faults });
const names = Array.from({ length: 12 }, (_, index) => `child-${String(index)}`);

describe('the cast of a rehearsal', () => {
  it('is every child with a picture of its own; one goes out of it, another stops, both within the class', () => {
    fc.assert(
      fc.property(fc.integer(), fc.integer({ min: 2, max: 24 }), fc.integer({ min: 900, max: 5400 }), (seed, count, total) => {
        const children = Array.from({ length: count }, (_, index) => `c${String(index)}`);
        const { actors, incidents } = castOf(children, total, seed);
        expect(actors.map(({ child }) => child)).toEqual(children);
        for (const { delaySeconds, distance } of actors) {
          expect(delaySeconds).toBeGreaterThanOrEqual(castSettings.delay.least);
          expect(delaySeconds).toBeLessThanOrEqual(castSettings.delay.most);
          expect(distance).toBeGreaterThanOrEqual(castSettings.distance.least);
        }
        expect(incidents.map(({ kind }) => kind).toSorted()).toEqual(['off-screen', 'stops']);
        expect(new Set(incidents.map(({ child }) => child)).size).toBe(2);
        for (const { from, until } of incidents) {
          expect(from).toBeGreaterThanOrEqual(total * 0.2);
          expect(until).toBeGreaterThan(from);
          expect(until).toBeLessThanOrEqual(total);
        }
        expect(castOf(children, total, seed)).toEqual({ actors, incidents });
      }),
    );
    expect(castOf([], 1800, 1)).toEqual({ actors: [], incidents: [] });
    expect(castOf(['alone'], 1800, 1).incidents.map(({ kind }) => kind)).toEqual(['off-screen']);
  });

  it('is cut at the knees in some of the pictures, and whole in most', () => {
    const cuts = Array.from({ length: 100 }, (_, seed) => castOf(names, 1800, seed).actors.map(({ cut }) => cut)).flat();
    const share = (cut: string): number => cuts.filter((one) => one === cut).length / cuts.length;
    expect(share('knees')).toBeCloseTo(1 / castSettings.cutAtKnees, 1);
    expect(share('nothing')).toBeGreaterThan(0.5);
  });
});

describe('what a child shows', () => {
  it('is what its record says, before it tires; toward the end at most a rung less, never more', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...marks),
        fc.constantFrom(...names),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer(),
        (record, child, share, seed) => {
          const shown = shownOf(child, wheel, record, share, seed);
          const less = marks.indexOf(record) - marks.indexOf(shown.mark);
          expect(less).toBeGreaterThanOrEqual(0);
          expect(less).toBeLessThanOrEqual(share < tiredFrom ? 0 : 1);
          for (const fault of shown.faults) expect(faults.map(({ slug }) => slug)).toContain(fault);
          expect(shown.faults.length).toBe(
            shown.mark === 'clean' ? 0 : shown.mark === 'alone' ? shown.faults.length : shown.mark === 'with-help' ? 1 : 2,
          );
          if (shown.mark === 'alone') expect(shown.faults.length).toBeLessThanOrEqual(1);
        },
      ),
    );
  });

  it('has faults of its own: the same all along, not those of everybody', () => {
    const of = (child: string, share: number) => shownOf(child, wheel, 'with-help', share, 7).faults;
    for (const child of names) expect(of(child, 0.1)).toEqual(of(child, 0.6));
    expect(new Set(names.flatMap((child) => of(child, 0.1))).size).toBeGreaterThan(1);
  });

  it('tires in about half of them by the end', () => {
    const tired = Array.from({ length: 400 }, (_, seed) => shownOf('kaia', wheel, 'alone', 1, seed).mark === 'with-help').filter(
      Boolean,
    ).length;
    expect(tired / 400).toBeGreaterThan(0.4);
    expect(tired / 400).toBeLessThan(0.6);
  });

  it('is read from the stage that is asked, else from the best of any', () => {
    const known = [
      { movement: 'wheel', stage: 1, mark: 'clean' },
      { movement: 'wheel', stage: 2, mark: 'with-help' },
      { movement: 'bridge', stage: null, mark: 'alone' },
    ] as const;
    expect([
      recordOf(known, 'wheel', 2),
      recordOf(known, 'wheel', null),
      recordOf(known, 'bridge', 3),
      recordOf(known, 'roll', null),
    ]).toEqual(['with-help', 'clean', 'alone', null]);
  });
});

describe('the debrief', () => {
  const performances = [
    { child: 'a', movement: 'wheel', mark: 'alone', faults: ['knees-bend'] },
    { child: 'b', movement: 'wheel', mark: 'with-help', faults: ['back-rounds'] },
    { child: 'c', movement: 'wheel', mark: 'clean', faults: [] },
    { child: 'd', movement: 'wheel', mark: 'not-yet', faults: ['knees-bend', 'looks-down'] },
  ] as const;
  const given = [
    { child: 'a', movement: 'wheel', mark: 'clean', faults: [] },
    { child: 'a', movement: 'wheel', mark: 'alone', faults: ['knees-bend'] }, // thought better of
    { child: 'b', movement: 'wheel', mark: 'clean', faults: [] },
    { child: 'c', movement: 'wheel', mark: 'alone', faults: ['looks-down'] },
    { child: 'c', movement: 'roll', mark: 'alone', faults: [] }, // nobody showed it
  ] as const;
  const looks = [
    { child: 'a', second: 10 },
    { child: 'a', second: 115 },
    { child: 'b', second: 300 },
    { child: 'c', second: 20 },
  ];
  const incidents = [
    { child: 'a', kind: 'off-screen', from: 100, until: 150 },
    { child: 'b', kind: 'stops', from: 200, until: 240 },
    { child: 'd', kind: 'stops', from: 900, until: 940 },
  ] as const;
  const debrief = debriefOf({ children: ['a', 'b', 'c', 'd'], performances, given, looks, incidents, until: 600 });

  it('counts who was looked at, and says who was not', () => {
    expect(debrief.looks.map(({ child, count }) => `${child}${String(count)}`)).toEqual(['a2', 'b1', 'c1', 'd0']);
    expect(debrief.notLookedAt).toEqual(['d']);
  });

  it('sets the last mark of each beside what was shown; each that was shown is in one of four', () => {
    const of = (list: readonly { readonly child: string }[]): string => list.map(({ child }) => child).join('');
    expect([debrief.agreed, debrief.kinder, debrief.stricter, debrief.unmarked].map(of)).toEqual(['a', 'b', 'c', 'd']);
  });

  it('says which faults were seen, missed, and none, of what was marked', () => {
    const of = (list: typeof debrief.faultsSeen): readonly string[] => list.map(({ child, fault }) => `${child} ${fault}`);
    expect([of(debrief.faultsSeen), of(debrief.faultsMissed), of(debrief.faultsThatWereNone)]).toEqual([
      ['a knees-bend'],
      ['b back-rounds'],
      ['c looks-down'],
    ]);
  });

  it('says how soon what happened was noticed, and leaves out what was still to come', () => {
    expect(debrief.incidents.map(({ child, noticedAfter }) => [child, noticedAfter])).toEqual([
      ['a', 15],
      ['b', null],
    ]);
  });
});
