import { childCount } from './child-count.js';
import { tierNames } from '../movement/movement.js';
import { firstRounds } from '../timing/timeline.js';
import { versionsOf } from '../versions/version.js';
import { defineCheck } from './check.js';
import type { Found } from './finding.js';

export interface Fact {
  readonly kind: 'one-for-all';
  readonly easier: number;
  readonly harder: number;
}

/**
 * One version for everybody, of a movement that has others which some of the children would do: the youngest are lost or the
 * oldest are bored (job.md). A version set by hand for a child is not asked about.
 */
export const oneForAll = defineCheck({
  id: 'one-for-all',
  look: ({ timeline, library, children, ladder, startsAt, versions }): readonly Found<Fact>[] => {
    const single = firstRounds(timeline.items).filter(({ item, movement }) => item.tiers.length === 1 && tiersOf(movement).length > 1);
    if (single.length === 0 || children.length < 2) return [];
    const open = single.map((timed) => ({ ...timed, item: { ...timed.item, tiers: tiersOf(timed.movement) } }));
    const planned = new Map(versions.map(({ itemId, childId, tier }) => [`${itemId} ${childId}`, tier]));
    const better = versionsOf(open, library, { children, ladder, startsAt }).filter(
      ({ itemId, childId, tier, isByHand }) =>
        !isByHand && tier !== null && tier !== 'instead' && tier !== planned.get(`${itemId} ${childId}`),
    );
    return single.flatMap(({ item, movement }): readonly Found<Fact>[] => {
      const own = better.filter(({ itemId }) => itemId === item.id);
      if (own.length === 0) return [];
      const isEasier = (tier: (typeof own)[number]['tier']): boolean =>
        tier === 'easier' || (tier === 'core' && item.tiers[0] === 'harder');
      const easier = own.filter(({ tier }) => isEasier(tier)).length;
      return [
        {
          severity: 'hint',
          itemIds: [item.id],
          childIds: own.map(({ childId }) => childId),
          fact: { kind: 'one-for-all', easier, harder: own.length - easier },
          mend: [{ kind: 'set-tiers', item: item.id, tiers: tiersOf(movement) }],
        },
      ];
    });
  },
  words: ({ easier, harder }, { name }) => ({
    title: 'One version for all',
    sentence: `${name} has others: ${[
      ...(easier > 0 ? [`${childCount(easier)} would do an easier one`] : []),
      ...(harder > 0 ? [`${childCount(harder)} could do a harder one`] : []),
    ].join(', ')}.`,
  }),
  mendWords: () => 'Use all its versions',
});

const tiersOf = ({ tiers }: { readonly tiers: object }) => tierNames.filter((name) => name in tiers);
