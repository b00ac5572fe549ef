import { defineCheck } from './check.js';
import { itemsAt, warmFirst, warmthWords } from './cold.js';
import type { Found } from './finding.js';

export interface Fact {
  readonly kind: 'cold-static';
  readonly effortSeconds: number;
}

/** Stretches held at the end of their range by a body that is not warm yet; resting positions are not held. */
export const coldStatic = defineCheck({
  id: 'cold-static',
  look: (context): readonly Found<Fact>[] => {
    const cold = itemsAt(context, ({ movement: { kind, effort } }, { isWarm }) => !isWarm && kind === 'static-stretch' && effort > 0);
    const [first] = cold;
    if (!first) return [];
    return [
      {
        severity: 'stop',
        itemIds: cold.map(({ timed }) => timed.item.id),
        fact: { kind: 'cold-static', effortSeconds: first.body.effortSeconds },
        mend: warmFirst(context, first.timed, first.body),
      },
    ];
  },
  words: ({ effortSeconds }, { name }) => ({
    title: 'Stretched cold',
    sentence: `${name}: held ${warmthWords(effortSeconds)}.`,
  }),
});
