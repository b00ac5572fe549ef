import { expect, it } from 'vitest';
import { aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';
import { bodyAt } from './body-at.js';

const library = aLibrary(
  aMovement('shake', { prepares: ['wrists'] }),
  aMovement('plank', {
    kind: 'strength',
    effort: 2,
    hazards: ['weight-on-hands'],
    loads: [
      { region: 'wrists', amount: 2 },
      { region: 'core', amount: 3 },
      { region: 'shoulders', amount: 1 },
    ],
  }),
);
const at = (seconds: number) =>
  bodyAt(
    evaluated(aPlan({ drills: [anItem('shake'), anItem('jog', { dose: { kind: 'timed', seconds } }), anItem('plank')] }), library).timeline,
    'plank',
  );

it('says what an item loads, since when it is ready, and whether the body is warm', () => {
  expect(at(120)).toEqual({
    effort: 2,
    movedSeconds: 120,
    isWarm: true,
    // the jog, with going there and naming it
    loads: [
      { region: 'wrists', preparedSecondsAgo: 125 },
      { region: 'core', preparedSecondsAgo: null },
    ],
    prepares: [],
    onHandsSeconds: 60,
  });
});

it('counts a region as ready for fifteen minutes, to the second', () => {
  expect(at(895)?.loads[0]?.preparedSecondsAgo).toBe(900);
  expect(at(896)?.loads[0]?.preparedSecondsAgo).toBeNull();
  expect(at(119)?.isWarm).toBe(false);
});

it('knows nothing of an item that is not there', () => {
  expect(bodyAt(evaluated(aPlan({ drills: [] }), library).timeline, 'plank')).toBeNull();
});
