import {
  changesFraming,
  changesLevel,
  clockText,
  itemTotals,
  surroundingsAfter,
  timeOfDay,
  type ClassPlan,
  type Surroundings,
  type TimeParts,
  type Timeline,
} from '@leiter/core';

/** A name and what of a figure belongs to it. */
export type Part = readonly [string, string];

const partWords: readonly (readonly [keyof TimeParts, string])[] = [
  ['work', 'Doing it'],
  ['explain', 'Explaining'],
  ['goTo', 'Going from one to the next'],
  ['setUp', 'Setting up'],
  ['sideChange', 'Changing sides'],
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
    ['Bodies move', clockText(moving)],
    ['Listening, changing, resting', clockText(timeline.totalSeconds - moving)],
  ];
}

/** Where the children go from standing to the floor or back, and where the camera has to move: before which item, at what time. */
export function changeParts(timeline: Timeline, startsAt: string): { readonly level: readonly Part[]; readonly framing: readonly Part[] } {
  const level: Part[] = [];
  const framing: Part[] = [];
  let before: Surroundings | null = null;
  for (const { movement, startSecond } of timeline.items) {
    const part: Part = [movement.name, timeOfDay(startsAt, startSecond)];
    if (changesLevel(movement, before)) level.push(part);
    if (changesFraming(movement, before)) framing.push(part);
    before = surroundingsAfter(movement, before);
  }
  return { level, framing };
}
