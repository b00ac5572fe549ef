import { clockText } from '../values/clock-text.js';
import { spanWords, type Span } from '../timing/span.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck } from './check.js';
import { numberIn, ruleNumber } from './club-rules.js';
import type { Found } from './finding.js';

/** A stop is over by more than three minutes or a tenth of the slot, whichever is more (safety.md). */
export const stopOver = ruleNumber({
  id: 'clock.stop-over',
  words: 'Over the slot it is a stop from more than',
  unit: 'minutes',
  usual: 3,
  least: 0,
  most: 30,
});

export const stopOverShare = ruleNumber({
  id: 'clock.stop-over-share',
  words: 'and from more of the slot than',
  unit: 'percent',
  usual: 10,
  least: 0,
  most: 100,
});

export const unusedFrom = ruleNumber({
  id: 'clock.unused',
  words: 'Time that is not used is told from more than',
  unit: 'minutes',
  usual: 4,
  least: 0,
  most: 60,
});

export type Fact =
  | ({ readonly kind: 'over-time'; readonly overSeconds: Seconds } & Span)
  | ({ readonly kind: 'time-unused'; readonly unusedSeconds: Seconds } & Span);

/** The total does not fit the slot. Reckoned in whole seconds: a fraction of a second is not late. */
export const clock = defineCheck({
  id: 'clock',
  title: 'The clock',
  says: 'The plan does not fit its slot.',
  gravest: 'stop',
  numbers: [stopOver, stopOverShare, unusedFrom],
  look: (context): readonly Found<Fact>[] => {
    const { timeline, span, slotMinutes } = context;
    const over = Math.round(timeline.totalSeconds) - slotMinutes * 60;
    if (over > 0) {
      const most = 60 * Math.max(numberIn(context, stopOver), (numberIn(context, stopOverShare) / 100) * slotMinutes);
      const severity = over > most ? 'stop' : 'caution';
      return [{ severity, itemIds: [], fact: { kind: 'over-time', overSeconds: over, ...span }, mend: null }];
    }
    if (-over > 60 * numberIn(context, unusedFrom))
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
