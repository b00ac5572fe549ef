import { clockText } from '../values/clock-text.js';
import type { Seconds } from '../values/unit.js';
import { isWarm, warmSecondsBefore } from '../preparation/warmth.js';
import { defineCheck } from './check.js';
import { warmFirst } from './cold-load.js';
import type { Found } from './finding.js';

export interface Fact {
  readonly kind: 'cold-static';
  readonly movedSeconds: Seconds;
}

/** A stretch held at the end of its range by a body that is not warm yet. */
export const coldStatic = defineCheck({
  id: 'cold-static',
  look: (context): readonly Found<Fact>[] => {
    const moved = warmSecondsBefore(context.timeline);
    return context.timeline.items.flatMap((timed): readonly Found<Fact>[] => {
      const movedSeconds = moved.get(timed.item.id) ?? 0;
      if (timed.movement.kind !== 'static-stretch' || isWarm(movedSeconds)) return [];
      return [
        {
          severity: 'stop',
          itemIds: [timed.item.id],
          fact: { kind: 'cold-static', movedSeconds },
          mend: warmFirst(context, timed, movedSeconds),
        },
      ];
    });
  },
  words: ({ movedSeconds }, { name }) => ({
    title: 'Stretched cold',
    sentence: `${name} is held after only ${clockText(movedSeconds)} of moving.`,
  }),
});
