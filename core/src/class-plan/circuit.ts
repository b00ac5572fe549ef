import { accepted, refused, type Result } from '../values/result.js';
import type { ItemSides } from '../movement/sides.js';
import type { CircuitId, ItemId, Seconds } from '../values/unit.js';
import { findItem, type Circuit, type ClassPlan, type Item, type Section } from './class-plan.js';

/** Inclusive. One round is how a circuit is left for a day without taking it apart. */
export const circuitLimits = { rounds: { least: 1, most: 10 }, restSeconds: { least: 0, most: 300 } } as const;

/** What the first circuit of an instructor looks like. */
export const newCircuit = { rounds: 2, restSeconds: 30 } as const;

export type CircuitNumber = keyof typeof circuitLimits;

/** @returns the names of the numbers that lie outside `circuitLimits` or, for rounds, are no whole number. */
export function circuitFaults(circuit: Omit<Circuit, 'id'>): readonly CircuitNumber[] {
  const { rounds, restSeconds } = circuitLimits;
  return [
    ...(Number.isInteger(circuit.rounds) && circuit.rounds >= rounds.least && circuit.rounds <= rounds.most ? [] : (['rounds'] as const)),
    ...(circuit.restSeconds >= restSeconds.least && circuit.restSeconds <= restSeconds.most ? [] : (['restSeconds'] as const)),
  ];
}

/** An item at one place of the class: a station of a circuit comes once in each round. */
export interface Pass {
  readonly item: Item;
  readonly section: Section;
  /** Which sides are done now: in a chain one after the other, else those of the item. */
  readonly sides: ItemSides;
  /** The chain goes on on the other side here. */
  readonly isOtherSide: boolean;
  /** Of what is done, how much each child does: half in a pair. */
  readonly share: number;
  /** From 1. */
  readonly round: number;
  /** 1 where nothing is repeated. */
  readonly rounds: number;
  /** The rest before it, between two rounds; 0 else. */
  readonly roundRestSeconds: Seconds;
}

/** What stands next to each other in a section and is repeated together; `circuit` is null for a single item. */
export interface Row {
  readonly section: Section;
  readonly circuit: Circuit | null;
  readonly items: readonly Item[];
}

/** The rows of a plan in their order. A circuit that is torn apart, as no edit does, counts as several. */
export function rowsOf(plan: ClassPlan): readonly Row[] {
  const circuits = plan.circuits ?? [];
  const byId = new Map(circuits.map((circuit) => [circuit.id, circuit]));
  const rows: { readonly section: Section; readonly circuit: Circuit | null; readonly items: Item[] }[] = [];
  for (const section of plan.sections)
    for (const item of section.items) {
      const circuit = byId.get(item.circuit ?? '') ?? null;
      const last = rows.at(-1);
      if (circuit && last?.circuit === circuit && last.section === section) last.items.push(item);
      else rows.push({ section, circuit, items: [item] });
    }
  return rows;
}

/** How often all of a block is done in the end: a chain on two sides, a pair by two children. */
export function roundsOf({ kind, rounds }: Pick<Circuit, 'kind' | 'rounds'>): number {
  return kind === undefined || kind === 'circuit' ? rounds : 2 * rounds;
}

/** A block in words: `circuit, 3 rounds, 30 s rest between`; `chain, left then right`; `pair, one then the other, 2 times`. */
export function circuitText({ kind = 'circuit', rounds, restSeconds }: Omit<Circuit, 'id'>): string {
  const what = { circuit: 'circuit', chain: 'chain, left then right', pair: 'pair, one then the other' }[kind];
  const times =
    kind === 'circuit' ? `, ${String(rounds)} ${rounds === 1 ? 'round' : 'rounds'}` : rounds > 1 ? `, ${String(rounds)} times` : '';
  // the other side of a chain comes without a rest
  const isRested = kind === 'pair' || rounds > 1;
  return `${what}${times}${isRested && restSeconds > 0 ? `, ${String(restSeconds)} s rest between` : ''}`;
}

