import { activeSecondsOf, type Dose } from './dose.js';
import type { AgeBand } from './age-band.js';
import { doseFor, type Movement } from './movement.js';
import type { Seconds } from '../values/unit.js';

/** The longest hold by age (safety.md, hold-too-long): a stretch, and a support or shape held by strength. Usual cautions. */
export const longestHold: Readonly<Record<AgeBand, { readonly stretch: Seconds; readonly support: Seconds }>> = {
  '4-6': { stretch: 10, support: 15 },
  '7-9': { stretch: 20, support: 30 },
  '10-13': { stretch: 30, support: 60 },
};

/** How many times as long as it is usually done at an age a skill may be held. */
export const skillHoldTimes = 2;

/** The longest holds of one age. */
export interface HoldLimits {
  readonly stretch: Seconds;
  readonly support: Seconds;
  readonly skillTimes: number;
}

const usualHolds = (band: AgeBand): HoldLimits => ({ ...longestHold[band], skillTimes: skillHoldTimes });

/** In whole years: up to 6, 7 to 9, 10 and more. */
export function holdBandOf(years: number): AgeBand {
  if (years < 7) return '4-6';
  return years < 10 ? '7-9' : '10-13';
}

/** The longest hold that an entry of the library may say for an age. */
export function longestHoldOfKind(kind: Movement['kind'], band: AgeBand): Seconds {
  return kind === 'static-stretch' ? longestHold[band].stretch : longestHold[band].support;
}

/**
 * The longest single hold of a movement for an age; Infinity for what rests. A skill is held some times as long as it usually is.
 * @param limits of that age, where a club has its own
 */
export function longestHoldOf(
  movement: Pick<Movement, 'kind' | 'effort' | 'dose'>,
  band: AgeBand,
  limits: HoldLimits = usualHolds(band),
): Seconds {
  if (movement.effort === 0) return Infinity;
  const own = movement.kind === 'skill' ? doseFor(movement, band) : null;
  if (own?.kind === 'hold') return limits.skillTimes * own.holdSeconds;
  return movement.kind === 'static-stretch' ? limits.stretch : limits.support;
}

/**
 * How long a dose holds at a stretch and how long it may, where it is more: written as a hold, or as a time of something that is held.
 * @returns null where it is not held, or not too long
 */
export function heldTooLong(
  movement: Pick<Movement, 'kind' | 'effort' | 'dose'>,
  dose: Dose,
  band: AgeBand,
  limits: HoldLimits = usualHolds(band),
): { readonly seconds: Seconds; readonly limitSeconds: Seconds } | null {
  const limit = longestHoldOf(movement, band, limits);
  if (dose.kind === 'hold') return dose.holdSeconds > limit ? { seconds: dose.holdSeconds, limitSeconds: limit } : null;
  const own = doseFor(movement, band);
  if (dose.kind !== 'timed' || own?.kind !== 'hold') return null;
  // of a skill that is held again and again within a time, the whole of it counts
  const limitSeconds = movement.kind === 'skill' ? limits.skillTimes * activeSecondsOf(own) : limit;
  return dose.seconds > limitSeconds ? { seconds: dose.seconds, limitSeconds } : null;
}
