import type { AgeBand } from './age-band.js';
import type { Movement } from './movement.js';
import type { Seconds } from '../values/unit.js';

/** The longest hold by age (safety.md, hold-too-long): a stretch, and a support or shape held by strength. Usual cautions. */
export const longestHold: Readonly<Record<AgeBand, { readonly stretch: Seconds; readonly support: Seconds }>> = {
  '4-6': { stretch: 10, support: 15 },
  '7-9': { stretch: 20, support: 30 },
  '10-13': { stretch: 30, support: 60 },
};

/** The longest hold of a movement for an age; resting and breathing are not held. */
export function longestHoldOf({ kind }: Pick<Movement, 'kind'>, band: AgeBand): Seconds {
  return kind === 'static-stretch' ? longestHold[band].stretch : longestHold[band].support;
}
