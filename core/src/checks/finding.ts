import type { PlanEdit } from '../class-plan/edit.js';
import type { ChildId, ItemId } from '../values/unit.js';

export const severities = ['stop', 'caution', 'hint'] as const;
/** Stop: do not teach it like this. Caution: usually wrong. Hint: could be better. */
export type Severity = (typeof severities)[number];

/** What a check says about a plan: where, how grave, why, and the edits that mend it where there is an obvious mend. */
export interface Found<Fact> {
  readonly severity: Severity;
  /** The items it is about, in the order of the class; empty when it is about the whole. */
  readonly itemIds: readonly ItemId[];
  /** The children it is about; left out where it is about all of them. */
  readonly childIds?: readonly ChildId[];
  /** What was found; the check makes its words from it. */
  readonly fact: Fact;
  readonly mend: readonly PlanEdit[] | null;
}

/** What was found, in words: a title and why in one sentence, which can be read to a parent. */
export interface FoundWords {
  readonly title: string;
  readonly sentence: string;
}
