import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { readCallNames, type CallScreen, type NamedChild } from '@leiter/core';
import { useMemo, useState } from 'react';
import { CallLines, meantBy, openOf, type CallAnswers } from '../../marking/call-lines';
import { palette } from '../../shared/palette';

interface Props {
  /** Who is on the call as it is opened. */
  readonly screens: readonly CallScreen[];
  readonly group: readonly NamedChild[];
  /** Answers of a roll before this one. */
  readonly known: CallAnswers;
  readonly onTake: (there: readonly string[], answers: CallAnswers) => void;
  readonly onClose: () => void;
}

/** The roll of a rehearsal, from the names that the stand-in's call shows: what cannot be read is asked, as one would ask the children. */
export function RehearsalRoll({ screens: now, group, known, onTake, onClose }: Props) {
  // the list as it was when it was opened
  const [screens] = useState(now);
  const [answers, setAnswers] = useState(known);
  const [asked, setAsked] = useState<ReadonlySet<string>>(new Set());
  const lines = useMemo(() => readCallNames(screens.map(({ line }) => line).join('\n'), group), [screens, group]);
  const there = new Set(lines.flatMap((name) => meantBy(name, answers)));
  const open = openOf(lines, answers).length;
  const besideOf = (_name: unknown, index: number) => {
    const screen = screens[index];
    const name = group.find(({ id }) => id === screen?.child)?.name ?? '';
    if (!screen) return null;
    return asked.has(screen.child) ? (
      <Box role="status" sx={{ color: palette.ink }}>{t`“I’m ${name}!”`}</Box>
    ) : (
      <Button
        size="small"
        variant="outlined"
        aria-label={t`Ask ${screen.line} who it is`}
        onClick={() => {
          setAsked(new Set([...asked, screen.child]));
        }}
      >
        <Trans>Ask</Trans>
      </Button>
    );
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="rehearsal-roll" maxWidth="sm" fullWidth>
      <DialogTitle id="rehearsal-roll">
        <Trans>Who is there, from the call</Trans>
      </DialogTitle>
      <DialogContent>
        <Box sx={{ color: palette.soft }}>
          <Trans>The names below the pictures. Who cannot be read from a name, one asks.</Trans>
        </Box>
        <CallLines lines={lines} group={group} answers={answers} onAnswer={setAnswers} besideOf={besideOf} />
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Box role="status" sx={{ mr: 'auto', fontSize: 14, color: palette.soft }}>
          {t`${there.size} of ${group.length} there${open > 0 ? t`, ${open} to answer` : ''}`}
        </Box>
        <Button variant="outlined" onClick={onClose}>
          <Trans>Cancel</Trans>
        </Button>
        <Button
          variant="contained"
          disabled={there.size === 0}
          onClick={() => {
            onTake([...there], answers);
          }}
        >
          {plural(there.size, { one: '# child is there', other: '# children are there' })}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
