import type { Effort } from '../movement/effort.js';
import type { Region } from '../movement/region.js';
import type { Timeline } from '../timing/timeline.js';
import type { ItemId, Seconds } from '../values/unit.js';
import { onHandsSeconds } from './on-hands.js';
import { preparationSettings } from './settings.js';
import { isWarm, warmSecondsBefore } from './warmth.js';

/** What an item asks of bodies and finds them like, where it comes first in the class. */
export interface BodyAt {
  readonly effort: Effort;
  /** Moved at effort ≥ 2 before it. */
  readonly movedSeconds: Seconds;
  readonly isWarm: boolean;
  /** Regions loaded by 2 or more; how long ago each was prepared, null where nothing did in the last 15 minutes. */
  readonly loads: readonly { readonly region: Region; readonly preparedSecondsAgo: Seconds | null }[];
  readonly prepares: readonly Region[];
  readonly onHandsSeconds: Seconds;
}

/** @returns null for an item that is not on the clock. */
export function bodyAt(timeline: Timeline, id: ItemId): BodyAt | null {
  const index = timeline.items.findIndex(({ item }) => item.id === id);
  const timed = timeline.items[index];
  if (!timed) return null;
  const { movement, startSecond } = timed;
  const movedSeconds = warmSecondsBefore(timeline).get(id) ?? 0;
  const preparedAgo = (region: Region): Seconds | null => {
    const last = timeline.items.slice(0, index).findLast((one) => one.movement.prepares.includes(region));
    const ago = last ? startSecond - last.startSecond - last.seconds : Infinity;
    return ago <= preparationSettings.preparedForSeconds ? ago : null;
  };
  return {
    effort: movement.effort,
    movedSeconds,
    isWarm: isWarm(movedSeconds),
    loads: movement.loads.filter(({ amount }) => amount >= 2).map(({ region }) => ({ region, preparedSecondsAgo: preparedAgo(region) })),
    prepares: movement.prepares,
    onHandsSeconds: onHandsSeconds(timed),
  };
}
