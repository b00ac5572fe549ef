import type { Side } from '../values/side.js';
import { ageOn, daysBetween } from '../values/day.js';
import type { Grade } from '../syllabus/syllabus.js';
import type { Day } from '../values/unit.js';
import { currentObservations, type Observation } from './observation.js';
import { isMet, standingOfCurrent, type Standing } from './standing.js';

/** What keeps a grade from being earned. */
export type Missing =
  | { readonly kind: 'requirement'; readonly standing: Standing }
  | { readonly kind: 'weeks-in-grade'; readonly have: number; readonly need: number }
  | { readonly kind: 'classes'; readonly have: number; readonly need: number }
  | { readonly kind: 'age'; readonly have: number; readonly need: number };

/** Whether a grade is earned, and if not, all that is still to be seen. */
export interface Verdict {
  readonly grade: Grade;
  readonly earned: boolean;
  readonly standings: readonly Standing[];
  readonly metCount: number;
  readonly missing: readonly Missing[];
}

/** What the verdict on a child rests on besides the observations. */
export interface ChildOnLadder {
  readonly birthDate: Day;
  readonly leadSide: Side;
  /** The day of the last grade, or of joining the programme. */
  readonly inGradeSince: Day;
  readonly classesSince: number;
}

/**
 * The verdict on the next grade of a child. A grade without requirements is never earned: nothing was asked yet.
 * @param observations of this child alone.
 */
export function verdictOn(grade: Grade, observations: readonly Observation[], child: ChildOnLadder, today: Day): Verdict {
  const current = currentObservations(observations);
  const context = { today, leadSide: child.leadSide };
  const standings = grade.requirements.map((requirement) => standingOfCurrent(requirement, current, context));
  const weeks = Math.floor(daysBetween(child.inGradeSince, today) / 7);
  const age = ageOn(child.birthDate, today);
  const missing: Missing[] = standings.filter((standing) => !isMet(standing)).map((standing) => ({ kind: 'requirement', standing }));
  if (weeks < grade.leastWeeksInGrade) missing.push({ kind: 'weeks-in-grade', have: weeks, need: grade.leastWeeksInGrade });
  if (child.classesSince < grade.leastClasses) missing.push({ kind: 'classes', have: child.classesSince, need: grade.leastClasses });
  if (age < grade.leastAgeYears) missing.push({ kind: 'age', have: age, need: grade.leastAgeYears });
  return {
    grade,
    earned: missing.length === 0 && standings.length > 0,
    standings,
    metCount: standings.filter(isMet).length,
    missing,
  };
}
