import type { DoseNumber } from '../movement/dose.js';
import type { ItemId } from '../values/unit.js';
import type { CircuitRefusal } from './circuit.js';
import type { TrackNumber } from './music.js';
import type { SectionRefusal } from './section-edit.js';

/** Why an edit does not fit a plan. */
export type EditRefusal =
  | { readonly kind: 'item-missing'; readonly item: ItemId }
  | { readonly kind: 'too-many-items'; readonly most: number }
  | { readonly kind: 'dose-out-of-range'; readonly numbers: readonly DoseNumber[] }
  | { readonly kind: 'talk-out-of-range' }
  | { readonly kind: 'too-many-tasks'; readonly most: number }
  | { readonly kind: 'music-out-of-range'; readonly numbers: readonly TrackNumber[] }
  | { readonly kind: 'no-tier' }
  | SectionRefusal
  | CircuitRefusal;

/** Why an edit was not done, as a person is told it. */
export function refusalWords(refusal: EditRefusal): string {
  switch (refusal.kind) {
    case 'item-missing':
      return 'This item is not there any more.';
    case 'section-missing':
      return 'This part of the class is not there any more.';
    case 'circuit-missing':
      return 'This circuit is not there any more.';
    case 'too-many-items':
      return `A plan takes at most ${String(refusal.most)} items.`;
    case 'too-many-sections':
      return `A plan takes at most ${String(refusal.most)} parts.`;
    case 'dose-out-of-range':
      return 'Nobody can do so much, or so little.';
    case 'too-many-tasks':
      return `A home task is small: at most ${String(refusal.most)} things.`;
    case 'talk-out-of-range':
      return 'Nobody explains or builds for so long.';
    case 'music-out-of-range':
      return 'The music is too short, too long or of no tempo.';
    case 'circuit-out-of-range':
      return 'A circuit cannot have so many rounds, or so much rest.';
    case 'not-in-a-row':
      return 'Stations of a circuit stand next to each other in one part of the class.';
    case 'no-tier':
      return 'At least one version stays in use.';
  }
}
