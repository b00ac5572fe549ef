import { activeSecondsOf, stepDose } from '../movement/dose.js';
import type { MovementKind } from '../movement/kind.js';
import type { Library } from '../movement/library.js';
import { timelineOf, type TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../unit.js';
import type { ClassPlan, Item } from './class-plan.js';
import { meanAge, type EvaluationContext } from './evaluation.js';

export const fillSettings = { leaveSeconds: 60, mostTimesTheDose: 2 } as const;

/** What practice time goes to first: the skill of the day, then what leads to it. Warm-up, stretches and rest stay as they are. */
const filled: readonly MovementKind[] = ['skill', 'drill', 'combination', 'game', 'strength', 'basic'];

/**
 * A plan whose doses are raised until the slot is full but for a minute: a group that knows the movements needs less
 * explaining, and practises more. The item that grew least, in proportion, grows next; none beyond twice its dose.
 * @returns the same plan where there is nothing to raise or no time for it.
 */
export function fillSlot(plan: ClassPlan, library: Library, context: EvaluationContext): ClassPlan {
  const timelineContext = { ...context, meanAgeYears: meanAge(context.agesYears) };
  const slotSeconds = context.slotMinutes * 60 - fillSettings.leaveSeconds;
  const begun = timelineOf(plan, library, timelineContext);
  const candidates = begun.items.filter(({ movement }) => filled.includes(movement.kind));
  const doses = new Map(candidates.map(({ item }) => [item.id, item.dose]));
  let free = slotSeconds - begun.totalSeconds;
  const grown = (timed: TimedItem): number =>
    activeSecondsOf(doses.get(timed.item.id) ?? timed.item.dose) / activeSecondsOf(timed.item.dose);
  const open = new Set(candidates);
  while (open.size > 0) {
    const next = [...open].reduce((best, one) =>
      grown(one) < grown(best) || (grown(one) === grown(best) && rank(one) < rank(best)) ? one : best,
    );
    const more = stepDose(doses.get(next.item.id) ?? next.item.dose, 'more');
    const cost = costOf(next, more, doses);
    if (cost > free || cost <= 0 || activeSecondsOf(more) > fillSettings.mostTimesTheDose * activeSecondsOf(next.item.dose)) {
      open.delete(next);
      continue;
    }
    doses.set(next.item.id, more);
    free -= cost;
  }
  const raised = (item: Item): Item => {
    const dose = doses.get(item.id);
    return dose && dose !== item.dose ? { ...item, dose } : item;
  };
  return { ...plan, sections: plan.sections.map((section) => ({ ...section, items: section.items.map(raised) })) };
}

const rank = ({ movement }: TimedItem): number => filled.indexOf(movement.kind);

/** Seconds that a larger dose costs, in proportion to what the work of the item costs now: age, pace and sides included. */
function costOf(timed: TimedItem, more: Item['dose'], doses: ReadonlyMap<string, Item['dose']>): Seconds {
  const now = doses.get(timed.item.id) ?? timed.item.dose;
  const perActiveSecond = timed.movingSeconds / activeSecondsOf(timed.item.dose);
  return (activeSecondsOf(more) - activeSecondsOf(now)) * perActiveSecond;
}
