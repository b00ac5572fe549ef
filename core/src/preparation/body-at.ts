import type { Effort } from '../movement/effort.js';
import type { Region } from '../movement/region.js';
import type { Timeline } from '../timing/timeline.js';
import type { ItemId, Seconds } from '../values/unit.js';
import { bodiesThrough } from './bodies.js';
import { onHandsSeconds } from './on-hands.js';
import type { PreparationSettings } from './settings.js';

/** What an item asks of bodies and finds them like, where it comes first in the class. */
export interface BodyAt {
  readonly effort: Effort;
  /** How far they are on the way to warm, 0 to 1. */
  readonly warmShare: number;
  readonly isWarm: boolean;
  /** They were warm, and have stood or moved gently since for three minutes. */
  readonly isCooled: boolean;
  /** Regions loaded by 2 or more; how long ago each was readied or in use, null where it was neither lately. */
  readonly loads: readonly { readonly region: Region; readonly preparedSecondsAgo: Seconds | null }[];
  readonly prepares: readonly Region[];
  readonly onHandsSeconds: Seconds;
}

/** @returns null for an item that is not on the clock. */
export function bodyAt(
  { timeline, preparation }: { readonly timeline: Timeline; readonly preparation: PreparationSettings },
  id: ItemId,
): BodyAt | null {
  const index = timeline.items.findIndex(({ item }) => item.id === id);
  const timed = timeline.items[index];
  const body = bodiesThrough(timeline, preparation)[index];
  if (!timed || !body) return null;
  const { effort, prepares } = timed.movement;
  return {
    effort,
    warmShare: Math.min(1, body.effortSeconds / preparation.warmEffortSeconds),
    isWarm: body.isWarm,
    isCooled: body.isCooled,
    loads: body.loads.map(({ load: { region }, readySecondsAgo }) => ({ region, preparedSecondsAgo: readySecondsAgo })),
    prepares,
    onHandsSeconds: onHandsSeconds(timed, timed.item.dose),
  };
}
