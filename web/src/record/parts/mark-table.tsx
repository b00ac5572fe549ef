import { Trans } from '@lingui/react/macro';
import { plural, t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import { useRef, type KeyboardEvent as ReactKeyboardEvent } from 'react';
import { Link } from 'react-router';
import { isBehindDialog, isTyping } from '../../shared/page-keys';
import { palette } from '../../shared/palette';
import { useWindowKeys } from '../../shared/window-keys';
import { helpWords } from '../../shared/words';
import { AttendanceChoice, nextAttendance } from '../../marking/attendance-choice';
import { isTakingBack, markOfKey, type MarkCell } from '../../marking/mark-grid';
import { MarkGlyph } from '../../marking/mark-glyph';
import type { MarkSheet } from '../../marking/use-mark-sheet';

export interface Place {
  readonly row: number;
  readonly column: number;
}

interface Props {
  readonly sheet: MarkSheet;
  readonly chosen: Place;
  readonly onChoose: (place: Place) => void;
  /** Opens what was measured, by its key. */
  readonly onMeasure: () => void;
}

/** Children × skills, for a whole screen: by key from the first press, and by mouse. Names stay while it scrolls. */
export function MarkTable({ sheet, chosen, onChoose, onMeasure }: Props) {
  const { children, columns } = sheet;
  const grid = useRef<HTMLTableElement>(null);
  const go = (row: number, column: number): void => {
    const next = { row: Math.max(0, Math.min(children.length - 1, row)), column: Math.max(0, Math.min(columns.length - 1, column)) };
    onChoose(next);
    const cell = grid.current?.querySelector<HTMLElement>(`[data-cell="${String(next.row)}-${String(next.column)}"]`);
    cell?.focus();
    cell?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  };
  const onKey = (event: KeyboardEvent): void => {
    if (event.defaultPrevented || isTyping(event) || isBehindDialog()) return;
    const { row, column } = chosen;
    const child = children[row];
    const at = columns[column];
    const cell = child && at ? sheet.cellOf(child.id, at) : null;
    const key = event.key.toLowerCase();
    if ((event.ctrlKey || event.metaKey) && key === 'z' && !event.shiftKey) {
      const undone = sheet.undo();
      if (!undone) return;
      const back = columns.findIndex((one) => one.key === undone.columnKey);
      go(
        children.findIndex(({ id }) => id === undone.childId),
        back < 0 ? column : back,
      );
      event.preventDefault();
      return;
    }
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const made = markOfKey(event.key);
    if (made && cell) sheet.change(cell, made);
    else if (isTakingBack(event.key) && cell) sheet.takeBack(cell);
    else if (key === 'a' && child) sheet.sayRoll(child, nextAttendance(child.attendance));
    else if (key === 'm') sheet.setShowsMore(!sheet.showsMore);
    else if (key === 'n') onMeasure();
    else if (event.key === 'ArrowUp') go(row - 1, column);
    else if (event.key === 'ArrowDown') go(row + 1, column);
    else if (event.key === 'ArrowLeft') go(row, column - 1);
    else if (event.key === 'ArrowRight') go(row, column + 1);
    else return;
    event.preventDefault();
  };
  useWindowKeys(onKey);
  // Tab goes to the next child; at the first and last one it leaves the sheet as everywhere
  const onTab = (event: ReactKeyboardEvent): void => {
    const next = chosen.row + (event.shiftKey ? -1 : 1);
    if (event.key !== 'Tab' || next < 0 || next >= children.length) return;
    go(next, chosen.column);
    event.preventDefault();
  };
  return (
    <Box
      component="table"
      ref={grid}
      role="grid"
      aria-label={t`Marks of the class`}
      sx={{ borderCollapse: 'separate', borderSpacing: 0, fontSize: 14.5, '& th': { fontWeight: 400, textAlign: 'left' } }}
    >
      <thead>
        <tr>
          <Box component="th" scope="col" sx={{ ...stays, top: 0, zIndex: 3, p: 1, borderTop: 0, verticalAlign: 'bottom' }}>
            <Trans>Child</Trans>
          </Box>
          <Box component="th" scope="col" sx={{ ...head, width: 0 }}>
            <Trans>There</Trans>
          </Box>
          {columns.map((column) => (
            <Box component="th" scope="col" key={column.key} sx={{ ...head, minWidth: 112 }}>
              <strong>{column.movement.name}</strong>
              {column.side !== 'none' && <Box sx={{ color: palette.soft }}>{column.side}</Box>}
            </Box>
          ))}
        </tr>
      </thead>
      <tbody onKeyDown={onTab}>
        {children.map((child, row) => (
          <tr key={child.id}>
            <Box component="th" scope="row" sx={{ ...stays, p: 1, minWidth: 150, maxWidth: 180, overflowWrap: 'anywhere' }}>
              <Link to={`/children/${child.id}`} tabIndex={-1}>
                {child.name}
              </Link>
              <Box sx={{ fontSize: 12.5, color: palette.soft }}>
                <Trans>
                  {child.gradeName ?? t`no grade yet`} · {child.leadSide} leads
                </Trans>
              </Box>
            </Box>
            <Box component="td" sx={{ borderTop: `1px solid ${palette.line}`, pr: 1.25 }}>
              <AttendanceChoice
                child={child}
                isByMouseOnly
                isSmall
                onChosen={(status) => {
                  sheet.sayRoll(child, status);
                  // keys go on with this child, and no other
                  go(row, chosen.column);
                }}
              />
            </Box>
            {columns.map((column, index) => {
              const one = sheet.cellOf(child.id, column);
              const isChosen = chosen.row === row && chosen.column === index;
              return (
                <Box
                  component="td"
                  key={column.key}
                  role="gridcell"
                  data-cell={`${String(row)}-${String(index)}`}
                  tabIndex={isChosen ? 0 : -1}
                  aria-selected={isChosen}
                  aria-label={`${child.name}, ${column.movement.name}${column.side === 'none' ? '' : ` ${column.side}`}: ${one.mark ? one.mark.mark.replace('-', ' ') : t`no mark`}`}
                  onClick={() => {
                    go(row, index);
                  }}
                  sx={{
                    p: '4px 8px',
                    height: 46,
                    borderTop: `1px solid ${palette.line}`,
                    borderLeft: `1px solid ${palette.line}`,
                    cursor: 'pointer',
                    backgroundColor: isChosen ? palette.chosen : one.requirement ? palette.white : 'transparent',
                    outline: isChosen ? `2px solid ${palette.primary}` : 'none',
                    outlineOffset: '-2px',
                  }}
                >
                  {one.mark ? (
                    <>
                      <MarkGlyph mark={one.mark.mark} isWaiting={one.mark.isWaiting} />
                      <Box
                        title={detailOf(one)}
                        sx={{
                          fontSize: 12,
                          color: palette.soft,
                          lineHeight: 1.2,
                          maxWidth: 130,
                          overflow: 'hidden',
                          textOverflow: 'ellipsis',
                          whiteSpace: 'nowrap',
                        }}
                      >
                        {detailOf(one)}
                      </Box>
                    </>
                  ) : (
                    <Box component="span" sx={{ color: palette.soft, fontSize: 13 }}>
                      {one.requirement ? '–' : t`not asked`}
                    </Box>
                  )}
                </Box>
              );
            })}
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

/** The names stay at the left, the skills at the top. */
const stays = { position: 'sticky', left: 0, zIndex: 1, backgroundColor: palette.paper, borderTop: `1px solid ${palette.line}` } as const;
const head = { position: 'sticky', top: 0, zIndex: 2, p: 1, verticalAlign: 'bottom', backgroundColor: palette.paper } as const;

/** What belongs to a mark: what was measured, the help, the faults. */
export function detailOf({ mark, column }: MarkCell): string {
  if (!mark) return '';
  const { seconds, reps, correct, of } = mark.measure;
  const measured =
    seconds !== undefined
      ? `${String(seconds)} s`
      : reps !== undefined
        ? plural(reps, { one: '# time', other: '# times' })
        : correct !== undefined
          ? t`${correct} of ${of ?? 0}`
          : '';
  const faults = mark.faults.map((slug) => column.movement.faults.find((fault) => fault.slug === slug)?.name.toLowerCase() ?? slug);
  return [measured, mark.help ? helpWords[mark.help] : '', ...faults].filter((part) => part !== '').join(', ');
}
