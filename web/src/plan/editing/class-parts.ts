import { plural, t } from '@lingui/core/macro';
import {
  changesLevel,
  clockText,
  itemTotals,
  meanAge,
  surroundingsAfter,
  teachingStyles,
  timelineOf,
  timeOfDay,
  type ClassPlan,
  type EvaluationContext,
  type Learned,
  type LearnedPace,
  type Library,
  type Surroundings,
  type TeachingStyle,
  type TimeParts,
  type Timeline,
} from '@leiter/core';
import { kindWords } from '../../shared/words';

/** A name and what of a figure belongs to it. */
export type Part = readonly [string, string];

const partWords: readonly (readonly [keyof TimeParts, string])[] = [
  ['work', t`Doing it`],
  ['explain', t`Explaining`],
  ['goTo', t`Going from one to the next`],
  ['setUp', t`Setting up`],
  ['sideChange', t`Changing sides`],
];

/** What the length of a class is made of, in the order of model.md's parts, the largest being the work. */
export function totalParts({ items }: Timeline): readonly Part[] {
  return partWords
    .map(([part, words]): readonly [string, number] => [words, items.reduce((sum, { parts }) => sum + parts[part], 0)])
    .filter(([, seconds]) => seconds > 0)
    .map(([words, seconds]) => [words, clockText(seconds)]);
}

/** What the items of a section take. */
export function sectionParts(plan: ClassPlan, { items }: Timeline, sectionId: string): readonly Part[] {
  const totals = itemTotals(items);
  const own = plan.sections.find(({ id }) => id === sectionId)?.items ?? [];
  return own.flatMap(({ id }): readonly Part[] => {
    const total = totals.get(id);
    return total ? [[total.first.movement.name, clockText(total.seconds)]] : [];
  });
}

/** What of the class is moving, and what is not. */
export function movingParts(timeline: Timeline): readonly Part[] {
  const moving = timeline.movingShare * timeline.totalSeconds;
  return [
    [t`Bodies move`, clockText(moving)],
    [t`Listening, changing, resting`, clockText(timeline.totalSeconds - moving)],
  ];
}

/** Where the children go from standing to the floor or back, and where the camera is moved: before which item, at what time. */
export function changeParts(timeline: Timeline, startsAt: string): { readonly level: readonly Part[]; readonly camera: readonly Part[] } {
  const level: Part[] = [];
  const camera: Part[] = [];
  let before: Surroundings | null = null;
  for (const { item, movement, startSecond, round } of timeline.items) {
    const part: Part = [movement.name, timeOfDay(startsAt, startSecond)];
    if (changesLevel(movement, before)) level.push(part);
    if (item.isCameraMoved && round === 1) camera.push(part);
    before = surroundingsAfter(movement, before);
  }
  return { level, camera };
}

/** What the class would take in each style, the rest being as it is. */
export function styleTotals(plan: ClassPlan, library: Library, context: EvaluationContext): ReadonlyMap<TeachingStyle, number> {
  const of = { ...context, meanAgeYears: meanAge(context.agesYears) };
  return new Map(teachingStyles.map((style) => [style, timelineOf({ ...plan, style }, library, of).totalSeconds]));
}

/** By what the instructor differs from what is reckoned, and what that rests on. */
export function paceParts({ explain, work }: LearnedPace): readonly Part[] {
  const restsOn = ({ items, classes }: Learned): string =>
    t`${plural(items, { one: '# item', other: '# items' })} in ${plural(classes, { one: '# class', other: '# classes' })}`;
  const factor = (of: Learned): string => `×\u00a0${of.factor.toFixed(2)}`;
  return [
    ...explain.map((one): Part => [t`Explaining, ${one.way}, ${kindWords[one.kind]}: ${restsOn(one)}`, factor(one)]),
    ...(work.items > 0 ? [[t`Work: ${restsOn(work)}`, factor(work)] as const] : []),
  ];
}
