import { itemOf } from '../class-plan/new-item.js';
import type { Item } from '../class-plan/class-plan.js';
import { movementsOfKind } from '../movement/by-kind.js';
import type { MovementKind } from '../movement/kind.js';
import { doseFor, type Movement } from '../movement/movement.js';
import type { CheckContext } from './check.js';

/**
 * The movement that a mend puts in: one that this programme uses, that this age may do and that needs nothing.
 * @param kinds of which it may be
 * @param rank lower is better; movements of rank null do not fit. Ties go to the first by slug, so a mend is always the same.
 */
export function suitableMovement(
  context: CheckContext,
  kinds: readonly MovementKind[],
  rank: (movement: Movement) => number | null,
): Movement | null {
  let best: Movement | null = null;
  let bestRank = Infinity;
  for (const kind of kinds)
    for (const movement of fittingOfKind(context, kind)) {
      const value = rank(movement);
      if (value === null || value > bestRank || (value === bestRank && best && movement.slug > best.slug)) continue;
      best = movement;
      bestRank = value;
    }
  return best;
}

const fitting = new WeakMap<CheckContext, Map<MovementKind, readonly Movement[]>>();

/** What fits the class at all, sorted out once for all mends of an evaluation. */
function fittingOfKind(context: CheckContext, kind: MovementKind): readonly Movement[] {
  const byKind = fitting.get(context) ?? new Map<MovementKind, readonly Movement[]>();
  fitting.set(context, byKind);
  const known =
    byKind.get(kind) ??
    movementsOfKind(context.library, kind).filter(
      (movement) =>
        (movement.programmes.length === 0 || movement.programmes.includes(context.programme)) &&
        movement.needs.equipment.length === 0 &&
        movement.leastAge <= context.youngestYears &&
        doseFor(movement, context.ageBand) !== null,
    );
  byKind.set(kind, known);
  return known;
}

/** The item of a mend: as a coach would first write it. */
export function mendItem(movement: Movement, context: CheckContext): Omit<Item, 'id'> {
  return itemOf(movement, context.ageBand);
}
