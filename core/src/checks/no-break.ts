import { clockText } from '../values/clock-text.js';
import type { MovementKind } from '../movement/kind.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck } from './check.js';
import { limitAt, numberIn, ruleByAge, ruleNumber } from './club-rules.js';
import type { Found } from './finding.js';
import { dryParts } from './no-drink.js';
import { drinksInside, partedBy, type Unparted } from './without-pause.js';

/** Of working time, by age; safety.md. */
export const withoutRest = ruleByAge({
  id: 'no-break.working',
  words: 'Work without a rest at most',
  unit: 'minutes',
  usual: [
    { upToYears: 8, limit: 12 },
    { upToYears: 99, limit: 15 },
  ],
  least: 3,
  most: 45,
});

/** So long a talk, breathing or a pause between rounds is a rest; a drink is one however long. */
export const restFrom = ruleNumber({
  id: 'no-break.rest-from',
  words: 'A talk, breathing or a pause is a rest from',
  unit: 'seconds',
  usual: 30,
  least: 10,
  most: 180,
});

const resting: ReadonlySet<MovementKind> = new Set(['breathing', 'talk']);

/** A drink; breathing or a talk that is long enough; the pause between two rounds. Listening before an item is none. */
const isBreakFrom =
  (restSeconds: Seconds) =>
  ({ movement, seconds, roundRestSeconds }: TimedItem): boolean =>
    movement.kind === 'break' || (resting.has(movement.kind) && seconds >= restSeconds) || roundRestSeconds >= restSeconds;

export interface Fact {
  readonly kind: 'no-break';
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

/** What bodies do themselves: all but listening and going there. */
const workingOf = (part: Unparted): Seconds =>
  part.reduce((sum, { movement, parts }) => sum + (movement.effort === 0 ? 0 : parts.setUp + parts.work + parts.sideChange), 0);

/** Too much work without a rest. Where nobody drinks for too long, that is said instead: its mend is the same. */
export const noBreak = defineCheck({
  id: 'no-break',
  title: 'A rest',
  says: 'Bodies work for too long without a rest.',
  gravest: 'caution',
  numbers: [withoutRest, restFrom],
  look: (context): readonly Found<Fact>[] => {
    const limitSeconds = 60 * limitAt(context, withoutRest)(context.youngestYears);
    const dry = new Set(dryParts(context).parts.flat());
    const parts = partedBy(context.timeline.items, isBreakFrom(numberIn(context, restFrom))).filter(
      (part) => Math.round(workingOf(part)) > limitSeconds && !part.every((timed) => dry.has(timed)),
    );
    if (parts.length === 0) return [];
    return [
      {
        severity: 'caution',
        itemIds: [...new Set(parts.flatMap((part) => part.map(({ item }) => item.id)))],
        fact: { kind: 'no-break', seconds: Math.round(Math.max(...parts.map(workingOf))), limitSeconds },
        mend: drinksInside(context, parts, null),
      },
    ];
  },
  words: ({ seconds, limitSeconds }) => ({
    title: `${clockText(seconds)} of work without a rest`,
    sentence: `At this age ${String(limitSeconds / 60)} minutes are usual.`,
  }),
});
