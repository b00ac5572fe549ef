import type { Dose } from '../movement/dose.js';
import type { MovementKind } from '../movement/kind.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';

/**
 * Share of the working time in which the hands carry, in what is not held: of a repetition most is walking back and setting up
 * (job.md: a cartwheel takes 5.5 s, a handstand 6), of walking on the hands and feet little. Our estimates; what is not here carries
 * all the time.
 */
const ofReps: Partial<Record<MovementKind, number>> = { skill: 0.3, drill: 0.3, combination: 0.2, game: 0.3 };
const ofTime: Partial<Record<MovementKind, number>> = { skill: 0.3, drill: 0.8, combination: 0.2, game: 0.3 };

/** Where the hands carry a little only – kneeling, or walking down to them –, so much of it counts. Our estimate. */
const lightShare = 0.3;

/** Seconds of weight on the hands in an item. */
export function onHandsSeconds(
  { movement, movingSeconds }: Pick<TimedItem, 'movement' | 'movingSeconds'>,
  { kind }: Pick<Dose, 'kind'>,
): Seconds {
  if (!movement.hazards.includes('weight-on-hands')) return 0;
  const share = kind === 'hold' ? 1 : ((kind === 'reps' ? ofReps : ofTime)[movement.kind] ?? 1);
  const isLight = movement.loads.some(({ region, amount }) => region === 'wrists' && amount === 1);
  return movingSeconds * share * (isLight ? lightShare : 1);
}
