import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { api } from '../shared/api';
import { FormField } from '../shared/form-field';
import { palette } from '../shared/palette';
import { useServerForm } from '../shared/server-form';

/** A new password for who is signed in, against the old one. */
export function PasswordForm() {
  // a form that was sent begins anew, empty
  const [timesChanged, setTimesChanged] = useState(0);
  return (
    <Fields
      key={timesChanged}
      isChanged={timesChanged > 0}
      onChanged={() => {
        setTimesChanged(timesChanged + 1);
      }}
    />
  );
}

function Fields({ isChanged, onChanged }: { readonly isChanged: boolean; readonly onChanged: () => void }) {
  const { form, submit } = useServerForm({ oldPassword: '', newPassword: '' }, async (values) => {
    await api<undefined>('PUT', 'session/password', values);
    onChanged();
  });
  const { control, formState } = form;
  return (
    <Box
      component="form"
      onSubmit={submit}
      noValidate
      aria-label={t`Change your password`}
      sx={{ display: 'grid', gap: 1.5, maxWidth: 380, mt: 4 }}
    >
      <Typography variant="h2">
        <Trans>Change your password</Trans>
      </Typography>
      {formState.errors.root?.message && <Alert severity="error">{formState.errors.root.message}</Alert>}
      <FormField
        control={control}
        name="oldPassword"
        label={t`The password you have now`}
        type="password"
        autoComplete="current-password"
      />
      <FormField
        control={control}
        name="newPassword"
        label={t`The new one, at least 10 characters`}
        type="password"
        autoComplete="new-password"
      />
      <Button type="submit" variant="outlined" disabled={formState.isSubmitting} sx={{ justifySelf: 'start' }}>
        <Trans>Change the password</Trans>
      </Button>
      <Box role="status" sx={{ fontSize: 14, color: palette.primary, minHeight: 20 }}>
        {isChanged && !formState.isDirty && t`Changed. Everywhere else you are signed out.`}
      </Box>
    </Box>
  );
}
