import { roundsOf, rowsOf, type CircuitId, type ClassPlan, type ItemId, type SectionId, type TimedItem } from '@leiter/core';

/** The least height in which a rung can still be read. */
export const leastRungPixels = 26;
/** Where something can be put into a section that is empty. */
export const emptySectionPixels = 22;

export interface Rung {
  readonly itemId: ItemId;
  readonly top: number;
  readonly height: number;
}

/** A further round of a circuit: its stations are read at the first round. */
export interface RoundRung {
  readonly circuitId: CircuitId;
  readonly round: number;
  readonly passes: readonly TimedItem[];
  readonly top: number;
  readonly height: number;
}

/** A stretch of the class and where it stands: an item, or a further round of a circuit. */
export interface Place {
  readonly passes: readonly TimedItem[];
  readonly startSecond: number;
  readonly seconds: number;
  readonly top: number;
  readonly height: number;
}

/** Where everything of a running order stands, in pixels from its top. */
export interface Ruler {
  readonly rungs: ReadonlyMap<ItemId, Rung>;
  readonly rounds: readonly RoundRung[];
  /** All that takes time, in the order of the clock. */
  readonly places: readonly Place[];
  readonly circuits: readonly { readonly id: CircuitId; readonly top: number; readonly height: number }[];
  readonly sections: readonly { readonly id: SectionId; readonly top: number; readonly height: number }[];
  readonly height: number;
  /** Where a moment of the class is; where a rung is stretched, the moments in it are stretched alike. */
  readonly yOf: (second: number) => number;
}

/**
 * Lays out a running order: a rung is as tall as its item is long, never under 26 px. The scale is chosen so that the whole
 * fills the room it has; where even the least heights do not fit, it is taller and scrolls. A further round of a circuit is
 * one rung for all its stations.
 */
export function rulerOf(plan: ClassPlan, items: readonly TimedItem[], roomPixels: number): Ruler {
  const empty = plan.sections.filter((section) => section.items.length === 0).length * emptySectionPixels;
  const parts = rowsOf(plan).flatMap((row) => partsOfRow(row, items));
  const scale = scaleFor(
    parts.map(({ seconds }) => seconds),
    roomPixels - empty,
  );
  const rungs = new Map<ItemId, Rung>();
  const rounds: RoundRung[] = [];
  const places: Place[] = [];
  const circuits: { id: CircuitId; top: number; height: number }[] = [];
  const sections: { readonly id: SectionId; readonly top: number; readonly height: number }[] = [];
  let top = 0;
  for (const section of plan.sections) {
    const sectionTop = top;
    for (const part of parts.filter((one) => one.sectionId === section.id)) {
      const height = Math.max(leastRungPixels, part.seconds * scale);
      const [first] = part.passes;
      if (first) places.push({ passes: part.passes, startSecond: first.startSecond, seconds: part.seconds, top, height });
      if (part.itemId !== null) rungs.set(part.itemId, { itemId: part.itemId, top, height });
      else if (part.circuitId !== null) rounds.push({ circuitId: part.circuitId, round: part.round, passes: part.passes, top, height });
      const last = circuits.at(-1);
      if (part.circuitId !== null && last?.id === part.circuitId) last.height = top + height - last.top;
      else if (part.circuitId !== null) circuits.push({ id: part.circuitId, top, height });
      top += height;
    }
    if (section.items.length === 0) top += emptySectionPixels;
    sections.push({ id: section.id, top: sectionTop, height: top - sectionTop });
  }
  return { rungs, rounds, places, circuits, sections, height: top, yOf: (second) => yOf(second, places, top) };
}

/** One rung: an item, or all stations of a further round. */
interface Part {
  readonly sectionId: SectionId;
  /** Null for a further round. */
  readonly itemId: ItemId | null;
  readonly circuitId: CircuitId | null;
  readonly round: number;
  readonly passes: readonly TimedItem[];
  readonly seconds: number;
}

function partsOfRow({ section, circuit, items: own }: ReturnType<typeof rowsOf>[number], items: readonly TimedItem[]): readonly Part[] {
  const ids = new Set(own.map(({ id }) => id));
  const passes = items.filter(({ item }) => ids.has(item.id));
  const made = (itemId: ItemId | null, round: number, some: readonly TimedItem[]): Part => ({
    sectionId: section.id,
    itemId,
    circuitId: circuit?.id ?? null,
    round,
    passes: some,
    seconds: some.reduce((sum, { seconds }) => sum + seconds, 0),
  });
  const firsts = own.map(({ id }) =>
    made(
      id,
      1,
      passes.filter(({ item, round }) => item.id === id && round === 1),
    ),
  );
  const further = Array.from({ length: Math.max(0, (circuit ? roundsOf(circuit) : 1) - 1) }, (_, index) =>
    made(
      null,
      index + 2,
      passes.filter(({ round }) => round === index + 2),
    ),
  );
  return [...firsts, ...further];
}

/** The pixels per second with which the rungs fill the room; found by halving, to a thousandth of a pixel. */
function scaleFor(seconds: readonly number[], room: number): number {
  const heightAt = (scale: number): number => seconds.reduce((sum, one) => sum + Math.max(leastRungPixels, one * scale), 0);
  let low = 0;
  let high = 1;
  if (heightAt(high) <= room) return high;
  for (let step = 0; step < 30; step++) {
    const middle = (low + high) / 2;
    if (heightAt(middle) <= room) low = middle;
    else high = middle;
  }
  return low;
}

function yOf(second: number, places: readonly Place[], end: number): number {
  // asked for every ten seconds of a class: found by halving
  let low = 0;
  let high = places.length - 1;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((places[middle]?.startSecond ?? 0) <= second) low = middle;
    else high = middle - 1;
  }
  const place = places[low];
  if (!place || place.startSecond > second) return 0;
  if (place.seconds <= 0) return place.top;
  return Math.min(end, place.top + (Math.min(place.seconds, second - place.startSecond) / place.seconds) * place.height);
}

/** The moments at which the ruler has a mark: every whole five minutes of the clock within the class. */
export function rulerMarks(startsAt: string, totalSeconds: number): readonly number[] {
  const [hours = 0, minutes = 0] = startsAt.split(':').map(Number);
  const start = (hours * 60 + minutes) * 60;
  const first = Math.ceil(start / 300) * 300 - start;
  const marks: number[] = [];
  for (let mark = first; mark <= totalSeconds; mark += 300) marks.push(mark);
  return marks;
}
