import { clockText } from '../values/clock-text.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck } from './check.js';
import { limitAt, ruleByAge } from './club-rules.js';
import { bodiesIn, overLimit } from './each-body.js';
import type { Found } from './finding.js';
import { onHandsIn } from './wrist-time.js';

/** The most weight on the hands in a class, by age; safety.md. */
export const inAll = ruleByAge({
  id: 'hands-volume.in-all',
  words: 'On the hands in a class at most',
  unit: 'seconds',
  usual: [
    { upToYears: 7, limit: 150 },
    { upToYears: 99, limit: 240 },
  ],
  least: 20,
  most: 1800,
});

export interface Fact {
  readonly kind: 'hands-volume';
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

/** More weight on the hands in the class as a whole than wrists of this age bear. */
export const handsVolume = defineCheck({
  id: 'hands-volume',
  title: 'On the hands in all',
  says: 'The hands carry for long in the class as a whole.',
  gravest: 'caution',
  numbers: [inAll],
  look: (context): readonly Found<Fact>[] => {
    const { items, seconds } = onHandsIn(context);
    if (items.length === 0) return [];
    const over = overLimit(
      bodiesIn(context),
      (_body, nth) => (seconds[nth] ?? []).reduce((sum, one) => sum + one, 0),
      limitAt(context, inAll),
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
