import type { ClassPlan } from '../class-plan/class-plan.js';
import type { AgeBand } from '../movement/age-band.js';
import type { Library } from '../movement/library.js';
import type { EffortCurve } from '../preparation/effort-curve.js';
import type { Timeline } from '../timing/timeline.js';
import type { ProgrammeSlug } from '../unit.js';
import type { Finding } from './finding.js';

/** All that a check may look at; reckoned once for all checks. */
export interface CheckContext {
  readonly plan: ClassPlan;
  readonly timeline: Timeline;
  readonly effort: EffortCurve;
  readonly library: Library;
  readonly programme: ProgrammeSlug;
  readonly slotMinutes: number;
  readonly ageBand: AgeBand;
  /** Of the children expected; the caution follows the youngest. */
  readonly youngestYears: number;
}

/** A pure function from plan and context to findings; silent on an empty plan unless emptiness is what it looks for. */
export type Check = (context: CheckContext) => readonly Finding[];
