import type { CheckContext, StretchingSchool } from '../checks/check.js';
import type { ClubRules } from '../checks/club-rules.js';
import { findingsOn } from '../checks/all-checks.js';
import { preparationIn } from '../checks/preparation-rules.js';
import type { Finding } from '../checks/all-checks.js';
import { ageBandOf } from '../movement/age-band.js';
import type { Library } from '../movement/library.js';
import { effortCurveOf, type EffortCurve } from '../preparation/effort-curve.js';
import type { PreparationSettings } from '../preparation/settings.js';
import { spanOf, type Span } from '../timing/span.js';
import { firstRounds, timelineOf, type Timeline, type TimelineContext } from '../timing/timeline.js';
import type { ProgrammeSlug } from '../values/unit.js';
import type { Syllabus } from '../syllabus/syllabus.js';
import type { ChildInClass } from '../versions/child-in-class.js';
import type { TeachingRoom } from '../versions/teaching-room.js';
import { versionsByItem, type Version } from '../versions/version.js';
import type { ClassPlan } from '../class-plan/class-plan.js';

/** Whom a plan is reckoned for. */
export interface EvaluationContext extends Omit<TimelineContext, 'meanAgeYears'> {
  /** Of the children expected, in years; without any, the group is reckoned as nine years old. */
  readonly agesYears: readonly number[];
  readonly programme: ProgrammeSlug;
  readonly slotMinutes: number;
  readonly stretchingSchool: StretchingSchool;
  /** Those expected; versions are reckoned for them. */
  readonly children: readonly ChildInClass[];
  readonly ladder: Syllabus | null;
  /** When the class begins, `HH:MM`; null where that is not known. */
  readonly startsAt: string | null;
  readonly room: TeachingRoom | null;
  /** What the club holds otherwise than usual of the checks. */
  readonly rules: ClubRules;
}

export interface Evaluation {
  readonly timeline: Timeline;
  /** How sure the length of the class is. */
  readonly span: Span;
  readonly effort: EffortCurve;
  /** When bodies are warm, cooled off and prepared in this club. */
  readonly preparation: PreparationSettings;
  readonly versions: readonly Version[];
  readonly findings: readonly Finding[];
}

const ageWithoutChildren = 9;

/** @returns the mean of the ages in years; nine where there is nobody yet. */
export function meanAge(agesYears: readonly number[]): number {
  return agesYears.length === 0 ? ageWithoutChildren : agesYears.reduce((sum, age) => sum + age, 0) / agesYears.length;
}

/** Times, effort and findings of a plan, reckoned anew from nothing: the same in, the same out. */
export function evaluatePlan(plan: ClassPlan, library: Library, context: EvaluationContext): Evaluation {
  const meanAgeYears = meanAge(context.agesYears);
  const timeline = timelineOf(plan, library, { ...context, meanAgeYears });
  const span = spanOf(timeline, context.pace.spread);
  const effort = effortCurveOf(timeline);
  const preparation = preparationIn(context.rules);
  const byItem = versionsByItem(firstRounds(timeline.items), library, context);
  const versions = ([] as readonly Version[]).concat(...byItem);
  const checkContext: CheckContext = {
    plan,
    timeline,
    span,
    effort,
    preparation,
    library,
    programme: context.programme,
    slotMinutes: context.slotMinutes,
    ageBand: ageBandOf(meanAgeYears),
    youngestYears: context.agesYears.length === 0 ? ageWithoutChildren : Math.min(...context.agesYears),
    oldestYears: context.agesYears.length === 0 ? ageWithoutChildren : Math.max(...context.agesYears),
    meanYears: meanAgeYears,
    isGroupKnown: context.exposures.size > 0,
    stretchingSchool: context.stretchingSchool,
    children: context.children,
    ladder: context.ladder,
    startsAt: context.startsAt,
    versionsByItem: byItem,
    rules: context.rules,
    room: context.room,
  };
  return { timeline, span, effort, preparation, versions, findings: findingsOn(checkContext) };
}
