import { itemOf, readTeaching, taughtAs, type AgeBand, type Item, type Library, type Movement } from '@leiter/core';

/** What is typed where an item is wanted: a movement's name, and after it, if one likes, its dose and how it is taught: `forward roll 3x4 watch`. */
export interface WrittenItem {
  readonly name: string;
  /** What comes after the name; empty where only a name is typed. */
  readonly dose: string;
}

/** Parts a line into name and dose: a dose begins with the last number that has a space before it and reads as one to the end. */
export function readWritten(line: string): WrittenItem {
  const typed = line.trim();
  for (const match of typed.matchAll(/\s(?=\d)/g)) {
    const dose = typed.slice(match.index).trim();
    const anyDose = { kind: 'timed', seconds: 60 } as const;
    if (readTeaching(dose, { dose: anyDose })) return { name: typed.slice(0, match.index).trim(), dose };
  }
  return { name: typed, dose: '' };
}

/** The item of a movement with the dose that was typed, where one was and it fits. */
export function itemWritten(movement: Movement, dose: string, band: AgeBand): Omit<Item, 'id'> {
  const item = itemOf(movement, band);
  const read = dose === '' ? null : readTeaching(dose, item);
  return read ? taughtAs({ ...item, dose: read.dose }, read.teaching) : item;
}

/** The movements that can be named in a plan of a programme. */
export function nameable(library: Library, programme: string): readonly Movement[] {
  return [...library.values()].filter(({ programmes }) => programmes.length === 0 || programmes.includes(programme));
}
