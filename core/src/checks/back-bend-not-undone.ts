import type { PlanEdit } from '../class-plan/edit.js';
import type { Movement } from '../movement/movement.js';
import type { TimedItem } from '../timing/timeline.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';
import { mendItem } from './suitable-movement.js';

/** Within how many items a back bend wants to be undone. */
export const undoneWithinItems = 2;

export interface Fact {
  readonly kind: 'back-bend-not-undone';
}

/** A back bend is not followed by what undoes it. */
export const backBendNotUndone = defineCheck({
  id: 'back-bend-not-undone',
  look: (context): readonly Found<Fact>[] =>
    context.timeline.items.flatMap((timed, index, items) => {
      if (!timed.movement.hazards.includes('back-bend') || isUndone(timed.movement, items.slice(index + 1, index + 1 + undoneWithinItems)))
        return [];
      return [
        {
          severity: 'caution' as const,
          itemIds: [timed.item.id],
          fact: { kind: 'back-bend-not-undone' as const },
          mend: undoAfter(context, timed),
        },
      ];
    }),
  words: (_, { name }) => ({ title: 'Back bend not undone', sentence: `Nothing in the two items after ${name} rounds the back again.` }),
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
