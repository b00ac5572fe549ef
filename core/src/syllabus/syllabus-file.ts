import { marks, type Mark } from '../movement/movement.js';
import type { Library } from '../movement/library.js';
import type { Criterion } from './syllabus.js';

export const syllabusFormat = 'leiter-syllabus/1';

/** A ladder as a file writes it; what a criterion leaves out has its default. */
export interface WrittenSyllabus {
  readonly programme: string;
  readonly grades: readonly WrittenGrade[];
}

export interface WrittenGrade {
  readonly slug: string;
  readonly name: string;
  readonly leastWeeksInGrade: number;
  readonly leastClasses: number;
  readonly leastAgeYears: number;
  readonly requirements: readonly WrittenRequirement[];
  /** Not asked any more, and out of what is checked. */
  readonly isPutAway?: boolean;
}

export interface WrittenRequirement {
  readonly movement: string;
  readonly stage?: number;
  readonly criterion: Partial<Criterion>;
  readonly isPutAway?: boolean;
}

/** What is wrong with a ladder, by grade and requirement. */
export interface SyllabusFault {
  readonly grade: string;
  /** The movement asked for; empty where the grade itself is at fault. */
  readonly movement: string;
  readonly kind:
    | 'movement-unknown'
    | 'stage-unknown'
    | 'fault-unknown'
    | 'mark-unknown'
    | 'sides-missing'
    | 'sides-of-none'
    | 'asked-twice'
    | 'grade-twice'
    | 'programme-twice'
    | 'nothing-asked'
    | 'age-falls'
    | 'number-out-of-range'
    | 'rests-on-nothing';
  readonly found: string;
}

/** What is wrong, as a person who teaches is told it. */
export function syllabusFaultWords({ kind, found }: SyllabusFault): string {
  switch (kind) {
    case 'movement-unknown':
      return `There is no movement “${found}” in the library.`;
    case 'stage-unknown':
      return `The movement has no stage ${found}.`;
    case 'fault-unknown':
      return `The movement has no fault “${found}”.`;
    case 'mark-unknown':
      return `“${found}” is not a mark: not-yet, with-help, alone or clean.`;
    case 'sides-missing':
      return 'This movement has two sides: ask for both or for the lead side.';
    case 'sides-of-none':
      return 'This movement has no sides.';
    case 'asked-twice':
      return 'The grade asks for this twice.';
    case 'grade-twice':
      return `There are two grades “${found}”.`;
    case 'programme-twice':
      return `The programme “${found}” is in the file twice.`;
    case 'nothing-asked':
      return 'The grade asks for nothing.';
    case 'age-falls':
      return `From ${found} years: the grade below asks for more.`;
    case 'number-out-of-range':
      return `${found} is out of range.`;
    case 'rests-on-nothing':
      return `It needs “${found}”, which no grade up to this one asks for.`;
  }
}

/** Which of them only want a second look: the ladder can be climbed all the same. */
export const syllabusHints: ReadonlySet<SyllabusFault['kind']> = new Set(['rests-on-nothing']);

/**
 * Checks a ladder against the library that it names.
 * @returns everything that is wrong, in the order of the file; a requirement whose prerequisites no grade up to its own asks
 * for rests on nothing.
 */
export function syllabusFaults(syllabus: WrittenSyllabus, library: Library): readonly SyllabusFault[] {
  const faults: SyllabusFault[] = [];
  const seen = new Set<string>();
  const asked = new Set<string>();
  let age = 0;
  for (const grade of syllabus.grades) {
    const say = (kind: SyllabusFault['kind'], found: string, movement = ''): void => {
      faults.push({ grade: grade.slug, movement, kind, found });
    };
    for (const name of [grade.slug, grade.name.toLowerCase()]) {
      if (seen.has(name)) say('grade-twice', name);
    }
    seen.add(grade.slug).add(grade.name.toLowerCase());
    const inUse = grade.isPutAway ? [] : grade.requirements.filter(({ isPutAway }) => !isPutAway);
    if (inUse.length === 0 && !grade.isPutAway) say('nothing-asked', grade.name);
    if (grade.leastAgeYears < age && !grade.isPutAway) say('age-falls', String(grade.leastAgeYears));
    if (!grade.isPutAway) age = Math.max(age, grade.leastAgeYears);
    for (const [field, value] of [
      ['leastWeeksInGrade', grade.leastWeeksInGrade],
      ['leastClasses', grade.leastClasses],
      ['leastAgeYears', grade.leastAgeYears],
    ] as const)
      if (!Number.isInteger(value) || value < 0 || value > 200) say('number-out-of-range', `${field} ${String(value)}`);
    for (const { movement } of inUse) asked.add(movement);
    const own = new Set<string>();
    for (const requirement of grade.requirements) {
      const key = `${requirement.movement} ${String(requirement.stage ?? 0)}`;
      if (own.has(key)) say('asked-twice', key.trim(), requirement.movement);
      own.add(key);
      if (inUse.includes(requirement)) faults.push(...requirementFaults(requirement, grade.slug, library, asked));
      else if (!library.has(requirement.movement)) say('movement-unknown', requirement.movement, requirement.movement);
    }
  }
  return faults;
}

function requirementFaults(
  { movement: slug, stage, criterion }: WrittenRequirement,
  grade: string,
  library: Library,
  asked: ReadonlySet<string>,
): readonly SyllabusFault[] {
  const faults: SyllabusFault[] = [];
  const say = (kind: SyllabusFault['kind'], found: string): void => {
    faults.push({ grade, movement: slug, kind, found });
  };
  const movement = library.get(slug);
  if (!movement) {
    say('movement-unknown', slug);
    return faults;
  }
  if (stage !== undefined && (!Number.isInteger(stage) || stage < 1 || stage > movement.stages.length)) say('stage-unknown', String(stage));
  if (criterion.leastMark !== undefined && !marks.includes(criterion.leastMark satisfies Mark)) say('mark-unknown', criterion.leastMark);
  const sides = criterion.sides ?? 'none';
  if (movement.sides === 'each' && sides === 'none') say('sides-missing', sides);
  if (movement.sides === 'none' && sides === 'both') say('sides-of-none', sides);
  for (const fault of criterion.faults ?? []) if (!movement.faults.some((one) => one.slug === fault)) say('fault-unknown', fault);
  const { leastCorrect } = criterion;
  if (leastCorrect && !(leastCorrect.correct >= 1 && leastCorrect.of >= leastCorrect.correct && leastCorrect.of <= 100))
    say('number-out-of-range', `${String(leastCorrect.correct)} of ${String(leastCorrect.of)}`);
  for (const [name, value, most] of [
    ['leastSeconds', criterion.leastSeconds, 600],
    ['leastReps', criterion.leastReps, 200],
    ['times', criterion.times, 20],
    ['days', criterion.days, 20],
    ['withinWeeks', criterion.withinWeeks, 104],
  ] as const)
    if (value !== undefined && !(value >= 1 && value <= most)) say('number-out-of-range', `${name} ${String(value)}`);
  for (const first of movement.prerequisites) if (!asked.has(first.movement)) say('rests-on-nothing', first.movement);
  return faults;
}
