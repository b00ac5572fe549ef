import { clockText } from '../values/clock-text.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck } from './check.js';
import { bodiesIn, byAge, itemsWhere, overLimit } from './each-body.js';
import type { Found } from './finding.js';
import { handsSeconds, onHands } from './wrist-time.js';

/** The most weight on the hands in a class, in seconds, by age; safety.md. */
export const handsVolumeLimits = [
  { upToYears: 7, limit: 150 },
  { upToYears: 99, limit: 240 },
] as const;

export interface Fact {
  readonly kind: 'hands-volume';
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

/** More weight on the hands in the class as a whole than wrists of this age bear. */
export const handsVolume = defineCheck({
  id: 'hands-volume',
  look: (context): readonly Found<Fact>[] => {
    const items = itemsWhere(context, onHands);
    if (items.length === 0) return [];
    const over = overLimit(
      bodiesIn(context),
      (body) => items.reduce((sum, timed) => sum + handsSeconds(body, timed), 0),
      byAge(handsVolumeLimits),
    );
    if (!over) return [];
    const { amount, limit, ...whose } = over;
    const fact: Fact = { kind: 'hands-volume', seconds: Math.round(amount), limitSeconds: limit };
    return [{ severity: 'caution', itemIds: [...new Set(items.map(({ item }) => item.id))], ...whose, fact, mend: null }];
  },
  words: ({ seconds, limitSeconds }, { name }) => ({
    title: `${clockText(seconds)} on the hands in all`,
    sentence: `${name}: at this age ${clockText(limitSeconds)} in a class are usual.`,
  }),
});
