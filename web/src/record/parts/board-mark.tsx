import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { BoardRow, RequirementResponse } from '@leiter/contract';
import { currentObservations, isSided, type Library, type ObservedSide, type Side } from '@leiter/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useChildPage } from '../../queries/children.queries';
import { giveMark, useMarkQueue } from '../../queries/mark-queue';
import { useSession } from '../../queries/session.queries';
import { ChoiceBar } from '../../shared/choice-bar';
import { palette } from '../../shared/palette';
import { offerUndo } from '../../shared/undo-bar';
import { dayText, markWords } from '../../shared/words';
import { CellInspector } from '../../marking/cell-inspector';
import { changedMark, requestFor, withdrawalFor, type GivenMark, type MarkCell, type MarkChange } from '../../marking/mark-grid';
import { MarkGlyph } from '../../marking/mark-glyph';

interface Props {
  readonly row: BoardRow;
  readonly requirement: RequirementResponse;
  readonly library: Library;
  readonly onClose: () => void;
}

const lastMarks = 5;

/** One child and one requirement from the board: what was seen last, and a mark of today, outside of a class. */
export function BoardMark({ row, requirement, library, onClose }: Props) {
  const page = useChildPage(row.childId).data;
  const today = useSession().data?.today ?? '';
  const waiting = useMarkQueue((queue) => queue.waiting);
  const movement = library.get(requirement.movement);
  const [side, setSide] = useState<Side>(row.leadSide);
  /** What was given since this was opened, by side: it is what a correction corrects. */
  const [own, setOwn] = useState<Readonly<Partial<Record<ObservedSide, GivenMark>>>>({});
  if (!movement) return null;
  const at: ObservedSide = isSided(movement) ? side : 'none';
  const occasion = { classId: null, seenOn: today };
  const cell: MarkCell = {
    childId: row.childId,
    column: { key: `${movement.slug} ${at}`, movement, side: at },
    requirement,
    mark: own[at] ?? null,
  };
  const change = (made: MarkChange): void => {
    const facts = changedMark(cell.mark, made, movement);
    const id = crypto.randomUUID();
    void giveMark(id, requestFor(cell, facts, occasion));
    setOwn({ ...own, [at]: { ...facts, id, isWaiting: false } });
    const given: MarkCell = { ...cell, mark: { ...facts, id, isWaiting: false } };
    const what = `${movement.name.toLowerCase()}${at === 'none' ? '' : ` ${at}`} ${markWords[facts.mark]}`;
    offerUndo(`${row.name}: ${what}`, () => takeBack(given));
  };
  const takeBack = async (given: MarkCell): Promise<void> => {
    const request = withdrawalFor(given, occasion);
    if (request) await giveMark(crypto.randomUUID(), request);
    setOwn((before) => Object.fromEntries(Object.entries(before).filter(([key]) => key !== given.column.side)));
  };
  const seen = currentObservations(page?.observations ?? [])
    .filter((one) => one.movement === movement.slug && one.stage === requirement.stage)
    .toReversed()
    .slice(0, lastMarks);
  return (
    <Dialog open onClose={onClose} aria-label={`${row.name}: ${movement.name}`} maxWidth="xs" fullWidth>
      <DialogContent>
        {isSided(movement) && (
          <Box sx={{ mb: 1.5 }}>
            <ChoiceBar
              label={t`Which side`}
              isGrowing
              choices={[
                { value: 'left', words: row.leadSide === 'left' ? t`left (leads)` : t`left` },
                { value: 'right', words: row.leadSide === 'right' ? t`right (leads)` : t`right` },
              ]}
              value={side}
              onChange={(value) => {
                if (value) setSide(value);
              }}
            />
          </Box>
        )}
        <CellInspector cell={cell} childName={row.name} onChange={change} onTakeBack={() => void takeBack(cell)} />
        <Typography variant="h3" sx={{ mt: 2.5, mb: 0.5 }}>
          <Trans>Seen last</Trans>
        </Typography>
        {seen.length === 0 && <Typography variant="body2">{page ? t`Nothing yet.` : t`Fetching what was seen …`}</Typography>}
        {seen.map((one) => (
          <Box
            key={one.id}
            sx={{ display: 'flex', justifyContent: 'space-between', borderTop: `1px solid ${palette.line}`, py: 0.5, fontSize: 14.5 }}
          >
            <span>
              {dayText(one.seenOn)}
              {one.side !== 'none' && `, ${one.side}`}
            </span>
            <MarkGlyph mark={one.mark} />
          </Box>
        ))}
      </DialogContent>
      <DialogActions>
        <Typography variant="body2" sx={{ mr: 'auto', color: palette.soft }}>
          {waiting.some(({ request }) => request.childId === row.childId) ? t`kept here, on its way` : t`A mark given here is of today.`}
        </Typography>
        <Button variant="contained" onClick={onClose}>
          <Trans>Done</Trans>
        </Button>
      </DialogActions>
    </Dialog>
  );
}
