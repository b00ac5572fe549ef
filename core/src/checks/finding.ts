import type { PlanEdit } from '../class-plan/edit.js';
import type { Region } from '../movement/region.js';
import type { ItemId, Seconds } from '../unit.js';

export const severities = ['stop', 'caution', 'hint'] as const;
/** Stop: do not teach it like this. Caution: usually wrong. Hint: could be better. */
export type Severity = (typeof severities)[number];

export const checkIds = [
  'safety-talk',
  'cold-load',
  'unprepared-region',
  'back-bend-not-undone',
  'one-sided',
  'no-break',
  'effort-shape',
  'clock',
] as const;
export type CheckId = (typeof checkIds)[number];

/** What a check found, as facts; the words are made from them in finding-words.ts. */
export type FindingFact =
  | { readonly kind: 'no-safety-talk' }
  | { readonly kind: 'cold-load'; readonly movedSeconds: Seconds; readonly because: 'region' | 'split' | 'inverted' | 'hard-landing' }
  | { readonly kind: 'unprepared-region'; readonly region: Region }
  | { readonly kind: 'back-bend-not-undone' }
  | { readonly kind: 'one-side-only'; readonly planned: 'left' | 'right' }
  | { readonly kind: 'unequal-sides' }
  | { readonly kind: 'no-break'; readonly seconds: Seconds; readonly limitSeconds: Seconds }
  | { readonly kind: 'full-effort-at-once' }
  | { readonly kind: 'no-peak' }
  | { readonly kind: 'peak-too-early' | 'peak-too-late'; readonly atShare: number }
  | { readonly kind: 'end-not-calm'; readonly calmSeconds: Seconds }
  | { readonly kind: 'no-cool-down' }
  | { readonly kind: 'over-time'; readonly overSeconds: Seconds }
  | { readonly kind: 'time-unused'; readonly unusedSeconds: Seconds };

/** What a check says about a plan: where, how grave, why, and the edits that mend it where there is an obvious mend. */
export interface Finding {
  readonly check: CheckId;
  readonly severity: Severity;
  /** The items it is about, in the order of the class; empty when it is about the whole. */
  readonly itemIds: readonly ItemId[];
  readonly fact: FindingFact;
  readonly mend: readonly PlanEdit[] | null;
}
