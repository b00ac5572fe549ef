import { clockText } from '../values/clock-text.js';
import { talksIn } from '../timing/longest-talk.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck } from './check.js';
import { limitAt, ruleByAge } from './club-rules.js';
import type { Found } from './finding.js';

/** How long in one piece children listen without moving, by the mean age; safety.md. */
export const talkAtOnce = ruleByAge({
  id: 'long-talk.at-once',
  words: 'Listening in one piece at most',
  unit: 'seconds',
  usual: [
    { upToYears: 6, limit: 60 },
    { upToYears: 9, limit: 90 },
    { upToYears: 99, limit: 150 },
  ],
  least: 15,
  most: 900,
});

export interface Fact {
  readonly kind: 'long-talk';
  /** The longest. */
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

/** Too long in one piece without moving, the safety talk aside. */
export const longTalk = defineCheck({
  id: 'long-talk',
  title: 'Long talk',
  says: 'Children listen for too long without moving, the safety talk aside.',
  gravest: 'caution',
  numbers: [talkAtOnce],
  look: (context): readonly Found<Fact>[] => {
    const limitSeconds = limitAt(context, talkAtOnce)(context.meanYears);
    const long = talksIn(context.timeline.items).filter(({ seconds }) => Math.round(seconds) > limitSeconds);
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
