import type { Seconds } from '../unit.js';

/** How much of a movement is done on one side. */
export type Dose =
  | { readonly kind: 'reps'; readonly sets: number; readonly reps: number; readonly secondsPerRep: Seconds; readonly restSeconds: Seconds }
  | { readonly kind: 'hold'; readonly sets: number; readonly holdSeconds: Seconds; readonly restSeconds: Seconds }
  | { readonly kind: 'timed'; readonly seconds: Seconds }
  | { readonly kind: 'counts'; readonly eights: number; readonly bpm: number; readonly repeats: number; readonly countIn: number };

/** What a dose may be: beyond these it is a slip of the finger, not a dose. Inclusive. */
export const doseLimits = {
  sets: { least: 1, most: 20 },
  reps: { least: 1, most: 200 },
  secondsPerRep: { least: 0.3, most: 120 },
  restSeconds: { least: 0, most: 300 },
  holdSeconds: { least: 1, most: 300 },
  seconds: { least: 1, most: 3600 },
  eights: { least: 1, most: 64 },
  bpm: { least: 30, most: 240 },
  repeats: { least: 1, most: 20 },
  countIn: { least: 0, most: 16 },
} as const;

export type DoseNumber = keyof typeof doseLimits;

/** The numbers of a dose by name, for checking and for forms. */
export function numbersOf(dose: Dose): readonly (readonly [DoseNumber, number])[] {
  switch (dose.kind) {
    case 'reps':
      return [
        ['sets', dose.sets],
        ['reps', dose.reps],
        ['secondsPerRep', dose.secondsPerRep],
        ['restSeconds', dose.restSeconds],
      ];
    case 'hold':
      return [
        ['sets', dose.sets],
        ['holdSeconds', dose.holdSeconds],
        ['restSeconds', dose.restSeconds],
      ];
    case 'timed':
      return [['seconds', dose.seconds]];
    case 'counts':
      return [
        ['eights', dose.eights],
        ['bpm', dose.bpm],
        ['repeats', dose.repeats],
        ['countIn', dose.countIn],
      ];
  }
}

/** @returns the names of the numbers that lie outside `doseLimits` or are not finite; empty for a dose one can do. */
export function doseFaults(dose: Dose): readonly DoseNumber[] {
  return numbersOf(dose)
    .filter(([name, value]) => !(value >= doseLimits[name].least && value <= doseLimits[name].most))
    .map(([name]) => name);
}

/**
 * One step more or less, as the keys + and − do it: a rep, five seconds of a hold, fifteen seconds, one 8-count.
 * Stays within `doseLimits`: at the limit the dose comes back unchanged.
 */
export function stepDose(dose: Dose, direction: 'more' | 'less'): Dose {
  const sign = direction === 'more' ? 1 : -1;
  const stepped = (name: DoseNumber, value: number, step: number): number =>
    Math.min(doseLimits[name].most, Math.max(doseLimits[name].least, value + sign * step));
  switch (dose.kind) {
    case 'reps':
      return { ...dose, reps: stepped('reps', dose.reps, 1) };
    case 'hold':
      return { ...dose, holdSeconds: stepped('holdSeconds', dose.holdSeconds, 5) };
    case 'timed':
      return { ...dose, seconds: stepped('seconds', dose.seconds, 15) };
    case 'counts':
      return { ...dose, eights: stepped('eights', dose.eights, 1) };
  }
}

/** Work of one side in seconds, rests between sets left out: what the body does. */
export function activeSecondsOf(dose: Dose): Seconds {
  switch (dose.kind) {
    case 'reps':
      return dose.sets * dose.reps * dose.secondsPerRep;
    case 'hold':
      return dose.sets * dose.holdSeconds;
    case 'timed':
      return dose.seconds;
    case 'counts':
      return (8 * dose.eights * dose.repeats * 60) / dose.bpm;
  }
}

/** Rest and count-in of one side in seconds: the part of the work in which nobody moves. */
export function restSecondsOf(dose: Dose): Seconds {
  switch (dose.kind) {
    case 'reps':
    case 'hold':
      return (dose.sets - 1) * dose.restSeconds;
    case 'timed':
      return 0;
    case 'counts':
      return (dose.countIn * 60) / dose.bpm;
  }
}

export function sameDose(one: Dose, other: Dose): boolean {
  if (one.kind !== other.kind) return false;
  const others = numbersOf(other);
  return numbersOf(one).every(([, value], index) => value === others[index]?.[1]);
}
