import type { Seconds } from '../values/unit.js';
import type { TimedItem } from './timeline.js';

/** A piece of talking in which nobody moves: from the first item it is about. */
export interface Talk {
  readonly from: TimedItem;
  readonly seconds: Seconds;
}

/**
 * The longest piece of talking without moving: explaining and going there before an item, and talks, one after the other. The safety
 * talk is aside, and a drink ends it.
 * @returns null for a class in which nobody talks
 */
export function longestTalk(items: readonly TimedItem[]): Talk | null {
  const pieces: Talk[] = [];
  let isOpen = false;
  for (const timed of items) {
    const { movement, section, parts, roundRestSeconds } = timed;
    const isTalk = movement.kind === 'talk';
    if (movement.kind === 'break' || (isTalk && section.kind === 'safety')) {
      isOpen = false;
      continue;
    }
    const seconds: Seconds = isTalk ? timed.seconds : parts.explain + parts.goTo - roundRestSeconds;
    const before = isOpen ? pieces.pop() : undefined;
    pieces.push({ from: before?.from ?? timed, seconds: (before?.seconds ?? 0) + seconds });
    isOpen = isTalk;
  }
  return pieces.reduce<Talk | null>((longest, piece) => (piece.seconds > (longest?.seconds ?? 0) ? piece : longest), null);
}
