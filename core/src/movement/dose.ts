import type { Seconds } from '../values/unit.js';

/** How much of a movement is done on one side. */
export type Dose =
  | { readonly kind: 'reps'; readonly sets: number; readonly reps: number; readonly secondsPerRep: Seconds; readonly restSeconds: Seconds }
  | { readonly kind: 'hold'; readonly sets: number; readonly holdSeconds: Seconds; readonly restSeconds: Seconds }
  | { readonly kind: 'timed'; readonly seconds: Seconds }
  | { readonly kind: 'counts'; readonly eights: number; readonly bpm: number; readonly repeats: number; readonly countIn: number };

/**
 * The numbers of a dose and what they may be: beyond these it is a slip of the finger, not a dose. Inclusive. Whole ones are
 * counted, the others measured.
 */
export const doseLimits = {
  sets: { least: 1, most: 20, isWhole: true },
  reps: { least: 1, most: 200, isWhole: true },
  secondsPerRep: { least: 0.3, most: 120, isWhole: false },
  restSeconds: { least: 0, most: 300, isWhole: false },
  holdSeconds: { least: 1, most: 300, isWhole: false },
  seconds: { least: 1, most: 3600, isWhole: false },
  eights: { least: 1, most: 64, isWhole: true },
  bpm: { least: 30, most: 240, isWhole: false },
  repeats: { least: 1, most: 20, isWhole: true },
  countIn: { least: 0, most: 16, isWhole: true },
} as const;

export type DoseNumber = keyof typeof doseLimits;

/**
 * The kinds of a dose: which numbers each has, and by how much which of them grows with one press of `+`. Limits, forms, the
 * classes of the contract and the schemas of files follow from this table.
 */
export const doseKinds = {
  reps: { numbers: ['sets', 'reps', 'secondsPerRep', 'restSeconds'], step: { of: 'reps', by: 1 } },
  hold: { numbers: ['sets', 'holdSeconds', 'restSeconds'], step: { of: 'holdSeconds', by: 5 } },
  timed: { numbers: ['seconds'], step: { of: 'seconds', by: 15 } },
  counts: { numbers: ['eights', 'bpm', 'repeats', 'countIn'], step: { of: 'eights', by: 1 } },
} as const satisfies Readonly<
  Record<Dose['kind'], { readonly numbers: readonly DoseNumber[]; readonly step: { readonly of: DoseNumber; readonly by: number } }>
>;

export const doseKindNames = Object.keys(doseKinds) as readonly Dose['kind'][]; // the keys of the table above

/** The numbers of a dose by name, for checking and for forms. */
export function numbersOf(dose: Dose): readonly (readonly [DoseNumber, number])[] {
  const numbers: Readonly<Record<string, unknown>> = { ...dose };
  // each kind has the numbers that the table names
  return doseKinds[dose.kind].numbers.map((name) => [name, numbers[name] as number]);
}

/** @returns the names of the numbers that lie outside `doseLimits`, are not finite, or not whole where they are counted; empty for a dose one can do. */
export function doseFaults(dose: Dose): readonly DoseNumber[] {
  return numbersOf(dose)
    .filter(([name, value]) => !isDoseNumber(name, value))
    .map(([name]) => name);
}

/** Whether a value can be this number of a dose. */
export function isDoseNumber(name: DoseNumber, value: unknown): value is number {
  const { least, most, isWhole } = doseLimits[name];
  return typeof value === 'number' && value >= least && value <= most && (!isWhole || Number.isInteger(value));
}

/**
 * One step more or less, as the keys + and − do it: a rep, five seconds of a hold, fifteen seconds, one 8-count.
 * Stays within `doseLimits`: at the limit the dose comes back unchanged.
 */
export function stepDose(dose: Dose, direction: 'more' | 'less'): Dose {
  const { of: name, by } = doseKinds[dose.kind].step;
  const { least, most } = doseLimits[name];
  const value = numbersOf(dose).find(([one]) => one === name)?.[1] ?? least;
  const next = value + (direction === 'more' ? by : -by);
  return { ...dose, [name]: Math.min(most, Math.max(least, next)) };
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

/** Doing it once, as somebody shows it to those who watch: a set, a phrase without its repeats, or all of a time. */
export function shownSecondsOf(dose: Dose): Seconds {
  switch (dose.kind) {
    case 'reps':
      return dose.reps * dose.secondsPerRep;
    case 'hold':
      return dose.holdSeconds;
    case 'timed':
      return dose.seconds;
    case 'counts':
      return (8 * dose.eights * 60) / dose.bpm;
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
