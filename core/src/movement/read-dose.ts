import { doseFaults, type Dose } from './dose.js';

const number = String.raw`(\d+(?:[.,]\d+)?)`;
const whole = String.raw`(\d+)`;
const forms: readonly (readonly [RegExp, (found: readonly number[], like: Dose | null) => Dose])[] = [
  // 8x8 @ 96: eights of counted music and their tempo
  [new RegExp(`^${whole} ?x ?8 ?@ ?${number}$`), ([eights = 0, bpm = 0], like) => ({ ...countsOf(like), eights, bpm })],
  // 2x20s: sets of a hold
  [new RegExp(`^${whole} ?x ?${number} ?s$`), ([sets = 0, holdSeconds = 0], like) => ({ ...holdOf(like), sets, holdSeconds })],
  // 3x8: sets of repetitions
  [new RegExp(`^${whole} ?x ?${whole}$`), ([sets = 0, reps = 0], like) => ({ ...repsOf(like), sets, reps })],
  [new RegExp(`^${number} ?min$`), ([minutes = 0]) => ({ kind: 'timed', seconds: minutes * 60 })],
  [new RegExp(`^${whole}:(\\d\\d)$`), ([minutes = 0, seconds = 0]) => ({ kind: 'timed', seconds: minutes * 60 + seconds })],
  // 20 s: a hold where it was one, else a time
  [
    new RegExp(`^${number} ?s$`),
    ([seconds = 0], like) => (like?.kind === 'hold' ? { ...like, sets: 1, holdSeconds: seconds } : { kind: 'timed', seconds }),
  ],
  // 8 or 8 times: one set
  [new RegExp(`^${whole}(?: ?times)?$`), ([reps = 0], like) => ({ ...repsOf(like), sets: 1, reps })],
];

function repsOf(like: Dose | null): Dose & { readonly kind: 'reps' } {
  return like?.kind === 'reps' ? like : { kind: 'reps', sets: 1, reps: 1, secondsPerRep: 3, restSeconds: 10 };
}

function holdOf(like: Dose | null): Dose & { readonly kind: 'hold' } {
  return like?.kind === 'hold' ? like : { kind: 'hold', sets: 1, holdSeconds: 10, restSeconds: 5 };
}

function countsOf(like: Dose | null): Dose & { readonly kind: 'counts' } {
  return like?.kind === 'counts' ? like : { kind: 'counts', eights: 4, bpm: 96, repeats: 1, countIn: 8 };
}

/**
 * Reads a dose as one writes it: `3x8`, `8 times`, `2x20s`, `20 s`, `4 min`, `1:30`, `8x8 @ 96`.
 * @param like the dose it takes the place of: its tempo and rest stay where the kind is the same.
 * @returns null for what is no dose, or none that anybody can do.
 */
export function readDose(text: string, like: Dose | null): Dose | null {
  const plain = text
    .trim()
    .toLowerCase()
    .replaceAll('×', 'x')
    .replace(/^hold /, '')
    .replace(/\s+/g, ' ');
  for (const [form, make] of forms) {
    const found = form.exec(plain);
    if (!found) continue;
    const numbers = found.slice(1).map((digits) => Number(digits.replace(',', '.')));
    const dose = make(numbers, like);
    return doseFaults(dose).length === 0 ? dose : null;
  }
  return null;
}

/** A dose as `readDose` reads it. */
export function writeDose(dose: Dose): string {
  switch (dose.kind) {
    case 'reps':
      return `${String(dose.sets)}x${String(dose.reps)}`;
    case 'hold':
      return `${String(dose.sets)}x${String(dose.holdSeconds)}s`;
    case 'timed':
      return `${String(dose.seconds)} s`;
    case 'counts':
      return `${String(dose.eights)}x8 @ ${String(dose.bpm)}`;
  }
}
