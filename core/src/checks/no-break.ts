import { clockText } from '../values/clock-text.js';
import type { MovementKind } from '../movement/kind.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck } from './check.js';
import { byAge } from './each-body.js';
import type { Found } from './finding.js';
import { dryParts } from './no-drink.js';
import { drinksInside, partedBy, type Unparted } from './without-pause.js';

export const breakLimits = {
  /** Of working time, by age. */
  working: [
    { upToYears: 8, limit: 12 * 60 },
    { upToYears: 99, limit: 15 * 60 },
  ],
  /** So long a talk, breathing or a pause between rounds is a rest; a drink is one however long. */
  restSeconds: 30,
} as const;

const resting: ReadonlySet<MovementKind> = new Set(['breathing', 'talk']);

/** A drink; breathing or a talk of half a minute; the pause between two rounds. Listening before an item is none. */
export function isBreak({ movement, seconds, roundRestSeconds }: TimedItem): boolean {
  return (
    movement.kind === 'break' ||
    (resting.has(movement.kind) && seconds >= breakLimits.restSeconds) ||
    roundRestSeconds >= breakLimits.restSeconds
  );
}

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
  look: (context): readonly Found<Fact>[] => {
    const limitSeconds = byAge(breakLimits.working)(context.youngestYears);
    const dry = new Set(dryParts(context).parts.flat());
    const parts = partedBy(context.timeline.items, isBreak).filter(
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
