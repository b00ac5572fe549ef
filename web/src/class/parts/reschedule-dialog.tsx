import { t } from '@lingui/core/macro';
import { Plural, Trans } from '@lingui/react/macro';
import type { ClassResponse } from '@leiter/contract';
import { classLengths } from '@leiter/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { changeClass, removeClass } from '../../queries/calendar.queries';
import { FormDialog } from '../../shared/form-dialog';
import { FormField } from '../../shared/form-field';
import { onlyChanged } from '../../shared/only-changed';
import { Refused } from '../../shared/page';
import { palette } from '../../shared/palette';
import { useServerForm } from '../../shared/server-form';
import { TextButton } from '../../shared/text-button';
import { offerUndo } from '../../shared/undo-bar';
import { dayText } from '../../shared/words';

/** Moves a class to another day or time, or says why it does not take place. Its plan, roll and note go with it. */
export function RescheduleDialog({ session, onClose }: { readonly session: ClassResponse; readonly onClose: () => void }) {
  const { id, groupName, day, startsAt, lengthMinutes } = session;
  const before = { day, startsAt, lengthMinutes };
  const { form, submit } = useServerForm(before, async (values) => {
    const changed = onlyChanged(before, values);
    if (Object.keys(changed).length > 0) {
      await changeClass(id, changed);
      offerUndo(t`${groupName} is on ${dayText(values.day)} at ${values.startsAt}`, () => changeClass(id, before));
    }
    onClose();
  });
  const { control, formState } = form;
  return (
    <FormDialog title={t`Move ${groupName}`} action={t`Move the class`} width="xs" state={formState} onSubmit={submit} onClose={onClose}>
      <FormField control={control} name="day" label={t`Day`} type="date" />
      <FormField control={control} name="startsAt" label={t`Starts at`} placeholder="16:30" />
      <FormField control={control} name="lengthMinutes" label={t`Length`} select>
        {classLengths.map((minutes) => (
          <MenuItem key={minutes} value={minutes}>
            <Plural value={minutes} one="# minute" other="# minutes" />
          </MenuItem>
        ))}
      </FormField>
      <Typography variant="body2" sx={{ color: palette.soft }}>
        <Trans>Plan, roll and note go with it. Tell the families: Leiter does not write to them.</Trans>
      </Typography>
      <Cancelling session={session} onClose={onClose} />
    </FormDialog>
  );
}

function Cancelling({ session, onClose }: { readonly session: ClassResponse; readonly onClose: () => void }) {
  const { id, groupName, day } = session;
  const navigate = useNavigate();
  const [reason, setReason] = useState('');
  const [error, setError] = useState<Error | null>(null);
  const refuse = (caught: unknown): void => {
    setError(caught instanceof Error ? caught : new Error('That did not work.'));
  };
  return (
    <Box sx={{ borderTop: `1px solid ${palette.line}`, pt: 2, mt: 1, display: 'grid', gap: 1.25 }}>
      <Typography variant="h3">
        <Trans>Or it does not take place</Trans>
      </Typography>
      <Refused error={error} />
      <TextField
        label={t`Why`}
        placeholder={t`no ferry today`}
        value={reason}
        slotProps={{ htmlInput: { maxLength: 200 } }}
        onChange={(event) => {
          setReason(event.target.value);
        }}
      />
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap' }}>
        <Button
          variant="outlined"
          disabled={reason.trim() === ''}
          onClick={() => {
            changeClass(id, { cancelledBecause: reason }).then(() => {
              offerUndo(t`${groupName} on ${dayText(day)} is cancelled`, () => changeClass(id, { cancelledBecause: null }));
              onClose();
            }, refuse);
          }}
        >
          <Trans>Cancel the class</Trans>
        </Button>
        {!session.hasPlan && (
          <TextButton
            label={t`Take it off the calendar`}
            onClick={() => {
              removeClass(id).then(() => void navigate('/week'), refuse);
            }}
          />
        )}
      </Box>
    </Box>
  );
}
