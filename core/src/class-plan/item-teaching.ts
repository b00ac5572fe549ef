import type { Item } from './class-plan.js';

/** How an item is taught; what is left out is as usual. */
export type ItemTeaching = Pick<Item, (typeof teachingFields)[number]>;
const teachingFields = [
  'way',
  'explainSeconds',
  'build',
  'isCameraMoved',
  'takesTurns',
  'leader',
  'stands',
  'helper',
  'calls',
  'choice',
  'areEyesClosed',
  'stopsWithMusic',
  'parts',
] as const;

/** The same item taught in another way; what the teaching leaves out is as usual again. */
export function taughtAs<Taught extends object>(item: Taught & ItemTeaching, teaching: ItemTeaching): Taught & ItemTeaching {
  const rest = Object.fromEntries(Object.entries(item).filter(([field]) => !teachingFields.some((one) => one === field)));
  return { ...rest, ...teachingOf(teaching) } as Taught & ItemTeaching; // the same fields but those of teaching, and these as they are said
}
/** What an item says of how it is taught, and nothing else of it. */
export function teachingOf(item: ItemTeaching): ItemTeaching {
  return Object.fromEntries(teachingFields.flatMap((field) => (isSaid(item[field]) ? [[field, item[field]]] : [])));
}

export function sameTeaching(one: ItemTeaching, other: ItemTeaching): boolean {
  return teachingFields.every((field) => JSON.stringify(one[field]) === JSON.stringify(other[field]));
}
const isSaid = (value: unknown): boolean => value !== undefined && value !== false;
