import type { PlanEdit } from '../class-plan/edit.js';
import type { Movement } from '../movement/movement.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Check, CheckContext } from './check.js';
import { mendItem } from './suitable-movement.js';

/** Within how many items a back bend wants to be undone. */
export const undoneWithinItems = 2;

/** A back bend is not followed by what undoes it. */
export const backBendNotUndone: Check = (context) =>
  context.timeline.items.flatMap((timed, index, items) => {
    if (!timed.movement.hazards.includes('back-bend') || isUndone(timed.movement, items.slice(index + 1, index + 1 + undoneWithinItems)))
      return [];
    return [
      {
        check: 'back-bend-not-undone' as const,
        severity: 'caution' as const,
        itemIds: [timed.item.id],
        fact: { kind: 'back-bend-not-undone' as const },
        mend: undoAfter(context, timed),
      },
    ];
  });

function isUndone(movement: Movement, following: readonly TimedItem[]): boolean {
  return following.some((next) => movement.undoneBy.includes(next.movement.slug));
}

function undoAfter(context: CheckContext, timed: TimedItem): readonly PlanEdit[] | null {
  const undoing = timed.movement.undoneBy
    .map((slug) => context.library.get(slug))
    .find((movement) => movement !== undefined && movement.leastAge <= context.youngestYears);
  return undoing ? [{ kind: 'insert', item: mendItem(undoing, context), place: { at: 'after', item: timed.item.id } }] : null;
}
