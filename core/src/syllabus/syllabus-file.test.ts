import { describe, expect, it } from 'vitest';
import { aLibrary, aMovement } from '../testing/makers.js';
import { syllabusFaults, syllabusHints, type WrittenGrade, type WrittenRequirement } from './syllabus-file.js';

const faults = [{ slug: 'bent-arms', name: 'Bent arms', fix: 'x', stops: false }];
const stages = [
  { name: 'One', see: 'x' },
  { name: 'Two', see: 'y' },
];
const library = aLibrary(
  aMovement('lever'),
  aMovement('cartwheel', { sides: 'each', stages, faults, prerequisites: [{ movement: 'lever', mark: 'alone' }] }),
);
const asks = (movement: string, said: Partial<WrittenRequirement> = {}): WrittenRequirement => ({ movement, criterion: {}, ...said });
const cartwheel = (said: Partial<WrittenRequirement> = {}): WrittenRequirement =>
  asks('cartwheel', { criterion: { sides: 'both' }, ...said });
const grade = (slug: string, requirements: readonly WrittenRequirement[], said: Partial<WrittenGrade> = {}): WrittenGrade => ({
  slug,
  name: slug,
  leastWeeksInGrade: 6,
  leastClasses: 5,
  leastAgeYears: 5,
  requirements,
  ...said,
});
const found = (...grades: readonly WrittenGrade[]) =>
  syllabusFaults({ programme: 'gymnastics', grades }, library).map((one) => `${one.grade} ${one.movement} ${one.kind} ${one.found}`);

describe('a ladder', () => {
  it('that rests on what is below has nothing wrong with it', () => {
    expect(found(grade('first', [asks('lever')]), grade('second', [cartwheel({ stage: 2 })]))).toEqual([]);
  });

  it.each<readonly [string, readonly WrittenGrade[], string]>([
    ['a movement nobody has', [grade('first', [asks('levitate')])], 'first levitate movement-unknown levitate'],
    ['a stage that is not there', [grade('first', [asks('lever'), cartwheel({ stage: 3 })])], 'first cartwheel stage-unknown 3'],
    [
      'a fault that is not there',
      [grade('first', [asks('lever'), cartwheel({ criterion: { sides: 'both', faults: ['loose'] } })])],
      'first cartwheel fault-unknown loose',
    ],
    [
      'no sides for a movement with sides',
      [grade('first', [asks('lever'), cartwheel({ criterion: {} })])],
      'first cartwheel sides-missing none',
    ],
    [
      'both sides of a movement without',
      [grade('first', [asks('lever', { criterion: { sides: 'both' } })])],
      'first lever sides-of-none both',
    ],
    ['one thing twice in a grade', [grade('first', [asks('lever'), asks('lever')])], 'first lever asked-twice lever 0'],
    [
      'one name for two grades',
      [grade('first', [asks('lever')]), grade('second', [asks('lever')], { name: 'First' })],
      'second  grade-twice first',
    ],
    ['a grade that asks nothing', [grade('first', [])], 'first  nothing-asked first'],
    [
      'a least age that falls',
      [grade('first', [asks('lever')], { leastAgeYears: 7 }), grade('second', [asks('lever')], { leastAgeYears: 6 })],
      'second  age-falls 6',
    ],
    [
      'a number nobody can do',
      [grade('first', [asks('lever', { criterion: { leastSeconds: 9999 } })])],
      'first lever number-out-of-range leastSeconds 9999',
    ],
    [
      'more right than asked',
      [grade('first', [asks('lever', { criterion: { leastCorrect: { correct: 5, of: 4 } } })])],
      'first lever number-out-of-range 5 of 4',
    ],
    [
      'weeks below nothing',
      [grade('first', [asks('lever')], { leastWeeksInGrade: -1 })],
      'first  number-out-of-range leastWeeksInGrade -1',
    ],
  ])('with %s says where', (_what, grades, words) => {
    expect(found(...grades)).toContain(words);
  });

  it('with a requirement whose beginnings nobody asked for says so, as something to look at', () => {
    const [only] = syllabusFaults({ programme: 'gymnastics', grades: [grade('first', [cartwheel()])] }, library);
    expect(only).toEqual({ grade: 'first', movement: 'cartwheel', kind: 'rests-on-nothing', found: 'lever' });
    expect(only && syllabusHints.has(only.kind)).toBe(true);
  });
});
