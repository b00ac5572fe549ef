import { defineCheck } from './check.js';
import { numberIn, ruleNumber } from './club-rules.js';
import type { Found } from './finding.js';

export const leastMoving = ruleNumber({
  id: 'little-moving.least',
  words: 'The children move at least',
  unit: 'percent',
  usual: 40,
  least: 0,
  most: 90,
});

export interface Fact {
  readonly kind: 'little-moving';
  readonly share: number;
  readonly leastPercent: number;
}

/** The children move less than they could. Silent on an empty plan. */
export const littleMoving = defineCheck({
  id: 'little-moving',
  title: 'Little moving',
  says: 'The children move less than they could.',
  gravest: 'hint',
  numbers: [leastMoving],
  look: (context): readonly Found<Fact>[] => {
    const { items, movingShare: share } = context.timeline;
    const leastPercent = numberIn(context, leastMoving);
    if (items.length === 0 || share >= leastPercent / 100) return [];
    return [{ severity: 'hint', itemIds: [], fact: { kind: 'little-moving', share, leastPercent }, mend: null }];
  },
  words: ({ share, leastPercent }) => ({
    title: 'Little moving',
    sentence: `The children move ${String(Math.round(share * 100))} % of the time; ${String(leastPercent)} % and more are usual.`,
  }),
});
