import type { Metres } from '../values/unit.js';
import type { HomeList } from './home-list.js';

/** What everybody lays out before a class, and how much room it takes: shown to all, so it names nobody. */
export interface DoorList {
  readonly lengthM: Metres;
  readonly widthM: Metres;
  readonly things: readonly { readonly thing: string; readonly standIns: readonly string[]; readonly isForAll: boolean }[];
  readonly builds: readonly string[];
}

/** Of what the families of a class need, what is laid out: things that most use first. */
export function doorListOf(lists: readonly HomeList[]): DoorList {
  const users = new Map<string, number>();
  for (const { things } of lists) for (const { thing } of things) users.set(thing, (users.get(thing) ?? 0) + 1);
  const standIns = new Map(lists.flatMap(({ things }) => things.map((one) => [one.thing, one.standIns] as const)));
  return {
    lengthM: Math.max(0, ...lists.map(({ lengthM }) => lengthM)),
    widthM: Math.max(0, ...lists.map(({ widthM }) => widthM)),
    things: [...users]
      .toSorted(([, a], [, b]) => b - a)
      .map(([thing, count]) => ({ thing, standIns: standIns.get(thing) ?? [], isForAll: count === lists.length })),
    builds: [...new Set(lists.flatMap(({ builds }) => builds))],
  };
}
