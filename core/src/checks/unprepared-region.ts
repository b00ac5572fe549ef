import { regionWord } from '../movement/region-word.js';
import { capitalised } from '../values/capitalised.js';
import { groupBy } from '../values/group-by.js';
import type { PlanEdit } from '../class-plan/edit.js';
import type { Region } from '../movement/region.js';
import { unpreparedLoads, type UnpreparedLoad } from '../preparation/prepared-region.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

const graveRegions: ReadonlySet<Region> = new Set(['wrists', 'neck', 'lower-back']);

export interface Fact {
  readonly kind: 'unprepared-region';
  readonly region: Region;
}

/** An item loads a region that nothing has prepared in the last 15 minutes: one finding per region, with all such items. */
export const unpreparedRegion = defineCheck({
  id: 'unprepared-region',
  look: (context): readonly Found<Fact>[] => {
    const byRegion = groupBy(unpreparedLoads(context.timeline), ({ region }) => region);
    return [...byRegion].flatMap(([region, loads]): readonly Found<Fact>[] => [
      {
        severity: graveRegions.has(region) ? 'stop' : 'caution',
        itemIds: loads.map(({ timed }) => timed.item.id),
        fact: { kind: 'unprepared-region', region },
        mend: prepareFirst(context, region, loads[0]),
      },
    ]);
  },
  words: ({ region }, { name }) => ({
    title: `${capitalised(regionWord(region))} not prepared`,
    sentence: `${name}: nothing in the 15 minutes before readies the ${regionWord(region)}.`,
  }),
});

/** Puts the gentlest movement that prepares the region before the first item that needs it; on the same level if there is one. */
function prepareFirst(context: CheckContext, region: Region, first: UnpreparedLoad | undefined): readonly PlanEdit[] | null {
  if (!first) return null;
  const preparer = suitableMovement(context, ['mobiliser', 'dynamic-stretch'], (movement) => {
    if (!movement.prepares.includes(region) || movement.loads.some((load) => load.amount >= 2)) return null;
    return (movement.level === first.timed.movement.level ? 0 : 10) + movement.effort;
  });
  return preparer && [{ kind: 'insert', item: mendItem(preparer, context), place: { at: 'before', item: first.timed.item.id } }];
}
