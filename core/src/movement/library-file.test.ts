import { describe, expect, it } from 'vitest';
import { readBeside, readLibrary } from './library-file.js';

const whole = {
  slug: 'cartwheel',
  name: 'Cartwheel',
  kind: 'skill',
  sections: ['skill'],
  plainMeaning: 'Wheel over your hands',
  posture: { from: 'standing', to: 'standing' },
  level: 'standing',
  effort: 4,
  dose: { '7-9': { kind: 'reps', sets: 1, reps: 4, secondsPerRep: 5.5, restSeconds: 0 } },
};
const entry = (said: object): object => ({ ...whole, ...said });
const faultsOf = (...entries: readonly unknown[]): readonly string[] => {
  const result = readLibrary(entries);
  return result.ok ? [] : result.error.map(({ entry, field, kind, found }) => `${entry} ${field} ${kind} ${found}`);
};

describe('reading a library', () => {
  it('fills what a file leaves out', () => {
    const result = readLibrary([whole]);
    expect(result.ok && result.value.get('cartwheel')).toMatchObject({
      name: 'Cartwheel',
      sides: 'none',
      loads: [],
      needs: { surface: 'any-dry' },
      dose: { '4-6': null },
    });
  });

  it('reads an empty file as an empty library', () => {
    expect(readLibrary([])).toMatchObject({ ok: true, value: new Map() });
  });

  it.each<[string, readonly unknown[], string]>([
    ['something that is no entry', [null], '#1  missing an entry'],
    ['a field that is missing', [{ ...whole, plainMeaning: '' }], 'cartwheel plainMeaning missing plainMeaning'],
    ['a field that it does not know', [{ ...whole, colour: 'red' }], 'cartwheel colour unknown-field colour'],
    ['a slug that is none', [{ ...whole, slug: 'Cart Wheel' }], 'Cart Wheel slug not-allowed Cart Wheel'],
    ['a kind that is none', [{ ...whole, kind: 'trick' }], 'cartwheel kind not-allowed trick'],
    ['an effort beyond peak', [{ ...whole, effort: 5 }], 'cartwheel effort not-allowed 5'],
    ['a region that is none', [{ ...whole, prepares: ['elbow'] }], 'cartwheel prepares not-allowed elbow'],
    ['a list that is none', [{ ...whole, hazards: 'inverted' }], 'cartwheel hazards not-allowed inverted'],
    ['a load beyond three', [{ ...whole, loads: [{ region: 'wrists', amount: 4 }] }], 'cartwheel loads.amount not-allowed 4'],
    ['a surface that is none', [{ ...whole, needs: { surface: ['ice'] } }], 'cartwheel needs.surface not-allowed ice'],
    ['a dose of another kind', [{ ...whole, dose: { '7-9': { kind: 'laps' } } }], 'cartwheel dose.7-9 not-allowed {"kind":"laps"}'],
    [
      'a dose with a number missing',
      [{ ...whole, dose: { '7-9': { kind: 'timed' } } }],
      'cartwheel dose.7-9.seconds dose-out-of-range nothing',
    ],
    [
      'a dose that nobody can do',
      [{ ...whole, dose: { '7-9': { kind: 'timed', seconds: 99_999 } } }],
      'cartwheel dose.7-9.seconds dose-out-of-range 99999',
    ],
    ['no dose for any age', [{ ...whole, dose: {} }], 'cartwheel dose missing dose'],
    [
      'a stretch held too long for the age',
      [{ ...whole, kind: 'static-stretch', dose: { '4-6': { kind: 'hold', sets: 1, holdSeconds: 15, restSeconds: 0 } } }],
      'cartwheel dose.4-6 contradiction 15',
    ],
    [
      'two versions in the same words',
      [{ ...whole, tiers: { easier: { what: 'Low wheel', fromGrade: null }, core: { what: 'low wheel ', fromGrade: null } } }],
      'cartwheel tiers contradiction low wheel',
    ],
    [
      'a balance on one leg without sides',
      [{ ...whole, posture: { from: 'standing', through: ['one-leg'], to: 'standing' } }],
      'cartwheel sides contradiction one-leg',
    ],
    ['a figure of a pose that nobody has', [{ ...whole, figure: ['levitate'] }], 'cartwheel figure dangling levitate'],
    [
      'a figure with a word that nobody knows',
      [{ ...whole, figure: ['stand', 'seal looks-up arms-back on-the-moon'] }],
      'cartwheel figure dangling seal looks-up arms-back on-the-moon',
    ],
    [
      'more key poses than twelve',
      [{ ...whole, figure: Array.from({ length: 13 }, () => 'stand') }],
      `cartwheel figure not-allowed ${JSON.stringify(Array.from({ length: 13 }, () => 'stand'))}`,
    ],
    ['a version without words', [{ ...whole, tiers: { easier: {} } }], 'cartwheel tiers.easier.what missing easier'],
    ['a version that is none', [{ ...whole, tiers: { expert: { what: 'x' } } }], 'cartwheel tiers not-allowed expert'],
    ['a term without a meaning', [{ ...whole, term: { text: 'roue' } }], 'cartwheel term.meaning missing roue'],
    ['two entries of one name', [whole, { ...whole, slug: 'wheel' }], 'wheel name twice cartwheel'],
    [
      'a prerequisite that is not there',
      [{ ...whole, prerequisites: [{ movement: 'lever', mark: 'alone' }] }],
      'cartwheel prerequisites dangling lever',
    ],
    ['what it leads to is not there', [{ ...whole, leadsTo: ['round-off'] }], 'cartwheel leadsTo dangling round-off'],
    [
      'a prerequisite with a mark that is none',
      [{ ...whole, prerequisites: [{ movement: 'cartwheel', mark: 'fine' }] }],
      'cartwheel prerequisites.mark not-allowed fine',
    ],
    ['an inverted movement without an alternative', [{ ...whole, hazards: ['inverted'] }], 'cartwheel instead missing inverted'],
    ['a back bend that nothing undoes', [{ ...whole, hazards: ['back-bend'] }], 'cartwheel undoneBy missing back-bend'],
    [
      'weight on hands that no wrist carries',
      [{ ...whole, hazards: ['weight-on-hands'] }],
      'cartwheel loads contradiction weight-on-hands',
    ],
  ])('refuses %s, and says where', (_name, entries, fault) => {
    expect(faultsOf(...entries)).toContain(fault);
  });

  it('refuses prerequisites that go round in a circle', () => {
    const asking = (slug: string, movement: string) => ({ ...whole, slug, name: slug, prerequisites: [{ movement, mark: 'alone' }] });
    expect(faultsOf(asking('a', 'b'), asking('b', 'c'), asking('c', 'a'))).toEqual(['c prerequisites circle a']);
  });

  it('says all that is wrong at once', () => {
    expect(faultsOf({ ...whole, kind: 'trick', level: 'air' }, { ...whole, slug: 'x', name: 'y', effort: -1 })).toHaveLength(3);
  });
});

