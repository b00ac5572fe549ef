import type { MovementSlug } from '../values/unit.js';
import { defineCheck } from './check.js';
import { childCount } from './child-count.js';
import type { Found } from './finding.js';
import { byItem, childrenOf } from './who-cannot.js';

export interface Fact {
  readonly kind: 'prerequisite';
  readonly movement: MovementSlug;
  readonly children: number;
}

/** A skill of which a child lacks a prerequisite, and neither a version nor something else fits. */
export const prerequisite = defineCheck({
  id: 'prerequisite',
  look: (context): readonly Found<Fact>[] =>
    byItem(context, ({ tier, bar }) => tier === null && bar?.kind === 'prerequisite').flatMap(
      ({ item, movement, versions }): readonly Found<Fact>[] => {
        const bar = versions[0]?.bar;
        if (bar?.kind !== 'prerequisite' || !['skill', 'combination', 'drill'].includes(movement.kind)) return [];
        const fact: Fact = { kind: 'prerequisite', movement: bar.movement, children: versions.length };
        return [{ severity: 'stop', itemIds: [item.id], childIds: childrenOf(versions), fact, mend: null }];
      },
    ),
  words: ({ movement, children }, { name, library }) => ({
    title: 'Not ready for it yet',
    sentence: `${name}: ${childCount(children)} ${children === 1 ? 'has' : 'have'} not shown ${library.get(movement)?.name ?? movement} alone, and nothing else fits.`,
  }),
});
