import type {
  AddObservationRequest,
  BoardRow,
  ClassPageResponse,
  GroupBoardResponse,
  ObservationResponse,
  RequirementResponse,
} from '@leiter/contract';
import {
  currentObservations,
  type ClassPlan,
  helps,
  isSided,
  marks,
  type Help,
  type Library,
  type Mark,
  type Measure,
  type Movement,
  type ObservedSide,
} from '@leiter/core';
import type { WaitingMark } from '../queries/mark-queue';

/** Of a group’s board: what is asked of its children, and where they stand. */
export type Standings = Pick<GroupBoardResponse, 'columns' | 'rows'>;

/** A column of the sheet: a movement, on one side where it has two. */
export interface MarkColumn {
  readonly key: string;
  readonly movement: Movement;
  readonly side: ObservedSide;
}

/** One child and one column: what is asked of this child, and what was marked in this class. */
export interface MarkCell {
  readonly childId: string;
  readonly column: MarkColumn;
  /** What the child's next grade asks of this movement; null when it asks nothing. */
  readonly requirement: RequirementResponse | null;
  readonly mark: GivenMark | null;
  /** The best that was measured in what is asked, on this side; null where nothing was. */
  readonly best?: { readonly value: number; readonly isOfThisDay: boolean } | null;
}

export interface GivenMark {
  readonly id: string;
  readonly mark: Mark;
  readonly help: Help | null;
  readonly faults: readonly string[];
  readonly measure: Measure;
  readonly isWaiting: boolean;
}

/** The columns of a class: its movements in focus, each side by itself. */
export function markColumns(focus: readonly string[], library: Library): readonly MarkColumn[] {
  return focus.flatMap((slug) => {
    const movement = library.get(slug);
    if (!movement) return [];
    const sides: readonly ObservedSide[] = isSided(movement) ? ['left', 'right'] : ['none'];
    return sides.map((side) => ({ key: `${slug} ${side}`, movement, side }));
  });
}

/** What is marked in a class: what is in focus, and on demand what was done and somebody's next grade asks. */
export interface OfferedSkills {
  readonly focus: readonly string[];
  readonly more: readonly { readonly slug: string; readonly askedOf: number }[];
}

/**
 * @param done movements of the plan that were really taught; null where no time was kept: then all of the plan
 * @returns `more` with those that most children are asked first; without anything in focus it is what is offered
 */
export function offeredSkills(
  plan: ClassPlan | null,
  board: Standings,
  children: ReadonlySet<string>,
  done: ReadonlySet<string> | null,
): OfferedSkills {
  if (!plan) return { focus: [], more: [] };
  const rows = board.rows.filter(({ childId }) => children.has(childId));
  const askedOf = (slug: string): number => rows.filter((row) => requirementFor(row, board, slug) !== null).length;
  const slugs = [...new Set(plan.sections.flatMap(({ items }) => items.map(({ movement }) => movement)))];
  const more = slugs
    .filter((slug) => !plan.focus.includes(slug) && (done === null || done.has(slug)))
    .map((slug) => ({ slug, askedOf: askedOf(slug) }))
    .filter((one) => one.askedOf > 0)
    .toSorted((a, b) => b.askedOf - a.askedOf);
  return { focus: plan.focus, more };
}

export function requirementFor(row: BoardRow | undefined, board: Standings, movement: string): RequirementResponse | null {
  const grade = board.columns.find(({ gradeId }) => gradeId === row?.nextGradeId);
  return grade?.requirements.find((one) => one.movement === movement) ?? null;
}

/** The newest mark of a cell in this class, arrived or still waiting in the browser. */
export function givenMark(
  page: ClassPageResponse,
  waiting: readonly WaitingMark[],
  childId: string,
  column: MarkColumn,
  stage: number | null,
): GivenMark | null {
  const stored = currentObservations(page.observations).filter(
    (one) => one.childId === childId && one.movement === column.movement.slug && one.side === column.side && one.stage === stage,
  );
  const pending = waiting.filter(
    ({ refusal, request }) =>
      refusal === undefined &&
      request.classId === page.class.id &&
      request.childId === childId &&
      request.movement === column.movement.slug &&
      request.side === column.side &&
      (request.stage ?? null) === stage,
  );
  const last = pending.at(-1);
  if (last?.request.isWithdrawal) return null;
  if (last) {
    const { mark, help, faults, measure } = last.request;
    return { id: last.id, mark, help, faults, measure: plainMeasure(measure), isWaiting: true };
  }
  const newest: ObservationResponse | undefined = stored.at(-1) as ObservationResponse | undefined; // what went in comes out
  return newest
    ? { id: newest.id, mark: newest.mark, help: newest.help, faults: newest.faults, measure: newest.measure, isWaiting: false }
    : null;
}

