import { clockText } from '../values/clock-text.js';
import type { Dose } from './dose.js';

/** A dose as one would write it on paper: `2 × 8`, `2 × 20 s`, `4:00`, `8 × 8 counts at 96`. */
export function doseText(dose: Dose): string {
  switch (dose.kind) {
    case 'reps':
      return dose.sets === 1 ? `${String(dose.reps)} times` : `${String(dose.sets)} × ${String(dose.reps)}`;
    case 'hold':
      return dose.sets === 1 ? `hold ${String(dose.holdSeconds)} s` : `${String(dose.sets)} × ${String(dose.holdSeconds)} s`;
    case 'timed':
      return dose.seconds < 60 ? `${String(dose.seconds)} s` : clockText(dose.seconds);
    case 'counts':
      return `${String(dose.eights)} × 8 at ${String(dose.bpm)}${dose.repeats > 1 ? `, ${String(dose.repeats)} times` : ''}`;
  }
}
