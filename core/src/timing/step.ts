import { passesOf } from '../class-plan/class-plan.js';
import type { Dose } from '../movement/dose.js';
import type { Seconds } from '../values/unit.js';
import type { TimedItem } from './timeline.js';

/** The side of the children's bodies that works in a step. */
export type StepSide = 'left' | 'right' | 'lead' | null;

/** What happens within an item, one after the other; their seconds add up to the item's. */
export type Step =
  | { readonly kind: 'go-to' | 'explain'; readonly seconds: Seconds }
  | { readonly kind: 'set-up' | 'change-side' | 'rest'; readonly seconds: Seconds; readonly side: StepSide }
  | {
      readonly kind: 'reps';
      readonly seconds: Seconds;
      readonly side: StepSide;
      readonly set: number;
      readonly sets: number;
      readonly reps: number;
    }
  | { readonly kind: 'hold'; readonly seconds: Seconds; readonly side: StepSide; readonly set: number; readonly sets: number }
  | { readonly kind: 'timed'; readonly seconds: Seconds; readonly side: StepSide }
  | { readonly kind: 'count-in' | 'counts'; readonly seconds: Seconds; readonly side: StepSide; readonly counts: number };

/** The steps of an item as it is taught; steps that take no time are left out. Left comes before right. */
export function stepsOf(timed: TimedItem): readonly Step[] {
  const { item, parts } = timed;
  const passes = passesOf(item);
  const sides: readonly StepSide[] = item.sides === 'both' ? ['left', 'right'] : [sideOf(item.sides)];
  const steps: Step[] = [
    { kind: 'rest', seconds: timed.roundRestSeconds, side: null },
    { kind: 'go-to', seconds: parts.goTo - timed.roundRestSeconds },
    { kind: 'explain', seconds: parts.explain },
  ];
  sides.forEach((side, index) => {
    if (index > 0) steps.push({ kind: 'change-side', seconds: parts.sideChange, side });
    steps.push({ kind: 'set-up', seconds: parts.setUp / passes, side }, ...workSteps(item.dose, parts.work / passes, side));
  });
  return steps.filter((step) => step.seconds > 0);
}

function sideOf(sides: TimedItem['item']['sides']): StepSide {
  return sides === 'left' || sides === 'right' || sides === 'lead' ? sides : null;
}

/** @param seconds what the work of one side takes, age and pace included; the dose is stretched to it. */
function workSteps(dose: Dose, seconds: Seconds, side: StepSide): readonly Step[] {
  switch (dose.kind) {
    case 'timed':
      return [{ kind: 'timed', seconds, side }];
    case 'counts': {
      const beat = 60 / dose.bpm;
      const counts = 8 * dose.eights * dose.repeats;
      return [
        { kind: 'count-in', seconds: dose.countIn * beat, side, counts: dose.countIn },
        { kind: 'counts', seconds: counts * beat, side, counts },
      ];
    }
    case 'reps':
    case 'hold': {
      const setSeconds = dose.kind === 'reps' ? dose.reps * dose.secondsPerRep : dose.holdSeconds;
      const factor = seconds / (dose.sets * setSeconds + (dose.sets - 1) * dose.restSeconds);
      return Array.from({ length: dose.sets }, (_, index) => index + 1).flatMap((set): readonly Step[] => {
        const length = { seconds: setSeconds * factor, side, set, sets: dose.sets };
        const work: Step = dose.kind === 'reps' ? { kind: 'reps', ...length, reps: dose.reps } : { kind: 'hold', ...length };
        return set === 1 ? [work] : [{ kind: 'rest', seconds: dose.restSeconds * factor, side }, work];
      });
    }
  }
}
