import type { Movement } from '../movement/movement.js';

/** Where the class stands when an item begins. */
export interface Surroundings {
  readonly level: 'floor' | 'standing' | null;
  readonly fetched: ReadonlySet<string>;
}

/** True when the children go from standing to the floor or back. */
export function changesLevel(movement: Movement, before: Surroundings | null): boolean {
  return movement.level !== 'either' && before?.level != null && before.level !== movement.level;
}

/** True when something is needed that nobody has fetched yet. */
export function fetches(movement: Movement, before: Surroundings | null): boolean {
  return movement.needs.equipment.some((thing) => !before?.fetched.has(thing));
}

/** Where the class stands once an item is done. */
export function surroundingsAfter(movement: Movement, before: Surroundings | null): Surroundings {
  const fetched = movement.needs.equipment;
  return {
    level: movement.level === 'either' ? (before?.level ?? null) : movement.level,
    fetched: fetched.length === 0 && before ? before.fetched : new Set([...(before?.fetched ?? []), ...fetched]),
  };
}
