import { libraryOf } from '@leiter/core';
import { aMovement } from '@leiter/core/testing';
import { describe, expect, it } from 'vitest';
import { wayOf } from './way';

const after = (slug: string, ...first: readonly string[]) =>
  aMovement(slug, { prerequisites: first.map((movement) => ({ movement, mark: 'alone' as const })) });
const library = libraryOf([
  aMovement('rock', { leadsTo: ['roll'] }),
  after('roll', 'rock'),
  after('dive', 'roll'),
  after('far', 'dive'),
  after('farther', 'far'),
  aMovement('alone'),
]);
const stepsOf = (slug: string) => {
  const movement = library.get(slug);
  return movement ? wayOf(movement, library) : { steps: [], links: [] };
};

describe('the way of a movement', () => {
  it('goes three steps back, and no further', () => {
    expect(stepsOf('farther').steps.map(({ slug, distance }) => `${slug} ${String(distance)}`)).toEqual([
      'farther 0',
      'far -1',
      'dive -2',
      'roll -3',
    ]);
  });

  it('says how well each has to stand, and draws a link once', () => {
    expect(stepsOf('roll').links).toEqual([{ from: 'rock', to: 'roll', mark: 'alone' }]);
    expect(stepsOf('rock').links).toHaveLength(1);
  });

  it('of a movement that stands alone is the movement', () => {
    expect(stepsOf('alone')).toEqual({ steps: [{ slug: 'alone', distance: 0 }], links: [] });
  });
});
