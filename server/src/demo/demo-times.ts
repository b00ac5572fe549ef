import { isClockBound, itemTotals, type Timeline } from '@leiter/core';
import type { ItemTimeEntity } from '../classes/item-time.entity.js';
import type { Chance } from './chance.js';

/** Skills and combinations take longer to explain than is reckoned, the rest about as long. */
const explainShare = (kind: string): number => (kind === 'skill' || kind === 'combination' ? 1.3 : 1);

/** What the items of a class of the demo club took: explaining differs much from one to the next, work little. */
export function demoTimes(timeline: Timeline, chance: Chance): readonly Omit<ItemTimeEntity, 'classId' | 'clubId'>[] {
  // some evenings there is more to say than on others, and now and then something goes wrong
  const talk = chance.between(0.9, 1.25);
  return [...itemTotals(timeline.items).values()].map(({ first: { item, movement, way }, parts, seconds }) => {
    const [plannedExplain, plannedWork] = [parts.explain + parts.goTo, parts.setUp + parts.work + parts.sideChange];
    const realExplain = plannedExplain * explainShare(movement.kind) * talk * chance.between(0.65, 1.3) * (chance.happens(0.08) ? 1.8 : 1);
    const realWork = isClockBound(item.dose) ? plannedWork : plannedWork * chance.between(0.86, 1.16);
    return {
      itemId: item.id,
      movementSlug: movement.slug,
      plannedSeconds: seconds,
      realSeconds: realExplain + realWork,
      way,
      isClockBound: isClockBound(item.dose),
      plannedExplain,
      realExplain,
      plannedWork,
      realWork,
    };
  });
}
