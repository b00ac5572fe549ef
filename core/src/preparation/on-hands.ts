import type { MovementKind } from '../movement/kind.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';

/** Share of the working time in which the hands carry: a skill is mostly walking back and setting up (job.md). Our estimate. */
const shareOfWork: Partial<Record<MovementKind, number>> = { skill: 0.3, drill: 0.5, combination: 0.2, game: 0.3 };

/** Seconds of weight on the hands in an item. */
export function onHandsSeconds({ movement, movingSeconds }: Pick<TimedItem, 'movement' | 'movingSeconds'>): Seconds {
  return movement.hazards.includes('weight-on-hands') ? movingSeconds * (shareOfWork[movement.kind] ?? 1) : 0;
}
