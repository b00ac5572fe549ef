import { warmFrom } from './preparation-rules.js';
import { defineCheck } from './check.js';
import { coldReason, itemsAt, warmFirst, warmthWords } from './cold.js';
import type { Found } from './finding.js';

const coldWords = {
  region: 'much of wrists, shoulders, neck or back',
  split: 'a split',
  inverted: 'to go upside down',
  'hard-landing': 'for hard landings',
} as const;

export interface Fact {
  readonly kind: 'cold-load';
  /** At the first of them. */
  readonly warmShare: number;
  readonly because: keyof typeof coldWords;
}

/** Items ask much of a body that is not warm yet. A pulse-raiser is what warms it. */
export const coldLoad = defineCheck({
  id: 'cold-load',
  title: 'Load on a cold body',
  says: 'Wrists, neck, lower back or shoulders are loaded, or there is a split, an upside-down or a hard landing, before bodies are warm.',
  gravest: 'stop',
  numbers: [warmFrom],
  look: (context): readonly Found<Fact>[] => {
    const cold = itemsAt(context, ({ movement }, { isWarm }) => !isWarm && coldReason(movement) !== null);
    const [first] = cold;
    const because = first && coldReason(first.timed.movement);
    if (!first || !because) return [];
    const fact: Fact = { kind: 'cold-load', warmShare: first.body.effortSeconds / context.preparation.warmEffortSeconds, because };
    const mend = warmFirst(context, first.timed, first.body);
    return [{ severity: 'stop', itemIds: cold.map(({ timed }) => timed.item.id), fact, mend }];
  },
  words: ({ warmShare, because }, { first }) => ({
    title: 'Not warm yet',
    sentence: `${first} asks ${coldWords[because]}, ${warmthWords(warmShare)}.`,
  }),
});
