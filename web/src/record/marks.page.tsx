import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ClassPageResponse, GroupBoardResponse } from '@leiter/contract';
import type { Library } from '@leiter/core';
import { useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { Link, useParams } from 'react-router';
import { useSession } from '../queries/session.queries';
import { useLibrary, useMovements } from '../queries/library.queries';
import { useAttendance, useClassPage } from '../queries/class.queries';
import { KeysHelp } from '../shared/keys-help';
import { Loaded, Message, Page, Panel } from '../shared/page';
import { palette } from '../shared/palette';
import { dayText, plural } from '../shared/words';
import {
  changedMark,
  givenMark,
  isTakingBack,
  markColumns,
  markOfKey,
  requestFor,
  requirementFor,
  withdrawalFor,
  type MarkCell,
  type MarkChange,
  type MarkFacts,
} from './parts/mark-grid';
import { giveMark, useMarkQueue } from '../queries/mark-queue';
import { AttendanceChoice, nextAttendance } from './parts/attendance-choice';
import { CellInspector } from './parts/cell-inspector';
import { MarkGlyph } from './parts/mark-glyph';
import { RefusedMarks } from './parts/refused-marks';
import { useGroupBoard } from '../queries/record.queries';

const keys: readonly (readonly [string, string])[] = [
  ['1 2 3 4', 'not yet, with help, alone, clean'],
  ['H', 'with help; again: another kind of help'],
  ['F', 'a fault; again: the next one'],
  ['Del', 'takes the mark back'],
  ['Ctrl Z', 'undoes the last mark'],
  ['A', 'was the child there: yes, late, no, watched the recording; again: nothing said'],
  ['Tab', 'next child'],
  ['← → ↑ ↓', 'another cell'],
];

/** What the children of a class showed: children × the movements in focus, by key. */
export function MarksPage() {
  const { id = '' } = useParams();
  const page = useClassPage(id);
  const movements = useMovements();
  const library = useLibrary();
  const board = useGroupBoard(page.data?.class.groupId ?? '', { isWanted: page.data !== undefined });
  return (
    <Loaded query={page} what="class">
      {(data) => (
        <Loaded query={movements} what="library">
          {() => (
            <Loaded query={board} what="board">
              {(found) => <Sheet page={data} board={found} library={library} />}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

function Sheet({
  page,
  board,
  library,
}: {
  readonly page: ClassPageResponse;
  readonly board: GroupBoardResponse;
  readonly library: Library;
}) {
  const today = useSession().data?.today ?? page.class.day;
  const waiting = useMarkQueue((queue) => queue.waiting);
  const columns = useMemo(() => markColumns(page.stored?.plan.focus ?? [], library), [page.stored, library]);
  const [chosen, setChosen] = useState({ row: 0, column: 0 });
  const grid = useRef<HTMLTableElement>(null);
  const cellAt = (row: number, column: number): MarkCell | null => {
    const child = page.children[row];
    const at = columns[column];
    if (!child || !at) return null;
    const requirement = requirementFor(
      board.rows.find(({ childId }) => childId === child.id),
      board,
      at.movement.slug,
    );
    return { childId: child.id, column: at, requirement, mark: givenMark(page, waiting, child.id, at, requirement?.stage ?? null) };
  };
  const cell = cellAt(chosen.row, chosen.column);
  /** What can be undone: a cell and what stood in it, the newest last. */
  const past = useRef<{ readonly row: number; readonly column: number; readonly before: MarkFacts | null }[]>([]);
  const put = (at: MarkCell, facts: MarkFacts | null): void => {
    const request = facts ? requestFor(at, facts, page, today) : withdrawalFor(at, page, today);
    if (request) void giveMark(crypto.randomUUID(), request);
  };
  const change = (made: MarkChange): void => {
    if (!cell) return;
    past.current.push({ ...chosen, before: cell.mark });
    put(cell, changedMark(cell.mark, made, cell.column.movement));
  };
  const takeBack = (): void => {
    if (!cell?.mark) return;
    past.current.push({ ...chosen, before: cell.mark });
    put(cell, null);
  };
  const undo = (): void => {
    const last = past.current.pop();
    const at = last && cellAt(last.row, last.column);
    if (!at) return;
    go(last.row, last.column);
    put(at, last.before);
  };
  const go = (row: number, column: number): void => {
    const next = { row: Math.max(0, Math.min(page.children.length - 1, row)), column: Math.max(0, Math.min(columns.length - 1, column)) };
    setChosen(next);
    grid.current?.querySelector<HTMLElement>(`[data-cell="${String(next.row)}-${String(next.column)}"]`)?.focus();
  };
  const attendance = useAttendance(page.class.id);
  const onKeyDown = (event: KeyboardEvent): void => {
    const { row, column } = chosen;
    const child = page.children[row];
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
      undo();
      event.preventDefault();
      return;
    }
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const made = markOfKey(event.key);
    if (made) change(made);
    else if (isTakingBack(event.key)) takeBack();
    else if (event.key.toLowerCase() === 'a' && child) attendance.mutate({ childId: child.id, status: nextAttendance(child.attendance) });
    else if (event.key === 'ArrowUp') go(row - 1, column);
    else if (event.key === 'ArrowDown') go(row + 1, column);
    else if (event.key === 'ArrowLeft') go(row, column - 1);
    else if (event.key === 'ArrowRight') go(row, column + 1);
    // Tab goes to the next child; at the first and last one it leaves the sheet as everywhere
    else if (event.key === 'Tab' && row + (event.shiftKey ? -1 : 1) >= 0 && row + (event.shiftKey ? -1 : 1) < page.children.length)
      go(row + (event.shiftKey ? -1 : 1), column);
    else return;
    event.preventDefault();
  };
  const given = page.children.reduce((sum, _child, row) => sum + columns.filter((_column, column) => cellAt(row, column)?.mark).length, 0);
  const childName = page.children[chosen.row]?.name ?? '';
  return (
    <Page
      title={`Marks · ${page.class.groupName}`}
      about={`${dayText(page.class.day)} · ${plural(given, 'mark', 'marks')} given`}
      actions={
        <Button component={Link} to={`/groups/${page.class.groupId}`} variant="outlined">
          The group’s board
        </Button>
      }
    >
      <Panel label="Marks">
        <RefusedMarks page={page} library={library} />
        {columns.length === 0 ? (
          <Message
            title="Nothing is in focus yet"
            text="Put one or two movements of the plan in focus: they are what is marked here."
            action={{ label: 'To the plan', href: `/classes/${page.class.id}/plan` }}
          />
        ) : (
          <Box sx={{ overflowX: 'auto' }}>
            <Box
              component="table"
              ref={grid}
              role="grid"
              aria-label="Marks of the class"
              sx={{ borderCollapse: 'collapse', fontSize: 14.5, '& th': { fontWeight: 400, textAlign: 'left' } }}
            >
              <thead>
                <tr>
                  <Box component="th" scope="col" sx={{ p: 1, width: 170 }}>
                    Child
                  </Box>
                  <Box component="th" scope="col" sx={{ p: 1 }}>
                    There
                  </Box>
                  {columns.map((column) => (
                    <Box component="th" scope="col" key={column.key} sx={{ p: 1, minWidth: 128, verticalAlign: 'bottom' }}>
                      <strong>{column.movement.name}</strong>
                      {column.side !== 'none' && <Box sx={{ color: palette.soft }}>{column.side}</Box>}
                    </Box>
                  ))}
                </tr>
              </thead>
              <tbody onKeyDown={onKeyDown}>
                {page.children.map((child, row) => (
                  <Box component="tr" key={child.id} sx={{ borderTop: `1px solid ${palette.line}` }}>
                    <Box component="th" scope="row" sx={{ p: 1 }}>
                      <Link to={`/children/${child.id}`} tabIndex={-1}>
                        {child.name}
                      </Link>
                      <Box sx={{ fontSize: 12.5, color: palette.soft }}>
                        {child.gradeName ?? 'no grade yet'} · {child.leadSide} leads
                      </Box>
                    </Box>
                    <Box component="td" sx={{ pr: 1.25 }}>
                      <AttendanceChoice
                        classId={page.class.id}
                        child={child}
                        onChosen={() => {
                          // keys go on with this child, and no other
                          go(row, chosen.column);
                        }}
                      />
                    </Box>
                    {columns.map((column, index) => {
                      const one = cellAt(row, index);
                      const isChosen = chosen.row === row && chosen.column === index;
                      return (
                        <Box
                          component="td"
                          key={column.key}
                          role="gridcell"
                          data-cell={`${String(row)}-${String(index)}`}
                          tabIndex={isChosen ? 0 : -1}
                          aria-selected={isChosen}
                          aria-label={`${child.name}, ${column.movement.name}${column.side === 'none' ? '' : ` ${column.side}`}: ${one?.mark ? one.mark.mark.replace('-', ' ') : 'no mark'}`}
                          onClick={() => {
                            go(row, index);
                          }}
                          sx={{
                            p: '4px 8px',
                            height: 44,
                            borderLeft: `1px solid ${palette.line}`,
                            cursor: 'pointer',
                            backgroundColor: isChosen ? '#EAF2F2' : one?.requirement ? '#FFFFFF' : 'transparent',
                            outline: isChosen ? `2px solid ${palette.primary}` : 'none',
                            outlineOffset: '-2px',
                          }}
                        >
                          {one?.mark ? (
                            <>
                              <MarkGlyph mark={one.mark.mark} isWaiting={one.mark.isWaiting} />
                              <Box sx={{ fontSize: 12, color: palette.soft, lineHeight: 1.2 }}>{detailOf(one)}</Box>
                            </>
                          ) : (
                            <Box component="span" sx={{ color: palette.soft, fontSize: 13 }}>
                              {one?.requirement ? '–' : 'not asked'}
                            </Box>
                          )}
                        </Box>
                      );
                    })}
                  </Box>
                ))}
              </tbody>
            </Box>
          </Box>
        )}
      </Panel>
      {cell && (
        <Panel label="Chosen mark" width={300}>
          <CellInspector cell={cell} childName={childName} onChange={change} onTakeBack={takeBack} />
        </Panel>
      )}
      <KeysHelp keys={keys} />
    </Page>
  );
}

function detailOf({ mark, column }: MarkCell): string {
  if (!mark) return '';
  const measured =
    mark.measure.seconds !== undefined
      ? `${String(mark.measure.seconds)} s`
      : mark.measure.correct !== undefined
        ? `${String(mark.measure.correct)} of ${String(mark.measure.of ?? 0)}`
        : '';
  const faults = mark.faults.map((slug) => column.movement.faults.find((fault) => fault.slug === slug)?.name.toLowerCase() ?? slug);
  return [measured, mark.help?.replaceAll('-', ' ') ?? '', ...faults].filter((part) => part !== '').join(', ');
}
