import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import type { GradingChild } from '@leiter/contract';
import type { Station } from '@leiter/core';
import { Fragment, useRef } from 'react';
import { MarkGlyph } from '../../marking/mark-glyph';
import { markOfKey, type MarkChange } from '../../marking/mark-grid';
import { qualityText } from '../../shared/criterion-text';
import { isBehindDialog, isTyping } from '../../shared/page-keys';
import { palette } from '../../shared/palette';
import { onPhone } from '../../shared/screen';
import { useWindowKeys } from '../../shared/window-keys';
import { markWords } from '../../shared/words';
import { hasSides, type SheetCell, type SheetLine } from '../examiner-cells';

export interface SheetPlace {
  readonly line: number;
  readonly child: number;
}

/** What is asked × the children of a party: one goes down the sheet as it is shown. */
export function SheetTable({
  lines,
  headingOf,
  sheetChildren,
  cellOf,
  chosen,
  onChoose,
  onChange,
}: {
  readonly lines: readonly SheetLine[];
  /** What stands above the lines of a station. */
  readonly headingOf: (station: Station) => string;
  readonly sheetChildren: readonly GradingChild[];
  readonly cellOf: (child: GradingChild, line: SheetLine) => SheetCell;
  readonly chosen: SheetPlace;
  readonly onChoose: (place: SheetPlace) => void;
  readonly onChange: (cell: SheetCell, change: MarkChange) => void;
}) {
  const table = useRef<HTMLTableElement>(null);
  const go = (line: number, child: number): void => {
    const next = {
      line: Math.max(0, Math.min(lines.length - 1, line)),
      child: Math.max(0, Math.min(sheetChildren.length - 1, child)),
    };
    onChoose(next);
    const cell = table.current?.querySelector<HTMLElement>(`[data-cell="${String(next.line)}-${String(next.child)}"]`);
    cell?.focus();
    cell?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  };
  const onKey = (event: KeyboardEvent): void => {
    if (event.defaultPrevented || isTyping(event) || isBehindDialog() || event.ctrlKey || event.metaKey || event.altKey) return;
    const child = sheetChildren[chosen.child];
    const line = lines[chosen.line];
    const change = markOfKey(event.key);
    if (change && child && line) onChange(cellOf(child, line), change);
    else if (event.key === 'ArrowUp') go(chosen.line - 1, chosen.child);
    else if (event.key === 'ArrowDown') go(chosen.line + 1, chosen.child);
    else if (event.key === 'ArrowLeft') go(chosen.line, chosen.child - 1);
    else if (event.key === 'ArrowRight') go(chosen.line, chosen.child + 1);
    else if (event.key.toLowerCase() === 'n') {
      const field = document.querySelector<HTMLInputElement>('section[aria-label] input[inputmode]');
      field?.focus();
      field?.select();
    } else return;
    event.preventDefault();
  };
  useWindowKeys(onKey);
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box
        component="table"
        ref={table}
        role="grid"
        aria-label={t`Mark sheet`}
        sx={{ borderCollapse: 'collapse', fontSize: 14.5, '& th': { fontWeight: 400, textAlign: 'left' } }}
      >
        <thead>
          <tr>
            <th scope="col">{t`Asked`}</th>
            {sheetChildren.map((child) => (
              <Box component="th" scope="col" key={child.childId} sx={{ minWidth: 132, p: 1, [onPhone]: { minWidth: 100 } }}>
                <strong>{child.name}</strong>
                <Box sx={{ fontSize: 12.5, color: palette.soft }}>{t`${child.leadSide} leads`}</Box>
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map((line, row) => (
            <Fragment key={line.key}>
              {lines[row - 1]?.station !== line.station && (
                <tr>
                  <Box
                    component="th"
                    scope="rowgroup"
                    colSpan={sheetChildren.length + 1}
                    sx={{ pt: row === 0 ? 0.5 : 1.75, pb: 0.5, color: palette.primary }}
                  >
                    <strong>{headingOf(line.station)}</strong>
                  </Box>
                </tr>
              )}
              <tr>
                <Box
                  component="th"
                  scope="row"
                  sx={{
                    borderTop: `1px solid ${palette.line}`,
                    py: 0.5,
                    pr: 1.5,
                    minWidth: 220,
                    maxWidth: 420,
                    lineHeight: 1.25,
                    [onPhone]: { minWidth: 150, pr: 1 },
                  }}
                >
                  {line.movement.name}
                  {hasSides(line) && <>, {line.side}</>}
                  <Box sx={{ fontSize: 12.5, color: palette.soft }}>{toBeShown(line)}</Box>
                </Box>
                {sheetChildren.map((child, column) => (
                  <Cell
                    key={child.childId}
                    cell={cellOf(child, line)}
                    place={`${String(row)}-${String(column)}`}
                    isChosen={chosen.line === row && chosen.child === column}
                    onChoose={() => {
                      go(row, column);
                    }}
                  />
                ))}
              </tr>
            </Fragment>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

function Cell({
  cell,
  place,
  isChosen,
  onChoose,
}: {
  readonly cell: SheetCell;
  readonly place: string;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}) {
  const { child, line, own, finding, isAsked } = cell;
  const side = hasSides(line) ? ` ${line.side}` : '';
  // what another saw is not told before one has marked oneself
  const other = !own && finding ? t`the other has marked` : own && finding?.agreement === 'apart' ? t`you differ` : '';
  return (
    <Box
      component="td"
      role="gridcell"
      data-cell={place}
      tabIndex={isChosen ? 0 : -1}
      aria-selected={isChosen}
      aria-label={`${child.name}, ${line.movement.name}${side}: ${own ? markWords[own.mark] : isAsked ? t`no mark` : t`not asked`}`}
      onClick={onChoose}
      sx={{
        p: '4px 8px',
        height: 46,
        borderTop: `1px solid ${palette.line}`,
        borderLeft: `1px solid ${palette.line}`,
        cursor: 'pointer',
        backgroundColor: isChosen ? palette.chosen : isAsked ? palette.white : 'transparent',
        outline: isChosen ? `2px solid ${palette.primary}` : 'none',
        outlineOffset: '-2px',
      }}
    >
      {own ? (
        <MarkGlyph mark={own.mark} isWaiting={own.isWaiting} />
      ) : (
        <Box component="span" sx={{ color: palette.soft, fontSize: 13 }}>
          {isAsked ? '–' : t`not asked`}
        </Box>
      )}
      <Box sx={{ fontSize: 12, lineHeight: 1.2, color: finding?.agreement === 'apart' && own ? palette.caution : palette.soft }}>
        {[own ? measureWords(own) : '', other].filter((part) => part !== '').join(' · ')}
      </Box>
    </Box>
  );
}

/** Which step of it, what one must see, and what is asked. */
function toBeShown({ requirement: { stage, criterion }, movement }: SheetLine): string {
  const step = stage === null ? undefined : movement.stages[stage - 1];
  return [step ? `${step.name}: ${step.see}` : '', qualityText(criterion)].filter((part) => part !== '').join(' · ');
}

function measureWords({ measure: { seconds, reps, correct, of } }: NonNullable<SheetCell['own']>): string {
  if (seconds !== undefined) return t`${seconds} s`;
  if (reps !== undefined) return t`${reps} times`;
  return correct === undefined ? '' : t`${correct} of ${of ?? 0}`;
}
