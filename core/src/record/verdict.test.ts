import { describe, expect, it } from 'vitest';
import { gradeAbove, type Grade, type Syllabus } from '../syllabus/syllabus.js';
import { anObservation, aRequirement } from '../testing/makers.js';
import { verdictOn, type ChildOnLadder } from './verdict.js';

const today = '2026-11-25';
const grade: Grade = {
  id: 'reef',
  slug: 'reef',
  name: 'Reef',
  requirements: [aRequirement(), aRequirement({ sides: 'both' }, { id: 'r2', movement: 'lever' })],
  leastWeeksInGrade: 8,
  leastClasses: 6,
  leastAgeYears: 7,
  isPutAway: false,
};
const child: ChildOnLadder = { birthDate: '2019-11-25', leadSide: 'left', inGradeSince: '2026-09-30', classesSince: 6 };
const shown = (movement: string, side: 'none' | 'both' = 'none') =>
  ['2026-11-10', '2026-11-17'].map((seenOn) => anObservation({ movement, side, seenOn }));
const all = [...shown('cartwheel'), ...shown('lever', 'both')];
const missingOf = (said: Partial<ChildOnLadder>, observations = all): readonly string[] =>
  verdictOn(grade, observations, { ...child, ...said }, today).missing.map(({ kind }) => kind);

describe('the verdict on a grade', () => {
  it('is earned when everything was shown and time, classes and age are reached to the day', () => {
    expect(verdictOn(grade, all, child, today)).toMatchObject({ earned: true, metCount: 2, missing: [] });
  });

  it.each<[Partial<ChildOnLadder>, string, number, number]>([
    [{ inGradeSince: '2026-10-01' }, 'weeks-in-grade', 7, 8],
    [{ classesSince: 5 }, 'classes', 5, 6],
    [{ birthDate: '2019-11-26' }, 'age', 6, 7],
  ])('says what is missing besides the movements: %j', (said, kind, have, need) => {
    expect(verdictOn(grade, all, { ...child, ...said }, today)).toMatchObject({ earned: false, missing: [{ kind, have, need }] });
  });

  it('names every requirement that is not met, and everything else that is missing, at once', () => {
    expect(missingOf({ classesSince: 0 }, [])).toEqual(['requirement', 'requirement', 'classes']);
    expect(verdictOn(grade, shown('cartwheel'), child, today).missing).toMatchObject([
      { kind: 'requirement', standing: { name: 'unseen', requirement: { movement: 'lever' } } },
    ]);
  });

  it('counts a fading requirement as met', () => {
    const faded = ['2026-08-20', '2026-08-27'].map((seenOn) => anObservation({ seenOn }));
    expect(verdictOn(grade, [...faded, ...shown('lever', 'both')], child, today)).toMatchObject({ earned: true, metCount: 2 });
  });

  it('never gives a grade that asks for nothing', () => {
    expect(verdictOn({ ...grade, requirements: [] }, [], child, today).earned).toBe(false);
  });
});

describe('the grade above', () => {
  const rung = (slug: string, isPutAway = false): Grade => ({ ...grade, id: `id of ${slug}`, slug, isPutAway });
  const syllabus: Syllabus = {
    programme: 'gymnastics',
    version: 1,
    grades: [rung('bight'), rung('reef'), rung('old', true), rung('clove')],
  };

  it.each([
    [[], 'bight'],
    [['bight'], 'reef'],
    [['bight', 'reef'], 'clove'],
    [['old'], 'clove'],
    [['reef', 'bight'], 'clove'],
    [['clove'], undefined],
    [['of another ladder'], undefined],
  ])('of %j is %s', (earned, next) => {
    expect(gradeAbove(syllabus, earned)?.slug).toBe(next);
  });

  it('of a ladder without rungs is none', () => {
    expect(gradeAbove({ ...syllabus, grades: [] }, [])).toBeNull();
  });
});
