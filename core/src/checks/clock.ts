import { clockText } from '../values/clock-text.js';
import { spanWords, type Span } from '../timing/span.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck } from './check.js';
import type { Found } from './finding.js';

/** A stop is over by more than three minutes or a tenth of the slot, whichever is more (safety.md). */
export const clockLimits = { stopOverSeconds: 180, stopOverShare: 0.1, hintUnusedSeconds: 240 } as const;

export type Fact =
  | ({ readonly kind: 'over-time'; readonly overSeconds: Seconds } & Span)
  | ({ readonly kind: 'time-unused'; readonly unusedSeconds: Seconds } & Span);

/** The total does not fit the slot. Reckoned in whole seconds: a fraction of a second is not late. */
export const clock = defineCheck({
  id: 'clock',
  look: ({ timeline, span, slotMinutes }): readonly Found<Fact>[] => {
    const over = Math.round(timeline.totalSeconds) - slotMinutes * 60;
    if (over > 0) {
      const severity = over > Math.max(clockLimits.stopOverSeconds, clockLimits.stopOverShare * slotMinutes * 60) ? 'stop' : 'caution';
      return [{ severity, itemIds: [], fact: { kind: 'over-time', overSeconds: over, ...span }, mend: null }];
    }
    if (-over > clockLimits.hintUnusedSeconds)
      return [{ severity: 'hint', itemIds: [], fact: { kind: 'time-unused', unusedSeconds: -over, ...span }, mend: null }];
    return [];
  },
  words: (fact) =>
    fact.kind === 'over-time'
      ? {
          title: `Runs ${clockText(fact.overSeconds)} over`,
          sentence: `Likely are ${spanWords(fact)}. Trim a dose, shorten what is explained, or leave an item for next time.`,
        }
      : {
          title: `${clockText(fact.unusedSeconds)} not used yet`,
          sentence: `Likely are ${spanWords(fact)}: there is room for another item or a larger dose.`,
        },
});
