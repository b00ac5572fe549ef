import { t } from '@lingui/core/macro';
import type { SyllabusResponse } from '@leiter/contract';
import { slugOf, wholeCriterion, type LadderGrade, type LadderRequirement, type LadderVersion, type Movement } from '@leiter/core';

/** The ladder as one changes it, by slugs. */
export function ladderOf({ grades }: SyllabusResponse): LadderVersion {
  return {
    grades: grades.map(({ id: _id, requirements, putAwayRequirements, ...grade }) => ({
      ...grade,
      requirements: [
        ...requirements.map(({ id: _own, ...one }) => ({ ...one, isPutAway: false })),
        ...putAwayRequirements.map(({ id: _own, ...one }) => ({ ...one, isPutAway: true })),
      ],
    })),
  };
}

/** A list with one of its members moved before another; dropped on itself it stays. */
export function movedTo<One>(list: readonly One[], from: number, to: number): readonly One[] {
  const moving = list[from];
  if (moving === undefined || to < 0 || to >= list.length) return list;
  const others = list.filter((_one, index) => index !== from);
  return [...others.slice(0, to), moving, ...others.slice(to)];
}

/** A ladder with a new grade above the one named, or on top. @returns the ladder and the slug of the grade. */
export function withNewGrade(ladder: LadderVersion, above: string | null): { readonly ladder: LadderVersion; readonly slug: string } {
  const taken = new Set(ladder.grades.flatMap(({ slug, name }) => [slug, name.toLowerCase()]));
  let number = ladder.grades.length + 1;
  while (taken.has(`grade ${String(number)}`) || taken.has(`grade-${String(number)}`)) number += 1;
  const name = t`Grade ${number}`;
  const below = ladder.grades.findIndex(({ slug }) => slug === above);
  const at = below < 0 ? ladder.grades.length : below + 1;
  const { leastWeeksInGrade = 8, leastClasses = 6, leastAgeYears = 4 } = ladder.grades[at - 1] ?? {};
  const grade: LadderGrade = {
    slug: slugOf(name),
    name,
    leastWeeksInGrade,
    leastClasses,
    leastAgeYears,
    isPutAway: false,
    requirements: [],
  };
  return { ladder: { grades: [...ladder.grades.slice(0, at), grade, ...ladder.grades.slice(at)] }, slug: grade.slug };
}

/** A ladder with one of its grades changed. */
export function withGrade(ladder: LadderVersion, slug: string, change: (grade: LadderGrade) => LadderGrade): LadderVersion {
  return { grades: ladder.grades.map((grade) => (grade.slug === slug ? change(grade) : grade)) };
}

/** A grade that asks for a movement as well; one that was put away is asked again. */
export function withMovement(grade: LadderGrade, movement: Movement): LadderGrade {
  const away = grade.requirements.find((one) => one.movement === movement.slug && one.stage === null);
  if (away) return { ...grade, requirements: grade.requirements.map((one) => (one === away ? { ...one, isPutAway: false } : one)) };
  const sides = movement.sides === 'each' ? 'both' : movement.sides === 'lead' ? 'lead' : 'none';
  const added: LadderRequirement = { movement: movement.slug, stage: null, criterion: wholeCriterion({ sides }), isPutAway: false };
  return { ...grade, requirements: [...grade.requirements, added] };
}

/** Takes a grade off the ladder: one that was never stored goes, any other is put away and keeps its place. */
export function withoutGrade(ladder: LadderVersion, slug: string, stored: LadderVersion): LadderVersion {
  if (stored.grades.some((grade) => grade.slug === slug)) return withGrade(ladder, slug, (grade) => ({ ...grade, isPutAway: true }));
  return { grades: ladder.grades.filter((grade) => grade.slug !== slug) };
}

/** Takes a requirement off a grade: one that was never stored goes, any other is put away. */
export function withoutRequirement(grade: LadderGrade, index: number, stored: LadderVersion): LadderGrade {
  const gone = grade.requirements[index];
  const before = stored.grades.find(({ slug }) => slug === grade.slug)?.requirements ?? [];
  const isStored = before.some(({ movement, stage }) => movement === gone?.movement && stage === gone.stage);
  return {
    ...grade,
    requirements: isStored
      ? grade.requirements.map((one) => (one === gone ? { ...one, isPutAway: true } : one))
      : grade.requirements.filter((one) => one !== gone),
  };
}

/** The ladder as it is sent. */
export function writtenDraft({ grades }: LadderVersion) {
  return grades.map((grade) => ({
    ...grade,
    requirements: grade.requirements.map(({ stage, ...one }) => ({ ...one, ...(stage === null ? {} : { stage }) })),
  }));
}
