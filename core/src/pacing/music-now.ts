import type { Track } from '../class-plan/music.js';
import { musicStops } from '../timing/music-stops.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import { positionOf, type Run } from './run.js';

/** The music of a moment of a class. */
export interface MusicNow {
  /** Another key is another piece, or the same one from its beginning. */
  readonly key: string;
  /** Null where the plan wants music that stops and names none. */
  readonly track: Track | null;
  /** Seconds since it began, on the clock of the plan. */
  readonly second: Seconds;
  /** The music has stopped, and everybody is still. */
  readonly isStill: boolean;
}

/** Music that stops is stopped by the same chance by which something is called then: the place of the item, from 1. */
export const musicSeed = (itemIndex: number): number => itemIndex + 1;

/**
 * What plays now: the music of the item from the beginning of its work, or that of its section from the beginning of the first work in it.
 * @param now a moment at which the run is caught up
 * @returns null where nothing plays: no music, or what comes before it is still explained
 */
export function musicNow(run: Run, items: readonly TimedItem[], now: number): MusicNow | null {
  const { itemIndex, timed, remainingSeconds } = positionOf(run, items, now);
  if (!timed) return null;
  const { item, section, round } = timed;
  const elapsed = timed.seconds - remainingSeconds;
  const intoWork = elapsed - (timed.workStartSecond - timed.startSecond);
  if (item.music || item.stopsWithMusic) {
    if (intoWork < 0) return null;
    const work = timed.startSecond + timed.seconds - timed.workStartSecond;
    const isStill =
      item.stopsWithMusic === true && musicStops(work, musicSeed(itemIndex)).some(({ at, until }) => intoWork >= at && intoWork < until);
    return { key: `${item.id} ${String(round)}`, track: item.music ?? section.music ?? null, second: intoWork, isStill };
  }
  if (!section.music) return null;
  const first = items.find((one) => one.section.id === section.id);
  const second = timed.startSecond + elapsed - (first?.workStartSecond ?? 0);
  return second < 0 ? null : { key: section.id, track: section.music, second, isStill: false };
}
