import {
  applyEdits,
  fitToClock,
  placedItems,
  type ClassPlan,
  type EvaluationContext,
  type Fit,
  type Library,
  type PlanEdit,
  type Run,
  type TimedItem,
} from '@leiter/core';
import { DateTime } from 'luxon';

/** A class that begins this much too early or too late is another one: it was moved, or is tried. */
const mostLateSeconds = 30 * 60;
/** So much may be missing before an offer is worth looking at. */
const leastMissingSeconds = 60;

/** The plan with what was changed while it was taught; what does not fit it any more is left out. */
export function livePlan(plan: ClassPlan, edits: readonly PlanEdit[]): ClassPlan {
  return edits.reduce((current, edit, index) => {
    const done = applyEdits(current, [edit], () => onceMoreId(index));
    return done.ok ? done.value : current;
  }, plan);
}

/** The id of an item that came into the plan by the edit at an index. */
const onceMoreId = (index: number): string => `more-${String(index)}`;

/** An item once more, behind itself: it is known by then. */
export function onceMoreEdits(itemId: string, edits: readonly PlanEdit[]): readonly PlanEdit[] {
  return [
    { kind: 'double', item: itemId },
    { kind: 'set-familiarity', item: onceMoreId(edits.length), familiarity: 'routine' },
  ];
}

/** The item of the stored plan that was done: one that was done once more is the same. */
export function plannedItem(itemId: string, edits: readonly PlanEdit[]): string {
  const by = edits.findIndex((edit, index) => edit.kind === 'double' && onceMoreId(index) === itemId);
  const edit = edits[by];
  return edit?.kind === 'double' ? plannedItem(edit.item, edits) : itemId;
}

/** The move that puts an item off: behind the next one. Null in a circuit, and where nothing comes after it that may be done before. */
export function putOffEdit(plan: ClassPlan, itemId: string): PlanEdit | null {
  const items = placedItems(plan);
  const index = items.findIndex(({ item }) => item.id === itemId);
  const [own, next] = [items[index], items[index + 1]];
  if (!own || !next || own.item.circuit !== undefined || next.item.circuit !== undefined) return null;
  // nothing of a class is put off into its end
  if (next.section.kind === 'cool-down' || next.section.kind === 'closing') return null;
  return { kind: 'move', item: itemId, place: { at: 'after', item: next.item.id } };
}

interface Slot {
  /** `YYYY-MM-DD`, `HH:MM` of the club's zone. */
  readonly day: string;
  readonly startsAt: string;
  readonly lengthMinutes: number;
}

/** By how many seconds a class began later than its slot; 0 for one that began early, or so far from its slot that it is another one. */
export function lateStart({ day, startsAt }: Slot, timeZone: string, startedAt: number): number {
  const late = startedAt / 1000 - DateTime.fromISO(`${day}T${startsAt}`, { zone: timeZone }).toSeconds();
  return late > 0 && late <= mostLateSeconds ? late : 0;
}

/**
 * The least harmful way to end on time from here.
 * @param missingSeconds how much later than its slot the class would end, reckoned from what is left of the plan
 * @returns null where nothing is to be offered: on time, or hardly late
 */
export function offerNow(
  run: Run,
  items: readonly TimedItem[],
  plan: ClassPlan,
  library: Library,
  context: EvaluationContext,
  missingSeconds: number,
): Fit | null {
  if (missingSeconds < leastMissingSeconds) return null;
  const done = new Set(items.slice(0, run.itemIndex + 1).map(({ item }) => item.id));
  const last = items.at(-1);
  const planned = last ? last.startSecond + last.seconds : 0;
  const fit = fitToClock(plan, library, context, { done, slotSeconds: planned - missingSeconds });
  return fit.kind === 'fits' ? null : fit;
}
