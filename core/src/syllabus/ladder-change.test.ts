import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isChange, ladderLines, nextLadder, type LadderVersion } from './ladder-change.js';
import type { WrittenGrade } from './syllabus-file.js';

const rung = (slug: string, movements: readonly string[] = ['lever'], more: Partial<WrittenGrade> = {}): WrittenGrade => ({
  slug,
  name: slug,
  leastWeeksInGrade: 8,
  leastClasses: 6,
  leastAgeYears: 7,
  requirements: movements.map((movement) => ({ movement, criterion: {} })),
  ...more,
});
const ladder = (...grades: readonly WrittenGrade[]): LadderVersion => nextLadder(null, { grades });
const told = (before: LadderVersion, ...grades: readonly WrittenGrade[]) =>
  ladderLines(before, nextLadder(before, { grades }))
    .filter(isChange)
    .map(({ grade, movement, what, fields }) => [grade, movement ?? '', what, fields.join()].filter((part) => part !== '').join(' '));

describe('the next version of a ladder', () => {
  const before = ladder(rung('one'), rung('two', ['lever', 'cartwheel']), rung('three'));

  it('tells nothing where nothing is different, defaults written out or not', () => {
    const written = rung('one', [], {
      requirements: [{ movement: 'lever', criterion: { faults: [], times: 2, leastMark: 'alone' } }],
    });
    expect(told(before, written, rung('two', ['lever', 'cartwheel']), rung('three'))).toEqual([]);
  });

  it('puts a grade that is left out away, at its place, and tells nothing of it the next time', () => {
    const after = nextLadder(before, { grades: [rung('one'), rung('three')] });
    expect(after.grades.map(({ slug, isPutAway }) => `${slug} ${String(isPutAway)}`)).toEqual(['one false', 'two true', 'three false']);
    expect(told(before, rung('one'), rung('three'))).toEqual(['two put-away']);
    expect(told(after, rung('one'), rung('three'))).toEqual([]);
  });

  it('puts the first grade away before what follows it', () => {
    expect(nextLadder(before, { grades: [rung('two'), rung('three')] }).grades[0]).toMatchObject({ slug: 'one', isPutAway: true });
  });

  it('puts back what is asked again', () => {
    const after = nextLadder(before, { grades: [rung('one'), rung('three')] });
    expect(told(after, rung('one'), rung('two', ['lever', 'cartwheel']), rung('three'))).toContain('two put-back');
  });

  it('tells a requirement that is added, changed and left out', () => {
    const changed = rung('two', [], {
      requirements: [
        { movement: 'lever', criterion: { leastSeconds: 5, leastMark: 'clean' } },
        { movement: 'handstand', criterion: {} },
      ],
    });
    expect(told(before, rung('one'), changed, rung('three'))).toEqual([
      'two lever changed leastMark,leastSeconds',
      'two cartwheel put-away',
      'two handstand added',
    ]);
  });

  it('tells only the one that moved when one moves past others', () => {
    expect(told(before, rung('two', ['lever', 'cartwheel']), rung('three'), rung('one'))).toEqual(['one changed place']);
    expect(told(before, rung('one'), rung('two', ['cartwheel', 'lever']), rung('three'))).toHaveLength(1);
  });

  it('tells a grade that is new and one whose numbers change', () => {
    expect(told(before, rung('one'), rung('half'), rung('two', ['lever', 'cartwheel'], { leastClasses: 9 }), rung('three'))).toEqual([
      'half added',
      'half lever added',
      'two changed leastClasses',
    ]);
  });

  it('never drops a grade, and taken over once more changes nothing', () => {
    const someLadder = fc
      .uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e'), { minLength: 0, maxLength: 5 })
      .map((slugs) => slugs.map((slug) => rung(slug)));
    fc.assert(
      fc.property(someLadder, someLadder, (first, second) => {
        const start = nextLadder(null, { grades: first });
        const after = nextLadder(start, { grades: second });
        expect(new Set(after.grades.map(({ slug }) => slug))).toEqual(new Set([...first, ...second].map(({ slug }) => slug)));
        expect(after.grades.filter(({ isPutAway }) => !isPutAway).map(({ slug }) => slug)).toEqual(second.map(({ slug }) => slug));
        expect(ladderLines(after, nextLadder(after, { grades: second })).filter(isChange)).toEqual([]);
      }),
    );
  });
});
