import { itemZero, waitsForSignal, type Run, type TimedItem, type Utterance } from '@leiter/core';
import type { Part } from '../../shared/voice/voice-player';

/** What is said in place of the class for a while: a round of calls. */
export interface Aside {
  readonly utterances: readonly Utterance[];
  /** When its clock stands at nought, in milliseconds of the page's clock. */
  readonly startsAt: number;
}

/** What is taught, and what is said in each item of it. */
export interface Spoken {
  readonly run: Run | null;
  readonly items: readonly TimedItem[];
  readonly lists: readonly (readonly Utterance[])[];
  readonly aside: Aside | null;
}

/**
 * The item that is being taught and the one after it, on the sound card's clock. As long as the work waits for a signal, nothing of the work
 * is said, nor of what comes after it: nobody knows when that will be.
 * @param audioAt the moment of the sound card's clock, in seconds, for one of the page's, in milliseconds
 * @returns null while nothing is to be said
 */
export function partsNow({ run, items, lists, aside }: Spoken, audioAt: (wall: number) => number): readonly Part[] | null {
  if (aside) return [{ name: `aside ${String(aside.startsAt)}`, zero: audioAt(aside.startsAt), utterances: aside.utterances }];
  const timed = run && items[run.itemIndex];
  if (!run || !timed || run.pausedAt !== null) return null;
  const zero = itemZero(run, timed);
  const part = (one: TimedItem, utterances: readonly Utterance[] = [], wall: number): Part => ({
    name: `${one.item.id}·${String(one.round)}`,
    zero: audioAt(wall),
    utterances,
  });
  const own = lists[run.itemIndex] ?? [];
  if (waitsForSignal(run, timed)) {
    const work = timed.workStartSecond - timed.startSecond;
    return [
      part(
        timed,
        own.filter(({ at }) => at < work),
        zero,
      ),
    ];
  }
  const next = items[run.itemIndex + 1];
  return [
    part(timed, own, zero),
    // what is said at the very beginning of the next is on the clock before it begins
    ...(next ? [part(next, lists[run.itemIndex + 1], zero + timed.seconds * 1000)] : []),
  ];
}
