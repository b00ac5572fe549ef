import { longestHoldOf } from '../movement/hold-limits.js';
import type { AgeBand } from '../movement/age-band.js';
import type { Check } from './check.js';

/** The band of the youngest in whole years: up to 6, 7 to 9, 10 and more. */
function bandOf(years: number): AgeBand {
  if (years < 7) return '4-6';
  return years < 10 ? '7-9' : '10-13';
}

/** A stretch or a support is held longer than the youngest should; mended by holding it as long as is usual. */
export const holdTooLong: Check = ({ timeline, youngestYears }) =>
  timeline.items.flatMap(({ item, movement }) => {
    if (item.dose.kind !== 'hold' || movement.kind === 'breathing') return [];
    const limitSeconds = longestHoldOf(movement, bandOf(youngestYears));
    if (item.dose.holdSeconds <= limitSeconds) return [];
    return [
      {
        check: 'hold-too-long' as const,
        severity: 'caution' as const,
        itemIds: [item.id],
        fact: { kind: 'hold-too-long' as const, seconds: item.dose.holdSeconds, limitSeconds },
        mend: [{ kind: 'set-dose' as const, item: item.id, dose: { ...item.dose, holdSeconds: limitSeconds } }],
      },
    ];
  });
