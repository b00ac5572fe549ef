import { itemOf } from '../class-plan/new-item.js';
import type { Item } from '../class-plan/class-plan.js';
import { doseFor, type Movement } from '../movement/movement.js';
import type { CheckContext } from './check.js';

/**
 * The movement that a mend puts in: one that this programme uses, that this age may do and that needs nothing.
 * @param rank lower is better; movements of rank null do not fit. Ties go to the first by slug, so a mend is always the same.
 */
export function suitableMovement(context: CheckContext, rank: (movement: Movement) => number | null): Movement | null {
  let best: { readonly movement: Movement; readonly rank: number } | null = null;
  for (const movement of context.library.values()) {
    const fits =
      (movement.programmes.length === 0 || movement.programmes.includes(context.programme)) &&
      movement.needs.equipment.length === 0 &&
      movement.leastAge <= context.youngestYears &&
      doseFor(movement, context.ageBand) !== null;
    const value = fits ? rank(movement) : null;
    if (value === null) continue;
    if (!best || value < best.rank || (value === best.rank && movement.slug < best.movement.slug)) best = { movement, rank: value };
  }
  return best?.movement ?? null;
}

/** The item of a mend: as a coach would first write it. */
export function mendItem(movement: Movement, context: CheckContext): Omit<Item, 'id'> {
  return itemOf(movement, context.ageBand);
}
