import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import { Refused } from './page';

/** What cannot be undone asks for the name. */
export function EraseForGood({
  title,
  name,
  error,
  isPending,
  onErase,
  onClose,
  children,
}: {
  readonly title: string;
  /** What has to be written. */
  readonly name: string;
  readonly error: Error | null;
  readonly isPending: boolean;
  readonly onErase: () => void;
  readonly onClose: () => void;
  /** What goes, and what does not. */
  readonly children: ReactNode;
}) {
  const [typed, setTyped] = useState('');
  const isNamed = typed.trim().toLowerCase() === name.toLowerCase();
  return (
    <Dialog open onClose={onClose} aria-labelledby="erase-title" maxWidth="xs" fullWidth>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          if (isNamed) onErase();
        }}
      >
        <DialogTitle id="erase-title">{title}</DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 1.75 }}>
          <Refused error={error} />
          <Typography>{children}</Typography>
          <TextField
            label={t`Write “${name}” to erase it`}
            value={typed}
            autoFocus
            autoComplete="off"
            onChange={(event) => {
              setTyped(event.target.value);
            }}
          />
        </DialogContent>
        <DialogActions sx={{ p: 2 }}>
          <Button variant="outlined" onClick={onClose}>
            <Trans>Cancel</Trans>
          </Button>
          <Button type="submit" variant="contained" color="error" disabled={!isNamed || isPending}>
            <Trans>Erase for good</Trans>
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