/** All that is taught in the order in which it is taught, each round of a circuit after the one before. */
export function passesThrough(plan: ClassPlan): readonly Pass[] {
  if (plan.circuits === undefined)
    return plan.sections.flatMap((section) =>
      section.items.map((item) => ({
        item,
        section,
        sides: item.sides,
        isOtherSide: false,
        share: 1,
        round: 1,
        rounds: 1,
        roundRestSeconds: 0,
      })),
    );
  return rowsOf(plan).flatMap(({ section, circuit, items }) => {
    const rounds = circuit ? roundsOf(circuit) : 1;
    return Array.from({ length: rounds }, (_, index) =>
      items.map((item, place) => ({
        item,
        section,
        sides: circuit?.kind === 'chain' && item.sides === 'both' ? (index % 2 === 0 ? 'left' : 'right') : item.sides,
        isOtherSide: circuit?.kind === 'chain' && index % 2 === 1 && place === 0,
        share: circuit?.kind === 'pair' ? 0.5 : 1,
        round: index + 1,
        rounds,
        // the other side of a chain comes without a rest
        roundRestSeconds: index > 0 && place === 0 && !(circuit?.kind === 'chain' && index % 2 === 1) ? (circuit?.restSeconds ?? 0) : 0,
      })),
    ).flat();
  });
}

export type CircuitFault =
  | { readonly kind: 'circuit-unknown'; readonly item: ItemId; readonly circuit: CircuitId }
  | { readonly kind: 'circuit-torn'; readonly item: ItemId; readonly circuit: CircuitId }
  | { readonly kind: 'circuit-twice'; readonly circuit: CircuitId };

/** What is wrong with the circuits of a plan that came from outside: named but not there, twice, or not in one row. */
export function circuitFaultsIn(plan: ClassPlan): readonly CircuitFault[] {
  const known = new Set<CircuitId>();
  const faults: CircuitFault[] = [];
  for (const { id } of plan.circuits ?? []) {
    if (known.has(id)) faults.push({ kind: 'circuit-twice', circuit: id });
    known.add(id);
  }
  const met = new Set<CircuitId>();
  for (const { circuit, items } of rowsOf(plan)) {
    const [first] = items;
    if (circuit && first && met.has(circuit.id)) faults.push({ kind: 'circuit-torn', item: first.id, circuit: circuit.id });
    if (circuit) met.add(circuit.id);
    for (const item of items)
      if (item.circuit !== undefined && !known.has(item.circuit))
        faults.push({ kind: 'circuit-unknown', item: item.id, circuit: item.circuit });
  }
  return faults;
}

export type CircuitRefusal =
  | { readonly kind: 'item-missing'; readonly item: ItemId }
  | { readonly kind: 'circuit-missing'; readonly circuit: CircuitId }
  | { readonly kind: 'not-in-a-row' }
  | { readonly kind: 'circuit-out-of-range'; readonly numbers: readonly CircuitNumber[] };

/**
 * Puts items that stand next to each other in one section into one circuit; those that were in another one leave it.
 * @returns the new plan, or why they make none: an item is missing, they are not in a row, a number is out of range
 */
export function withCircuit(
  plan: ClassPlan,
  ids: readonly ItemId[],
  numbers: Omit<Circuit, 'id'>,
  newId: () => CircuitId,
): Result<ClassPlan, CircuitRefusal> {
  const faults = circuitFaults(numbers);
  if (faults.length > 0) return refused({ kind: 'circuit-out-of-range', numbers: faults });
  const missing = ids.find((id) => !findItem(plan, id));
  if (missing !== undefined) return refused({ kind: 'item-missing', item: missing });
  const wanted = new Set(ids);
  const section = plan.sections.find(({ items }) => items.some(({ id }) => wanted.has(id)));
  const places = section?.items.flatMap(({ id }, index) => (wanted.has(id) ? [index] : [])) ?? [];
  const [first, last] = [places[0], places.at(-1)];
  if (!section || first === undefined || last === undefined || places.length < wanted.size || last - first + 1 > places.length)
    return refused({ kind: 'not-in-a-row' });
  const id = newId();
  const items = section.items.map((item) => (wanted.has(item.id) ? { ...item, circuit: id } : item));
  return accepted(
    tidied({
      ...plan,
      sections: plan.sections.map((one) => (one === section ? { ...section, items } : one)),
      circuits: [...(plan.circuits ?? []), { id, ...numbers }],
    }),
  );
}

