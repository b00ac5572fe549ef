import type { Metres, Seconds } from '../values/unit.js';

/** What a length on the way back is: as the way there, backwards, or with the other side leading. */
export const lengthBacks = ['same', 'backwards', 'other-side'] as const;
export type LengthBack = (typeof lengthBacks)[number];

/**
 * How much of a movement is done on one side. Uneven sets are written one by one – 5 slow then 10, holds of 10, 30, 60 s –: then
 * `sets` is how many there are, and reps or seconds of a hold are those of the longest.
 */
export type Dose =
  | {
      readonly kind: 'reps';
      readonly sets: number;
      readonly reps: number;
      readonly secondsPerRep: Seconds;
      readonly restSeconds: Seconds;
      readonly uneven?: readonly number[];
      /** Of uneven sets each its own seconds per rep, where they differ: five slow, then ten fast. */
      readonly tempos?: readonly Seconds[];
    }
  | {
      readonly kind: 'hold';
      readonly sets: number;
      readonly holdSeconds: Seconds;
      readonly restSeconds: Seconds;
      readonly uneven?: readonly Seconds[];
    }
  | { readonly kind: 'timed'; readonly seconds: Seconds }
  | {
      readonly kind: 'counts';
      readonly eights: number;
      readonly bpm: number;
      readonly repeats: number;
      readonly countIn: number;
      /** Counts in one group; 8 where nothing is said, 3 in a waltz, 6 in 6/8. */
      readonly beats?: number;
      /** The tempo at which it is learnt before it is done at `bpm`, and how often; once where only the tempo is said. */
      readonly learnBpm?: number;
      readonly learnTimes?: number;
    }
  | {
      readonly kind: 'lengths';
      readonly lengths: number;
      readonly metres: Metres;
      readonly secondsPerMetre: Seconds;
      readonly restSeconds: Seconds;
      readonly back: LengthBack;
    };

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
  beats: { least: 2, most: 12, isWhole: true },
  learnBpm: { least: 30, most: 240, isWhole: false },
  learnTimes: { least: 1, most: 20, isWhole: true },
  lengths: { least: 1, most: 60, isWhole: true },
  metres: { least: 0.5, most: 30, isWhole: false },
  secondsPerMetre: { least: 0.2, most: 30, isWhole: false },
} as const;

export type DoseNumber = keyof typeof doseLimits;

/** So many sets can be written one by one. */
export const unevenSets = { least: 2, most: 12 } as const;

interface DoseKind {
  readonly numbers: readonly DoseNumber[];
  /** Numbers that may be left out. */
  readonly optional?: readonly DoseNumber[];
  /** Of what there may be a list, one for each set. */
  readonly uneven?: DoseNumber;
  /** Of what uneven sets may have a list as well. */
  readonly tempos?: DoseNumber;
  readonly choices?: Readonly<Record<string, readonly string[]>>;
  readonly step: { readonly of: DoseNumber; readonly by: number };
}

/**
 * The kinds of a dose: which numbers each has, which may be left out, and by how much which of them grows with one press of `+`.
 * Limits, forms, the classes of the contract and the schemas of files follow from this table.
 */
export const doseKinds: Readonly<Record<Dose['kind'], DoseKind>> = {
  reps: { numbers: ['sets', 'reps', 'secondsPerRep', 'restSeconds'], uneven: 'reps', tempos: 'secondsPerRep', step: { of: 'reps', by: 1 } },
  hold: { numbers: ['sets', 'holdSeconds', 'restSeconds'], uneven: 'holdSeconds', step: { of: 'holdSeconds', by: 5 } },
  timed: { numbers: ['seconds'], step: { of: 'seconds', by: 15 } },
  counts: {
    numbers: ['eights', 'bpm', 'repeats', 'countIn'],
    optional: ['beats', 'learnBpm', 'learnTimes'],
    step: { of: 'eights', by: 1 },
  },
  lengths: {
    numbers: ['lengths', 'metres', 'secondsPerMetre', 'restSeconds'],
    choices: { back: lengthBacks },
    step: { of: 'lengths', by: 1 },
  },
};

