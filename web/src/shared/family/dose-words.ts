import { msg, plural } from '@lingui/core/macro';
import type { I18n } from '@lingui/core';
import { clockText, doseText, type Dose, type ItemSides } from '@leiter/core';

/** How much of it, as a family reads it: `2 × 8`, `hold for 20 s`, `4 lengths of 5 m`, with the sides. */
export function doseWords(i18n: I18n, dose: Dose, sides: ItemSides): string {
  return [amount(i18n, dose), sideWords(i18n, sides)].filter((part) => part !== '').join(', ');
}

function amount(i18n: I18n, dose: Dose): string {
  switch (dose.kind) {
    case 'reps': {
      if (dose.uneven) return i18n._(msg`${dose.uneven.join(', ')} times`);
      const reps = dose.reps;
      return dose.sets === 1 ? i18n._(msg`${plural(reps, { one: '# time', other: '# times' })}`) : `${String(dose.sets)} × ${String(reps)}`;
    }
    case 'hold': {
      if (dose.uneven) return i18n._(msg`hold for ${dose.uneven.join(', ')} s`);
      return dose.sets === 1 ? i18n._(msg`hold for ${dose.holdSeconds} s`) : `${String(dose.sets)} × ${String(dose.holdSeconds)} s`;
    }
    case 'timed':
      return dose.seconds < 60 ? `${String(dose.seconds)} s` : i18n._(msg`${clockText(dose.seconds)} minutes`);
    case 'counts':
      return i18n._(msg`${dose.eights} × ${dose.beats ?? 8} counts at ${dose.bpm} a minute`);
    case 'lengths': {
      const { lengths, metres } = dose;
      return i18n._(msg`${plural(lengths, { one: '# length', other: '# lengths' })} of ${metres} m`);
    }
    default:
      return doseText(dose);
  }
}

function sideWords(i18n: I18n, sides: ItemSides): string {
  switch (sides) {
    case 'none':
      return '';
    case 'both':
      return i18n._(msg`both sides`);
    case 'left':
      return i18n._(msg`left only`);
    case 'right':
      return i18n._(msg`right only`);
    case 'lead':
      return i18n._(msg`the side that comes more easily`);
    case 'alternating':
      return i18n._(msg`left and right in turn`);
  }
}
