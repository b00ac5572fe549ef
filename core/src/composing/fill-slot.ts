import { activeSecondsOf, restSecondsOf, stepDose, type Dose } from '../movement/dose.js';
import type { MovementKind } from '../movement/kind.js';
import type { Library } from '../movement/library.js';
import { timelineOf, type TimedItem } from '../timing/timeline.js';
import type { ItemId, Seconds } from '../values/unit.js';
import type { ClassPlan } from '../class-plan/class-plan.js';
import { applyEdits } from '../class-plan/edit.js';
import { evaluatePlan, meanAge, type EvaluationContext } from './evaluation.js';
import { harmOf, isNoWorse } from './harm.js';

export const fillSettings = {
  leaveSeconds: 60,
  /** What the class is about may be practised three times as much; a game, a run and a shape grow dull before. */
  mostTimesTheDose: { skill: 3, drill: 3, combination: 3, strength: 3, game: 2.5, basic: 2.5, 'pulse-raiser': 2.5 } as Partial<
    Record<MovementKind, number>
  >,
  /** Beyond so many reps in a row nobody counts aloud: they become one set more, with a rest. */
  mostRepsInASet: 12,
  restSeconds: 10,
} as const;

/** One step more of a dose as a coach would write it: a rep more, and from twelve on a set more of fewer. */
function grown(dose: Dose): Dose {
  const { mostRepsInASet, restSeconds } = fillSettings;
  if (dose.kind !== 'reps' || dose.uneven || dose.reps < mostRepsInASet) return stepDose(dose, 'more');
  const sets = dose.sets + 1;
  const reps = Math.ceil((dose.sets * dose.reps + 1) / sets);
  return { ...dose, sets, reps, restSeconds: Math.max(dose.restSeconds, restSeconds) };
}

/** What practice time goes to first: the skill of the day, then what leads to it, the warm-up last. Stretches and rest stay as they are. */
const filled: readonly MovementKind[] = ['skill', 'drill', 'combination', 'game', 'strength', 'basic', 'pulse-raiser'];

/** A plan in which nothing is held longer than the youngest should: a template is written for the mean age of a group. */
function withinHolds(plan: ClassPlan, library: Library, context: EvaluationContext): ClassPlan {
  const tooLong = evaluatePlan(plan, library, context).findings.filter(({ check }) => check === 'hold-too-long');
  const shortened = applyEdits(
    plan,
    tooLong.flatMap(({ mend }) => mend ?? []),
    () => '',
  );
  return shortened.ok ? shortened.value : plan;
}

/**
 * A plan whose doses are raised until the slot is full but for a minute: a group that knows the movements needs less
 * explaining, and practises more. The item that grew least, in proportion, grows next; none beyond three times its dose, and none
 * so far that it does harm.
 * @returns the same plan where there is nothing to raise or no time for it.
 */
export function fillSlot(plan: ClassPlan, library: Library, context: EvaluationContext): ClassPlan {
  const begun = withinHolds(plan, library, context);
  const harm = harmOf(begun, library, context);
  const isHarmless = (next: ClassPlan): boolean => isNoWorse(harm, harmOf(next, library, context));
  const filledUp = raised(begun, library, context, () => true);
  return isHarmless(filledUp) ? filledUp : raised(begun, library, context, isHarmless);
}

/** @param isHarmless asked for each step; an item whose next step does harm grows no further. */
function raised(plan: ClassPlan, library: Library, context: EvaluationContext, isHarmless: (plan: ClassPlan) => boolean): ClassPlan {
  const begun = timelineOf(plan, library, { ...context, meanAgeYears: meanAge(context.agesYears) });
  const open = new Set(begun.items.filter(mayGrow));
  const doses = new Map([...open].map(({ item }) => [item.id, item.dose]));
  const doseOf = ({ item }: TimedItem): Dose => doses.get(item.id) ?? item.dose;
  const growth = (timed: TimedItem): number => activeSecondsOf(doseOf(timed)) / activeSecondsOf(timed.item.dose);
  let current = plan;
  let free = context.slotMinutes * 60 - fillSettings.leaveSeconds - begun.totalSeconds;
  while (open.size > 0) {
    const next = [...open].reduce((best, one) => ((growth(one) - growth(best) || rank(one) - rank(best)) < 0 ? one : best));
    const more = grown(doseOf(next));
    const cost = secondsMore(next, doseOf(next), more);
    const step = withDose(current, next.item.id, more);
    const mostTimes = fillSettings.mostTimesTheDose[next.movement.kind] ?? 1;
    const isTooMuch = activeSecondsOf(more) > mostTimes * activeSecondsOf(next.item.dose);
    if (cost > free || cost <= 0 || isTooMuch || !isHarmless(step)) {
      open.delete(next);
      continue;
    }
    doses.set(next.item.id, more);
    current = step;
    free -= cost;
  }
  return current;
}

/** Stations keep the doses of their circuit, and what is fitted to music stays with it. */
function mayGrow({ movement, item, section }: TimedItem): boolean {
  return item.circuit === undefined && !item.music && !section.music && filled.includes(movement.kind);
}

const rank = ({ movement }: TimedItem): number => filled.indexOf(movement.kind);

/** Seconds that a larger dose costs, in proportion to what the work of the item costs now: age, pace and sides included. */
function secondsMore(timed: TimedItem, now: Dose, more: Dose): Seconds {
  const whole = (dose: Dose): Seconds => activeSecondsOf(dose) + restSecondsOf(dose);
  return ((whole(more) - whole(now)) * timed.movingSeconds) / activeSecondsOf(timed.item.dose);
}

function withDose(plan: ClassPlan, id: ItemId, dose: Dose): ClassPlan {
  return {
    ...plan,
    sections: plan.sections.map((section) => ({
      ...section,
      items: section.items.map((item) => (item.id === id ? { ...item, dose } : item)),
    })),
  };
}
