import type { Timeline } from '../timing/timeline.js';
import type { ItemId, Seconds } from '../values/unit.js';
import { preparationSettings } from './settings.js';

/**
 * How long the children have moved at effort ≥ 2 before each item begins, in seconds. The body is warm from 120 s on
 * (model.md); explaining and resting warm nobody.
 */
export function warmSecondsBefore(timeline: Timeline): ReadonlyMap<ItemId, Seconds> {
  const before = new Map<ItemId, Seconds>();
  let moved = 0;
  for (const { item, movement, movingSeconds } of timeline.items) {
    // in a circuit the first round is the coldest
    if (!before.has(item.id)) before.set(item.id, moved);
    if (movement.effort >= preparationSettings.warmEffort) moved += movingSeconds;
  }
  return before;
}

export function isWarm(movedSeconds: Seconds): boolean {
  return movedSeconds >= preparationSettings.warmSeconds;
}
