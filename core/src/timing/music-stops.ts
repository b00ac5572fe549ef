import { chanceOf } from '../values/chance.js';
import type { Seconds } from '../values/unit.js';

/** Music that stops and goes on, in seconds from where it began. */
export interface MusicStop {
  readonly at: Seconds;
  readonly until: Seconds;
}

/** Nobody foresees when: after so many seconds at least and at most; then it is still for a while. */
export const musicStopSettings = { leastPlayed: 6, mostPlayed: 20, still: 5 } as const;

/** When the music of something that is done for so long stops; each stop is whole. The same seed gives the same stops. */
export function musicStops(seconds: Seconds, seed: number): readonly MusicStop[] {
  const { leastPlayed, mostPlayed, still } = musicStopSettings;
  const chance = chanceOf(seed);
  const stops: MusicStop[] = [];
  let from = 0;
  for (;;) {
    const at = from + leastPlayed + (mostPlayed - leastPlayed) * chance();
    const until = at + still;
    if (until > seconds) return stops;
    stops.push({ at, until });
    from = until;
  }
}
