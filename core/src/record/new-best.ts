import { marks, type Mark } from '../movement/movement.js';
import type { ChildId, MovementSlug } from '../values/unit.js';
import type { KnownMark } from '../versions/child-in-class.js';
import { currentObservations, type Observation } from './observation.js';

/** Something a child did better than ever in a class. */
export interface NewBest {
  readonly child: ChildId;
  readonly movement: MovementSlug;
  readonly mark: Mark;
}

/**
 * Who did something better than before: alone or clean, and a rung above the best of what was known when the class began. Of each child and
 * movement the best one; what nobody had seen before counts from “alone” on.
 * @param before what was known of each child
 */
export function newBests(observations: readonly Observation[], before: ReadonlyMap<ChildId, readonly KnownMark[]>): readonly NewBest[] {
  const best = new Map<string, NewBest>();
  for (const { childId, movement, stage, mark } of currentObservations(observations)) {
    const rank = marks.indexOf(mark);
    if (rank < marks.indexOf('alone')) continue;
    const known = (before.get(childId) ?? []).filter((one) => one.movement === movement && one.stage === stage);
    if (known.some((one) => marks.indexOf(one.mark) >= rank)) continue;
    const key = `${childId} ${movement}`;
    const other = best.get(key);
    if (!other || marks.indexOf(other.mark) < rank) best.set(key, { child: childId, movement, mark });
  }
  return [...best.values()];
}
