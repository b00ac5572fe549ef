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
      offerUndo(`${groupName} is on ${dayText(values.day)} at ${values.startsAt}`, () => changeClass(id, before));
    }
    onClose();
  });
  const { control, formState } = form;
  return (
    <FormDialog title={`Move ${groupName}`} action="Move the class" width="xs" state={formState} onSubmit={submit} onClose={onClose}>
      <FormField control={control} name="day" label="Day" type="date" />
      <FormField control={control} name="startsAt" label="Starts at" placeholder="16:30" />
      <FormField control={control} name="lengthMinutes" label="Length" select>
        {classLengths.map((minutes) => (
          <MenuItem key={minutes} value={minutes}>
            {minutes} minutes
          </MenuItem>
        ))}
      </FormField>
      <Typography variant="body2" sx={{ color: palette.soft }}>
        Plan, roll and note go with it. Tell the families: Leiter does not write to them.
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
      <Typography variant="h3">Or it does not take place</Typography>
      <Refused error={error} />
      <TextField
        label="Why"
        placeholder="no ferry today"
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
              offerUndo(`${groupName} on ${dayText(day)} is cancelled`, () => changeClass(id, { cancelledBecause: null }));
              onClose();
            }, refuse);
          }}
        >
          Cancel the class
        </Button>
        {!session.hasPlan && (
          <TextButton
            label="Take it off the calendar"
            onClick={() => {
              removeClass(id).then(() => void navigate('/week'), refuse);
            }}
          />
        )}
      </Box>
    </Box>
  );
}
