import type { Seconds } from '../values/unit.js';
import { withUneven, type Dose } from '../movement/dose.js';
import { longestHoldOf } from '../movement/hold-limits.js';
import type { AgeBand } from '../movement/age-band.js';
import { defineCheck } from './check.js';
import type { Found } from './finding.js';

/** The band of the youngest in whole years: up to 6, 7 to 9, 10 and more. */
function bandOf(years: number): AgeBand {
  if (years < 7) return '4-6';
  return years < 10 ? '7-9' : '10-13';
}

function heldAtMost(dose: Dose & { readonly kind: 'hold' }, limitSeconds: Seconds): Dose {
  return dose.uneven
    ? withUneven(
        dose,
        dose.uneven.map((one) => Math.min(one, limitSeconds)),
      )
    : { ...dose, holdSeconds: limitSeconds };
}

export interface Fact {
  readonly kind: 'hold-too-long';
  readonly seconds: Seconds;
  readonly limitSeconds: Seconds;
}

/** A stretch or a support is held longer than the youngest should; mended by holding it as long as is usual. */
export const holdTooLong = defineCheck({
  id: 'hold-too-long',
  look: ({ timeline, youngestYears }): readonly Found<Fact>[] =>
    timeline.items.flatMap(({ item, movement }) => {
      if (item.dose.kind !== 'hold' || movement.kind === 'breathing') return [];
      const limitSeconds = longestHoldOf(movement, bandOf(youngestYears));
      if (item.dose.holdSeconds <= limitSeconds) return [];
      return [
        {
          severity: 'caution' as const,
          itemIds: [item.id],
          fact: { kind: 'hold-too-long' as const, seconds: item.dose.holdSeconds, limitSeconds },
          mend: [{ kind: 'set-dose' as const, item: item.id, dose: heldAtMost(item.dose, limitSeconds) }],
        },
      ];
    }),
  words: ({ seconds, limitSeconds }, { name }) => ({
    title: `Held for ${String(seconds)} seconds`,
    sentence: `${name}: at this age ${String(limitSeconds)} seconds are usual.`,
  }),
  mendWords: ({ limitSeconds }) => `Hold it ${String(limitSeconds)} seconds`,
});
