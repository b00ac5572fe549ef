import { countsOnce } from '../movement/dose.js';
import type { Seconds } from '../values/unit.js';
import type { TimedItem } from './timeline.js';

/** A piece of talking in which nobody moves: from the first item it is about. */
export interface Talk {
  readonly from: TimedItem;
  readonly seconds: Seconds;
}

/**
 * The pieces of talking without moving: explaining before an item, and talks, one after the other. The safety talk is aside, a drink
 * ends a piece, and a story told to who lies and rests in the cool-down is none. A new phrase is shown eight by eight and version by
 * version, and tried in between.
 */
export function talksIn(items: readonly TimedItem[]): readonly Talk[] {
  const pieces: Talk[] = [];
  let isOpen = false;
  for (const timed of items) {
    const { movement, section, parts } = timed;
    const isTalk = movement.kind === 'talk';
    if (movement.kind === 'break' || (isTalk && (section.kind === 'safety' || section.kind === 'cool-down'))) {
      isOpen = false;
      continue;
    }
    const seconds: Seconds = isTalk ? timed.seconds : parts.explain / piecesOf(timed);
    const before = isOpen ? pieces.pop() : undefined;
    pieces.push({ from: before?.from ?? timed, seconds: (before?.seconds ?? 0) + seconds });
    isOpen = isTalk;
  }
  return pieces;
}

/** @returns the longest of them; null for a class in which nobody talks */
export function longestTalk(items: readonly TimedItem[]): Talk | null {
  return talksIn(items).reduce<Talk | null>((longest, piece) => (piece.seconds > (longest?.seconds ?? 0) ? piece : longest), null);
}

function piecesOf({ movement, item: { dose, tiers, explainSeconds }, familiarity }: TimedItem): number {
  // what somebody wrote down is said as it is written
  if (movement.kind !== 'combination' || familiarity !== 'new' || explainSeconds !== undefined || dose.kind !== 'counts') return 1;
  return Math.ceil(countsOnce(dose) / 8) + tiers.length - 1;
}
