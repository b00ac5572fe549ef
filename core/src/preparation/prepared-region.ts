import type { Region } from '../movement/region.js';
import type { TimedItem, Timeline } from '../timing/timeline.js';
import { preparationSettings } from './settings.js';

/** An item that loads a region by 2 or more which nothing prepared in the fifteen minutes before it. */
export interface UnpreparedLoad {
  readonly timed: TimedItem;
  readonly region: Region;
}

/** All unprepared loads in the order of the class. Prepared counts from the end of what prepares to the start of what loads. */
export function unpreparedLoads(timeline: Timeline): readonly UnpreparedLoad[] {
  const preparedAt = new Map<Region, number>();
  const found: UnpreparedLoad[] = [];
  for (const timed of timeline.items) {
    for (const { region, amount } of timed.movement.loads) {
      const last = preparedAt.get(region);
      const isPrepared = last !== undefined && timed.startSecond - last <= preparationSettings.preparedForSeconds;
      if (amount >= 2 && !isPrepared) found.push({ timed, region });
    }
    for (const region of timed.movement.prepares) preparedAt.set(region, timed.startSecond + timed.seconds);
  }
  return found;
}
