import {
  addDays,
  type Criterion,
  type Day,
  type Grade,
  type Library,
  type Mark,
  type Measure,
  type Observation,
  type Requirement,
  type Side,
} from '@leiter/core';
import type { Chance } from './chance.js';
import type { Course } from './demo-lists.js';

/** A class of the demo's past that a child was in. */
export interface AttendedClass {
  readonly classId: string;
  readonly day: Day;
  /** 0 for the first of the ten weeks. */
  readonly week: number;
  readonly focus: readonly string[];
}

export type DemoMark = Omit<Observation, 'recordedAt'>;

/** How able a child is at the start and how much a week adds; 1 is about "with help", 2 about "alone". */
const courses: Readonly<Record<Course, { readonly start: number; readonly perWeek: number }>> = {
  improves: { start: 0.9, perWeek: 0.17 },
  stalls: { start: 1.15, perWeek: 0.02 },
  fades: { start: 2.1, perWeek: 0.03 },
  new: { start: 0.3, perWeek: 0.1 },
  ready: { start: 1.9, perWeek: 0.12 },
  'one-side': { start: 1.9, perWeek: 0.12 },
};

interface Subject {
  readonly childId: string;
  readonly leadSide: Side;
  readonly course: Course;
  readonly next: Grade;
}

/** The marks of one child over the term: better with the weeks, or not, as its course says. */
export function demoMarks(subject: Subject, attended: readonly AttendedClass[], library: Library, chance: Chance): readonly DemoMark[] {
  const { requirements } = subject.next;
  const marks = attended.flatMap((session, nth) => {
    const inPassing = [requirements[(nth * 2) % requirements.length], requirements[(nth * 2 + 1) % requirements.length]];
    const seen = requirements.filter((one) => inPassing.includes(one) || (session.focus.includes(one.movement) && chance.happens(0.75)));
    // a tired day, a proud one: what a child shows goes up and down around what it can
    const form = chance.between(-0.45, 0.3);
    return seen.flatMap((requirement) => markOf(subject, requirement, session, form, library, chance));
  });
  if (subject.course === 'ready' || subject.course === 'one-side') {
    const last = new Set(attended.slice(-2).map(({ classId }) => classId));
    return [...marks.filter(({ classId }) => classId === null || !last.has(classId)), ...finished(subject, attended, library, chance)];
  }
  return subject.course === 'fades' ? faded(subject, marks, attended, library, chance) : marks;
}

function sidesOf(criterion: Criterion, leadSide: 'left' | 'right'): readonly ('none' | 'left' | 'right')[] {
  if (criterion.sides === 'both') return ['left', 'right'];
  return [criterion.sides === 'lead' ? leadSide : 'none'];
}

function markOf(
  subject: Subject,
  requirement: Requirement,
  session: AttendedClass,
  form: number,
  library: Library,
  chance: Chance,
): readonly DemoMark[] {
  const { start, perWeek } = courses[subject.course];
  const difficulty = subject.next.requirements.indexOf(requirement) * 0.12;
  return sidesOf(requirement.criterion, subject.leadSide).map((side) => {
    const offSide = side !== 'none' && side !== subject.leadSide ? 0.25 : 0;
    const able = start + perWeek * session.week - difficulty - offSide + form + chance.between(-0.35, 0.35);
    return demoMark(subject, requirement, session, side, able, library, chance);
  });
}

function demoMark(
  subject: Subject,
  requirement: Requirement,
  session: AttendedClass,
  side: 'none' | 'left' | 'right',
  able: number,
  library: Library,
  chance: Chance,
): DemoMark {
  const mark: Mark = able < 0.7 ? 'not-yet' : able < 1.5 ? 'with-help' : able < 2.6 ? 'alone' : 'clean';
  const faults = library.get(requirement.movement)?.faults ?? [];
  const fault = mark !== 'clean' && mark !== 'alone' && chance.happens(0.5) ? chance.pick(faults) : undefined;
  return {
    id: chance.uuid(),
    childId: subject.childId,
    movement: requirement.movement,
    stage: requirement.stage,
    side,
    mark,
    help: mark === 'with-help' ? (chance.pick(['told', 'told', 'shown', 'hands-on', 'raised-or-lower-surface']) ?? null) : null,
    measure: measured(requirement.criterion, able),
    faults: fault ? [fault.slug] : [],
    note: '',
    seenOn: session.day,
    source: 'class',
    classId: session.classId,
    supersedes: null,
  };
}

/** What was held or counted: about what is asked when a child is just able. */
function measured({ leastSeconds, leastReps, leastCorrect }: Criterion, able: number): Measure {
  const share = Math.max(0.2, able / 1.7);
  return {
    ...(leastSeconds === undefined ? {} : { seconds: Math.max(1, Math.round(leastSeconds * share)) }),
    ...(leastReps === undefined ? {} : { reps: Math.max(1, Math.round(leastReps * share)) }),
    ...(leastCorrect ? { correct: Math.min(leastCorrect.of, Math.round(leastCorrect.correct * share)), of: leastCorrect.of } : {}),
  };
}

/** Everything shown on the last two days; for `one-side` the far side of the first requirement on both sides is not. */
function finished(subject: Subject, attended: readonly AttendedClass[], library: Library, chance: Chance): readonly DemoMark[] {
  const open = subject.course === 'one-side' ? subject.next.requirements.find(({ criterion }) => criterion.sides === 'both') : undefined;
  return attended.slice(-2).flatMap((session) =>
    subject.next.requirements.flatMap((requirement) =>
      sidesOf(requirement.criterion, subject.leadSide).map((side) => {
        const isOpen = requirement === open && side !== subject.leadSide;
        return demoMark(subject, requirement, session, side, isOpen ? 1.2 : 2.8, library, chance);
      }),
    ),
  );
}

/** The first requirements were met before the term and not looked at since: skills that fade. */
function faded(
  subject: Subject,
  marks: readonly DemoMark[],
  attended: readonly AttendedClass[],
  library: Library,
  chance: Chance,
): readonly DemoMark[] {
  const first = attended[0];
  if (!first) return marks;
  const unseen = subject.next.requirements.slice(0, 2);
  const before = [21, 14].flatMap((days) =>
    unseen.flatMap((requirement) =>
      sidesOf(requirement.criterion, subject.leadSide).map((side): DemoMark => {
        const mark = demoMark(subject, requirement, first, side, 2.8, library, chance);
        return { ...mark, seenOn: addDays(first.day, -days), classId: null, source: 'entered-later' };
      }),
    ),
  );
  return [...before, ...marks.filter((mark) => !unseen.some(({ movement }) => movement === mark.movement))];
}
