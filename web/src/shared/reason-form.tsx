import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Refused } from './page';
import { TextButton } from './text-button';

/** Takes something back that was done, with a reason that is kept: a press opens the field, and nothing is done without one. */
export function ReasonForm({
  opening,
  label,
  onSend,
}: {
  /** What the press says, and what the form is called. */
  readonly opening: string;
  readonly label: string;
  readonly onSend: (reason: string) => Promise<unknown>;
}) {
  const send = useMutation({ mutationFn: onSend });
  const [reason, setReason] = useState<string | null>(null);
  if (reason === null)
    return (
      <TextButton
        label={opening}
        onClick={() => {
          setReason('');
        }}
      />
    );
  return (
    <Box
      component="form"
      aria-label={opening}
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== '') send.mutate(reason.trim());
      }}
      sx={{ display: 'grid', gap: 1, maxWidth: 460, textAlign: 'left' }}
    >
      <Refused error={send.error} />
      <TextField
        label={label}
        value={reason}
        autoFocus
        onChange={(event) => {
          setReason(event.target.value);
        }}
        slotProps={{ htmlInput: { maxLength: 300 } }}
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          size="small"
          variant="outlined"
          onClick={() => {
            setReason(null);
          }}
        >
          <Trans>Cancel</Trans>
        </Button>
        <Button size="small" type="submit" variant="contained" disabled={reason.trim() === '' || send.isPending}>
          {t`Take it back`}
        </Button>
      </Box>
    </Box>
  );
}
