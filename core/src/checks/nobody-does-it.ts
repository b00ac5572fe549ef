import { defineCheck } from './check.js';
import { childCount } from './child-count.js';
import type { Found } from './finding.js';
import { summaryOf } from './who-cannot.js';

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
  look: ({ versionsByItem, children }): readonly Found<Fact>[] => {
    const rare = versionsByItem.flatMap((versions) => {
      let others = 0;
      for (const count of summaryOf(versions).instead.values()) others += count;
      return versions[0] && others * 2 > children.length ? [{ id: versions[0].itemId, others }] : [];
    });
    const [first] = rare;
    if (!first) return [];
    const fact: Fact = { kind: 'nobody-does-it', others: first.others, children: children.length };
    return [{ severity: 'caution', itemIds: rare.map(({ id }) => id), fact, mend: null }];
  },
  words: ({ others, children }, { name }) => ({
    title: 'Most do something else',
    sentence: `${name}: ${String(others)} of ${childCount(children)} would do another movement. Plan that one, or an easier step.`,
  }),
});
