import { clockText } from '../values/clock-text.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck } from './check.js';
import type { Found } from './finding.js';

export const clockLimits = { stopOverSeconds: 120, hintUnusedSeconds: 240 } as const;

export type Fact =
  { readonly kind: 'over-time'; readonly overSeconds: Seconds } | { readonly kind: 'time-unused'; readonly unusedSeconds: Seconds };

/** The total does not fit the slot. Reckoned in whole seconds: a fraction of a second is not late. */
export const clock = defineCheck({
  id: 'clock',
  look: ({ timeline, slotMinutes }): readonly Found<Fact>[] => {
    const over = Math.round(timeline.totalSeconds) - slotMinutes * 60;
    if (over > 0) {
      const severity = over > clockLimits.stopOverSeconds ? 'stop' : 'caution';
      return [{ severity, itemIds: [], fact: { kind: 'over-time', overSeconds: over }, mend: null }];
    }
    if (-over > clockLimits.hintUnusedSeconds)
      return [{ severity: 'hint', itemIds: [], fact: { kind: 'time-unused', unusedSeconds: -over }, mend: null }];
    return [];
  },
  words: (fact) =>
    fact.kind === 'over-time'
      ? {
          title: `Runs ${clockText(fact.overSeconds)} over`,
          sentence: 'Trim a dose, shorten what is explained, or leave an item for next time.',
        }
      : { title: `${clockText(fact.unusedSeconds)} not used yet`, sentence: 'There is room for another item or a larger dose.' },
});
