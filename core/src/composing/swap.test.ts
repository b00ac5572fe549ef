import { describe, expect, it } from 'vitest';
import { applyEdit } from '../class-plan/edit.js';
import { libraryOf } from '../movement/library.js';
import { aMovement, anItem } from '../testing/makers.js';
import { swapsFor } from './swap.js';

const skill = (slug: string, more: object = {}) => aMovement(slug, { kind: 'skill', sections: ['skill'], ...more });
const library = libraryOf([
  skill('bunny-hop'),
  skill('low-wheel', { prerequisites: [{ movement: 'bunny-hop', stage: null }] }),
  skill('cartwheel', { prerequisites: [{ movement: 'low-wheel', stage: null }], leadsTo: ['round-off', 'dance-turn'] }),
  skill('round-off'),
  skill('dance-turn', { programmes: ['dance'] }),
  aMovement('hip-circles', { prepares: ['hip-flexors'] }),
  aMovement('leg-swings', { prepares: ['hip-flexors'] }),
  aMovement('arm-circles', { prepares: ['shoulders'] }),
]);
const named = (slug: string) => {
  const movement = library.get(slug);
  if (!movement) throw new Error(slug);
  const { easier, alike, further } = swapsFor(movement, library, 'gymnastics');
  return [easier, alike, further].map((list) => list.map((one) => one.slug));
};

describe('what a movement is swapped for', () => {
  it('is what leads to it, the nearest first, and where it leads, of what the programme teaches', () => {
    expect(named('cartwheel')).toEqual([['low-wheel', 'bunny-hop'], [], ['round-off']]);
  });

  it('is of the same use where it is no skill', () => {
    expect(named('hip-circles')).toEqual([[], ['leg-swings'], []]);
  });
});

describe('a swap in a plan', () => {
  const music = { name: 'Tide', seconds: 90, bpm: 96 };
  const plan = {
    focus: [],
    sections: [
      { id: 's', kind: 'warm-up' as const, items: [anItem('a'), anItem('b', { circuit: 'c', music }), anItem('d', { circuit: 'c' })] },
    ],
    circuits: [{ id: 'c', rounds: 2, restSeconds: 0 }],
  };

  it('stands where the item stood, in its circuit and with its music, as a new item', () => {
    const done = applyEdit(
      plan,
      { kind: 'swap', item: 'b', for: anItem('hip-circles', { dose: { kind: 'timed', seconds: 30 } }) },
      () => 'new',
    );
    if (!done.ok) throw new Error('refused');
    expect(done.value.sections[0]?.items.map(({ id }) => id)).toEqual(['a', 'new', 'd']);
    expect(done.value.sections[0]?.items[1]).toMatchObject({ movement: 'hip-circles', circuit: 'c', music, dose: { seconds: 30 } });
  });

  it('of an item that is gone is refused', () => {
    expect(applyEdit(plan, { kind: 'swap', item: 'gone', for: anItem('a') }, () => 'new')).toEqual({
      ok: false,
      error: { kind: 'item-missing', item: 'gone' },
    });
  });
});
