import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Refused } from '../../shared/page';
import { TextButton } from '../../shared/text-button';
import { useMutation } from '@tanstack/react-query';
import { takeBackGrade } from '../../queries/children.queries';

/** Takes the last grade back, where it was given by mistake: with a reason, which stays with the child. */
export function TakeBackGrade({
  childId,
  grade,
}: {
  readonly childId: string;
  readonly grade: { readonly id: string; readonly name: string };
}) {
  const takeBack = useMutation({ mutationFn: (why: string) => takeBackGrade(childId, { gradeId: grade.id, reason: why }) });
  const [reason, setReason] = useState<string | null>(null);
  if (reason === null)
    return (
      <Box sx={{ textAlign: 'center', fontSize: 14, mt: 0.5 }}>
        <TextButton
          label={t`Take ${grade.name} back`}
          onClick={() => {
            setReason('');
          }}
        />
      </Box>
    );
  return (
    <Box
      component="form"
      aria-label={t`Take ${grade.name} back`}
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== '') takeBack.mutate(reason.trim());
      }}
      sx={{ display: 'grid', gap: 1, mt: 1 }}
    >
      <Refused error={takeBack.error} />
      <TextField
        label={t`Why ${grade.name} is taken back`}
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
        <Button size="small" type="submit" variant="contained" disabled={reason.trim() === '' || takeBack.isPending}>
          <Trans>Take it back</Trans>
        </Button>
      </Box>
    </Box>
  );
}
