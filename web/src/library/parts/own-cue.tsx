import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { MovementResponse } from '@leiter/contract';
import { useState } from 'react';
import { Refused } from '../../shared/page';
import { sayOwnCue } from '../../queries/library.queries';

/** What this club says on a movement, whoever wrote the entry: it stands before its cues, in plans and in Teach. */
export function OwnCue({ movement }: { readonly movement: MovementResponse }) {
  const [typed, setTyped] = useState(movement.ownCue ?? '');
  const [error, setError] = useState<Error | null>(null);
  const isNew = typed.trim() !== (movement.ownCue ?? '');
  const save = async (): Promise<void> => {
    try {
      await sayOwnCue(movement.slug, typed.trim());
      setError(null);
    } catch (refusal) {
      if (!(refusal instanceof Error)) throw refusal;
      setError(refusal);
    }
  };
  return (
    <Box
      component="form"
      sx={{ mt: 1.5, maxWidth: 460 }}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <Refused error={error} />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <TextField
          fullWidth
          label={t`What we say ourselves`}
          placeholder={t`said first, in Teach as well`}
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value);
          }}
          slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 60 } }}
        />
        {isNew && (
          <Button type="submit" variant="outlined">
            <Trans>Keep</Trans>
          </Button>
        )}
      </Box>
    </Box>
  );
}
