import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Refused } from '../../shared/page';
import { TextButton } from '../../shared/text-button';
import { reopenGrading } from '../../queries/grading.queries';

/** Takes a closed day back: its grades and marks, with a reason that stays with each child. */
export function OpenAgain({ id }: { readonly id: string }) {
  const reopen = useMutation({ mutationFn: (why: string) => reopenGrading(id, why) });
  const [reason, setReason] = useState<string | null>(null);
  if (reason === null)
    return (
      <Box sx={{ mt: 2.5 }}>
        <TextButton
          label={t`Something was wrong: take this day back`}
          onClick={() => {
            setReason('');
          }}
        />
      </Box>
    );
  return (
    <Box
      component="form"
      aria-label={t`Take this day back`}
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== '') reopen.mutate(reason.trim());
      }}
      sx={{ mt: 2.5, display: 'grid', gap: 1, maxWidth: 460 }}
    >
      <Refused error={reopen.error} />
      <TextField
        label={t`Why its grades and marks are taken back`}
        value={reason}
        autoFocus
        onChange={(event) => {
          setReason(event.target.value);
        }}
        slotProps={{ htmlInput: { maxLength: 300 } }}
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          variant="outlined"
          onClick={() => {
            setReason(null);
          }}
        >
          <Trans>Cancel</Trans>
        </Button>
        <Button type="submit" variant="contained" disabled={reason.trim() === '' || reopen.isPending}>
          <Trans>Take it back</Trans>
        </Button>
      </Box>
    </Box>
  );
}
