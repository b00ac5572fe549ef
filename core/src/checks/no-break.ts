import { clockText } from '../values/clock-text.js';
import type { PlanEdit } from '../class-plan/edit.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

export const breakLimits = { youngUpToYears: 8, youngSeconds: 12 * 60, olderSeconds: 15 * 60, restSeconds: 30 } as const;

/** A drink, or at least half a minute at rest. */
export function isBreak({ movement, seconds }: TimedItem): boolean {
  return movement.kind === 'break' || (movement.effort === 0 && seconds >= breakLimits.restSeconds);
}

export interface Fact {
  readonly kind: 'no-break';
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

/** Too long without a drink or rest; one finding for each such stretch. */
export const noBreak = defineCheck({
  id: 'no-break',
  look: (context): readonly Found<Fact>[] => {
    const limitSeconds = context.youngestYears <= breakLimits.youngUpToYears ? breakLimits.youngSeconds : breakLimits.olderSeconds;
    return stretchesWithoutBreak(context.timeline.items).flatMap((stretch): readonly Found<Fact>[] => {
      const seconds = Math.round(stretch.reduce((sum, timed) => sum + timed.seconds, 0));
      if (seconds <= limitSeconds) return [];
      const itemIds = stretch.map(({ item }) => item.id);
      return [
        {
          severity: 'caution',
          itemIds,
          fact: { kind: 'no-break', seconds, limitSeconds },
          mend: breakInside(context, stretch),
        },
      ];
    });
  },
  words: ({ seconds, limitSeconds }) => ({
    title: `${clockText(seconds)} without a drink`,
    sentence: `At this age ${String(limitSeconds / 60)} minutes are usual.`,
  }),
});

function stretchesWithoutBreak(items: readonly TimedItem[]): readonly (readonly TimedItem[])[] {
  const stretches: TimedItem[][] = [[]];
  for (const timed of items) {
    if (isBreak(timed)) stretches.push([]);
    else if (timed.roundRestSeconds >= breakLimits.restSeconds) stretches.push([timed]);
    else stretches.at(-1)?.push(timed);
  }
  return stretches;
}

/** A drink where the longer of the two parts is shortest; no mend inside one long item, which cannot be parted. */
function breakInside(context: CheckContext, stretch: readonly TimedItem[]): readonly PlanEdit[] | null {
  const drink = suitableMovement(context, ['break'], () => 0);
  const [first, ...rest] = stretch;
  const last = stretch.at(-1);
  if (!drink || !first || !last) return null;
  const longerPart = (at: TimedItem): Seconds =>
    Math.max(at.startSecond - first.startSecond, last.startSecond + last.seconds - at.startSecond);
  const best = rest.toSorted((a, b) => longerPart(a) - longerPart(b))[0];
  return best ? [{ kind: 'insert', item: mendItem(drink, context), place: { at: 'before', item: best.item.id } }] : null;
}
