import type { ClassPlan, ItemId, SectionId, TimedItem } from '@leiter/core';

/** The least height in which a rung can still be read. */
export const leastRungPixels = 26;
/** Where something can be put into a section that is empty. */
export const emptySectionPixels = 22;

export interface Rung {
  readonly itemId: ItemId;
  readonly top: number;
  readonly height: number;
}

/** Where everything of a running order stands, in pixels from its top. */
export interface Ruler {
  readonly rungs: ReadonlyMap<ItemId, Rung>;
  readonly sections: readonly { readonly id: SectionId; readonly top: number; readonly height: number }[];
  readonly height: number;
  /** Where a moment of the class is; where a rung is stretched, the moments in it are stretched alike. */
  readonly yOf: (second: number) => number;
}

/**
 * Lays out a running order: a rung is as tall as its item is long, never under 26 px. The scale is chosen so that the whole
 * fills the room it has; where even the least heights do not fit, it is taller and scrolls.
 */
export function rulerOf(plan: ClassPlan, items: readonly TimedItem[], roomPixels: number): Ruler {
  const empty = plan.sections.filter((section) => section.items.length === 0).length * emptySectionPixels;
  const scale = scaleFor(
    items.map(({ seconds }) => seconds),
    roomPixels - empty,
  );
  const byId = new Map(items.map((timed) => [timed.item.id, timed]));
  const rungs = new Map<ItemId, Rung>();
  const sections: { readonly id: SectionId; readonly top: number; readonly height: number }[] = [];
  let top = 0;
  for (const section of plan.sections) {
    const sectionTop = top;
    for (const { id } of section.items) {
      const height = Math.max(leastRungPixels, (byId.get(id)?.seconds ?? 0) * scale);
      rungs.set(id, { itemId: id, top, height });
      top += height;
    }
    if (section.items.length === 0) top += emptySectionPixels;
    sections.push({ id: section.id, top: sectionTop, height: top - sectionTop });
  }
  return { rungs, sections, height: top, yOf: (second) => yOf(second, items, rungs, top) };
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

function yOf(second: number, items: readonly TimedItem[], rungs: ReadonlyMap<ItemId, Rung>, end: number): number {
  const timed = items.findLast(({ startSecond }) => startSecond <= second);
  const rung = timed && rungs.get(timed.item.id);
  if (!timed || !rung) return 0;
  if (timed.seconds <= 0) return rung.top;
  return Math.min(end, rung.top + (Math.min(timed.seconds, second - timed.startSecond) / timed.seconds) * rung.height);
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
