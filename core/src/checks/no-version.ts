import { barWords } from '../versions/version-words.js';
import type { Bar } from '../versions/version.js';
import { defineCheck } from './check.js';
import { childCount } from './child-count.js';
import type { Found } from './finding.js';
import { byItem, childrenOf, isAgainstHealth } from './who-cannot.js';

export interface Fact {
  readonly kind: 'no-version';
  readonly children: number;
  readonly bar: Bar;
}

/** Room and things keep a child from an item without harm; what else does – body, age, grade, an adult missing – is a stop. */
const isHarmless = (bar: Bar | null): boolean => bar?.kind === 'home' && bar.need !== 'adult' && bar.need !== 'surface';

/** A child expected has no version of an item, whatever keeps it from it. */
export const noVersion = defineCheck({
  id: 'no-version',
  look: (context): readonly Found<Fact>[] =>
    byItem(context, (version) => version.tier === null || isAgainstHealth(version)).map(({ item, versions }) => ({
      severity: versions.every(({ bar }) => isHarmless(bar)) ? 'caution' : 'stop',
      itemIds: [item.id],
      childIds: childrenOf(versions),
      fact: { kind: 'no-version', children: versions.length, bar: versions[0]?.bar ?? { kind: 'age', leastAge: 0 } },
      mend: null,
    })),
  words: ({ children, bar }, { name, library }) => ({
    title: `No version for ${childCount(children)}`,
    sentence:
      bar.kind === 'health'
        ? `${name}: ${childCount(children)} ${barWords(bar, library, null)}.`
        : `${name}: nothing easier fits either – ${barWords(bar, library, null)}.`,
  }),
});
