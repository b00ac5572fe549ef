import { groupBy } from '../values/group-by.js';
import { barWords } from '../versions/version-words.js';
import type { Bar, Version } from '../versions/version.js';
import { defineCheck } from './check.js';
import { childCount } from './child-count.js';
import type { Found } from './finding.js';
import { isToldAsPrerequisite } from './prerequisite.js';
import { byItem, childrenOf, isAgainstHealth } from './who-cannot.js';

export interface Fact {
  readonly kind: 'no-version';
  readonly children: number;
  readonly bar: Bar;
}

/**
 * Children expected have no version of an item, for a reason of body or safety: age, health, grade. What a home lacks is said by the
 * checks of homes, a missing prerequisite by its own. One finding per reason.
 */
export const noVersion = defineCheck({
  id: 'no-version',
  title: 'A version for everybody',
  says: 'A child has no version of an item for a reason of age, health or grade.',
  gravest: 'stop',
  look: (context): readonly Found<Fact>[] => {
    const barred = byItem(
      context,
      (version) => isAgainstHealth(version) || (version.tier === null && version.bar?.kind !== 'home'),
    ).flatMap(({ item, movement, versions }) =>
      versions
        .filter(({ bar }) => !(bar?.kind === 'prerequisite' && isToldAsPrerequisite(movement.kind)))
        .map((version): { readonly item: typeof item; readonly version: Version } => ({ item, version })),
    );
    return [...groupBy(barred, ({ version }) => JSON.stringify(version.bar)).values()].map((same): Found<Fact> => {
      const childIds = [...new Set(childrenOf(same.map(({ version }) => version)))];
      return {
        severity: 'stop',
        itemIds: [...new Set(same.map(({ item }) => item.id))],
        childIds,
        fact: { kind: 'no-version', children: childIds.length, bar: same[0]?.version.bar ?? { kind: 'age', leastAge: 0 } },
        mend: null,
      };
    });
  },
  words: ({ children, bar }, { name, library }) => ({
    title: `No version for ${childCount(children)}`,
    sentence:
      bar.kind === 'health'
        ? `${name}: ${childCount(children)} ${barWords(bar, library, null)}.`
        : `${name}: nothing easier fits either – ${barWords(bar, library, null)}.`,
  }),
});
