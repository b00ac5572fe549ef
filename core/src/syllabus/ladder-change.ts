import { differingFields } from '../values/differing-fields.js';
import type { WrittenGrade, WrittenRequirement, WrittenSyllabus } from './syllabus-file.js';
import { wholeCriterion, type Criterion } from './syllabus.js';

/** A ladder as a version of it is stored: whole criteria, and what was put away at its place. */
export interface LadderVersion {
  readonly grades: readonly LadderGrade[];
}

export interface LadderGrade {
  readonly slug: string;
  readonly name: string;
  readonly leastWeeksInGrade: number;
  readonly leastClasses: number;
  readonly leastAgeYears: number;
  readonly isPutAway: boolean;
  readonly requirements: readonly LadderRequirement[];
}

export interface LadderRequirement {
  readonly movement: string;
  readonly stage: number | null;
  readonly criterion: Criterion;
  readonly isPutAway: boolean;
}

/** What becomes of one line of a ladder: of a grade, or of a requirement where a movement is named. */
export interface LadderLine {
  readonly grade: string;
  readonly movement: string | null;
  readonly stage: number | null;
  readonly what: 'added' | 'changed' | 'put-away' | 'put-back' | 'same';
  /** Which of its fields change. */
  readonly fields: readonly string[];
}

const keyOf = ({ movement, stage }: { readonly movement: string; readonly stage?: number | null }): string =>
  `${movement} ${String(stage ?? 0)}`;

/**
 * The next version of a ladder. What the written one leaves out is put away, never dropped: it keeps its place after what it
 * followed before, so that a child that has earned it still stands somewhere.
 */
export function nextLadder(current: LadderVersion | null, written: Pick<WrittenSyllabus, 'grades'>): LadderVersion {
  const before = current?.grades ?? [];
  const grades = written.grades.map((grade) =>
    ladderGrade(
      grade,
      before.find(({ slug }) => slug === grade.slug),
    ),
  );
  const away = before.map((grade) => ({ ...grade, isPutAway: true }));
  return { grades: withLeftOut(grades, away, ({ slug }) => slug) };
}

function ladderGrade(written: WrittenGrade, before: LadderGrade | undefined): LadderGrade {
  const { slug, name, leastWeeksInGrade, leastClasses, leastAgeYears, isPutAway = false } = written;
  const requirements = written.requirements.map(ladderRequirement);
  const away = (before?.requirements ?? []).map((one) => ({ ...one, isPutAway: true }));
  return { slug, name, leastWeeksInGrade, leastClasses, leastAgeYears, isPutAway, requirements: withLeftOut(requirements, away, keyOf) };
}

function ladderRequirement({ movement, stage, criterion, isPutAway = false }: WrittenRequirement): LadderRequirement {
  return { movement, stage: stage ?? null, criterion: wholeCriterion(criterion), isPutAway };
}

/** The list, with those of the earlier one that are not in it, each after the one it followed. */
function withLeftOut<One>(list: readonly One[], earlier: readonly One[], key: (one: One) => string): readonly One[] {
  const whole = [...list];
  earlier.forEach((one, index) => {
    if (whole.some((other) => key(other) === key(one))) return;
    const follows = earlier[index - 1];
    whole.splice(follows ? whole.findIndex((other) => key(other) === key(follows)) + 1 : 0, 0, one);
  });
  return whole;
}

/** What changes from one version to the next, line by line, in the order of the next; what stays put away is not told. */
export function ladderLines(current: LadderVersion | null, next: LadderVersion): readonly LadderLine[] {
  const before = new Map((current?.grades ?? []).map((grade) => [grade.slug, grade]));
  const order = inOrder(
    (current?.grades ?? []).map(({ slug }) => slug),
    next.grades.map(({ slug }) => slug),
  );
  return next.grades.flatMap((grade) => {
    const earlier = before.get(grade.slug);
    if (grade.isPutAway && (earlier?.isPutAway ?? false)) return [];
    const own = line({ grade: grade.slug, movement: null, stage: null }, earlier, grade, order.has(grade.slug) ? [] : ['place']);
    return [own, ...(grade.isPutAway ? [] : requirementLines(earlier, grade))];
  });
}

function requirementLines(earlier: LadderGrade | undefined, grade: LadderGrade): readonly LadderLine[] {
  const order = inOrder((earlier?.requirements ?? []).map(keyOf), grade.requirements.map(keyOf));
  return grade.requirements.flatMap((requirement) => {
    const old = earlier?.requirements.find((one) => keyOf(one) === keyOf(requirement));
    if (requirement.isPutAway && (old?.isPutAway ?? true)) return [];
    const { movement, stage } = requirement;
    return [line({ grade: grade.slug, movement, stage }, old, requirement, order.has(keyOf(requirement)) ? [] : ['place'])];
  });
}

type Comparable = (LadderGrade | LadderRequirement) & { readonly isPutAway: boolean };

function line<One extends Comparable>(
  about: Pick<LadderLine, 'grade' | 'movement' | 'stage'>,
  before: One | undefined,
  after: One,
  moved: readonly string[],
): LadderLine {
  if (!before) return { ...about, what: 'added', fields: [] };
  if (after.isPutAway && !before.isPutAway) return { ...about, what: 'put-away', fields: [] };
  const fields = [...changedFields(before, after), ...moved];
  if (before.isPutAway && !after.isPutAway) return { ...about, what: 'put-back', fields };
  return { ...about, what: fields.length === 0 ? 'same' : 'changed', fields };
}

function changedFields(before: Comparable, after: Comparable): readonly string[] {
  const skipped = new Set(['requirements', 'isPutAway', 'criterion']);
  const own = differingFields(before, after).filter((field) => !skipped.has(field));
  return 'criterion' in before && 'criterion' in after ? [...own, ...differingFields(before.criterion, after.criterion)] : own;
}

/** Those of the second list that keep their place among each other: a longest common subsequence of both. */
function inOrder(before: readonly string[], after: readonly string[]): ReadonlySet<string> {
  const known = new Set(before);
  const rank = new Map(before.map((key, index) => [key, index]));
  const shared = after.filter((key) => known.has(key)).map((key) => ({ key, rank: rank.get(key) ?? 0 }));
  const best: { readonly length: number; readonly from: number }[] = [];
  shared.forEach((one, index) => {
    let from = -1;
    for (let earlier = 0; earlier < index; earlier += 1)
      if ((shared[earlier]?.rank ?? 0) < one.rank && (from < 0 || (best[earlier]?.length ?? 0) > (best[from]?.length ?? 0))) from = earlier;
    best.push({ length: 1 + (best[from]?.length ?? 0), from });
  });
  const kept = new Set(after.filter((key) => !known.has(key)));
  let last = best.reduce((top, one, index) => (one.length > (best[top]?.length ?? 0) ? index : top), 0);
  while (last >= 0 && shared[last]) {
    kept.add(shared[last]?.key ?? '');
    last = best[last]?.from ?? -1;
  }
  return kept;
}

/** Whether a line says that something becomes different. */
export const isChange = ({ what }: LadderLine): boolean => what !== 'same';
