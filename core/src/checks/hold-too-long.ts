import type { PlanEdit } from '../class-plan/edit.js';
import type { Seconds } from '../values/unit.js';
import { withUneven, type Dose } from '../movement/dose.js';
import { heldTooLong, holdBandOf } from '../movement/hold-limits.js';
import { firstRounds, type TimedItem } from '../timing/timeline.js';
import { defineCheck } from './check.js';
import { bodiesIn, named, type OneBody } from './each-body.js';
import type { Found } from './finding.js';

function heldAtMost(dose: Dose, limitSeconds: Seconds): Dose {
  if (dose.kind === 'timed') return { ...dose, seconds: Math.min(dose.seconds, limitSeconds) };
  if (dose.kind !== 'hold') return dose;
  return dose.uneven
    ? withUneven(
        dose,
        dose.uneven.map((one) => Math.min(one, limitSeconds)),
      )
    : { ...dose, holdSeconds: Math.min(dose.holdSeconds, limitSeconds) };
}

export interface Fact {
  readonly kind: 'hold-too-long';
  /** Of the one that is furthest over. */
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

/** Short enough for the youngest there are: nobody has to be asked. */
function isShortForAll({ item, movement }: TimedItem): boolean {
  const doses = [item.dose, ...item.tiers.flatMap((tier) => movement.tiers[tier]?.dose ?? [])];
  return doses.every((dose) => heldTooLong(movement, dose, '4-6') === null);
}

interface TooLong {
  readonly timed: TimedItem;
  readonly by: readonly OneBody[];
  readonly seconds: Seconds;
  /** The strictest of those who are over. */
  readonly limitSeconds: Seconds;
}

/**
 * A stretch, a support or a skill is held longer than a child should who does it, whether it is written as a hold or as a time; mended
 * by holding it as long as is usual for the youngest of them.
 */
export const holdTooLong = defineCheck({
  id: 'hold-too-long',
  look: (context): readonly Found<Fact>[] => {
    const bodies = bodiesIn(context);
    const found = firstRounds(context.timeline.items).flatMap((timed): readonly TooLong[] => {
      const { kind } = timed.item.dose;
      if ((kind !== 'hold' && kind !== 'timed') || isShortForAll(timed)) return [];
      const long = bodies.flatMap((body) => {
        const done = body.does(timed);
        // what a child does instead is told to it as it is usual
        const over = done?.movement === timed.movement && heldTooLong(done.movement, done.dose, holdBandOf(body.ageYears));
        return over ? [{ body, ...over }] : [];
      });
      const strictest = long.toSorted((a, b) => a.limitSeconds - b.limitSeconds)[0];
      if (!strictest) return [];
      return [{ timed, by: long.map(({ body }) => body), seconds: strictest.seconds, limitSeconds: strictest.limitSeconds }];
    });
    const worst = found.toSorted((a, b) => b.seconds / b.limitSeconds - a.seconds / a.limitSeconds)[0];
    if (!worst) return [];
    const over = new Set(found.flatMap(({ by }) => by));
    return [
      {
        severity: 'caution',
        itemIds: found.map(({ timed }) => timed.item.id),
        ...named(
          bodies.filter((body) => over.has(body)),
          bodies,
        ),
        fact: { kind: 'hold-too-long', seconds: worst.seconds, limitSeconds: worst.limitSeconds },
        mend: found.map(({ timed: { item }, limitSeconds }): PlanEdit => ({
          kind: 'set-dose',
          item: item.id,
          dose: heldAtMost(item.dose, limitSeconds),
        })),
      },
    ];
  },
  words: ({ seconds, limitSeconds }, { name }) => ({
    title: `Held for ${String(seconds)} seconds`,
    sentence: `${name}: at this age ${String(limitSeconds)} seconds are usual.`,
  }),
  mendWords: ({ limitSeconds }, mend) => (mend.length > 1 ? 'Hold them as long as is usual' : `Hold it ${String(limitSeconds)} seconds`),
});
