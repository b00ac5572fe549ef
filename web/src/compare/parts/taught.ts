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
