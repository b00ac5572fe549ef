import { t } from '@lingui/core/macro';
import type { ClassPageResponse } from '@leiter/contract';
import { watchOrder, type Library, type Movement } from '@leiter/core';
import { useEffect, useRef, useState } from 'react';
import { markColumns, type MarkCell, type MarkChange, type Standings } from './mark-grid';
import { useMarkSheet } from './use-mark-sheet';

/** A child beside the stage. */
export interface WatchRow {
  readonly id: string;
  readonly name: string;
  readonly cell: MarkCell;
  readonly isMarked: boolean;
  /** When it was last seen, where it has no mark of this class. */
  readonly note: string;
}

/** What is watched now: one movement on one side, and the children in the order in which they are to be looked at. */
export interface Watch {
  readonly movement: Movement;
  readonly side: 'left' | 'right' | 'none';
  readonly rows: readonly WatchRow[];
  readonly setSide: (side: 'left' | 'right') => void;
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
  side: 'left' | 'right' | null,
): Watch | null {
  const sheet = useMarkSheet(page, board ?? nothing, library);
  const [own, setOwn] = useState<{ readonly of: string; readonly side: 'left' | 'right' } | null>(null);
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
  const rows = sheet.children.map((child) => {
    const cell = sheet.cellOf(child.id, column);
    const row = board.rows.find(({ childId }) => childId === child.id);
    const standing = row?.cells.find(({ requirementId }) => requirementId === cell.requirement?.id);
    const isMarked = cell.mark !== null;
    const unseenForDays = standing?.unseenForDays ?? null;
    const isAsked = cell.requirement !== null;
    const note = isMarked ? '' : !isAsked ? t`not asked` : unseenForDays === null ? t`never seen` : daysWords(unseenForDays);
    const isThere = child.attendance !== 'absent' && child.attendance !== 'watched';
    return { id: child.id, name: child.name, cell, isThere, isMarked, unseenForDays, isAsked, note };
  });
  return {
    movement,
    side: column.side === 'none' ? 'none' : wanted,
    rows: watchOrder(rows),
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
