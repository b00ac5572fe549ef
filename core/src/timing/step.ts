import type { Side } from '../values/side.js';
import { passesOf } from '../class-plan/class-plan.js';
import { activeSecondsOf, countsOnce, restSecondsOf, tempoOf, timesLearnt, type Dose, type LengthBack } from '../movement/dose.js';
import type { Seconds } from '../values/unit.js';
import { buildUp, type BuildUpStep } from '../phrase/build-up.js';
import { writtenSide } from '../phrase/phrase.js';
import { phraseRead } from '../phrase/read-once.js';
import type { TimedItem } from './timeline.js';

/** The side of the children's bodies that works in a step. */
export type StepSide = Side | 'lead' | null;

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
  | {
      readonly kind: 'count-in' | 'counts';
      readonly seconds: Seconds;
      readonly side: StepSide;
      readonly counts: number;
      /** To how many is counted before it begins with one again. */
      readonly beats: number;
      /** Which part of a phrase is built up in which way, where one is. */
      readonly learning?: BuildUpStep;
    }
  | {
      readonly kind: 'length';
      readonly seconds: Seconds;
      readonly side: StepSide;
      readonly nth: number;
      readonly lengths: number;
      /** What the way is; null on the way there. */
      readonly back: LengthBack | null;
    };

/** A step that is counted: into it, or in it. */
export type CountedStep = Extract<Step, { kind: 'counts' | 'count-in' }>;

/** The steps of an item as it is taught; steps that take no time are left out. Left comes before right. */
export function stepsOf(timed: TimedItem): readonly Step[] {
  const { item, parts } = timed;
  const passes = passesOf(timed);
  const sides: readonly StepSide[] = timed.sides === 'both' ? ['left', 'right'] : [sideOf(timed.sides)];
  const steps: Step[] = [
    { kind: 'rest', seconds: timed.roundRestSeconds, side: null },
    { kind: 'go-to', seconds: parts.goTo - timed.roundRestSeconds },
    { kind: 'explain', seconds: parts.explain },
  ];
  const learning = learningSteps(timed);
  if (learning) return [...steps, ...learning].filter((step) => step.seconds > 0);
  sides.forEach((side, index) => {
    if (index > 0 || timed.isOtherSide) steps.push({ kind: 'change-side', seconds: parts.sideChange, side });
    steps.push({ kind: 'set-up', seconds: parts.setUp / passes, side }, ...workSteps(item.dose, parts.work / passes, side));
  });
  return steps.filter((step) => step.seconds > 0);
}

/** A phrase that is built up in the time of an item; null for what is none, or has not the time for the least of it. */
export function learningOf({ item, movement, parts, sides }: TimedItem): readonly BuildUpStep[] | null {
  if (!item.parts || item.dose.kind !== 'timed' || !movement.phrase) return null;
  const phrase = phraseRead(movement.phrase);
  if (!phrase) return null;
  const { steps } = buildUp(phrase, item.parts, sides === 'both', parts.setUp + parts.work + parts.sideChange);
  return steps.length > 0 ? steps : null;
}

function learningSteps(timed: TimedItem): readonly Step[] | null {
  const { movement, sides } = timed;
  const phrase = movement.phrase && phraseRead(movement.phrase);
  const learnt = learningOf(timed);
  if (!phrase || !learnt) return null;
  // as the side is asked; where there are two, as it is written first
  const own = sideOf(sides) ?? (sides === 'both' ? writtenSide(phrase) : null);
  return learnt.flatMap((learning, index): readonly Step[] => {
    const side = !learning.isOtherSide || own === null || own === 'lead' ? own : own === 'left' ? 'right' : 'left';
    const isChange = learning.isOtherSide && learnt[index - 1]?.isOtherSide === false;
    const beat = 60 / learning.bpm;
    const { countIn, beats } = phrase;
    return [
      { kind: isChange ? 'change-side' : 'set-up', seconds: learning.pauseSeconds, side },
      { kind: 'count-in', seconds: countIn * beat, side, counts: countIn, beats, learning },
      { kind: 'counts', seconds: learning.danceSeconds - countIn * beat, side, counts: learning.counts * learning.passes, beats, learning },
    ];
  });
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
      const { countIn, beats = 8 } = dose;
      const at = (bpm: number, times: number): readonly Step[] => {
        const [beat, counts] = [60 / bpm, countsOnce(dose) * times];
        return [
          { kind: 'count-in', seconds: countIn * beat, side, counts: countIn, beats },
          { kind: 'counts', seconds: counts * beat, side, counts, beats },
        ];
      };
      // learnt slowly, then done; partners who take turns do it twice as long
      const once = [...(dose.learnBpm === undefined ? [] : at(dose.learnBpm, timesLearnt(dose))), ...at(dose.bpm, dose.repeats)];
      const factor = seconds / (activeSecondsOf(dose) + restSecondsOf(dose));
      return once.map((step) => ({ ...step, seconds: step.seconds * factor }));
    }
    case 'lengths': {
      const factor = seconds / (activeSecondsOf(dose) + restSecondsOf(dose));
      const { lengths } = dose;
      return Array.from({ length: lengths }, (_, index) => index + 1).flatMap((nth): readonly Step[] => {
        const isBack = nth % 2 === 0;
        const length: Step = {
          kind: 'length',
          seconds: dose.metres * dose.secondsPerMetre * factor,
          side,
          nth,
          lengths,
          back: isBack ? dose.back : null,
        };
        return nth === 1 ? [length] : [{ kind: 'rest', seconds: dose.restSeconds * factor, side }, length];
      });
    }
    case 'reps':
    case 'hold': {
      const sets = dose.uneven ?? Array.from({ length: dose.sets }, () => (dose.kind === 'reps' ? dose.reps : dose.holdSeconds));
      const factor = seconds / (activeSecondsOf(dose) + restSecondsOf(dose));
      return sets.flatMap((amount, index): readonly Step[] => {
        const set = index + 1;
        const setSeconds = dose.kind === 'reps' ? amount * tempoOf(dose, index) : amount;
        const length = { seconds: setSeconds * factor, side, set, sets: sets.length };
        const work: Step = dose.kind === 'reps' ? { kind: 'reps', ...length, reps: amount } : { kind: 'hold', ...length };
        return set === 1 ? [work] : [{ kind: 'rest', seconds: dose.restSeconds * factor, side }, work];
      });
    }
  }
}
