import { defineCheck } from './check.js';
import { itemsAt, warmFirst, warmthWords } from './cold.js';
import type { Found } from './finding.js';

export interface Fact {
  readonly kind: 'cold-static';
  readonly warmShare: number;
}

/** Stretches held at the end of their range by a body that is not warm yet; resting positions are not held. */
export const coldStatic = defineCheck({
  id: 'cold-static',
  title: 'Held stretch on a cold body',
  says: 'A stretch is held at its end before bodies are warm.',
  gravest: 'stop',
  look: (context): readonly Found<Fact>[] => {
    const cold = itemsAt(context, ({ movement: { kind, effort } }, { isWarm }) => !isWarm && kind === 'static-stretch' && effort > 0);
    const [first] = cold;
    if (!first) return [];
    return [
      {
        severity: 'stop',
        itemIds: cold.map(({ timed }) => timed.item.id),
        fact: { kind: 'cold-static', warmShare: first.body.effortSeconds / context.preparation.warmEffortSeconds },
        mend: warmFirst(context, first.timed, first.body),
      },
    ];
  },
  words: ({ warmShare }, { name }) => ({
    title: 'Stretched cold',
    sentence: `${name}: held ${warmthWords(warmShare)}.`,
  }),
});
