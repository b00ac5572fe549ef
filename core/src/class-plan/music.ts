import type { Seconds } from '../values/unit.js';

/** A piece of music that something is fitted to. */
export interface Track {
  readonly name: string;
  readonly seconds: Seconds;
  /** Beats a minute; null where nobody counts to it. */
  readonly bpm: number | null;
}

/** Inclusive. */
export const trackLimits = { seconds: { least: 5, most: 3600 }, bpm: { least: 30, most: 240 } } as const;

export type TrackNumber = keyof typeof trackLimits;

/** @returns the names of the numbers that lie outside `trackLimits`. */
export function trackFaults({ seconds, bpm }: Track): readonly TrackNumber[] {
  const isWithin = (name: TrackNumber, value: number): boolean => value >= trackLimits[name].least && value <= trackLimits[name].most;
  return [
    ...(isWithin('seconds', seconds) ? [] : (['seconds'] as const)),
    ...(bpm === null || isWithin('bpm', bpm) ? [] : (['bpm'] as const)),
  ];
}