describe('entries read beside a library', () => {
  const read = (...entries: readonly object[]) => {
    const own = readLibrary([
      entry({ slug: 'one', name: 'One' }),
      entry({ slug: 'two', name: 'Two', prerequisites: [{ movement: 'one', mark: 'alone' }] }),
    ]);
    if (!own.ok) throw new Error(JSON.stringify(own.error));
    return { own: own.value, both: readBeside(own.value, entries) };
  };

  it('are in it, one of the same slug in the place of the other; what was there is the same object', () => {
    const { own, both } = read(entry({ slug: 'two', name: 'Two again' }), entry({ slug: 'three', name: 'Three' }));
    if (!both.ok) throw new Error(JSON.stringify(both.error));
    expect([...both.value.keys()].sort()).toEqual(['one', 'three', 'two']);
    expect(both.value.get('two')?.name).toBe('Two again');
    expect(both.value.get('one')).toBe(own.get('one'));
  });

  it.each([
    ['a name that is there', entry({ slug: 'three', name: 'one' }), 'twice'],
    ['something it rests on that is not there', entry({ slug: 'three', name: 'Three', leadsTo: ['gone'] }), 'dangling'],
    ['a circle through what was there', entry({ slug: 'one', name: 'One', prerequisites: [{ movement: 'two', mark: 'alone' }] }), 'circle'],
    ['a field that nobody knows', entry({ slug: 'three', name: 'Three', colour: 'red' }), 'unknown-field'],
  ])('are refused for %s', (_what, one, kind) => {
    const { both } = read(one);
    expect(both.ok ? [] : both.error.map((fault) => fault.kind)).toContain(kind);
  });
});
