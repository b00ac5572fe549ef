import { defineCheck } from './check.js';
import type { Found } from './finding.js';

export const leastMovingShare = 0.4;

export interface Fact {
  readonly kind: 'little-moving';
  readonly share: number;
}

/** The children move less than they could. Silent on an empty plan. */
export const littleMoving = defineCheck({
  id: 'little-moving',
  look: ({ timeline }): readonly Found<Fact>[] =>
    timeline.items.length === 0 || timeline.movingShare >= leastMovingShare
      ? []
      : [{ severity: 'hint', itemIds: [], fact: { kind: 'little-moving', share: timeline.movingShare }, mend: null }],
  words: ({ share }) => ({
    title: 'Little moving',
    sentence: `The children move ${String(Math.round(share * 100))} % of the time; 40 % and more are usual.`,
  }),
});