/** The same circuit with other numbers. */
export function withCircuitNumbers(plan: ClassPlan, id: CircuitId, numbers: Omit<Circuit, 'id'>): Result<ClassPlan, CircuitRefusal> {
  if (!plan.circuits?.some((one) => one.id === id)) return refused({ kind: 'circuit-missing', circuit: id });
  const faults = circuitFaults(numbers);
  if (faults.length > 0) return refused({ kind: 'circuit-out-of-range', numbers: faults });
  const changed = (one: Circuit): Circuit => {
    const { kind, ...rest } = { ...one, ...numbers };
    return kind === undefined || kind === 'circuit' ? rest : { ...rest, kind };
  };
  return accepted({ ...plan, circuits: plan.circuits.map((one) => (one.id === id ? changed(one) : one)) });
}

/** The stations of a circuit as single items, each done once. */
export function withoutCircuit(plan: ClassPlan, id: CircuitId): Result<ClassPlan, CircuitRefusal> {
  if (!plan.circuits?.some((one) => one.id === id)) return refused({ kind: 'circuit-missing', circuit: id });
  return accepted(
    tidied({
      ...plan,
      sections: plan.sections.map((section) => ({
        ...section,
        items: section.items.map((item) => (item.circuit === id ? outsideCircuit(item) : item)),
      })),
    }),
  );
}

export function outsideCircuit({ circuit: _left, ...item }: Item): Item {
  return item;
}

/**
 * Where an item that was put somewhere belongs: between two stations of a circuit it is one; at the edge of its own
 * circuit it stays in it; anywhere else it stands alone.
 * @param before and after: its neighbours in the section
 */
export function placedBetween(item: Item, before: Item | undefined, after: Item | undefined): Item {
  const around = before?.circuit !== undefined && before.circuit === after?.circuit ? before.circuit : undefined;
  const isAtOwn = item.circuit !== undefined && (before?.circuit === item.circuit || after?.circuit === item.circuit);
  const circuit = around ?? (isAtOwn ? item.circuit : undefined);
  return circuit === undefined ? outsideCircuit(item) : { ...item, circuit };
}

/** A plan without circuits that nobody is in any more; a circuit that an edit tore apart stays where it is longest. */
export function tidied(plan: ClassPlan): ClassPlan {
  if (plan.circuits === undefined) return plan;
  const used = new Set(plan.sections.flatMap(({ items }) => items.flatMap(({ circuit }) => circuit ?? [])));
  const kept = plan.circuits.filter(({ id }) => used.has(id));
  const { circuits: _all, ...rest } = plan;
  const tidy: ClassPlan = kept.length === 0 ? rest : { ...rest, circuits: kept };
  const longest = new Map<CircuitId, Row>();
  const rows = rowsOf(tidy);
  for (const row of rows)
    if (row.circuit && row.items.length > (longest.get(row.circuit.id)?.items.length ?? 0)) longest.set(row.circuit.id, row);
  const left = new Set(rows.filter((row) => row.circuit && longest.get(row.circuit.id) !== row).flatMap(({ items }) => items));
  if (left.size === 0) return tidy;
  return {
    ...tidy,
    sections: tidy.sections.map((section) => ({
      ...section,
      items: section.items.map((item) => (left.has(item) ? outsideCircuit(item) : item)),
    })),
  };
}
