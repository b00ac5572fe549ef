import { groupBy } from '../values/group-by.js';
import type { MovementKind } from '../movement/kind.js';
import type { MovementSlug } from '../values/unit.js';
import { defineCheck, type CheckContext } from './check.js';
import { childCount } from './child-count.js';
import type { Found } from './finding.js';
import { byItem, childrenOf } from './who-cannot.js';

export interface Fact {
  readonly kind: 'prerequisite';
  readonly movement: MovementSlug;
  readonly children: number;
}

const learnt: ReadonlySet<MovementKind> = new Set(['skill', 'combination', 'drill']);

/** Skills for which children lack a prerequisite, and neither a version nor something else fits: one finding per prerequisite. */
export const prerequisite = defineCheck({
  id: 'prerequisite',
  title: 'Prerequisites',
  says: 'A child has not shown what a skill builds on, and nothing easier fits.',
  gravest: 'stop',
  look: (context): readonly Found<Fact>[] =>
    [...groupBy(lacking(context), ({ wanted }) => wanted)].map(([movement, items]): Found<Fact> => {
      const childIds = [...new Set(items.flatMap(({ versions }) => childrenOf(versions)))];
      const fact: Fact = { kind: 'prerequisite', movement, children: childIds.length };
      return { severity: 'stop', itemIds: [...new Set(items.map(({ item }) => item.id))], childIds, fact, mend: null };
    }),
  words: ({ movement, children }, { name, library }) => ({
    title: 'Not ready for it yet',
    sentence: `${name}: ${childCount(children)} ${children === 1 ? 'has' : 'have'} not shown ${library.get(movement)?.name ?? movement} alone, and nothing else fits.`,
  }),
});

function lacking(context: CheckContext) {
  return byItem(context, ({ tier, bar }) => tier === null && bar?.kind === 'prerequisite').flatMap(({ item, movement, versions }) => {
    const bar = versions[0]?.bar;
    return bar?.kind === 'prerequisite' && learnt.has(movement.kind) ? [{ item, versions, wanted: bar.movement }] : [];
  });
}

/** What another finding says already: no-version is silent on it. */
export const isToldAsPrerequisite = (kind: MovementKind): boolean => learnt.has(kind);
