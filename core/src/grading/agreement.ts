import { marks, type Mark } from '../movement/movement.js';
import type { ObservedSide } from '../record/observation.js';

/** What an examiner wrote of one requirement on one side. */
export interface SheetMark {
  readonly id: string;
  readonly requirementId: string;
  readonly side: ObservedSide;
  readonly mark: Mark;
  readonly examinerId: string;
  /** When it was given, ISO 8601 in UTC. */
  readonly givenAt: string;
  /** Both have talked about it: this one counts, whatever was written before it. */
  readonly isSettled: boolean;
}

/** What the examiners found of one requirement on one side of one child. */
export interface Finding<One extends SheetMark = SheetMark> {
  readonly requirementId: string;
  readonly side: ObservedSide;
  /** The last mark of each examiner, in the order in which they were given. */
  readonly marks: readonly One[];
  /** The one that counts: what was settled, else the lower one where they differ. */
  readonly counts: One;
  readonly agreement: 'one-examiner' | 'same' | 'apart' | 'settled';
}

const rankOf = (mark: Mark): number => marks.indexOf(mark);
const inOrder = (a: SheetMark, b: SheetMark): number =>
  a.givenAt < b.givenAt ? -1 : a.givenAt > b.givenAt ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0;

/**
 * What the examiners found of one child. Who marks again means the newer one (a second try); where they differ, the lower counts until
 * they have talked about it: a grade is not given by a mistake.
 * @param written of one child, in any order
 */
export function findingsOf<One extends SheetMark>(written: readonly One[]): readonly Finding<One>[] {
  const cells = new Map<string, One[]>();
  for (const one of written.toSorted(inOrder)) {
    const key = `${one.requirementId} ${one.side}`;
    cells.set(key, [...(cells.get(key) ?? []), one]);
  }
  return [...cells.values()].flatMap((cell) => {
    const at = cell.findLastIndex(({ isSettled }) => isSettled);
    // who marks after it was settled saw a new try
    const isSettled = at === cell.length - 1;
    const settled = isSettled ? cell[at] : undefined;
    const own = (isSettled ? cell : cell.slice(at + 1)).filter((one) => !one.isSettled);
    const last = [...new Map(own.map((one) => [one.examinerId, one])).values()].toSorted(inOrder);
    const [first, ...others] = settled ? [settled] : last;
    if (!first) return [];
    const counts = others.reduce((lower, one) => (rankOf(one.mark) < rankOf(lower.mark) ? one : lower), first);
    const isSame = last.every(({ mark }) => mark === last[0]?.mark);
    const agreement = settled ? 'settled' : last.length === 1 ? 'one-examiner' : isSame ? 'same' : 'apart';
    return [{ requirementId: first.requirementId, side: first.side, marks: last, counts, agreement }];
  });
}

/** How far examiners agree where both have marked: on how many findings, and how many of the others are only one mark apart. */
export function agreementOf(findings: readonly Finding[]): { readonly both: number; readonly same: number; readonly next: number } {
  const both = findings.filter(({ marks: own }) => own.length > 1);
  const spreadOf = ({ marks: own }: Finding): number => {
    const ranks = own.map(({ mark }) => rankOf(mark));
    return Math.max(...ranks) - Math.min(...ranks);
  };
  return {
    both: both.length,
    same: both.filter((one) => spreadOf(one) === 0).length,
    next: both.filter((one) => spreadOf(one) === 1).length,
  };
}
