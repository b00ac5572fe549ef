import type { Check } from './check.js';

/** The longest that one item keeps its attention, by age; safety.md. */
export const attentionLimits = [
  { upToYears: 5, seconds: 180 },
  { upToYears: 8, seconds: 300 },
  { upToYears: 99, seconds: 480 },
] as const;

/** One item is longer than children of this age stay with it. */
export const attention: Check = ({ timeline, youngestYears }) => {
  const limitSeconds = attentionLimits.find(({ upToYears }) => youngestYears <= upToYears)?.seconds ?? 480;
  return timeline.items
    .filter(({ seconds }) => Math.round(seconds) > limitSeconds)
    .map(({ item, seconds }) => ({
      check: 'attention' as const,
      severity: 'caution' as const,
      itemIds: [item.id],
      fact: { kind: 'too-long-at-once' as const, seconds: Math.round(seconds), limitSeconds },
      mend: null,
    }));
};
