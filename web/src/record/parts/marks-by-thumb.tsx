import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import { marks, type Mark } from '@leiter/core';
import { useState } from 'react';
import { ChoiceBar } from '../../shared/choice-bar';
import { palette } from '../../shared/palette';
import { Rungs } from '../../shared/rungs';
import { markWords } from '../../shared/words';
import { AttendanceChoice } from '../../marking/attendance-choice';
import { CellInspector } from '../../marking/cell-inspector';
import type { MarkCell, MarkColumn } from '../../marking/mark-grid';
import { detailOf } from './mark-table';
import type { MarkSheet } from '../../marking/use-mark-sheet';

type By = 'child' | 'skill';

/** Marks for one thumb: one child at a time with all its skills, or one skill at a time with all children. */
export function MarksByThumb({ sheet }: { readonly sheet: MarkSheet }) {
  const { children, columns } = sheet;
  const [by, setBy] = useState<By>('child');
  const [at, setAt] = useState({ child: 0, skill: 0 });
  const [open, setOpen] = useState<{ readonly childId: string; readonly key: string } | null>(null);
  const count = by === 'child' ? children.length : columns.length;
  const index = Math.min(by === 'child' ? at.child : at.skill, Math.max(0, count - 1));
  const go = (step: number): void => {
    setAt({ ...at, [by]: (index + step + count) % Math.max(1, count) });
  };
  const child = children[index];
  const column = columns[index];
  const title = by === 'child' ? (child?.name ?? '') : column ? nameOf(column) : '';
  const cells: readonly { readonly cell: MarkCell; readonly name: string }[] =
    by === 'child'
      ? child
        ? columns.map((one) => ({ cell: sheet.cellOf(child.id, one), name: nameOf(one) })).toSorted(askedFirst)
        : []
      : column
        ? children.map((one) => ({ cell: sheet.cellOf(one.id, column), name: one.name })).toSorted(askedFirst)
        : [];
  const opened = open && columns.find(({ key }) => key === open.key);
  return (
    <Box>
      <ChoiceBar
        label={t`How it is marked`}
        choices={[
          { value: 'child', words: t`child by child` },
          { value: 'skill', words: t`skill by skill` },
        ]}
        value={by}
        isGrowing
        onChange={(value) => {
          if (value) setBy(value);
        }}
      />
      <Box
        sx={{
          position: 'sticky',
          top: -1,
          zIndex: 2,
          display: 'flex',
          alignItems: 'center',
          gap: 1,
          py: 1,
          my: 1,
          backgroundColor: palette.paper,
          borderBottom: `2px solid ${palette.ink}`,
        }}
      >
        <Button
          variant="outlined"
          sx={{ minWidth: 48, minHeight: 48 }}
          aria-label={t`The ${by} before`}
          onClick={() => {
            go(-1);
          }}
        >
          ←
        </Button>
        <Box
          aria-live="polite"
          sx={{ flex: 1, textAlign: 'center', fontSize: 18, fontWeight: 700, lineHeight: 1.2, overflowWrap: 'anywhere' }}
        >
          {title}
          <Box sx={{ fontSize: 13, fontWeight: 400, color: palette.soft }}>
            <Trans>
              {index + 1} of {count}
              {by === 'child' && child ? t` · ${child.gradeName ?? t`no grade yet`} · ${child.leadSide} leads` : ''}
            </Trans>
          </Box>
        </Box>
        <Button
          variant="outlined"
          sx={{ minWidth: 48, minHeight: 48 }}
          aria-label={t`The next ${by}`}
          onClick={() => {
            go(1);
          }}
        >
          →
        </Button>
      </Box>
      {by === 'child' && child && (
        <AttendanceChoice
          child={child}
          isGrowing
          onChosen={(status) => {
            sheet.sayRoll(child, status);
          }}
        />
      )}
      <Box component="ul" aria-label={t`Marks of ${title}`} sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }}>
        {cells.map(({ cell, name }) => (
          <Box component="li" key={`${cell.childId} ${cell.column.key}`} sx={{ borderBottom: `1px solid ${palette.line}`, py: 1 }}>
            <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mb: 0.5 }}>
              <Box sx={{ flex: 1, fontWeight: 700, overflowWrap: 'anywhere' }}>{name}</Box>
              {!cell.requirement && (
                <Box sx={{ fontSize: 13, color: palette.soft }}>
                  <Trans>not asked</Trans>
                </Box>
              )}
              <Button
                size="small"
                aria-label={t`More of ${name}`}
                onClick={() => {
                  setOpen({ childId: cell.childId, key: cell.column.key });
                }}
              >
                <Trans>More</Trans>
              </Button>
            </Box>
            <RungChoice
              name={name}
              cell={cell}
              onMark={(mark) => {
                if (mark === null) sheet.takeBack(cell);
                else sheet.change(cell, { kind: 'mark', mark });
              }}
            />
            {detailOf(cell) !== '' && <Box sx={{ fontSize: 13.5, color: palette.soft, mt: 0.5 }}>{detailOf(cell)}</Box>}
          </Box>
        ))}
      </Box>
      <Button
        variant="outlined"
        fullWidth
        sx={{ mt: 1.5 }}
        onClick={() => {
          sheet.undo();
        }}
      >
        <Trans>Undo the last mark</Trans>
      </Button>
      {open && opened && (
        <Dialog
          open
          onClose={() => {
            setOpen(null);
          }}
          aria-label={t`What to see`}
        >
          <DialogContent>
            <CellInspector
              cell={sheet.cellOf(open.childId, opened)}
              childName={children.find(({ id }) => id === open.childId)?.name ?? ''}
              onChange={(made) => {
                sheet.change(sheet.cellOf(open.childId, opened), made);
              }}
              onTakeBack={() => {
                sheet.takeBack(sheet.cellOf(open.childId, opened));
              }}
            />
            <Button
              variant="contained"
              fullWidth
              sx={{ mt: 2 }}
              onClick={() => {
                setOpen(null);
              }}
            >
              <Trans>Done</Trans>
            </Button>
          </DialogContent>
        </Dialog>
      )}
    </Box>
  );
}

const nameOf = ({ movement, side }: MarkColumn): string => `${movement.name}${side === 'none' ? '' : `, ${side}`}`;

const askedFirst = (a: { readonly cell: MarkCell }, b: { readonly cell: MarkCell }): number =>
  Number(b.cell.requirement !== null) - Number(a.cell.requirement !== null);

/** The four marks as rungs, each as wide as a thumb; the chosen one pressed again is taken back. */
function RungChoice({
  name,
  cell,
  onMark,
}: {
  readonly name: string;
  readonly cell: MarkCell;
  readonly onMark: (mark: Mark | null) => void;
}) {
  return (
    <ChoiceBar
      label={t`Mark of ${name}`}
      isGrowing
      value={cell.mark?.mark ?? null}
      onChange={onMark}
      choices={marks.map((mark, climbed) => ({
        value: mark,
        name: markWords[mark],
        words: (
          <Box component="span" sx={{ display: 'grid', justifyItems: 'center', gap: '2px', py: 0.5, fontSize: 13 }}>
            <Box component="span" sx={{ backgroundColor: palette.white, borderRadius: '3px', px: 0.5 }}>
              <Rungs climbed={climbed} />
            </Box>
            {markWords[mark]}
          </Box>
        ),
      }))}
    />
  );
}
