import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../values/day.js';
import { marks, type Mark } from '../movement/movement.js';
import type { Criterion } from '../syllabus/syllabus.js';
import { anObservation, aRequirement } from '../testing/makers.js';
import { currentObservations, type Observation } from './observation.js';
import { standingOf, type StandingName } from './standing.js';

const today = '2026-11-25';
const seen = (mark: Mark, daysAgo: number, said: Partial<Observation> = {}): Observation =>
  anObservation({ mark, seenOn: addDays(today, -daysAgo), ...said });
const nameOf = (criterion: Partial<Criterion>, observations: readonly Observation[], leadSide: 'left' | 'right' = 'right'): StandingName =>
  standingOf(aRequirement(criterion), observations, { today, leadSide }).name;

describe('the standing of a child in a requirement', () => {
  it.each<[string, readonly Observation[], StandingName]>([
    ['nothing was seen', [], 'unseen'],
    ['it did not work yet', [seen('not-yet', 1)], 'not-yet'],
    ['the best of the last three was with help', [seen('with-help', 9), seen('not-yet', 8), seen('not-yet', 7)], 'with-help'],
    [
      'what was better lies further back than three',
      [seen('with-help', 9), seen('not-yet', 3), seen('not-yet', 2), seen('not-yet', 1)],
      'not-yet',
    ],
    ['it was shown once', [seen('alone', 1)], 'shown'],
    ['it was shown twice on one day', [seen('alone', 1), seen('clean', 1)], 'shown'],
    ['it was shown twice on two days', [seen('alone', 8), seen('alone', 1)], 'met'],
    ['the newest falls short', [seen('alone', 9), seen('alone', 8), seen('with-help', 1)], 'shown'],
    ['it was last seen ten weeks ago', [seen('alone', 77), seen('alone', 70)], 'met'],
    ['it was last seen more than ten weeks ago', [seen('alone', 78), seen('alone', 71)], 'fading'],
    ['one of the two times lies beyond 26 weeks', [seen('alone', 183), seen('alone', 1)], 'shown'],
    ['the first lies 26 weeks back to the day', [seen('alone', 182), seen('alone', 1)], 'met'],
    ['it was seen tomorrow', [seen('alone', 8), seen('alone', -1)], 'shown'],
  ])('when %s', (_name, observations, name) => {
    expect(nameOf({}, observations)).toBe(name);
  });

  it('looks at this movement and this stage alone', () => {
    const others = [
      seen('alone', 8, { movement: 'roll' }),
      seen('alone', 1, { movement: 'roll' }),
      seen('alone', 8, { stage: 2 }),
      seen('alone', 1, { stage: 2 }),
    ];
    expect(nameOf({}, others)).toBe('unseen');
  });

  it('asks for both sides where both are asked, and one observation may tell of both', () => {
    const left = [seen('alone', 8, { side: 'left' }), seen('alone', 1, { side: 'left' })];
    expect(nameOf({ sides: 'both' }, left)).toBe('shown');
    expect(nameOf({ sides: 'both' }, [...left, seen('with-help', 1, { side: 'right' })])).toBe('with-help');
    expect(nameOf({ sides: 'both' }, [...left, seen('alone', 8, { side: 'right' }), seen('alone', 1, { side: 'right' })])).toBe('met');
    expect(nameOf({ sides: 'both' }, [seen('alone', 8, { side: 'both' }), seen('alone', 1, { side: 'both' })])).toBe('met');
  });

  it('asks for the lead side alone where that is asked', () => {
    const left = [seen('alone', 8, { side: 'left' }), seen('alone', 1, { side: 'left' })];
    expect(nameOf({ sides: 'lead' }, left, 'left')).toBe('met');
    expect(nameOf({ sides: 'lead' }, left, 'right')).toBe('unseen');
  });

  it.each<[string, Partial<Criterion>, Observation['measure'], StandingName]>([
    ['held long enough', { leastSeconds: 10 }, { seconds: 10 }, 'met'],
    ['not held long enough', { leastSeconds: 10 }, { seconds: 9 }, 'with-help'],
    ['done often enough', { leastReps: 3 }, { reps: 3 }, 'met'],
    ['known well enough', { leastCorrect: { correct: 8, of: 10 } }, { correct: 4, of: 5 }, 'met'],
    ['not known well enough', { leastCorrect: { correct: 8, of: 10 } }, { correct: 7, of: 10 }, 'with-help'],
    ['not measured', { leastSeconds: 10 }, {}, 'with-help'],
  ])('weighs what was measured: %s', (_name, criterion, measure, name) => {
    expect(nameOf(criterion, [seen('alone', 8, { measure }), seen('alone', 1, { measure })])).toBe(name);
  });

  it('is not undone by a good mark that was not measured', () => {
    const held = { measure: { seconds: 12 } };
    expect(nameOf({ leastSeconds: 10 }, [seen('alone', 9, held), seen('alone', 8, held), seen('alone', 1)])).toBe('met');
  });

  it.each<[string, Partial<Observation>, StandingName]>([
    ['clean', { mark: 'clean' }, 'met'],
    ['alone', { mark: 'alone' }, 'with-help'],
    ['alone, with a fault that does not matter here', { mark: 'alone', faults: ['steps'] }, 'met'],
    ['called clean, with the fault that matters', { mark: 'clean', faults: ['bent-arms'] }, 'with-help'],
  ])('where clean is asked: %s', (_name, said, name) => {
    const both = [seen('alone', 8, said), seen('alone', 1, said)];
    expect(nameOf({ leastMark: 'clean', faults: ['bent-arms'] }, both)).toBe(name);
  });

  it('says what it rests on, newest first, and how long ago that was', () => {
    const old = seen('alone', 8);
    const recent = seen('alone', 3);
    const standing = standingOf(aRequirement(), [old, recent], { today, leadSide: 'right' });
    expect(standing.sides[0]).toMatchObject({ times: 2, days: 2, bestMark: 'alone', evidence: [recent, old] });
    expect(standing.unseenForDays).toBe(3);
  });

  const some = fc.array(
    fc.record({
      mark: fc.constantFrom(...marks),
      daysAgo: fc.integer({ min: 0, max: 250 }),
      side: fc.constantFrom('left' as const, 'right' as const, 'both' as const),
    }),
    { maxLength: 12 },
  );

  it('does not depend on the order of storage, nor on a mark that was sent twice', () => {
    fc.assert(
      fc.property(some, (list) => {
        const observations = list.map(({ mark, daysAgo, side }) => seen(mark, daysAgo, { side }));
        const once = standingOf(aRequirement({ sides: 'both' }), observations, { today, leadSide: 'left' });
        const twice = standingOf(aRequirement({ sides: 'both' }), [...observations, ...observations].reverse(), {
          today,
          leadSide: 'left',
        });
        expect(twice).toEqual(once);
      }),
    );
  });

  it('never gets worse by one more mark that is good enough', () => {
    const order: readonly StandingName[] = ['unseen', 'not-yet', 'with-help', 'shown', 'fading', 'met'];
    fc.assert(
      fc.property(some, (list) => {
        const observations = list.map(({ mark, daysAgo }) => seen(mark, daysAgo));
        const before = order.indexOf(nameOf({}, observations));
        const later = seen('clean', 0, { recordedAt: '2026-11-25T23:59:59.000Z', id: 'zz' });
        expect(order.indexOf(nameOf({}, [...observations, later]))).toBeGreaterThanOrEqual(Math.min(before, order.indexOf('shown')));
      }),
    );
  });
});

describe('observations that count', () => {
  it('leave out what was corrected, also twice', () => {
    const first = seen('not-yet', 1);
    const second = seen('alone', 1, { supersedes: first.id });
    const third = seen('clean', 1, { supersedes: second.id });
    expect(currentObservations([third, first, second])).toEqual([third]);
  });

  it('come oldest first: by day, then by when they were given', () => {
    const late = seen('alone', 1, { recordedAt: '2026-11-24T18:00:00.000Z' });
    const early = seen('alone', 1, { recordedAt: '2026-11-24T16:00:00.000Z' });
    const old = seen('alone', 5, { recordedAt: '2026-11-25T09:00:00.000Z' });
    expect(currentObservations([late, early, old])).toEqual([old, early, late]);
  });
});
