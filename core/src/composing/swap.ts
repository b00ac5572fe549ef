import type { Library } from '../movement/library.js';
import type { Movement } from '../movement/movement.js';
import type { ProgrammeSlug } from '../values/unit.js';
import { relativesIn } from '../versions/relatives.js';

/** What a movement in a plan can be swapped for, the nearest first. */
export interface Swaps {
  /** Steps towards it, and what is done instead of it. */
  readonly easier: readonly Movement[];
  /** Of the same use: they ready, stretch or load the same. */
  readonly alike: readonly Movement[];
  /** Where it leads. */
  readonly further: readonly Movement[];
}

const mostOfEach = 6;

/** @param programme only what is taught in it is offered */
export function swapsFor(movement: Movement, library: Library, programme: ProgrammeSlug): Swaps {
  const { easierThan, standInsFor } = relativesIn(library);
  const isTaught = ({ programmes }: Movement): boolean => programmes.length === 0 || programmes.includes(programme);
  const easier = easierThan(movement).filter(isTaught).slice(0, mostOfEach);
  const further = movement.leadsTo
    .flatMap((slug) => library.get(slug) ?? [])
    .filter(isTaught)
    .slice(0, mostOfEach);
  const seen = new Set([movement, ...easier, ...further]);
  // of a skill nothing is alike by itself: what another skill of its kind and part of the class is, one looks for in the library
  const alike = standInsFor(movement)
    .filter((one) => isTaught(one) && !seen.has(one))
    .slice(0, mostOfEach);
  return { easier, alike, further };
}
