import type { TaughtClass, TaughtItem } from '@leiter/contract';
import { effortCurveOver, groupBy, type EffortCurve, type Library, type SectionKind } from '@leiter/core';

export interface PlannedAndReal {
  readonly plannedSeconds: number;
  readonly realSeconds: number;
}

/** What a class was planned to take and what it took, over the items of which a time was kept. */
export function totalOf(items: readonly TaughtItem[]): PlannedAndReal {
  return {
    plannedSeconds: items.reduce((sum, item) => sum + item.plannedSeconds, 0),
    realSeconds: items.reduce((sum, item) => sum + item.realSeconds, 0),
  };
}

/** How much longer it took than planned: 0.1 for a tenth, negative for shorter; 0 where nothing was planned. */
export function excessOf({ plannedSeconds, realSeconds }: PlannedAndReal): number {
  return plannedSeconds > 0 ? realSeconds / plannedSeconds - 1 : 0;
}

/** Per kind of section, over all classes, in the order in which it is first met: planned and real per class that had it. */
export function sectionMeans(
  classes: readonly TaughtClass[],
): readonly (PlannedAndReal & { readonly section: SectionKind; readonly classes: number })[] {
  const items = classes.flatMap((one) => one.items.map((item) => ({ ...item, classId: one.classId })));
  return [...groupBy(items, ({ section }) => section)].map(([section, own]) => {
    const count = new Set(own.map(({ classId }) => classId)).size;
    const total = totalOf(own);
    return { section, classes: count, plannedSeconds: total.plannedSeconds / count, realSeconds: total.realSeconds / count };
  });
}

/** The effort of a class as it was taught; items whose movement is gone from the library are taken as rest. */
export function taughtEffort(items: readonly TaughtItem[], library: Library): EffortCurve {
  return effortCurveOver(items.map(({ movement, realSeconds }) => ({ effort: library.get(movement)?.effort ?? 0, seconds: realSeconds })));
}

/** The highest effort of a curve and the minute of it; null for a class without items. */
export function peakOf({ values, stepSeconds }: EffortCurve): { readonly effort: number; readonly minute: number } | null {
  if (values.length === 0) return null;
  const effort = Math.max(...values);
  return { effort, minute: Math.round((values.indexOf(effort) * stepSeconds) / 60) };
}

/** Between what and what the effort of most classes was, at a time from the start. */
interface UsualEffort {
  readonly seconds: number;
  readonly low: number;
  readonly high: number;
}

/**
 * What was usual: half of the classes were between the two lines (first and third quartile, between neighbours as in a box plot), for
 * as long as at least half of them were still going.
 */
export function usualEffort(curves: readonly EffortCurve[]): readonly UsualEffort[] {
  const step = 10;
  const longest = Math.max(0, ...curves.map(({ values, stepSeconds }) => (values.length - 1) * stepSeconds));
  return Array.from({ length: Math.floor(longest / step) + 1 }, (_, index) => index * step).flatMap((seconds) => {
    const going = curves.flatMap(({ values, stepSeconds }) => values[Math.round(seconds / stepSeconds)] ?? []).toSorted((a, b) => a - b);
    if (going.length === 0 || going.length * 2 < curves.length) return [];
    return [{ seconds, low: quantile(going, 0.25), high: quantile(going, 0.75) }];
  });
}

/** @param sorted rising, not empty */
function quantile(sorted: readonly number[], share: number): number {
  const at = (sorted.length - 1) * share;
  const below = sorted[Math.floor(at)] ?? 0;
  return below + ((sorted[Math.ceil(at)] ?? below) - below) * (at % 1);
}