export const doseKindNames = Object.keys(doseKinds) as readonly Dose['kind'][]; // the keys of the table above

/** The names of all fields that a dose of a kind may have. */
export function doseFields(kind: Dose['kind']): readonly string[] {
  const { numbers, optional = [], uneven, tempos, choices = {} } = doseKinds[kind];
  return ['kind', ...numbers, ...optional, ...(uneven ? ['uneven'] : []), ...(tempos ? ['tempos'] : []), ...Object.keys(choices)];
}

/** The numbers of a dose by name, for checking and for forms; those that may be left out where they are said. */
export function numbersOf(dose: Dose): readonly (readonly [DoseNumber, number])[] {
  const values: Readonly<Record<string, unknown>> = { ...dose };
  const { numbers, optional = [] } = doseKinds[dose.kind];
  // each kind has the numbers that the table names
  return [...numbers, ...optional.filter((name) => values[name] !== undefined)].map((name) => [name, values[name] as number]);
}

/** The sets of a dose that are written one by one; null where all are alike, or where it has no sets. */
export function unevenOf(dose: Dose): readonly number[] | null {
  return (dose.kind === 'reps' || dose.kind === 'hold') && dose.uneven ? dose.uneven : null;
}

/** A dose with sets written one by one: what follows from the list is set with it. */
export function withUneven<Sets extends Dose & { readonly kind: 'reps' | 'hold' }>(dose: Sets, uneven: readonly number[]): Sets {
  const most = Math.max(...uneven);
  if (dose.kind === 'reps' && dose.tempos && dose.tempos.length !== uneven.length) {
    const { tempos: _tempos, ...even } = dose;
    return withUneven(even as Sets, uneven); // the same dose without its tempos
  }
  return { ...dose, sets: uneven.length, uneven, ...(dose.kind === 'reps' ? { reps: most } : { holdSeconds: most }) };
}

/**
 * @returns the names of the numbers that lie outside `doseLimits`, are not finite, or not whole where they are counted; empty for a
 *   dose one can do. Uneven sets that cannot be, or of which the numbers say something else, are named by what they are a list of.
 */
export function doseFaults(dose: Dose): readonly DoseNumber[] {
  const faults = numbersOf(dose)
    .filter(([name, value]) => !isDoseNumber(name, value))
    .map(([name]) => name);
  const { uneven: of, choices = {} } = doseKinds[dose.kind];
  const list: unknown = 'uneven' in dose ? dose.uneven : undefined;
  if (of && list !== undefined && !isUneven(dose, of, list)) faults.push(of);
  if (dose.kind === 'reps' && dose.tempos !== undefined && !areTempos(dose.tempos, dose.uneven)) faults.push('secondsPerRep');
  const said: Readonly<Record<string, unknown>> = { ...dose };
  const isChosen = Object.entries(choices).every(([field, words]) => words.some((word) => word === said[field]));
  return isChosen ? faults : [...faults, doseKinds[dose.kind].step.of];
}

/** One for each of the sets that are written one by one. */
function areTempos(tempos: unknown, uneven: unknown): boolean {
  return (
    Array.isArray(tempos) &&
    Array.isArray(uneven) &&
    tempos.length === uneven.length &&
    tempos.every((one) => isDoseNumber('secondsPerRep', one))
  );
}

/** Seconds of one rep in a set, counted from 0. */
export function tempoOf({ secondsPerRep, tempos }: Dose & { readonly kind: 'reps' }, set: number): Seconds {
  return tempos?.[set] ?? secondsPerRep;
}

function isUneven(dose: Dose, of: DoseNumber, list: unknown): boolean {
  if (!Array.isArray(list) || list.length < unevenSets.least || list.length > unevenSets.most) return false;
  if (!list.every((one) => isDoseNumber(of, one))) return false;
  const numbers = new Map(numbersOf(dose));
  return numbers.get('sets') === list.length && numbers.get(of) === Math.max(...(list as readonly number[])); // looked at just now
}

