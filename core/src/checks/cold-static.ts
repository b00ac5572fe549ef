import { isWarm, warmSecondsBefore } from '../preparation/warmth.js';
import type { Check } from './check.js';
import { warmFirst } from './cold-load.js';
import type { Finding } from './finding.js';

/** A stretch held at the end of its range by a body that is not warm yet. */
export const coldStatic: Check = (context) => {
  const moved = warmSecondsBefore(context.timeline);
  return context.timeline.items.flatMap((timed): readonly Finding[] => {
    const movedSeconds = moved.get(timed.item.id) ?? 0;
    if (timed.movement.kind !== 'static-stretch' || isWarm(movedSeconds)) return [];
    return [
      {
        check: 'cold-static',
        severity: 'stop',
        itemIds: [timed.item.id],
        fact: { kind: 'cold-static', movedSeconds },
        mend: warmFirst(context, timed, movedSeconds),
      },
    ];
  });
};
