import type { ClassPlan } from '../class-plan/class-plan.js';
import type { PlanEdit } from '../class-plan/edit.js';
import type { AgeBand } from '../movement/age-band.js';
import type { Library } from '../movement/library.js';
import type { EffortCurve } from '../preparation/effort-curve.js';
import type { PreparationSettings } from '../preparation/settings.js';
import type { Span } from '../timing/span.js';
import type { Timeline } from '../timing/timeline.js';
import type { ProgrammeSlug } from '../values/unit.js';
import type { Version, VersionContext } from '../versions/version.js';
import type { TeachingRoom } from '../versions/teaching-room.js';
import type { AnyRule, ClubRules } from './club-rules.js';
import type { Found, FoundWords, Severity } from './finding.js';

/** All that a check may look at; reckoned once for all checks. */
export interface CheckContext extends Pick<VersionContext, 'children' | 'ladder' | 'startsAt'> {
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly span: Span;
  readonly effort: EffortCurve;
  /** When bodies are warm, cooled off and prepared. */
  readonly preparation: PreparationSettings;
  readonly library: Library;
  readonly programme: ProgrammeSlug;
  readonly slotMinutes: number;
  readonly ageBand: AgeBand;
  /** Of the children expected; where a check guards bodies, each is asked at its own age (each-body.ts). */
  readonly youngestYears: number;
  readonly oldestYears: number;
  /** For what is about attention: the group keeps it together. */
  readonly meanYears: number;
  /** Whether it is known what the group has met; of one that was never taught with Leiter all is new, and that says nothing. */
  readonly isGroupKnown: boolean;
  /** When held stretches come: early and short, or moving ones first. */
  readonly stretchingSchool: StretchingSchool;
  /** Of each item in its first round, child by child. */
  readonly versionsByItem: readonly (readonly Version[])[];
  /** What the club holds otherwise than usual. */
  readonly rules: ClubRules;
  /** Where the instructor stands; null where that is not known. */
  readonly room: TeachingRoom | null;
}

export type StretchingSchool = 'early-static' | 'dynamic-first';

/** For the words of a finding: the items it is about, by name, and the library for names of others. */
export interface Told {
  /** `Bridge`, `Bridge and Plank`, `Bridge and 3 more`; `This class` where it is about the whole. */
  readonly name: string;
  /** The first of them alone. */
  readonly first: string;
  readonly library: Library;
}

/** One check, whole: what it looks for, what it says and what its mend does. */
export interface Check<Id extends string, Fact> {
  readonly id: Id;
  /** What it is called where checks are listed. */
  readonly title: string;
  /** When it speaks, in a sentence. */
  readonly says: string;
  /** The gravest that it finds. */
  readonly gravest: Severity;
  /** Its numbers that a club may set otherwise. */
  readonly numbers?: readonly AnyRule[];
  /** A pure function from plan and context; silent on an empty plan unless emptiness is what it looks for. */
  readonly look: (context: CheckContext) => readonly Found<Fact>[];
  words(fact: Fact, told: Told): FoundWords;
  /** What the mend does, on its button; left out or null, the words of its first edit (mend-words.ts). */
  mendWords?(fact: Fact, mend: readonly PlanEdit[]): string | null;
}

/** A check; it takes part once it stands in the list of all-checks.ts. */
export function defineCheck<const Id extends string, Fact extends { readonly kind: string }>(check: Check<Id, Fact>): Check<Id, Fact> {
  return check;
}
