import { groupBy } from '../group-by.js';
import type { PlanEdit } from '../class-plan/edit.js';
import type { Region } from '../movement/region.js';
import { unpreparedLoads, type UnpreparedLoad } from '../preparation/prepared-region.js';
import type { Check, CheckContext } from './check.js';
import type { Finding } from './finding.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

const graveRegions: ReadonlySet<Region> = new Set(['wrists', 'neck', 'lower-back']);

/** An item loads a region that nothing has prepared in the last 15 minutes: one finding per region, with all such items. */
export const unpreparedRegion: Check = (context) => {
  const byRegion = groupBy(unpreparedLoads(context.timeline), ({ region }) => region);
  return [...byRegion].flatMap(([region, loads]): readonly Finding[] => [
    {
      check: 'unprepared-region',
      severity: graveRegions.has(region) ? 'stop' : 'caution',
      itemIds: loads.map(({ timed }) => timed.item.id),
      fact: { kind: 'unprepared-region', region },
      mend: prepareFirst(context, region, loads[0]),
    },
  ]);
};

/** Puts the gentlest movement that prepares the region before the first item that needs it; on the same level if there is one. */
function prepareFirst(context: CheckContext, region: Region, first: UnpreparedLoad | undefined): readonly PlanEdit[] | null {
  if (!first) return null;
  const preparer = suitableMovement(context, ['mobiliser', 'dynamic-stretch'], (movement) => {
    if (!movement.prepares.includes(region) || movement.loads.some((load) => load.amount >= 2)) return null;
    return (movement.level === first.timed.movement.level ? 0 : 10) + movement.effort;
  });
  return preparer && [{ kind: 'insert', item: mendItem(preparer, context), place: { at: 'before', item: first.timed.item.id } }];
}
