import type { Familiarity } from '../class-plan/class-plan.js';

/** What the record says of a group and one movement. */
export interface Exposure {
  /** Of those expected, who did it in both of the last two classes; 0 to 1. */
  readonly shareInLastTwoClasses: number;
  /** Of those expected, who met it in the last eight weeks; 0 to 1. */
  readonly shareInLastEightWeeks: number;
}

export const familiarityLimits = { routineShare: 0.8, knownShare: 0.5 } as const;

/** @returns how well the group knows a movement; `new` where the record holds nothing. Limits included: 80 % is routine, half is known. */
export function familiarityOf(exposure: Exposure | undefined): Familiarity {
  if (!exposure) return 'new';
  if (exposure.shareInLastTwoClasses >= familiarityLimits.routineShare) return 'routine';
  return exposure.shareInLastEightWeeks >= familiarityLimits.knownShare ? 'known' : 'new';
}
