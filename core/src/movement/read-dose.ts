import { doseFaults, tempoOf, timesLearnt, withUneven, type Dose, type LengthBack } from './dose.js';

const writtenBack: Readonly<Record<LengthBack, string>> = {
  same: '',
  backwards: ', back backwards',
  'other-side': ', back the other side',
};

/** Slow takes twice as long as usual, fast half as long. */
const slowTimes = 2;

const number = String.raw`(\d+(?:[.,]\d+)?)`;
const whole = String.raw`(\d+)`;
const list = String.raw`(\d+(?:[.,]\d+)?(?:/\d+(?:[.,]\d+)?)+)`;
const numberOf = (digits: string): number => Number(digits.replace(',', '.'));
const listOf = (digits: string): readonly number[] => digits.split('/').map(numberOf);

/** What was found by a form, piece by piece; a piece that was not written is empty. */
type Found = readonly string[];

const forms: readonly (readonly [RegExp, (found: Found, like: Dose | null) => Dose])[] = [
  // 8x8 @ 96: eights of counted music and their tempo; 16x3 @ 120; with `learn 2 @ 80` before it at another tempo
  [
    new RegExp(`^${whole} ?x ?${whole} ?@ ?${number}(?: ?,? ?learn(?: ${whole})? ?@ ?${number})?$`),
    ([eights = '', beats = '', bpm = '', learnTimes = '', learnBpm = ''], like) => {
      const { beats: _beats, learnBpm: _bpm, learnTimes: _times, ...counts } = countsOf(like);
      return {
        ...counts,
        eights: Number(eights),
        bpm: numberOf(bpm),
        ...(beats === '8' ? {} : { beats: Number(beats) }),
        ...(learnBpm === '' ? {} : { learnBpm: numberOf(learnBpm) }),
        ...(learnTimes === '' || learnTimes === '1' ? {} : { learnTimes: Number(learnTimes) }),
      };
    },
  ],
  // 4 lengths of 5 m, back backwards
  [
    new RegExp(`^${whole} lengths?(?: of ${number} ?m)?(?:,? back (backwards|on the other side|the other side|the same))?$`),
    ([lengths = '', metres = '', back = ''], like) => ({
      ...lengthsOf(like),
      lengths: Number(lengths),
      ...(metres === '' ? {} : { metres: numberOf(metres) }),
      back: back === 'backwards' ? 'backwards' : back.endsWith('other side') ? 'other-side' : 'same',
    }),
  ],
  // 10/30/60s: holds one after the other, each of its own length
  [new RegExp(`^${list} ?s$`), ([seconds = ''], like) => withUneven(holdOf(like), listOf(seconds))],
  // 5/10 times: sets of so many, one after the other
  [new RegExp(`^${list}(?: ?times)?$`), ([reps = ''], like) => withUneven(repsLike(like), listOf(reps))],
  // 5 slow/10 fast, 5 at 4s/10 at 1s: sets of so many, each at its own tempo
  [
    /^(\d+ (?:slow|fast|at [\d.,]+ ?s)(?: ?[/,] ?\d+ (?:slow|fast|at [\d.,]+ ?s))+)$/,
    ([sets = ''], like) => {
      const usual = repsLike(like);
      const each = sets.split(/ ?[/,] ?(?=\d+ (?:slow|fast|at))/).map((set) => {
        const [reps = '', how = '', seconds = ''] = set.split(' ');
        const tempo = how === 'slow' ? slowTimes : how === 'fast' ? 1 / slowTimes : null;
        return { reps: Number(reps), tempo: tempo === null ? numberOf(seconds.replace('s', '')) : tempo * usual.secondsPerRep };
      });
      return {
        ...withUneven(
          usual,
          each.map(({ reps }) => reps),
        ),
        tempos: each.map(({ tempo }) => Math.round(tempo * 10) / 10),
      };
    },
  ],
  // 2x20s: sets of a hold
  [
    new RegExp(`^${whole} ?x ?${number} ?s$`),
    ([sets = '', holdSeconds = ''], like) => ({ ...holdOf(like), sets: Number(sets), holdSeconds: numberOf(holdSeconds) }),
  ],
  // 3x8: sets of repetitions
  [
    new RegExp(`^${whole} ?x ?${whole}$`),
    ([sets = '', reps = ''], like) => ({ ...repsLike(like), sets: Number(sets), reps: Number(reps) }),
  ],
  [new RegExp(`^${number} ?min$`), ([minutes = '']) => ({ kind: 'timed', seconds: numberOf(minutes) * 60 })],
  [
    new RegExp(`^${whole}:(\\d\\d)$`),
    ([minutes = '', seconds = '']) => ({ kind: 'timed', seconds: Number(minutes) * 60 + Number(seconds) }),
  ],
  // 20 s: a hold where it was one, else a time
  [
    new RegExp(`^${number} ?s$`),
    ([seconds = ''], like) =>
      like?.kind === 'hold' ? { ...holdOf(like), sets: 1, holdSeconds: numberOf(seconds) } : { kind: 'timed', seconds: numberOf(seconds) },
  ],
  // 8 or 8 times: one set
  [new RegExp(`^${whole}(?: ?times)?$`), ([reps = ''], like) => ({ ...repsLike(like), sets: 1, reps: Number(reps) })],
];

