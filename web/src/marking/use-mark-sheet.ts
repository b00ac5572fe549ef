import { plural, t } from '@lingui/core/macro';
import type { Attendance, ClassPageResponse, ExpectedChild } from '@leiter/contract';
import { currentObservations, groupBy, type Library } from '@leiter/core';
import { useMemo, useRef, useState } from 'react';
import { useTaughtClass } from '../queries/calendar.queries';
import { sayAttendance, setRoll } from '../queries/class.queries';
import { giveMark, useMarkQueue } from '../queries/mark-queue';
import { useSession } from '../queries/session.queries';
import { offerUndo } from '../shared/undo-bar';
import {
  changedMark,
  givenMark,
  markColumns,
  occasionOf,
  offeredSkills,
  requestFor,
  requirementFor,
  withdrawalFor,
  type MarkCell,
  type MarkChange,
  type MarkColumn,
  type MarkFacts,
  type OfferedSkills,
  type Standings,
} from './mark-grid';

/** A step that can be undone: what stood in a cell, or what the roll said of a child. */
type Step =
  | { readonly kind: 'mark'; readonly childId: string; readonly column: MarkColumn; readonly before: MarkFacts | null }
  | { readonly kind: 'roll'; readonly childId: string; readonly before: Attendance | null };

export interface MarkSheet {
  readonly children: readonly ExpectedChild[];
  readonly columns: readonly MarkColumn[];
  readonly offered: OfferedSkills;
  /** Whether all that was done and is asked has its columns. */
  readonly showsMore: boolean;
  readonly setShowsMore: (shows: boolean) => void;
  readonly cellOf: (childId: string, column: MarkColumn) => MarkCell;
  readonly given: number;
  readonly change: (cell: MarkCell, made: MarkChange) => void;
  readonly takeBack: (cell: MarkCell) => void;
  readonly sayRoll: (child: ExpectedChild, status: Attendance | null) => void;
  /** Everybody of whom nothing was said is there. */
  readonly allThere: () => void;
  /** @returns where it was undone; null where there is nothing to undo */
  readonly undo: () => { readonly childId: string; readonly columnKey: string | null } | null;
}

/** What is marked in a class, and all that is done to it, however it is shown. */
export function useMarkSheet(page: ClassPageResponse, board: Standings, library: Library): MarkSheet {
  const { children } = page;
  const classId = page.class.id;
  const today = useSession().data?.today ?? page.class.day;
  const waiting = useMarkQueue((queue) => queue.waiting);
  const taught = useTaughtClass(classId).data;
  const [wantsMore, setShowsMore] = useState(false);
  const past = useRef<Step[]>([]);
  const offered = useMemo(() => {
    const done = taught && taught.items.length > 0 ? new Set(taught.items.map(({ movement }) => movement)) : null;
    return offeredSkills(page.stored?.plan ?? null, board, new Set(children.map(({ id }) => id)), done);
  }, [page.stored, board, children, taught]);
  const showsMore = wantsMore || offered.focus.length === 0;
  const columns = useMemo(() => {
    // what has a mark of this class already is one of them
    const marked = page.observations.map(({ movement }) => movement);
    const more = showsMore ? [...offered.more.map(({ slug }) => slug), ...marked] : [];
    return markColumns([...new Set([...offered.focus, ...more])], library);
  }, [offered, showsMore, page.observations, library]);
  const rowOf = useMemo(() => new Map([...groupBy(board.rows, ({ childId }) => childId)].map(([id, [row]]) => [id, row])), [board.rows]);
  const cellOf = (childId: string, column: MarkColumn): MarkCell => {
    const requirement = requirementFor(rowOf.get(childId), board, column.movement.slug);
    const sides = rowOf.get(childId)?.cells.find(({ requirementId }) => requirementId === requirement?.id)?.sides;
    const most = (sides?.find(({ side }) => side === column.side) ?? sides?.find(({ side }) => side === null))?.best ?? null;
    const best = most && { value: most.value, isOfThisDay: most.day === page.class.day };
    return { childId, column, requirement, mark: givenMark(page, waiting, childId, column, requirement?.stage ?? null), best };
  };
  const put = (cell: MarkCell, facts: MarkFacts | null): void => {
    const occasion = occasionOf(page, today);
    const request = facts ? requestFor(cell, facts, occasion) : withdrawalFor(cell, occasion);
    if (request) void giveMark(crypto.randomUUID(), request);
  };
  const note = (step: Step): void => {
    past.current.push(step);
  };
  return {
    children,
    columns,
    offered,
    showsMore,
    setShowsMore,
    cellOf,
    given:
      currentObservations(page.observations).length +
      waiting.filter(({ request, refusal }) => refusal === undefined && request.classId === classId && request.supersedes === null).length,
    change: (cell, made) => {
      note({ kind: 'mark', childId: cell.childId, column: cell.column, before: cell.mark });
      put(cell, changedMark(cell.mark, made, cell.column.movement));
    },
    takeBack: (cell) => {
      if (!cell.mark) return;
      note({ kind: 'mark', childId: cell.childId, column: cell.column, before: cell.mark });
      put(cell, null);
    },
    sayRoll: (child, status) => {
      note({ kind: 'roll', childId: child.id, before: child.attendance });
      sayAttendance(classId, { childId: child.id, status });
    },
    allThere: () => {
      const unsaid = children.filter((child) => child.attendance === null).map(({ id }) => id);
      if (unsaid.length > 0)
        void setRoll(classId, unsaid, 'present').then(() => {
          offerUndo(t`${plural(unsaid.length, { one: '# child is', other: '# children are' })} down as there`, () =>
            setRoll(classId, unsaid, null),
          );
        });
    },
    undo: () => {
      const last = past.current.pop();
      if (!last) return null;
      if (last.kind === 'roll') {
        sayAttendance(classId, { childId: last.childId, status: last.before });
        return { childId: last.childId, columnKey: null };
      }
      put(cellOf(last.childId, last.column), last.before);
      return { childId: last.childId, columnKey: last.column.key };
    },
  };
}
