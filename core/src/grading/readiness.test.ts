import { describe, expect, it } from 'vitest';
import type { ChildOnLadder } from '../record/verdict.js';
import type { Grade } from '../syllabus/syllabus.js';
import { anObservation, aRequirement } from '../testing/makers.js';
import { readinessFor } from './readiness.js';

const day = '2026-12-19';
const grade: Grade = {
  id: 'reef',
  slug: 'reef',
  name: 'Reef',
  requirements: [aRequirement(), aRequirement({ sides: 'both', leastSeconds: 5 }, { id: 'r2', movement: 'lever' })],
  leastWeeksInGrade: 8,
  leastClasses: 6,
  leastAgeYears: 7,
  isPutAway: false,
};
const child: ChildOnLadder = { birthDate: '2019-12-19', leadSide: 'left', inGradeSince: '2026-10-24', classesSince: 6 };
const cartwheel = ['2026-11-10', '2026-11-17'].map((seenOn) => anObservation({ movement: 'cartwheel', seenOn }));
const lever = (seenOn: string, side: 'left' | 'right', seconds = 5) =>
  anObservation({ movement: 'lever', side, seenOn, measure: { seconds } });

describe('whether a child is ready for a grading day', () => {
  it('is said of who has shown everything, as it will be on that day', () => {
    const all = [
      ...cartwheel,
      ...(['2026-11-10', '2026-11-17'] as const).flatMap((seenOn) => [lever(seenOn, 'left'), lever(seenOn, 'right')]),
    ];
    expect(readinessFor(grade, all, child, day)).toEqual({ kind: 'earned' });
    // a week before, the weeks in the grade were not over
    expect(readinessFor(grade, all, child, '2026-12-12').kind).toBe('not-yet');
  });

  it('names what the day itself can show: what was seen once, on each side, and is asked twice', () => {
    const once = [...cartwheel, lever('2026-11-17', 'left'), lever('2026-11-17', 'right')];
    expect(readinessFor(grade, once, child, day)).toMatchObject({ kind: 'on-the-day', open: [{ movement: 'lever' }] });
  });

  it('is not said of who would need more than one day, with what is missing', () => {
    const oneSide = [...cartwheel, lever('2026-11-17', 'left')];
    expect(readinessFor(grade, oneSide, child, day)).toMatchObject({
      kind: 'not-yet',
      missing: [{ kind: 'requirement', standing: { requirement: { movement: 'lever' } } }],
    });
    const once = [...cartwheel, lever('2026-11-17', 'left'), lever('2026-11-17', 'right')];
    expect(readinessFor(grade, once, { ...child, classesSince: 5 }, day)).toEqual({
      kind: 'not-yet',
      missing: [{ kind: 'classes', have: 5, need: 6 }],
    });
  });

  it('is never said of a grade that asks for nothing', () => {
    expect(readinessFor({ ...grade, requirements: [] }, [], child, day)).toEqual({ kind: 'not-yet', missing: [] });
  });
});
