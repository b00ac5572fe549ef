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
    evaluated(aPlan({ drills: [anItem('shake'), anItem('jog', { dose: { kind: 'timed', seconds } }), anItem('plank')] }), library),
    'plank',
  );

it('says what an item loads, since when it is ready, and whether the body is warm', () => {
  expect(at(120)).toEqual({
    effort: 2,
    warmShare: 1,
    isWarm: true,
    isCooled: false,
    // the jog, with going there and naming it
    loads: [
      { region: 'wrists', preparedSecondsAgo: 125 },
      // the trunk carries whoever runs
      { region: 'core', preparedSecondsAgo: 0 },
    ],
    prepares: [],
    onHandsSeconds: 60,
  });
});

it('counts a region as ready for fifteen minutes, to the second', () => {
  expect(at(895)?.loads[0]?.preparedSecondsAgo).toBe(900);
  expect(at(896)?.loads[0]?.preparedSecondsAgo).toBeNull();
});

it('counts effort times seconds on the way to warm, a gentle effort half', () => {
  // a minute of shaking at effort 1 is 30, a second of the jog 3
  expect([at(70)?.isWarm, at(69)?.isWarm]).toEqual([true, false]);
  expect(at(45)?.warmShare).toBeCloseTo((30 + 135) / 240, 9);
});

it('keeps a region ready as long as it is in use', () => {
  const used = (between: string) =>
    bodyAt(
      evaluated(
        aPlan({
          drills: [
            anItem('shake'),
            anItem('jog', { dose: { kind: 'timed', seconds: 600 } }),
            anItem(between, { id: 'between' }),
            anItem('jog', { id: 'jog-2', dose: { kind: 'timed', seconds: 600 } }),
            anItem('plank'),
          ],
        }),
        aLibrary(...library.values(), aMovement('lean', { loads: [{ region: 'wrists', amount: 1 }] })),
      ),
      'plank',
    )?.loads[0]?.preparedSecondsAgo;
  expect(used('breathe')).toBeNull();
  expect(used('lean')).toBe(605);
});

it('cools off in three minutes of standing or gentle moving, and is warm again after half a minute', () => {
  const later = (gentle: number, hard: number) =>
    bodyAt(
      evaluated(
        aPlan({
          drills: [
            anItem('jog', { dose: { kind: 'timed', seconds: 90 } }),
            // naming it and going there are standing as well: 5 s, and 6 more before the plank
            anItem('shake', { dose: { kind: 'timed', seconds: gentle - 11 } }),
            ...(hard > 0 ? [anItem('jog', { id: 'again', dose: { kind: 'timed', seconds: hard } })] : []),
            anItem('plank'),
          ],
        }),
        library,
      ),
      'plank',
    )?.isCooled;
  expect([later(180, 0), later(179, 0)]).toEqual([true, false]);
  expect([later(200, 30), later(200, 29)]).toEqual([false, true]);
});

it('knows nothing of an item that is not there', () => {
  expect(bodyAt(evaluated(aPlan({ drills: [] }), library), 'plank')).toBeNull();
});
