import { describe, expect, it } from 'vitest';
import { aMovement } from '@leiter/core/testing';
import { wholeCriterion, type LadderGrade, type LadderVersion } from '@leiter/core';
import { movedTo, withGrade, withMovement, withNewGrade, withoutGrade, withoutRequirement } from './ladder-draft';

const grade = (slug: string, movements: readonly string[] = []): LadderGrade => ({
  slug,
  name: slug,
  leastWeeksInGrade: 10,
  leastClasses: 8,
  leastAgeYears: 6,
  isPutAway: false,
  requirements: movements.map((movement) => ({ movement, stage: null, criterion: wholeCriterion({}), isPutAway: false })),
});
const stored: LadderVersion = { grades: [grade('one', ['lever']), grade('two')] };

describe('a ladder that is being changed', () => {
  it.each([
    [0, 2, 'bca'],
    [2, 0, 'cab'],
    [1, 1, 'abc'],
    [0, 3, 'abc'],
    [0, -1, 'abc'],
  ])('moves %i to %i: %s', (from, to, expected) => {
    expect(movedTo(['a', 'b', 'c'], from, to).join('')).toBe(expected);
  });

  it('takes a new grade above the chosen one, with its numbers and a name of its own', () => {
    const { ladder, slug } = withNewGrade(stored, 'one');
    expect(ladder.grades.map((one) => one.slug)).toEqual(['one', slug, 'two']);
    expect(ladder.grades[1]).toMatchObject({ leastWeeksInGrade: 10, leastAgeYears: 6, requirements: [] });
    const again = withNewGrade(ladder, null);
    expect(new Set(again.ladder.grades.map(({ name }) => name)).size).toBe(4);
    expect(again.ladder.grades.at(-1)?.slug).toBe(again.slug);
  });

  it('starts an empty ladder', () => {
    expect(withNewGrade({ grades: [] }, null).ladder.grades).toHaveLength(1);
  });

  it('puts away what was stored and drops what was not', () => {
    const { ladder, slug } = withNewGrade(stored, 'one');
    expect(withoutGrade(ladder, slug, stored).grades.map((one) => one.slug)).toEqual(['one', 'two']);
    expect(withoutGrade(ladder, 'one', stored).grades[0]).toMatchObject({ slug: 'one', isPutAway: true });
    const [first = grade('')] = stored.grades;
    const more = withMovement(first, aMovement('cartwheel', { sides: 'each' }));
    expect(more.requirements[1]?.criterion.sides).toBe('both');
    expect(withoutRequirement(more, 1, stored).requirements).toHaveLength(1);
    expect(withoutRequirement(more, 0, stored).requirements[0]).toMatchObject({ movement: 'lever', isPutAway: true });
  });

  it('asks again for what was put away instead of asking twice', () => {
    const [first = grade('')] = stored.grades;
    const away = withoutRequirement(first, 0, stored);
    expect(withMovement(away, aMovement('lever')).requirements).toEqual(first.requirements);
    expect(withGrade(stored, 'two', (one) => withMovement(one, aMovement('lever'))).grades[1]?.requirements).toHaveLength(1);
  });
});
