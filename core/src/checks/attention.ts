import { clockText } from '../values/clock-text.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck } from './check.js';
import type { Found } from './finding.js';

/** The longest that one item keeps its attention, by age; safety.md. */
export const attentionLimits = [
  { upToYears: 5, seconds: 180 },
  { upToYears: 8, seconds: 300 },
  { upToYears: 99, seconds: 480 },
] as const;

export interface Fact {
  readonly kind: 'too-long-at-once';
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

/** One item is longer than children of this age stay with it. */
export const attention = defineCheck({
  id: 'attention',
  look: ({ timeline, youngestYears }): readonly Found<Fact>[] => {
    const limitSeconds = attentionLimits.find(({ upToYears }) => youngestYears <= upToYears)?.seconds ?? 480;
    return timeline.items
      .filter(({ seconds }) => Math.round(seconds) > limitSeconds)
      .map(({ item, seconds }) => ({
        severity: 'caution' as const,
        itemIds: [item.id],
        fact: { kind: 'too-long-at-once' as const, seconds: Math.round(seconds), limitSeconds },
        mend: null,
      }));
  },
  words: ({ seconds, limitSeconds }, { name }) => ({
    title: `${clockText(seconds)} of one thing`,
    sentence: `${name}: at this age ${String(limitSeconds / 60)} minutes without a change are usual.`,
  }),
});
