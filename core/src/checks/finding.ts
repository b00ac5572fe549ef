import type { PlanEdit } from '../class-plan/edit.js';
import type { Region } from '../movement/region.js';
import type { SectionKind } from '../movement/section-kind.js';
import type { ChildId, ItemId, MovementSlug, Seconds } from '../unit.js';
import type { HomeNeed } from '../versions/home-needs.js';
import type { Bar } from '../versions/version.js';

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
  'cold-static',
  'prerequisite',
  'no-version',
  'surface',
  'equipment',
  'adult',
  'partner',
  'quiet',
  'footprint',
  'wrist-time',
  'landings',
  'hold-too-long',
  'static-before-power',
  'attention',
  'too-much-new',
  'order',
  'up-and-down',
  'little-moving',
  'no-closing',
  'no-home-task',
  'one-for-all',
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
  | { readonly kind: 'time-unused'; readonly unusedSeconds: Seconds }
  | { readonly kind: 'cold-static'; readonly movedSeconds: Seconds }
  | { readonly kind: 'prerequisite'; readonly movement: MovementSlug; readonly children: number }
  | { readonly kind: 'no-version'; readonly children: number; readonly bar: Bar }
  | { readonly kind: 'home-lacks'; readonly need: HomeNeed; readonly children: number }
  | { readonly kind: 'out-of-room'; readonly short: 'room' | 'frame-width' | 'frame-height' }
  | { readonly kind: 'wrist-time'; readonly seconds: Seconds; readonly limitSeconds: Seconds }
  | { readonly kind: 'too-many-landings'; readonly landings: number; readonly most: number }
  | { readonly kind: 'landing-not-practised' }
  | { readonly kind: 'hold-too-long'; readonly seconds: Seconds; readonly limitSeconds: Seconds }
  | { readonly kind: 'static-before-power'; readonly seconds: Seconds }
  | { readonly kind: 'too-long-at-once'; readonly seconds: Seconds; readonly limitSeconds: Seconds }
  | { readonly kind: 'too-much-new'; readonly skills: number; readonly most: number }
  | { readonly kind: 'section-late'; readonly section: SectionKind; readonly after: SectionKind }
  | { readonly kind: 'drill-after-skill' }
  | { readonly kind: 'up-and-down'; readonly changes: number; readonly most: number }
  | { readonly kind: 'reframed'; readonly times: number; readonly most: number }
  | { readonly kind: 'little-moving'; readonly share: number }
  | { readonly kind: 'no-closing' }
  | { readonly kind: 'no-home-task' }
  | { readonly kind: 'one-for-all'; readonly easier: number; readonly harder: number };

/** What a check says about a plan: where, how grave, why, and the edits that mend it where there is an obvious mend. */
export interface Finding {
  readonly check: CheckId;
  readonly severity: Severity;
  /** The items it is about, in the order of the class; empty when it is about the whole. */
  readonly itemIds: readonly ItemId[];
  /** The children it is about; left out where it is about all of them. */
  readonly childIds?: readonly ChildId[];
  readonly fact: FindingFact;
  /** Why it stands all the same, where the instructor said so. */
  readonly acceptedBecause?: string;
  readonly mend: readonly PlanEdit[] | null;
}
