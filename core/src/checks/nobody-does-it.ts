import { groupBy } from '../values/group-by.js';
import { defineCheck } from './check.js';
import { childCount } from './child-count.js';
import type { Found } from './finding.js';

export interface Fact {
  readonly kind: 'nobody-does-it';
  readonly others: number;
  readonly children: number;
}

/** Most children expected get another movement: then the item is wrong, not the children. One finding for all such items. */
export const nobodyDoesIt = defineCheck({
  id: 'nobody-does-it',
  title: 'Hardly anybody does it',
  says: 'Most children get another movement than the one that is planned.',
  gravest: 'caution',
  look: ({ versions, children }): readonly Found<Fact>[] => {
    const others = groupBy(
      versions.filter(({ tier }) => tier === 'instead'),
      ({ itemId }) => itemId,
    );
    const rare = [...others].filter(([, own]) => own.length * 2 > children.length);
    const [first] = rare;
    if (!first) return [];
    const fact: Fact = { kind: 'nobody-does-it', others: first[1].length, children: children.length };
    return [{ severity: 'caution', itemIds: rare.map(([id]) => id), fact, mend: null }];
  },
  words: ({ others, children }, { name }) => ({
    title: 'Most do something else',
    sentence: `${name}: ${String(others)} of ${childCount(children)} would do another movement. Plan that one, or an easier step.`,
  }),
});
