import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { ChildResponse } from '@leiter/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { palette } from '../../shared/palette';

/** A text that asks families what a child has at home: to be copied into a message. It names the child only where it is one. */
export function homeQuestion(names: readonly string[], clubName: string): string {
  const who = names.length === 1 ? (names[0] ?? t`your child`) : t`your child`;
  return [
    t`Hello, so that ${who} can move safely in our online classes, please tell us what there is at home:`,
    t`1. What is the floor – mat, thick rug, carpet, wood, tiles, concrete, or grass outside?`,
    t`2. How long and how wide is the clear space, in metres? Measure where nothing is in the way, at arm height as well.`,
    t`3. Is there a mat, a sturdy chair, a cushion, a wall without pictures, tape for a line?`,
    t`4. Is an adult in the room, in the next room, or not at hand during the class?`,
    t`5. Is there a brother, sister or friend who can join as a partner?`,
    t`6. Are there hours in which jumping would disturb somebody?`,
    t`Thank you – ${clubName}`,
  ].join('\n');
}

export function AskForHome({ people, onClose }: { readonly people: readonly ChildResponse[]; readonly onClose: () => void }) {
  const [isCopied, setCopied] = useState(false);
  const text = homeQuestion(
    people.map(({ givenName }) => givenName),
    t`your instructor`,
  );
  return (
    <Dialog open onClose={onClose} aria-labelledby="ask-title" maxWidth="sm" fullWidth>
      <DialogTitle id="ask-title">
        <Trans>Ask for the home</Trans>
      </DialogTitle>
      <DialogContent>
        <Typography sx={{ my: 1.5 }}>
          <Trans>
            Copy this into a message to {people.length === 1 ? t`the family` : t`these ${people.length} families`}. Until they answer, a
            plan is reckoned carefully: tiles, 2.0 × 1.5 m, no adult at hand, nothing else.
          </Trans>
        </Typography>
        <Box
          component="pre"
          tabIndex={0}
          sx={{
            fontFamily: 'inherit',
            whiteSpace: 'pre-wrap',
            backgroundColor: palette.white,
            border: `1px solid ${palette.line}`,
            borderRadius: '6px',
            p: 1.5,
            m: 0,
          }}
        >
          {text}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button variant="outlined" onClick={onClose}>
          <Trans>Close</Trans>
        </Button>
        <Button
          variant="contained"
          onClick={() => {
            void navigator.clipboard.writeText(text).then(
              () => {
                setCopied(true);
              },
              () => undefined,
            );
          }}
        >
          {isCopied ? t`Copied` : t`Copy the text`}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
