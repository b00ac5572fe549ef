import type { PlanEdit } from '../class-plan/edit.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import type { CheckContext } from './check.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

/** Items one after the other that nothing parts. */
export type Unparted = readonly TimedItem[];

/** The class, parted where it pauses; what pauses belongs to neither part. */
export function partedBy(items: readonly TimedItem[], isPause: (timed: TimedItem) => boolean): readonly Unparted[] {
  const parts: TimedItem[][] = [[]];
  for (const timed of items) {
    if (isPause(timed)) parts.push([]);
    else parts.at(-1)?.push(timed);
  }
  return parts.filter((part) => part.length > 0);
}

/**
 * Drinks where they part it best, so many that no part is longer than the limit; no mend inside one long item, which cannot be parted.
 * @param limitSeconds of the clock; left out, one drink is put in
 */
function drinkInside(context: CheckContext, part: Unparted, limitSeconds: Seconds | null): readonly PlanEdit[] | null {
  const drink = suitableMovement(context, ['break'], 'drink', () => 0);
  const [first] = part;
  const last = part.at(-1);
  if (!drink || !first || !last) return null;
  const end = last.startSecond + last.seconds;
  const length = end - first.startSecond;
  const parts = limitSeconds === null ? 2 : Math.ceil(length / limitSeconds);
  // not within a block: its items belong together
  const open = part.slice(1).filter(({ item }, index) => item.circuit === undefined || part[index]?.item.circuit !== item.circuit);
  const chosen = Array.from({ length: parts - 1 }, (_, index) => {
    const wanted = first.startSecond + ((index + 1) * length) / parts;
    return open.toSorted((a, b) => Math.abs(a.startSecond - wanted) - Math.abs(b.startSecond - wanted))[0];
  });
  const places = [...new Set(chosen.flatMap((timed) => timed?.item.id ?? []))];
  if (places.length === 0) return null;
  return places.map((item): PlanEdit => ({ kind: 'insert', item: mendItem(drink, context), place: { at: 'before', item } }));
}

/** The drinks that part all of them; null where one cannot be parted. */
export function drinksInside(context: CheckContext, parts: readonly Unparted[], limitSeconds: Seconds | null): readonly PlanEdit[] | null {
  const mends = parts.map((part) => drinkInside(context, part, limitSeconds));
  return mends.includes(null) ? null : mends.flatMap((mend) => mend ?? []);
}
