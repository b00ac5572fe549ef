import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import { marks, type Mark } from '@leiter/core';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { isTakingBack, markOfKey, type MarkCell, type MarkChange } from '../../marking/mark-grid';
import type { Watch } from '../../marking/use-watch';
import { headingFont, palette } from '../../shared/palette';
import { Rungs } from '../../shared/rungs';
import { markWords } from '../../shared/words';

interface Props {
  readonly watch: Watch;
  /** False while something lies over the stage that has these keys itself. */
  readonly hasKeys: boolean;
  /** Takes a press into those that can be taken back. */
  readonly onPressed: (undo: () => void) => void;
}

/** The children beside the stage: who is to be looked at next comes first, and a mark is one key. */
export function WatchPanel({ watch, hasKeys, onPressed }: Props) {
  const { movement, side, rows, setSide, undo } = watch;
  const [wanted, setWanted] = useState<string | null>(null);
  const chosen = rows.find(({ id }) => id === wanted) ?? rows[0];
  const give = (cell: MarkCell, change: MarkChange): void => {
    watch.change(cell, change);
    onPressed(undo);
    // a mark is the whole of it: the next child; help and faults belong to the same
    setWanted(change.kind === 'mark' ? null : cell.childId);
  };
  const next = rows.find(({ isMarked }) => !isMarked);
  return (
    <Box
      component="section"
      aria-label={t`Marks of this class`}
      sx={{
        width: 262,
        flexShrink: 0,
        borderLeft: `1px solid ${palette.nightLine}`,
        mt: 1.5,
        p: '2px 14px 12px 16px',
        overflowY: 'auto',
        minHeight: 0,
      }}
    >
      <Keys
        isOn={hasKeys}
        onKey={(event) => {
          if (!chosen) return;
          const change = markOfKey(event.key);
          if (change) give(chosen.cell, change);
          else if (isTakingBack(event.key)) {
            watch.takeBack(chosen.cell);
            onPressed(undo);
          } else if (event.key === 'l' || event.key === 'r') setSide(event.key === 'l' ? 'left' : 'right');
          else if (event.key === 'Tab') {
            const at = rows.indexOf(chosen) + (event.shiftKey ? -1 : 1);
            setWanted(rows.at(at % rows.length)?.id ?? null);
          }
        }}
      />
      <Box sx={{ fontFamily: headingFont, fontSize: 22, fontWeight: 700, lineHeight: 1.15, color: palette.cream }}>{movement.name}</Box>
      <Box sx={{ fontSize: 17, color: palette.nightSoft, mb: 1 }}>
        {side !== 'none' && (
          <Press
            label={side === 'left' ? t`on the left` : t`on the right`}
            onPress={() => {
              setSide(side === 'left' ? 'right' : 'left');
            }}
          />
        )}
        {next ? (
          <Trans>
            watch next: <strong style={{ color: palette.glow }}>{next.name}</strong>
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
            note={row.note}
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
        borderLeft: `4px solid ${isChosen ? palette.glow : 'transparent'}`,
        pl: 1,
        py: 0.25,
        mb: 0.25,
        backgroundColor: isChosen ? palette.nightRaised : 'transparent',
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
        <span style={{ flex: '1 0 auto', maxWidth: '62%' }}>{name}</span>
        <Box component="span" sx={{ fontSize: 14, lineHeight: 1.2, color: palette.nightSoft, textAlign: 'right', minWidth: 0 }}>
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
        <Box sx={{ fontSize: 14, color: palette.glow }}>
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
        border: `1px solid ${palette.soft}`,
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
function Keys({ isOn, onKey }: { readonly isOn: boolean; readonly onKey: (event: KeyboardEvent) => void }) {
  useHotkeys(['1', '2', '3', '4', '0', 'h', 'f', 'l', 'r', 'delete', 'backspace', 'tab', 'shift+tab'], onKey, {
    preventDefault: true,
    enabled: isOn,
  });
  return null;
}
