import type { MovementSlug } from '../values/unit.js';
import type { Movement } from './movement.js';

/** The movements a club can teach, by slug. */
export type Library = ReadonlyMap<MovementSlug, Movement>;

export function libraryOf(movements: Iterable<Movement>): Library {
  return new Map([...movements].map((movement) => [movement.slug, movement]));
}
