import { aMovement } from '@leiter/core/testing';
import { describe, expect, it } from 'vitest';
import { movementSearch } from './movement-search';

const movements = [
  aMovement('demi-plie', {
    name: 'Demi-plié',
    plainMeaning: 'A half bend of the knees',
    term: {
      text: 'demi-plié',
      language: 'fr',
      sayIt: 'deh-mee plee-AY',
      meaning: 'half bent',
      variants: [{ text: 'small bend', sayIt: 'small bend', where: 'a hall nearby' }],
    },
  }),
  aMovement('forward-roll', { name: 'Forward roll', loads: [{ region: 'neck', load: 1 }] as never }),
  aMovement('backward-roll', { name: 'Backward roll' }),
  aMovement('wrist-wake-up', { name: 'Wrist wake-up', prepares: ['wrists'] }),
];
const find = movementSearch(movements);
const slugs = (text: string) => find(text).map(({ slug }) => slug);

describe('searching the library', () => {
  it.each([
    ['forw', 'forward-roll'],
    ['plie', 'demi-plie'],
    ['PLIÉ', 'demi-plie'],
    ['half bend', 'demi-plie'],
    ['small', 'demi-plie'],
    ['bakward rol', 'backward-roll'],
    ['wrists', 'wrist-wake-up'],
  ])('for “%s” finds %s first', (text, slug) => {
    expect(slugs(text)[0]).toBe(slug);
  });

  it('finds the movement of that very name before longer names that have it in them', () => {
    const many = movementSearch(
      ['One-hand cartwheel', 'Cartwheel step in', 'Cartwheel'].map((name) =>
        aMovement(name.toLowerCase(), {
          name,
          plainMeaning: name === 'Cartwheel' ? 'Over the side' : 'Of a cartwheel, the cartwheel step',
        }),
      ),
    );
    expect(many('cartwheel').map(({ name }) => name)).toEqual(['Cartwheel', 'Cartwheel step in', 'One-hand cartwheel']);
    // and so while it is being typed
    expect(many('cartw').map(({ name }) => name)).toEqual(['Cartwheel', 'Cartwheel step in', 'One-hand cartwheel']);
  });

  it('finds it so with a slip as well, and by the region that a coach names', () => {
    const many = movementSearch([
      ...['One-hand cartwheel', 'Cartwheel', 'Forward roll to straddle', 'Forward roll'].map((name) =>
        aMovement(name.toLowerCase().replaceAll(' ', '-'), { name }),
      ),
      aMovement('fold', { name: 'Seated fold', lengthens: ['hamstrings'] }),
    ]);
    expect(many('cartwhel')[0]?.name).toBe('Cartwheel');
    expect(many('forwrd rol')[0]?.name).toBe('Forward roll');
    expect(many('hamstring').map(({ name }) => name)).toEqual(['Seated fold']);
    expect(many('back of the thighs').map(({ name }) => name)).toEqual(['Seated fold']);
  });

  it('wants every word, and finds nothing where nothing fits', () => {
    expect(slugs('forward roll')).toEqual(['forward-roll']);
    expect(slugs('zebra')).toEqual([]);
  });

  it('gives everything while nothing is typed', () => {
    expect(slugs('  ')).toHaveLength(4);
  });
});
