import { clockText } from '../values/clock-text.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck, type CheckContext } from './check.js';
import { limitAt, ruleByAge } from './club-rules.js';
import type { Found } from './finding.js';
import { drinksInside, partedBy, type Unparted } from './without-pause.js';

/** How long without a drink, on the clock, by age; safety.md. */
export const withoutDrink = ruleByAge({
  id: 'no-drink.without',
  words: 'Without a drink at most',
  unit: 'minutes',
  usual: [
    { upToYears: 6, limit: 15 },
    { upToYears: 99, limit: 20 },
  ],
  least: 5,
  most: 60,
});

export interface Fact {
  readonly kind: 'no-drink';
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

export const lengthOf = (part: Unparted): Seconds => part.reduce((sum, { seconds }) => sum + seconds, 0);

/** Parts of the class in which nobody drinks for too long. */
export function dryParts(context: CheckContext): {
  readonly parts: readonly Unparted[];
  readonly limitSeconds: Seconds;
} {
  const limitSeconds = 60 * limitAt(context, withoutDrink)(context.youngestYears);
  const parts = partedBy(context.timeline.items, ({ movement }) => movement.kind === 'break');
  return { parts: parts.filter((part) => Math.round(lengthOf(part)) > limitSeconds), limitSeconds };
}

/** Too long without a drink. */
export const noDrink = defineCheck({
  id: 'no-drink',
  title: 'A drink',
  says: 'Nobody drinks for too long.',
  gravest: 'caution',
  numbers: [withoutDrink],
  look: (context): readonly Found<Fact>[] => {
    const { parts, limitSeconds } = dryParts(context);
    if (parts.length === 0) return [];
    const fact: Fact = { kind: 'no-drink', seconds: Math.round(Math.max(...parts.map(lengthOf))), limitSeconds };
    const itemIds = [...new Set(parts.flatMap((part) => part.map(({ item }) => item.id)))];
    return [{ severity: 'caution', itemIds, fact, mend: drinksInside(context, parts, limitSeconds) }];
  },
  words: ({ seconds, limitSeconds }) => ({
    title: `${clockText(seconds)} without a drink`,
    sentence: `At this age ${String(limitSeconds / 60)} minutes are usual.`,
  }),
});