function repsLike(like: Dose | null): Dose & { readonly kind: 'reps' } {
  if (like?.kind !== 'reps') return { kind: 'reps', sets: 1, reps: 1, secondsPerRep: 3, restSeconds: 10 };
  const { uneven: _sets, tempos: _tempos, ...even } = like;
  return even;
}

function holdOf(like: Dose | null): Dose & { readonly kind: 'hold' } {
  if (like?.kind !== 'hold') return { kind: 'hold', sets: 1, holdSeconds: 10, restSeconds: 5 };
  const { uneven: _sets, ...even } = like;
  return even;
}

function countsOf(like: Dose | null): Dose & { readonly kind: 'counts' } {
  return like?.kind === 'counts' ? like : { kind: 'counts', eights: 4, bpm: 96, repeats: 1, countIn: 8 };
}

function lengthsOf(like: Dose | null): Dose & { readonly kind: 'lengths' } {
  return like?.kind === 'lengths' ? like : { kind: 'lengths', lengths: 2, metres: 3, secondsPerMetre: 1.5, restSeconds: 2, back: 'same' };
}

/**
 * Reads a dose as one writes it: `3x8`, `8 times`, `2x20s`, `20 s`, `4 min`, `1:30`, `8x8 @ 96`, `16x3 @ 120`,
 * `8x8 @ 96 learn 2 @ 80`, `10/30/60s`, `5/10 times`, `5 slow/10 fast`, `5 at 4s/10 at 1s`, `4 lengths of 5 m, back backwards`.
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
    // what was left out is empty
    const dose = make(
      found.slice(1).map((piece: string | undefined) => piece ?? ''),
      like,
    );
    return doseFaults(dose).length === 0 ? dose : null;
  }
  return null;
}

/** A dose as `readDose` reads it. */
export function writeDose(dose: Dose): string {
  switch (dose.kind) {
    case 'reps':
      if (dose.uneven && dose.tempos) return dose.uneven.map((reps, set) => `${String(reps)} at ${String(tempoOf(dose, set))}s`).join('/');
      return dose.uneven ? `${dose.uneven.join('/')} times` : `${String(dose.sets)}x${String(dose.reps)}`;
    case 'hold':
      return dose.uneven ? `${dose.uneven.join('/')}s` : `${String(dose.sets)}x${String(dose.holdSeconds)}s`;
    case 'timed':
      return `${String(dose.seconds)} s`;
    case 'counts': {
      const times = timesLearnt(dose);
      const learn = dose.learnBpm === undefined ? '' : ` learn ${times > 1 ? `${String(times)} ` : ''}@ ${String(dose.learnBpm)}`;
      return `${String(dose.eights)}x${String(dose.beats ?? 8)} @ ${String(dose.bpm)}${learn}`;
    }
    case 'lengths':
      return `${String(dose.lengths)} lengths of ${String(dose.metres)} m${writtenBack[dose.back]}`;
  }
}
