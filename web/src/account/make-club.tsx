import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { FormField } from '../shared/form-field';
import { useServerForm } from '../shared/server-form';
import { useMakeClub } from '../queries/session.queries';

/** The first visitor makes the club and is its owner. */
export function MakeClub() {
  const make = useMakeClub();
  const { form, submit } = useServerForm({ clubName: '', ownerName: '', email: '', password: '' }, (values) =>
    make.mutateAsync({ ...values, timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone }),
  );
  const { control, formState } = form;
  return (
    <Box component="form" onSubmit={submit} noValidate aria-label={t`Make your club`} sx={{ display: 'grid', gap: 1.75 }}>
      <Box>
        <Typography variant="h1" sx={{ mb: 0.5 }}>
          <Trans>Make your club</Trans>
        </Typography>
        <Typography variant="body2">
          <Trans>You are the first here: you will be its owner. The library and three syllabuses come with it.</Trans>
        </Typography>
      </Box>
      {formState.errors.root?.message && <Alert severity="error">{formState.errors.root.message}</Alert>}
      <FormField control={control} name="clubName" label={t`Name of the club`} />
      <FormField control={control} name="ownerName" label={t`Your name`} autoComplete="name" />
      <FormField control={control} name="email" label={t`E-mail address`} type="email" autoComplete="username" />
      <FormField
        control={control}
        name="password"
        label={t`Password, at least 10 characters`}
        type="password"
        autoComplete="new-password"
      />
      <Button type="submit" variant="contained" disabled={formState.isSubmitting} sx={{ justifySelf: 'start' }}>
        <Trans>Make the club</Trans>
      </Button>
    </Box>
  );
}