/** Whether a value can be this number of a dose. */
export function isDoseNumber(name: DoseNumber, value: unknown): value is number {
  const { least, most, isWhole } = doseLimits[name];
  return typeof value === 'number' && value >= least && value <= most && (!isWhole || Number.isInteger(value));
}

/**
 * One step more or less, as the keys + and − do it: a rep, five seconds of a hold, fifteen seconds, one 8-count, one length; of uneven
 * sets each. Stays within `doseLimits`: at the limit the dose comes back unchanged.
 */
export function stepDose(dose: Dose, direction: 'more' | 'less'): Dose {
  const { of: name, by } = doseKinds[dose.kind].step;
  const { least, most } = doseLimits[name];
  const stepped = (value: number): number => Math.min(most, Math.max(least, value + (direction === 'more' ? by : -by)));
  const uneven = unevenOf(dose);
  if (uneven && (dose.kind === 'reps' || dose.kind === 'hold')) return withUneven(dose, uneven.map(stepped));
  const value = numbersOf(dose).find(([one]) => one === name)?.[1] ?? least;
  return { ...dose, [name]: stepped(value) };
}

const total = (list: readonly number[]): number => list.reduce((sum, one) => sum + one, 0);

/** Counts of music from beginning to end, once. */
export const countsOnce = ({ eights, beats = 8 }: Dose & { readonly kind: 'counts' }): number => eights * beats;

/** How often it is done at the tempo at which it is learnt. */
export const timesLearnt = ({ learnBpm, learnTimes = 1 }: Dose & { readonly kind: 'counts' }): number =>
  learnBpm === undefined ? 0 : learnTimes;

/** Repetitions of one side: of a dose that counts none, null. */
export function repsOf(dose: Dose): number | null {
  return dose.kind === 'reps' ? (dose.uneven ? total(dose.uneven) : dose.sets * dose.reps) : null;
}

/** Work of one side in seconds, rests between sets left out: what the body does. */
export function activeSecondsOf(dose: Dose): Seconds {
  switch (dose.kind) {
    case 'reps':
      return dose.uneven ? total(dose.uneven.map((reps, set) => reps * tempoOf(dose, set))) : dose.sets * dose.reps * dose.secondsPerRep;
    case 'hold':
      return dose.uneven ? total(dose.uneven) : dose.sets * dose.holdSeconds;
    case 'timed':
      return dose.seconds;
    case 'counts':
      return countsOnce(dose) * 60 * (dose.repeats / dose.bpm + timesLearnt(dose) / (dose.learnBpm ?? dose.bpm));
    case 'lengths':
      return dose.lengths * dose.metres * dose.secondsPerMetre;
  }
}

/** Doing it once, as somebody shows it to those who watch: a set, a phrase without its repeats, there and back, or all of a time. */
export function shownSecondsOf(dose: Dose): Seconds {
  switch (dose.kind) {
    case 'reps':
      return (dose.uneven?.[0] ?? dose.reps) * tempoOf(dose, 0);
    case 'hold':
      return dose.uneven?.[0] ?? dose.holdSeconds;
    case 'timed':
      return dose.seconds;
    case 'counts':
      return (countsOnce(dose) * 60) / (dose.learnBpm ?? dose.bpm);
    case 'lengths':
      return Math.min(2, dose.lengths) * dose.metres * dose.secondsPerMetre;
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
      return dose.countIn * 60 * (1 / dose.bpm + (dose.learnBpm === undefined ? 0 : 1 / dose.learnBpm));
    case 'lengths':
      return (dose.lengths - 1) * dose.restSeconds;
  }
}

export function sameDose(one: Dose, other: Dose): boolean {
  if (one.kind !== other.kind) return false;
  const others: Readonly<Record<string, unknown>> = { ...other };
  const own: Readonly<Record<string, unknown>> = { ...one };
  return doseFields(one.kind).every(
    (field) => own[field] === others[field] || ((field === 'uneven' || field === 'tempos') && String(own[field]) === String(others[field])),
  );
}
