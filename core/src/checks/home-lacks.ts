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

/** A home lacks what the version wants that was set for its child, or what every version of the item wants. */
export function homeLacks(
  context: CheckContext,
  need: HomeNeed,
  severityOf: (movement: Movement) => Severity = () => 'caution',
): readonly Found<HomeLacks>[] {
  return byItem(
    context,
    ({ tier, bar, lacks }) => lacks.includes(need) || (tier === null && bar?.kind === 'home' && bar.need === need),
  ).map(({ item, movement, versions }) => ({
    severity: severityOf(movement),
    itemIds: [item.id],
    childIds: childrenOf(versions),
    fact: { kind: 'home-lacks', need, children: versions.length },
    mend: versions.every(({ isByHand }) => isByHand)
      ? versions.map(({ childId }): PlanEdit => ({ kind: 'set-tier-by-hand', item: item.id, child: childId, tier: 'as-reckoned' }))
      : null,
  }));
}

/** @param title of the check */
export const homeLacksWords =
  (title: string) =>
  ({ need, children }: HomeLacks, { name, library }: { readonly name: string; readonly library: Library }): FoundWords => ({
    title,
    sentence: `${name}: at home ${childCount(children)} cannot do it – ${barWords({ kind: 'home', need }, library, null)}.`,
  });

/** Its mend takes away what was set by hand. */
export const asReckonedWords = (): string => 'Let it be reckoned';
