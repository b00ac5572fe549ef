import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Dose } from '../movement/dose.js';
import { anItem } from '../testing/makers.js';
import type { ItemTeaching } from './item-teaching.js';
import { readTeaching, writeTeaching } from './read-teaching.js';
import { ways } from './way.js';

const like = anItem('kick', { dose: { kind: 'reps', sets: 1, reps: 4, secondsPerRep: 2, restSeconds: 10 } });
const three: Dose = { kind: 'reps', sets: 3, reps: 8, secondsPerRep: 2, restSeconds: 10 };

describe('a dose with its teaching', () => {
  it.each<[string, Dose, ItemTeaching]>([
    ['3x8', three, {}],
    ['3x8 flow', three, { way: 'flow' }],
    ['3 x 8, watch', three, { way: 'watch' }],
    ['3x8 talk 90s', three, { explainSeconds: 90 }],
    ['10/30/60s watch', { kind: 'hold', sets: 3, holdSeconds: 60, restSeconds: 5, uneven: [10, 30, 60] }, { way: 'watch' }],
    ['talk 2 min', like.dose, { explainSeconds: 120 }],
    ['teach', like.dose, { way: 'teach' }],
    [
      '4 min follow talk 1,5 min in turns camera',
      { kind: 'timed', seconds: 240 },
      { way: 'follow', explainSeconds: 90, takesTurns: true, isCameraMoved: true },
    ],
    ['6 min new 2 known 1+3', { kind: 'timed', seconds: 360 }, { parts: { new: [1], known: [0, 2] } }],
    ['3x8 camera, talk 20 s, flow', three, { way: 'flow', explainSeconds: 20, isCameraMoved: true }],
  ])('reads “%s”', (text, dose, teaching) => {
    expect(readTeaching(text, like)).toEqual({ dose, teaching });
  });

  it.each(['', 'flowing', '3x8 glide', '3x8 talk', '3x8 talk 40 min', 'talk', '99x99 flow', '6 min new 0', '6 min new 41'])(
    'does not take “%s” for one',
    (text) => {
      expect(readTeaching(text, like)).toBeNull();
    },
  );

  it('leaves what is built before it', () => {
    const build = { what: 'a ring', seconds: 20 };
    expect(readTeaching('3x8 flow', { ...like, build })?.teaching).toEqual({ way: 'flow', build });
  });

  it('is written as it is read', () => {
    const teaching: fc.Arbitrary<ItemTeaching> = fc.record(
      {
        way: fc.constantFrom(...ways),
        explainSeconds: fc.integer({ min: 0, max: 900 }),
        takesTurns: fc.constant(true),
        isCameraMoved: fc.constant(true),
        parts: fc.constantFrom({ new: [1], known: [] }, { new: [], known: [0, 2] }, { new: [3], known: [0, 1] }),
      },
      { requiredKeys: [] },
    );
    fc.assert(
      fc.property(teaching, (said) => {
        expect(readTeaching(writeTeaching({ dose: three, ...said }), like)).toEqual({ dose: three, teaching: said });
      }),
    );
  });
});
