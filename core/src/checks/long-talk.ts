import { clockText } from '../values/clock-text.js';
import { talksIn } from '../timing/longest-talk.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck } from './check.js';
import { byAge } from './each-body.js';
import type { Found } from './finding.js';

/** How long in one piece children listen without moving, in seconds, by the mean age; safety.md. */
export const talkLengthLimits = [
  { upToYears: 6, limit: 60 },
  { upToYears: 9, limit: 90 },
  { upToYears: 99, limit: 150 },
] as const;

export interface Fact {
  readonly kind: 'long-talk';
  /** The longest. */
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

/** Too long in one piece without moving, the safety talk aside. */
export const longTalk = defineCheck({
  id: 'long-talk',
  look: ({ timeline, meanYears }): readonly Found<Fact>[] => {
    const limitSeconds = byAge(talkLengthLimits)(meanYears);
    const long = talksIn(timeline.items).filter(({ seconds }) => Math.round(seconds) > limitSeconds);
    if (long.length === 0) return [];
    return [
      {
        severity: 'caution',
        itemIds: [...new Set(long.map(({ from }) => from.item.id))],
        fact: { kind: 'long-talk', seconds: Math.round(Math.max(...long.map(({ seconds }) => seconds))), limitSeconds },
        mend: null,
      },
    ];
  },
  words: ({ seconds, limitSeconds }, { name }) => ({
    title: `${clockText(seconds)} of listening`,
    sentence: `${name}: nobody moves meanwhile; at this age ${clockText(limitSeconds)} in one piece are usual. Let them try in between.`,
  }),
});