function plainMeasure(measure: AddObservationRequest['measure']): Measure {
  return Object.fromEntries(Object.entries(measure).filter(([, value]) => value !== undefined));
}

/** What a key does to the mark of a cell; null where it does nothing. */
export type MarkChange =
  | { readonly kind: 'mark'; readonly mark: Mark }
  /** The next kind of help, or the one that is named. */
  | { readonly kind: 'help'; readonly help?: Help }
  | { readonly kind: 'fault'; readonly fault?: string }
  | { readonly kind: 'measure'; readonly measure: Measure };

/** Keys that take the mark of a cell back. */
export const isTakingBack = (key: string): boolean => key === 'Backspace' || key === 'Delete' || key === '0';

export function markOfKey(key: string): MarkChange | null {
  const mark = marks[Number(key) - 1];
  if (/^[1-4]$/.test(key) && mark) return { kind: 'mark', mark };
  if (key.toLowerCase() === 'h') return { kind: 'help' };
  return key.toLowerCase() === 'f' ? { kind: 'fault' } : null;
}

export type MarkFacts = Pick<GivenMark, 'mark' | 'help' | 'faults' | 'measure'>;

/**
 * The facts of a cell after a change. Help goes through its kinds and means "with help"; a fault goes through those of the
 * movement, one at a time, or is switched on and off by name. A clean mark has neither.
 */
export function changedMark(current: MarkFacts | null, change: MarkChange, movement: Movement): MarkFacts {
  const before: MarkFacts = current ?? { mark: 'not-yet', help: null, faults: [], measure: {} };
  switch (change.kind) {
    case 'mark':
      return {
        ...before,
        mark: change.mark,
        help: change.mark === 'with-help' ? (before.help ?? 'told') : null,
        faults: change.mark === 'clean' ? [] : before.faults,
      };
    case 'help':
      return {
        ...before,
        mark: 'with-help',
        help:
          change.help ?? (before.mark === 'with-help' ? (helps[(before.help ? helps.indexOf(before.help) : -1) + 1] ?? 'told') : 'told'),
      };
    case 'fault':
      return {
        ...before,
        mark: before.mark === 'clean' ? 'alone' : before.mark,
        faults: nextFaults(before.faults, change.fault, movement),
      };
    case 'measure':
      return { ...before, measure: change.measure };
  }
}

function nextFaults(current: readonly string[], named: string | undefined, movement: Movement): readonly string[] {
  if (named !== undefined) return current.includes(named) ? current.filter((slug) => slug !== named) : [...current, named];
  const slugs = movement.faults.map(({ slug }) => slug);
  const next = slugs[current[0] === undefined ? 0 : slugs.indexOf(current[0]) + 1];
  return next === undefined ? [] : [next];
}

/** What takes the mark of a cell back; null where there is none. */
export function withdrawalFor(cell: MarkCell, occasion: Occasion): AddObservationRequest | null {
  return cell.mark && Object.assign(requestFor(cell, cell.mark, occasion), { isWithdrawal: true });
}

/** When something was seen: in a class, or on a day without one. */
export interface Occasion {
  readonly classId: string | null;
  readonly seenOn: string;
}

/** A class that is still to come has not been seen yet: what is marked in it is of today. */
export const occasionOf = ({ class: session }: ClassPageResponse, today: string): Occasion => ({
  classId: session.id,
  seenOn: session.day <= today ? session.day : today,
});

/** What is sent for a cell: a correction supersedes what was marked in this class before. */
export function requestFor(cell: MarkCell, facts: MarkFacts, { classId, seenOn }: Occasion): AddObservationRequest {
  return {
    childId: cell.childId,
    movement: cell.column.movement.slug,
    stage: cell.requirement?.stage ?? null,
    side: cell.column.side,
    mark: facts.mark,
    help: facts.help,
    measure: { ...facts.measure },
    faults: [...facts.faults],
    note: '',
    seenOn,
    source: classId === null ? 'entered-later' : 'class',
    classId,
    supersedes: cell.mark?.id ?? null,
  };
}
