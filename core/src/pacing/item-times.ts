import type { Way } from '../class-plan/way.js';
import { isClockBound } from '../timing/item-time.js';
import type { TimedItem } from '../timing/timeline.js';
import type { ItemId, Seconds } from '../values/unit.js';
import { passKey, type Run } from './run.js';

/** How long an item of a class taught was planned and how long it took, over all its rounds. */
export interface ItemTime {
  readonly itemId: ItemId;
  /** As it was planned, the instructor's pace included. */
  readonly plannedSeconds: Seconds;
  readonly realSeconds: Seconds;
  /** What the pace is learned from; left out where the item was skipped or left early. */
  readonly measured?: Measured;
}

/** What was reckoned without any pace, and what was really measured, of the rounds that were done. */
export interface Measured {
  readonly way: Way;
  readonly isClockBound: boolean;
  readonly plannedExplainSeconds: Seconds;
  readonly realExplainSeconds: Seconds;
  readonly plannedWorkSeconds: Seconds;
  readonly realWorkSeconds: Seconds;
}

/**
 * What a run leaves behind, item by item.
 * @param items the class on the clock as it was taught
 * @param plain the same class reckoned without any pace
 */
export function itemTimesOf(run: Run, items: readonly TimedItem[], plain: readonly TimedItem[]): readonly ItemTime[] {
  const times = new Map<ItemId, ItemTime>();
  items.forEach((timed, index) => {
    const { id } = timed.item;
    const realSeconds = run.realSeconds[id];
    if (realSeconds === undefined) return;
    const before = times.get(id);
    const measured = measuredIn(run, timed, plain[index], before?.measured);
    times.set(id, {
      itemId: id,
      plannedSeconds: (before?.plannedSeconds ?? 0) + timed.seconds,
      realSeconds,
      ...(measured ? { measured } : {}),
    });
  });
  return [...times.values()];
}

function measuredIn(
  run: Run,
  { item, round, way, roundRestSeconds }: TimedItem,
  plain: TimedItem | undefined,
  before: Measured | undefined,
): Measured | undefined {
  const real = run.realParts[passKey(item.id, round)];
  if (!real || !plain) return before;
  const { parts } = plain;
  // the rest between two rounds is given by the clock: it is no explaining
  return {
    way: before?.way ?? way,
    isClockBound: isClockBound(item.dose),
    plannedExplainSeconds: (before?.plannedExplainSeconds ?? 0) + parts.explain + parts.goTo - roundRestSeconds,
    realExplainSeconds: (before?.realExplainSeconds ?? 0) + Math.max(0, real.explain - roundRestSeconds),
    plannedWorkSeconds: (before?.plannedWorkSeconds ?? 0) + parts.setUp + parts.work + parts.sideChange,
    realWorkSeconds: (before?.realWorkSeconds ?? 0) + real.work,
  };
}
