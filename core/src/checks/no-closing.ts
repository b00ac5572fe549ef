import { defineCheck } from './check.js';
import type { Found } from './finding.js';
import { atTheEnd, suitableMovement } from './suitable-movement.js';

export interface Fact {
  readonly kind: 'no-closing';
}

/** Nothing closes the class. Silent on an empty plan. */
export const noClosing = defineCheck({
  id: 'no-closing',
  title: 'Closing',
  says: 'Nothing closes the class.',
  gravest: 'hint',
  look: (context): readonly Found<Fact>[] => {
    const { items } = context.timeline;
    if (items.length === 0 || items.some(({ section }) => section.kind === 'closing')) return [];
    const closing = suitableMovement(context, ['ritual'], 'closes', ({ sections }) => (sections.includes('closing') ? 0 : null));
    return [{ severity: 'hint', itemIds: [], fact: { kind: 'no-closing' }, mend: atTheEnd(context, closing) }];
  },
  words: () => ({ title: 'No closing', sentence: 'Nothing ends the class together.' }),
});
