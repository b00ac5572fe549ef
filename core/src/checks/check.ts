import type { ClassPlan } from '../class-plan/class-plan.js';
import type { AgeBand } from '../movement/age-band.js';
import type { Library } from '../movement/library.js';
import type { EffortCurve } from '../preparation/effort-curve.js';
import type { Timeline } from '../timing/timeline.js';
import type { ProgrammeSlug } from '../unit.js';
import type { Version, VersionContext } from '../versions/version.js';
import type { TeachingRoom } from '../versions/teaching-room.js';
import type { Finding } from './finding.js';

/** All that a check may look at; reckoned once for all checks. */
export interface CheckContext extends Pick<VersionContext, 'children' | 'ladder' | 'startsAt'> {
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly effort: EffortCurve;
  readonly library: Library;
  readonly programme: ProgrammeSlug;
  readonly slotMinutes: number;
  readonly ageBand: AgeBand;
  /** Of the children expected; the caution follows the youngest. */
  readonly youngestYears: number;
  /** When held stretches come: early and short, or moving ones first. */
  readonly stretchingSchool: StretchingSchool;
  readonly versions: readonly Version[];
  /** Where the instructor stands; null where that is not known. */
  readonly room: TeachingRoom | null;
}

export type StretchingSchool = 'early-static' | 'dynamic-first';

/** A pure function from plan and context to findings; silent on an empty plan unless emptiness is what it looks for. */
export type Check = (context: CheckContext) => readonly Finding[];
