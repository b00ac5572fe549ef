import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import type { ClassPageResponse, GroupBoardResponse } from '@leiter/contract';
import { isSided, marks, watchOrder, type Library, type Mark, type Movement } from '@leiter/core';
import { useEffect, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { isTakingBack, markColumns, markOfKey, type MarkCell, type MarkChange } from '../../marking/mark-grid';
import { useMarkSheet } from '../../marking/use-mark-sheet';
import { headingFont, palette } from '../../shared/palette';
import { Rungs } from '../../shared/rungs';
import { markWords } from '../../shared/words';

interface Props {
  readonly page: ClassPageResponse;
  readonly board: GroupBoardResponse;
  readonly library: Library;
  /** What is taught now, or was the last that can be marked. */
  readonly movement: Movement;
  /** The side that is done now; null where none is. */
  readonly side: 'left' | 'right' | null;
  /** Takes a press into those that can be taken back. */
  readonly onPressed: (undo: () => void) => void;
}

/** The children beside the stage: who is to be looked at next comes first, and a mark is one key. */
export function WatchPanel({ page, board, library, movement, side, onPressed }: Props) {
  const sheet = useMarkSheet(page, board, library);
  const [wanted, setWanted] = useState<string | null>(null);
  const [ownSide, setOwnSide] = useState<{ readonly of: string; readonly side: 'left' | 'right' } | null>(null);
  // a press is taken back on what is known then, not on what was known when it was made
  const latest = useRef(sheet);
  useEffect(() => {
    latest.current = sheet;
  });
  const undo = (): void => {
    latest.current.undo();
  };
  const columns = markColumns([movement.slug], library);
  // what was chosen by hand holds until the side changes by itself
  const of = `${movement.slug} ${side ?? ''}`;
  const shown = ownSide?.of === of ? ownSide.side : (side ?? 'left');
  const column = columns.find((one) => one.side === shown || one.side === 'none');
  if (!column) return null;
  const rows = watchOrder(
    sheet.children.map((child) => {
      const cell = sheet.cellOf(child.id, column);
      const row = board.rows.find(({ childId }) => childId === child.id);
      const standing = row?.cells.find(({ requirementId }) => requirementId === cell.requirement?.id);
      return {
        id: child.id,
        name: child.name,
        cell,
        isThere: child.attendance !== 'absent' && child.attendance !== 'watched',
        isMarked: cell.mark !== null,
        unseenForDays: standing?.unseenForDays ?? null,
        isAsked: cell.requirement !== null,
      };
    }),
  );
  const chosen = rows.find(({ id }) => id === wanted) ?? rows[0];
  const give = (cell: MarkCell, change: MarkChange): void => {
    sheet.change(cell, change);
    onPressed(undo);
    // a mark is the whole of it: the next child; help and faults belong to the same
    setWanted(change.kind === 'mark' ? null : cell.childId);
  };
  const next = rows.find(({ isMarked }) => !isMarked);
  return (
    <Box
      component="section"
      aria-label={t`Marks of this class`}
      sx={{ width: 262, flexShrink: 0, borderLeft: '1px solid #3A4A4F', mt: 1.5, p: '2px 14px 12px 16px', overflowY: 'auto', minHeight: 0 }}
    >
      <Keys
        onKey={(event) => {
          if (!chosen) return;
          const change = markOfKey(event.key);
          if (change) give(chosen.cell, change);
          else if (isTakingBack(event.key)) {
            sheet.takeBack(chosen.cell);
            onPressed(undo);
          } else if (event.key === 'l' || event.key === 'r') setOwnSide({ of, side: event.key === 'l' ? 'left' : 'right' });
          else if (event.key === 'Tab') {
            const at = rows.indexOf(chosen) + (event.shiftKey ? -1 : 1);
            setWanted(rows.at(at % rows.length)?.id ?? null);
          }
        }}
      />
      <Box sx={{ fontFamily: headingFont, fontSize: 22, fontWeight: 700, lineHeight: 1.15, color: palette.cream }}>{movement.name}</Box>
      <Box sx={{ fontSize: 17, color: palette.nightSoft, mb: 1 }}>
        {isSided(movement) && (
          <Press
            label={shown === 'left' ? t`on the left` : t`on the right`}
            onPress={() => {
              setOwnSide({ of, side: shown === 'left' ? 'right' : 'left' });
            }}
          />
        )}
        {next ? (
          <Trans>
            watch next: <strong style={{ color: '#E6C35C' }}>{next.name}</strong>
          </Trans>
        ) : (
          t`everybody was looked at`
        )}
      </Box>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {rows.map((row) => (
          <ChildRow
            key={row.id}
            name={row.name}
            cell={row.cell}
            note={
              row.isMarked ? '' : !row.isAsked ? t`not asked` : row.unseenForDays === null ? t`never seen` : daysWords(row.unseenForDays)
            }
            isChosen={row === chosen}
            onChoose={() => {
              setWanted(row.id);
            }}
            onMark={(mark) => {
              give(row.cell, { kind: 'mark', mark });
            }}
          />
        ))}
      </Box>
    </Box>
  );
}

const daysWords = (days: number): string => (days === 0 ? t`seen today` : days === 1 ? t`seen yesterday` : t`seen ${days} days ago`);

function ChildRow({
  name,
  cell,
  note,
  isChosen,
  onChoose,
  onMark,
}: {
  readonly name: string;
  readonly cell: MarkCell;
  readonly note: string;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
  readonly onMark: (mark: Mark) => void;
}) {
  const { mark } = cell;
  return (
    <Box
      component="li"
      sx={{
        borderLeft: `4px solid ${isChosen ? '#E6C35C' : 'transparent'}`,
        pl: 1,
        py: 0.25,
        mb: 0.25,
        backgroundColor: isChosen ? '#26343A' : 'transparent',
      }}
    >
      <Box
        component="button"
        type="button"
        onClick={onChoose}
        aria-pressed={isChosen}
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 1,
          width: '100%',
          p: 0,
          border: 0,
          background: 'none',
          color: palette.cream,
          font: 'inherit',
          fontSize: 18,
          textAlign: 'left',
          cursor: 'pointer',
        }}
      >
        {mark && <Rungs climbed={marks.indexOf(mark.mark)} tone="night" />}
        <span style={{ flex: 1, minWidth: 0 }}>{name}</span>
        <Box component="span" sx={{ fontSize: 14, color: palette.nightSoft, whiteSpace: 'nowrap' }}>
          {mark ? markWords[mark.mark] : note}
        </Box>
      </Box>
      {isChosen && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 0.5, mt: 0.5, mb: 0.5 }}>
          {marks.map((one, index) => (
            <Press
              key={one}
              label={`${String(index + 1)} ${markWords[one]}`}
              isOn={mark?.mark === one}
              onPress={() => {
                onMark(one);
              }}
            />
          ))}
        </Box>
      )}
      {isChosen && cell.column.movement.faults.length > 0 && mark && mark.faults.length > 0 && (
        <Box sx={{ fontSize: 14, color: '#E6C35C' }}>
          {mark.faults.map((slug) => cell.column.movement.faults.find((fault) => fault.slug === slug)?.name ?? slug).join(', ')}
        </Box>
      )}
    </Box>
  );
}

function Press({ label, onPress, isOn = false }: { readonly label: string; readonly onPress: () => void; readonly isOn?: boolean }) {
  return (
    <Box
      component="button"
      type="button"
      onClick={onPress}
      aria-pressed={isOn}
      sx={{
        border: '1px solid #4A5A5F',
        borderRadius: '4px',
        background: isOn ? palette.cream : 'none',
        color: isOn ? palette.night : palette.cream,
        font: 'inherit',
        fontSize: 15,
        px: 0.75,
        py: 0.4,
        mr: 0.75,
        textAlign: 'left',
        cursor: 'pointer',
      }}
    >
      {label}
    </Box>
  );
}

/** Listens to the keys of marks while the panel is there. */
function Keys({ onKey }: { readonly onKey: (event: KeyboardEvent) => void }) {
  useHotkeys(['1', '2', '3', '4', '0', 'h', 'f', 'l', 'r', 'delete', 'backspace', 'tab', 'shift+tab'], onKey, { preventDefault: true });
  return null;
}
