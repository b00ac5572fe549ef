import { describe, expect, it } from 'vitest';
import { softSurfaces, unsaidIn, unsignable } from './careful.js';
import { readLibrary } from './library-file.js';
import { openMovement } from './movement-document.js';

const dose = { '7-9': { kind: 'reps', sets: 1, reps: 4, secondsPerRep: 5, restSeconds: 0 } };
const entry = (slug: string, said: object = {}) => ({
  slug,
  name: slug,
  kind: 'skill',
  sections: ['skill'],
  plainMeaning: 'Something',
  posture: { from: 'standing', to: 'standing' },
  level: 'standing',
  effort: 3,
  dose,
  ...said,
});
const stopping = [{ slug: 'arms-bend', name: 'Arms bend', fix: 'Push', stops: true }];
const soft = { surface: ['mat'], adult: 'at-hand' };
/** Something upside down that a coach would sign. */
const wheel = (slug: string, said: object = {}) =>
  entry(slug, { hazards: ['inverted'], instead: 'walk', needs: soft, faults: stopping, leastAge: 7, homeTask: 'with-adult', ...said });
const walk = entry('walk', { leastAge: 4, homeTask: 'yes', needs: { surface: 'any-dry', adult: 'none' } });

function read(...entries: readonly object[]) {
  const library = readLibrary(entries);
  if (!library.ok) throw new Error(JSON.stringify(library.error));
  return library.value;
}

describe('what a file leaves unsaid', () => {
  it('is filled on the careful side, and named', () => {
    const bare = entry('wheel', { hazards: ['inverted'], instead: 'walk' });
    expect(unsaidIn(bare)).toEqual(['leastAge', 'homeTask', 'needs.surface', 'needs.adult']);
    const filled = read(walk, bare).get('wheel');
    expect(filled).toMatchObject({ leastAge: 7, homeTask: 'with-adult', needs: { surface: softSurfaces, adult: 'at-hand' } });
    expect(read(entry('game')).get('game')).toMatchObject({ homeTask: 'with-adult', needs: { surface: 'any-dry', adult: 'none' } });
    expect(unsaidIn(walk)).toEqual([]);
  });

  it('of an easier version is what the core asks: nobody gets it just because nothing was said', () => {
    const asking = { prerequisites: [{ movement: 'walk', mark: 'alone' }], tiers: { easier: { what: 'Half of it', fromGrade: null } } };
    const before = wheel('wheel', asking);
    expect(unsaidIn(before)).toEqual(['tiers.easier.prerequisites']);
    expect(read(walk, before).get('wheel')?.tiers.easier?.prerequisites).toEqual(asking.prerequisites);
    // what a club stored before is opened the same way
    const kept = openMovement({ v: 1, ...before });
    expect(kept.ok && kept.value.tiers.easier?.prerequisites).toEqual(asking.prerequisites);
    const said = wheel('wheel', { ...asking, tiers: { easier: { what: 'Half of it', fromGrade: null, prerequisites: [] } } });
    expect(read(walk, said).get('wheel')?.tiers.easier?.prerequisites).toEqual([]);
  });

  it('of a stage is the last one, so that who was marked on it passes', () => {
    const stages = [
      { name: 'Low', see: 'Low' },
      { name: 'Long', see: 'Long' },
    ];
    const library = read(
      walk,
      wheel('wheel', { stages }),
      wheel('step-in', { prerequisites: [{ movement: 'wheel', mark: 'alone' }] }),
      wheel('one-hand', { prerequisites: [{ movement: 'wheel', stage: 1, mark: 'alone' }] }),
    );
    expect(library.get('step-in')?.prerequisites).toEqual([{ movement: 'wheel', stage: 2, mark: 'alone' }]);
    expect(library.get('one-hand')?.prerequisites[0]?.stage).toBe(1);
  });
});

describe('what a coach would not sign', () => {
  const found = (...entries: readonly object[]): readonly string[] => {
    const library = read(...entries);
    return unsignable([...library.values()], library).map(({ entry: slug, field, found: what }) => `${slug} ${field}: ${what}`);
  };
  const easier = (prerequisites: readonly object[]) => ({
    prerequisites: [{ movement: 'walk', mark: 'alone' }],
    tiers: { easier: { what: 'Half', fromGrade: null, prerequisites } },
  });

  it('is nothing in entries that are said with care', () => {
    expect(found(walk, wheel('wheel', easier([{ movement: 'walk', mark: 'alone' }])))).toEqual([]);
  });

  it.each<[string, object, string]>([
    ['upside down on any floor', { needs: { surface: 'any-dry', adult: 'at-hand' } }, 'wheel needs.surface: wood, tiles, concrete'],
    [
      'a hard landing on wood',
      { hazards: ['hard-landing'], needs: { surface: ['mat', 'wood'], adult: 'none' } },
      'wheel needs.surface: wood',
    ],
    ['an easier version of something risky for anybody', easier([]), 'wheel tiers.easier.prerequisites: Half'],
    ['no fault at which one stops where the head is down', { faults: [{ ...stopping[0], stops: false }] }, 'wheel faults.stops: stops'],
    [
      'no such fault where the hands carry much',
      { hazards: ['weight-on-hands'], loads: [{ region: 'wrists', amount: 2 }], faults: [] },
      'wheel faults.stops: stops',
    ],
    [
      'a skill that loads the knees without one',
      { hazards: [], loads: [{ region: 'knees', amount: 2 }], faults: [] },
      'wheel faults.stops: stops',
    ],
    ['younger than what it rests on', { leastAge: 3, prerequisites: [{ movement: 'walk', mark: 'alone' }] }, 'wheel leastAge: walk 4'],
  ])('is %s', (_what, said, expected) => {
    expect(found(walk, wheel('wheel', said))).toContain(expected);
  });

  it('is more risk with less care than what leads to it', () => {
    const lead = wheel('lead', { leadsTo: ['wheel'] });
    expect(found(walk, lead, wheel('wheel', { needs: { surface: ['mat', 'grass'], adult: 'none' } }))).toEqual([
      'wheel needs.surface: lead',
      'wheel needs.adult: lead',
    ]);
    // where it no longer has that risk it may be done anywhere
    expect(found(walk, lead, wheel('wheel', { hazards: [], needs: { surface: 'any-dry', adult: 'none' } }))).toEqual([]);
  });
});
