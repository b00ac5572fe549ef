import { activeSecondsOf, restSecondsOf, tempoOf, unevenOf, type Dose } from '../movement/dose.js';
import type { ItemSides } from '../movement/sides.js';
import type { Side } from '../values/side.js';
import type { Seconds } from '../values/unit.js';

/** How it went at home: in a tap. What hurts is told to the instructor. */
export const practiceFeelings = ['well', 'hard', 'hurt'] as const;
export type PracticeFeeling = (typeof practiceFeelings)[number];

/** What happens for some seconds when a child practises with the counter. */
export interface PracticeStep {
  readonly kind: 'ready' | 'work' | 'rest' | 'change';
  readonly side: Side | null;
  /** Counted from 1, of how many; of a side. */
  readonly set: number;
  readonly sets: number;
  readonly seconds: Seconds;
  /** What is counted aloud: every repetition, or the last seconds of what is held. */
  readonly counts: readonly { readonly at: Seconds; readonly number: number }[];
}

/** To get into place before the first step and for another side; our estimate, as for a class (`homeTaskSeconds`). */
export const practiceSettings = { ready: 5, change: 5, countedDown: 5 } as const satisfies Readonly<Record<string, Seconds>>;

/** The sides as one does them, one after the other; null where there is none to change. @param lead which side a child prefers */
function sidesInTurn(sides: ItemSides, lead: Side): readonly (Side | null)[] {
  switch (sides) {
    case 'none':
    case 'alternating':
      return [null];
    case 'left':
    case 'right':
      return [sides];
    case 'lead':
      return [lead];
    case 'both':
      return ['left', 'right'];
  }
}

/** What one set takes and what is counted in it. */
function setsOf(dose: Dose): readonly Pick<PracticeStep, 'seconds' | 'counts'>[] {
  switch (dose.kind) {
    case 'reps': {
      const reps = unevenOf(dose) ?? Array.from({ length: dose.sets }, () => dose.reps);
      return reps.map((count, set) => {
        const each = tempoOf(dose, set);
        return { seconds: count * each, counts: Array.from({ length: count }, (_, nth) => ({ at: nth * each, number: nth + 1 })) };
      });
    }
    case 'hold': {
      const holds = unevenOf(dose) ?? Array.from({ length: dose.sets }, () => dose.holdSeconds);
      return holds.map((seconds) => ({ seconds, counts: countedDown(seconds) }));
    }
    case 'lengths': {
      const each = dose.metres * dose.secondsPerMetre;
      return [
        { seconds: dose.lengths * each, counts: Array.from({ length: dose.lengths }, (_, nth) => ({ at: nth * each, number: nth + 1 })) },
      ];
    }
    case 'timed':
    case 'counts': {
      const seconds = activeSecondsOf(dose);
      return [{ seconds, counts: countedDown(seconds) }];
    }
  }
}

function countedDown(seconds: Seconds): PracticeStep['counts'] {
  const last = Math.min(practiceSettings.countedDown, Math.floor(seconds));
  return Array.from({ length: last }, (_, nth) => ({ at: seconds - last + nth, number: last - nth }));
}

/**
 * How a dose is practised with a counter that speaks, from getting ready to the last set: set by set, a rest between, each side by itself.
 * @returns at least one step of work; a rest of no length is left out
 */
export function practiceSteps(dose: Dose, sides: ItemSides, lead: Side): readonly PracticeStep[] {
  const sets = setsOf(dose);
  const rest = sets.length > 1 ? restSecondsOf(dose) / (sets.length - 1) : 0;
  const turns = sidesInTurn(sides, lead);
  return turns.flatMap((side, turn) => {
    const at = (kind: PracticeStep['kind'], set: number, seconds: Seconds, counts: PracticeStep['counts'] = []): PracticeStep => ({
      kind,
      side,
      set,
      sets: sets.length,
      seconds,
      counts,
    });
    return [
      turn === 0 ? at('ready', 1, practiceSettings.ready) : at('change', 1, practiceSettings.change),
      ...sets.flatMap(({ seconds, counts }, index) => [
        ...(index > 0 && rest > 0 ? [at('rest', index + 1, rest)] : []),
        at('work', index + 1, seconds, counts),
      ]),
    ];
  });
}

/** Something to be said: what a step begins with, a number, or that all is done. */
export interface PracticeCue {
  readonly at: Seconds;
  readonly step: PracticeStep | 'over';
  /** Null for the words with which a step begins, which stand in place of a number at the same moment. */
  readonly number: number | null;
}

/** All that is said in the course of a practice, in the order in which it is said. */
export function practiceCues(steps: readonly PracticeStep[]): readonly PracticeCue[] {
  const starts = startsOf(steps);
  const said = steps.flatMap((step, index): readonly PracticeCue[] => {
    const start = starts[index] ?? 0;
    const numbers = step.counts.filter(({ at }) => at > 0).map(({ at, number }) => ({ at: start + at, step, number }));
    return [{ at: start, step, number: null }, ...numbers];
  });
  return [...said, { at: practiceSeconds(steps), step: 'over', number: null }];
}

/** The step at a moment, and the whole seconds that are left of it; null where all is done. */
export function practiceAt(steps: readonly PracticeStep[], at: Seconds): { readonly step: PracticeStep; readonly left: number } | null {
  const starts = startsOf(steps);
  const index = steps.findIndex(({ seconds }, nth) => at < (starts[nth] ?? 0) + seconds);
  const step = steps[index];
  return step ? { step, left: Math.max(1, Math.ceil((starts[index] ?? 0) + step.seconds - at)) } : null;
}

export const practiceSeconds = (steps: readonly PracticeStep[]): Seconds => steps.reduce((sum, { seconds }) => sum + seconds, 0);

/** When each step begins. */
function startsOf(steps: readonly PracticeStep[]): readonly Seconds[] {
  return steps.map((_, index) => practiceSeconds(steps.slice(0, index)));
}
