import type { Side } from '../values/side.js';
import type { Grade, Requirement } from '../syllabus/syllabus.js';
import { sidesAsked } from '../syllabus/syllabus.js';
import type { Day, ObservationId } from '../values/unit.js';
import type { Observation } from '../record/observation.js';
import { isMet } from '../record/standing.js';
import { verdictOn, type ChildOnLadder, type Missing } from '../record/verdict.js';

/** Whether a child may come to a grading day for its next grade. */
export type Readiness =
  /** All that is asked is there already. */
  | { readonly kind: 'earned' }
  /** All but what is shown on the day itself. */
  | { readonly kind: 'on-the-day'; readonly open: readonly Requirement[] }
  /** Even if everything is shown on that day, this is missing. */
  | { readonly kind: 'not-yet'; readonly missing: readonly Missing[] };

/**
 * Whether a child is ready for a grade on a day: by what was seen of it, or if it shows on that day, once on each side, all that is open.
 * @param observations of this child alone @param child as it will be on that day @param day of the grading; weeks and age count up to it
 */
export function readinessFor(grade: Grade, observations: readonly Observation[], child: ChildOnLadder, day: Day): Readiness {
  const now = verdictOn(grade, observations, child, day);
  if (now.earned) return { kind: 'earned' };
  const open = now.standings.filter((standing) => !isMet(standing)).map(({ requirement }) => requirement);
  const shown = open.flatMap((requirement) => shownOn(requirement, child.leadSide, day));
  const then = verdictOn(grade, [...observations, ...shown], child, day);
  return then.earned ? { kind: 'on-the-day', open } : { kind: 'not-yet', missing: then.missing };
}

/** What would be seen if a requirement were shown as it is asked, once on every side. */
function shownOn({ id, movement, stage, criterion }: Requirement, leadSide: Side, day: Day): readonly Observation[] {
  return sidesAsked(criterion, leadSide).map((side) => ({
    // nothing of these is stored: they only have to differ
    id: `${id} ${side ?? ''}` as ObservationId,
    childId: '',
    movement,
    stage,
    side: side ?? 'none',
    mark: 'clean',
    help: null,
    measure: {
      ...(criterion.leastSeconds === undefined ? {} : { seconds: criterion.leastSeconds }),
      ...(criterion.leastReps === undefined ? {} : { reps: criterion.leastReps }),
      ...criterion.leastCorrect,
    },
    faults: [],
    note: '',
    seenOn: day,
    // after everything else of that day
    recordedAt: '9999-12-31T00:00:00.000Z',
    source: 'grading',
    classId: null,
    supersedes: null,
  }));
}
