import { clockText } from '../values/clock-text.js';
import { tempoOf, timesLearnt, type Dose, type LengthBack } from './dose.js';

const backWords: Readonly<Record<LengthBack, string>> = {
  same: '',
  backwards: ', back backwards',
  'other-side': ', back on the other side',
};

/** A dose as one would write it on paper: `2 × 8`, `2 × 20 s`, `4:00`, `8 × 8 counts at 96`. */
export function doseText(dose: Dose): string {
  switch (dose.kind) {
    case 'reps':
      if (dose.uneven && dose.tempos)
        return dose.uneven.map((reps, set) => `${String(reps)} at ${String(tempoOf(dose, set))} s`).join(', ');
      if (dose.uneven) return `${dose.uneven.join(', ')} times`;
      return dose.sets === 1 ? `${String(dose.reps)} times` : `${String(dose.sets)} × ${String(dose.reps)}`;
    case 'hold':
      if (dose.uneven) return `hold ${dose.uneven.join(', ')} s`;
      return dose.sets === 1 ? `hold ${String(dose.holdSeconds)} s` : `${String(dose.sets)} × ${String(dose.holdSeconds)} s`;
    case 'timed':
      return dose.seconds < 60 ? `${String(dose.seconds)} s` : clockText(dose.seconds);
    case 'counts':
      return [
        `${String(dose.eights)} × ${String(dose.beats ?? 8)} at ${String(dose.bpm)}`,
        ...(dose.repeats > 1 ? [`${String(dose.repeats)} times`] : []),
        ...(dose.learnBpm === undefined
          ? []
          : [`first ${timesLearnt(dose) > 1 ? `${String(timesLearnt(dose))} times ` : ''}at ${String(dose.learnBpm)}`]),
      ].join(', ');
    case 'lengths':
      return `${String(dose.lengths)} ${dose.lengths === 1 ? 'length' : 'lengths'} of ${String(dose.metres)} m${backWords[dose.back]}`;
  }
}
