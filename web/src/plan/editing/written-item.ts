import {
  circuitLimits,
  itemOf,
  newCircuit,
  readTeaching,
  taughtAs,
  type AgeBand,
  type CircuitKind,
  type Item,
  type Library,
  type Movement,
} from '@leiter/core';

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

/** A block in one line: `front kick 2x8 + roundhouse kick each side`, `squat + plank 3 rounds`, `jump + hold in turns`. */
export interface WrittenBlock {
  readonly parts: readonly WrittenItem[];
  readonly of: CircuitKind;
  readonly rounds: number;
}

const blockEnds: readonly (readonly [RegExp, (times: number) => Omit<WrittenBlock, 'parts'>])[] = [
  [/\s+each side(?: (\d+) times)?$/i, (times) => ({ of: 'chain', rounds: times })],
  [/\s+in turns(?: (\d+) times)?$/i, (times) => ({ of: 'pair', rounds: times })],
  [/\s+(\d+) rounds$/i, (times) => ({ of: 'circuit', rounds: times })],
];

/** @returns null for a line without a plus, or one in which something is left out between two of them. */
export function readBlock(line: string): WrittenBlock | null {
  const typed = line.trim();
  const end = blockEnds.find(([form]) => form.test(typed));
  const found = end?.[0].exec(typed);
  const parts = (found ? typed.slice(0, found.index) : typed).split('+').map((part) => readWritten(part));
  if (parts.length < 2 || parts.some(({ name }) => name === '')) return null;
  const { least, most } = circuitLimits.rounds;
  const times = Math.min(most, Math.max(least, Number(found?.[1] ?? 1)));
  return { parts, ...(end ? end[1](times) : { of: 'circuit', rounds: newCircuit.rounds }) };
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
