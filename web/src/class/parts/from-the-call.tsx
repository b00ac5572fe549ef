import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import type { ClassPageResponse } from '@leiter/contract';
import { callNameKey, groupBy, readCallNames } from '@leiter/core';
import { useMemo, useState } from 'react';
import { CallLines, meantBy, openOf, type CallAnswers } from '../../marking/call-lines';
import { keepCallNames, setRoll } from '../../queries/class.queries';
import { textOf } from '../../shared/read-file';
import { FileButton } from '../../shared/file-button';
import { palette } from '../../shared/palette';
import { offerUndo } from '../../shared/undo-bar';

interface Props {
  readonly page: ClassPageResponse;
  readonly onClose: () => void;
}

/** The roll from the names that the call shows: pasted, read, and what is not beyond doubt asked. */
export function FromTheCall({ page, onClose }: Props) {
  const { class: session, children } = page;
  const [text, setText] = useState('');
  const [answers, setAnswers] = useState<CallAnswers>({});
  const [isFailed, setFailed] = useState(false);
  const kept = useMemo(() => new Map(page.callNames.map(({ name, childIds }) => [name, childIds])), [page.callNames]);
  const lines = useMemo(() => readCallNames(text, children, kept), [text, children, kept]);
  const now = useNow();
  // who comes now came late
  const isLate = session.taughtAt !== null && session.endedAt === null && now - Date.parse(session.taughtAt) > lateMilliseconds;
  const there = new Set(lines.flatMap((name) => meantBy(name, answers)));
  const open = openOf(lines, answers);
  const left = children.filter(
    ({ id, attendance }) => lines.length > 0 && !there.has(id) && (attendance === 'present' || attendance === 'late'),
  );
  const take = (): void => {
    const said = Object.entries(answers).map(([line, childIds]) => ({ name: callNameKey(line), childIds: [...childIds] }));
    // kept for the next time; without an answer it is asked again then
    if (said.length > 0)
      void keepCallNames(
        session.id,
        said.filter(({ name }) => name !== ''),
      ).catch(() => undefined);
    const changed = children.filter(({ id, attendance }) => there.has(id) && attendance !== 'present' && attendance !== 'late');
    const ids = changed.map(({ id }) => id);
    setRoll(session.id, ids, isLate ? 'late' : 'present').then(
      () => {
        offerUndo(t`${plural(ids.length, { one: '# child is', other: '# children are' })} down as there`, async () => {
          for (const [status, own] of groupBy(changed, ({ attendance }) => attendance))
            await setRoll(
              session.id,
              own.map(({ id }) => id),
              status,
            );
        });
        onClose();
      },
      () => {
        setFailed(true);
      },
    );
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="from-the-call" maxWidth="sm" fullWidth>
      <DialogTitle id="from-the-call">
        <Trans>Who is there, from the call</Trans>
      </DialogTitle>
      <DialogContent>
        <TextField
          label={t`The names as the call shows them, one a line`}
          value={text}
          multiline
          minRows={4}
          maxRows={8}
          fullWidth
          autoFocus
          onChange={(event) => {
            setText(event.target.value);
          }}
          slotProps={{ htmlInput: { maxLength: 8000 } }}
        />
        <Box sx={{ mt: 1 }}>
          <FileButton
            isSmall
            label={t`File of names`}
            accept=".txt,.csv,text/*"
            onFiles={([file]) => {
              void file?.arrayBuffer().then((bytes) => {
                setText(firstCells(textOf(new Uint8Array(bytes))));
              });
            }}
          >
            <Trans>Take a file</Trans>
          </FileButton>
        </Box>
        <CallLines lines={lines} group={children} answers={answers} onAnswer={setAnswers} />
        {isLate && lines.length > 0 && (
          <Box sx={{ fontSize: 14, color: palette.soft, mt: 1 }}>
            <Trans>The class has begun: who is new in the list came late.</Trans>
          </Box>
        )}
        {left.length > 0 && (
          <Box role="status" sx={{ fontSize: 14, color: palette.caution, mt: 1 }}>
            {t`There before, and not in this list: ${left.map(({ name }) => name).join(', ')}`}
          </Box>
        )}
        {isFailed && (
          <Box role="alert" sx={{ color: palette.stop, mt: 1 }}>
            <Trans>No answer just now. What you wrote is kept; try again in a moment.</Trans>
          </Box>
        )}
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Box role="status" sx={{ mr: 'auto', fontSize: 14, color: palette.soft }}>
          {lines.length > 0 && t`${there.size} of ${children.length} there${open.length > 0 ? t`, ${open.length} to answer` : ''}`}
        </Box>
        <Button variant="outlined" onClick={onClose}>
          <Trans>Cancel</Trans>
        </Button>
        <Button variant="contained" disabled={there.size === 0} onClick={take}>
          {plural(there.size, { one: '# child is there', other: '# children are there' })}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** A class that has gone on for so long has begun. */
const lateMilliseconds = 5 * 60_000;

/** Of each line of a table the first cell: calls write their lists that way. */
function firstCells(text: string): string {
  return text
    .slice(0, 8000)
    .split(/\r?\n/)
    .map((line) => (/^"((?:[^"]|"")*)"/.exec(line)?.[1]?.replaceAll('""', '"') ?? line.split(/[,;\t]/)[0] ?? '').trim())
    .filter((cell) => cell !== '')
    .join('\n');
}

/** The time when the dialog was opened. */
function useNow(): number {
  return useState(() => Date.now())[0];
}
