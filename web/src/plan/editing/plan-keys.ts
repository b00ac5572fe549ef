import {
  findItem,
  newCircuit,
  placedItems,
  rowsOf,
  sidesToChoose,
  stepDose,
  stepItem,
  teachingOf,
  tierNames,
  ways,
  type ClassPlan,
  type Library,
  type PlanEdit,
  type TierName,
} from '@leiter/core';

/** What a key of the Plan page does to the item that is chosen: an edit, or nothing. */
export type PlanKey = 'more' | 'less' | 'sides' | 'tiers' | 'way' | 'double' | 'remove' | 'up' | 'down' | 'circuit' | 'apart';

export function editOfKey(key: PlanKey, plan: ClassPlan, chosen: string, library: Library): PlanEdit | null {
  const item = findItem(plan, chosen)?.item;
  const movement = item && library.get(item.movement);
  if (!item || !movement) return null;
  switch (key) {
    case 'more':
    case 'less':
      return { kind: 'set-dose', item: item.id, dose: stepDose(item.dose, key) };
    case 'sides': {
      const choices = sidesToChoose(movement.sides);
      const sides = choices[(choices.indexOf(item.sides) + 1) % choices.length];
      return sides === undefined || sides === item.sides ? null : { kind: 'set-sides', item: item.id, sides };
    }
    case 'tiers': {
      const tiers = nextTiers(
        item.tiers,
        tierNames.filter((name) => movement.tiers[name]),
      );
      return tiers && { kind: 'set-tiers', item: item.id, tiers };
    }
    case 'way': {
      const { way, ...others } = teachingOf(item);
      const next = way === undefined ? ways[0] : ways[ways.indexOf(way) + 1];
      return { kind: 'set-teaching', item: item.id, teaching: next === undefined ? others : { ...others, way: next } };
    }
    case 'double':
      return { kind: 'double', item: item.id };
    case 'remove':
      return { kind: 'remove', item: item.id };
    case 'up':
    case 'down':
      return stepItem(plan, item.id, key);
    case 'circuit':
      return circuitWithNext(plan, item.id);
    case 'apart':
      return item.circuit === undefined ? null : { kind: 'break-circuit', circuit: item.circuit };
  }
}

/**
 * The edit that makes a circuit of an item and the one after it, or takes the next one into the circuit it is in; a circuit that
 * comes next is taken in whole. Null where the section ends.
 */
export function circuitWithNext(plan: ClassPlan, chosen: string): PlanEdit | null {
  const rows = rowsOf(plan);
  const index = rows.findIndex(({ items }) => items.some(({ id }) => id === chosen));
  const [row, next] = [rows[index], rows[index + 1]];
  if (!row || next?.section !== row.section) return null;
  const { rounds, restSeconds } = row.circuit ?? next.circuit ?? newCircuit;
  return { kind: 'make-circuit', items: [...row.items, ...next.items].map(({ id }) => id), rounds, restSeconds };
}

/** The key T goes: all versions → core alone → easier and core → core and harder → all again, of those there are. */
export function nextTiers(current: readonly TierName[], available: readonly TierName[]): readonly TierName[] | null {
  if (available.length < 2) return null;
  const choices: readonly (readonly TierName[])[] = [available, ['core'], ['easier', 'core'], ['core', 'harder']];
  const possible = choices.filter(
    (tiers, index) => tiers.every((tier) => available.includes(tier)) && (index === 0 || tiers.length < available.length),
  );
  const now = possible.findIndex((tiers) => tiers.join() === current.join());
  return possible[(now + 1) % possible.length] ?? null;
}

/** The item above or below the one chosen; the first or last when none is. */
export function neighbourOf(plan: ClassPlan, chosen: string | null, direction: 'up' | 'down'): string | null {
  const ids = placedItems(plan).map(({ item }) => item.id);
  const index = chosen === null ? -1 : ids.indexOf(chosen);
  if (index < 0) return (direction === 'down' ? ids[0] : ids.at(-1)) ?? null;
  return ids[Math.max(0, Math.min(ids.length - 1, index + (direction === 'down' ? 1 : -1)))] ?? null;
}
