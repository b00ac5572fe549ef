import { groupBy } from '../values/group-by.js';
import type { PlanEdit } from '../class-plan/edit.js';
import type { Library } from '../movement/library.js';
import type { Movement } from '../movement/movement.js';
import type { HomeNeed } from '../versions/home-needs.js';
import { barWords } from '../versions/version-words.js';
import type { CheckContext } from './check.js';
import { childCount } from './child-count.js';
import type { Found, FoundWords, Severity } from './finding.js';
import { byItem, childrenOf } from './who-cannot.js';

/** What the six checks of a home have in common. */
export interface HomeLacks {
  readonly kind: 'home-lacks';
  readonly need: HomeNeed;
  readonly children: number;
}

/**
 * Homes lack what the version wants that was set for their child, or what every version of an item wants: one finding for all such
 * items of a severity.
 */
export function homeLacks(
  context: CheckContext,
  need: HomeNeed,
  severityOf: (movement: Movement) => Severity = () => 'caution',
): readonly Found<HomeLacks>[] {
  const short = byItem(
    context,
    ({ tier, bar, lacks }) => lacks.includes(need) || (tier === null && bar?.kind === 'home' && bar.need === need),
  );
  return [...groupBy(short, ({ movement }) => severityOf(movement))].map(([severity, items]): Found<HomeLacks> => {
    const childIds = [...new Set(items.flatMap(({ versions }) => childrenOf(versions)))];
    return {
      severity,
      itemIds: items.map(({ item }) => item.id),
      childIds,
      fact: { kind: 'home-lacks', need, children: childIds.length },
      mend: items.every(({ versions }) => versions.every(({ isByHand }) => isByHand))
        ? items.flatMap(({ item, versions }) =>
            versions.map(({ childId }): PlanEdit => ({ kind: 'set-tier-by-hand', item: item.id, child: childId, tier: 'as-reckoned' })),
          )
        : null,
    };
  });
}

/** @param title of the check */
export const homeLacksWords =
  (title: string) =>
  ({ need, children }: HomeLacks, { name, library }: { readonly name: string; readonly library: Library }): FoundWords => ({
    title: need === 'in-person' ? 'Only in person' : title,
    sentence: `${name}: at home ${childCount(children)} cannot do it – ${barWords({ kind: 'home', need }, library, null)}.`,
  });

/** Its mend takes away what was set by hand. */
export const asReckonedWords = (): string => 'Make it automatic';
