import { t } from '@lingui/core/macro';
import type { ClassPageResponse } from '@leiter/contract';
import { isThere } from '@leiter/contract/who-comes';
import type { Library, Movement, Side } from '@leiter/core';
import { useEffect, useRef, useState } from 'react';
import { markColumns, type MarkCell, type MarkChange, type Standings } from './mark-grid';
import { useMarkSheet } from './use-mark-sheet';
import { watchListOf, watchReasonWords } from './whom-to-watch';

/** A child beside the stage. */
export interface WatchRow {
  readonly id: string;
  readonly name: string;
  readonly cell: MarkCell;
  readonly isMarked: boolean;
  /** Why to look at it, or when it was last seen; nothing where it has a mark of this class. */
  readonly note: string;
}

/** What is watched now: one movement on one side, and the children in the order in which they are to be looked at. */
export interface Watch {
  readonly movement: Movement;
  readonly side: 'left' | 'right' | 'none';
  readonly rows: readonly WatchRow[];
  readonly setSide: (side: Side) => void;
  readonly change: (cell: MarkCell, change: MarkChange) => void;
  readonly takeBack: (cell: MarkCell) => void;
  /** Takes the last mark back that was given here. */
  readonly undo: () => void;
}

const nothing: Standings = { columns: [], rows: [] };

/**
 * @param board nothing as long as it is not there: then nothing is watched
 * @param movement what is taught now, or was the last that can be marked
 * @param side the side that is done now; null where none is
 */
export function useWatch(
  page: ClassPageResponse,
  board: Standings | undefined,
  library: Library,
  movement: Movement | null,
  side: Side | null,
): Watch | null {
  const sheet = useMarkSheet(page, board ?? nothing, library);
  const [own, setOwn] = useState<{ readonly of: string; readonly side: Side } | null>(null);
  // a press is taken back on what is known then, not on what was known when it was made
  const latest = useRef(sheet);
  useEffect(() => {
    latest.current = sheet;
  });
  if (!movement || !board) return null;
  // what was chosen by hand holds until the side changes by itself
  const of = `${movement.slug} ${side ?? ''}`;
  const wanted = own?.of === of ? own.side : (side ?? 'left');
  const column = markColumns([movement.slug], library).find((one) => one.side === wanted || one.side === 'none');
  if (!column) return null;
  // what a look at this movement is worth, on the side that is done where there are two
  const looks = watchListOf(board, new Set(sheet.children.map(({ id }) => id)), [movement.slug], page.class.day);
  const rows = sheet.children.filter(isThere).map((child) => {
    const cell = sheet.cellOf(child.id, column);
    const standing = board.rows
      .find(({ childId }) => childId === child.id)
      ?.cells.find(({ requirementId }) => requirementId === cell.requirement?.id);
    const isMarked = cell.mark !== null;
    const unseenForDays = standing?.unseenForDays ?? null;
    const rank = looks.findIndex((look) => look.child === child.id);
    const look = looks[rank];
    const seen = unseenForDays === null ? t`never seen` : daysWords(unseenForDays);
    const isTold = look && look.reason.kind !== 'goes-on' && look.reason.kind !== 'never-seen';
    const note = isMarked ? '' : isTold ? watchReasonWords(look) : cell.requirement === null ? t`not asked` : seen;
    return { id: child.id, name: child.name, cell, isMarked, note, rank: rank < 0 ? looks.length : rank };
  });
  return {
    movement,
    side: column.side === 'none' ? 'none' : wanted,
    // who has a mark comes last; alike, they stay as they are called
    rows: rows.toSorted((a, b) => Number(a.isMarked) - Number(b.isMarked) || a.rank - b.rank),
    setSide: (chosen) => {
      setOwn({ of, side: chosen });
    },
    change: sheet.change,
    takeBack: sheet.takeBack,
    undo: () => {
      latest.current.undo();
    },
  };
}

const daysWords = (days: number): string => (days === 0 ? t`seen today` : days === 1 ? t`seen yesterday` : t`seen ${days} days ago`);
