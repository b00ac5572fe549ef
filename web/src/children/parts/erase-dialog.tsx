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
import type { ChildResponse } from '@leiter/contract';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Refused } from '../../shared/page';
import { useEraseChild } from '../../queries/children.queries';

/** What cannot be undone asks for the name. */
export function EraseDialog({ child, onClose }: { readonly child: ChildResponse; readonly onClose: () => void }) {
  const erase = useEraseChild(child.id);
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const isNamed = typed.trim().toLowerCase() === child.givenName.toLowerCase();
  return (
    <Dialog open onClose={onClose} aria-labelledby="erase-title" maxWidth="xs" fullWidth>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          if (isNamed) erase.mutate(undefined, { onSuccess: () => void navigate('/children') });
        }}
      >
        <DialogTitle id="erase-title">
          <Trans>
            Erase {child.givenName} {child.familyInitial} for good?
          </Trans>
        </DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 1.75 }}>
          <Refused error={erase.error} />
          <Typography>
            <Trans>
              Marks, grades, attendance, health notes and what plans say of this child go, and nobody can bring them back. A child that only
              pauses is archived.
            </Trans>
          </Typography>
          <TextField
            label={t`Write “${child.givenName}” to erase it`}
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
          <Button type="submit" variant="contained" color="error" disabled={!isNamed || erase.isPending}>
            <Trans>Erase for good</Trans>
          </Button>
        </DialogActions>
      </Box>
    </Dialog>
  );
}
