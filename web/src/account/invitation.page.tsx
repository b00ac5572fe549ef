import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { InvitationForGuest } from '@leiter/contract';
import { useQuery } from '@tanstack/react-query';
import { useNavigate, useParams } from 'react-router';
import { api } from '../shared/api';
import { FormField } from '../shared/form-field';
import { LadderMark } from '../shared/ladder-mark';
import { Loaded } from '../shared/page';
import { palette } from '../shared/palette';
import { queryClient } from '../shared/query-client';
import { useServerForm } from '../shared/server-form';

/** Where the link of an invitation leads: a password, and one is in. */
function InvitationPage() {
  const { token = '' } = useParams();
  const invitation = useQuery({
    queryKey: ['invitation', token],
    queryFn: () => api<InvitationForGuest>('GET', `invitations/${token}`),
    staleTime: Infinity,
    retry: false,
  });
  return (
    <Box component="main" sx={{ minHeight: '100%', display: 'grid', placeItems: 'center', p: { xs: 2, md: 4 } }}>
      <Box sx={{ width: '100%', maxWidth: 440 }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25, mb: 3, color: palette.primary }}>
          <LadderMark size={28} filled={3} />
          <Typography variant="h2" component="p" sx={{ color: 'inherit' }}>
            <Trans>Leiter</Trans>
          </Typography>
        </Box>
        {invitation.isError ? (
          <>
            <Typography variant="h1" sx={{ mb: 1 }}>
              <Trans>This link is not good any more</Trans>
            </Typography>
            <Typography>
              <Trans>It was used, or a week has passed. Ask whoever gave it to you for a new one.</Trans>
            </Typography>
          </>
        ) : (
          <Loaded query={invitation} what={t`invitation`}>
            {(found) => <Accept token={token} invitation={found} />}
          </Loaded>
        )}
      </Box>
    </Box>
  );
}

function Accept({ token, invitation }: { readonly token: string; readonly invitation: InvitationForGuest }) {
  const navigate = useNavigate();
  const isJoining = invitation.kind === 'join';
  const { form, submit } = useServerForm({ name: invitation.name, password: '' }, async ({ name, password }) => {
    await api<undefined>('POST', `invitations/${token}`, { password, ...(isJoining && name !== invitation.name ? { name } : {}) });
    queryClient.clear();
    await navigate('/', { replace: true });
  });
  const { control, formState } = form;
  return (
    <Box component="form" onSubmit={submit} noValidate aria-label={t`Take up the invitation`} sx={{ display: 'grid', gap: 1.75 }}>
      <Box>
        <Typography variant="h1" sx={{ mb: 0.5 }}>
          {isJoining ? t`Join ${invitation.clubName}` : t`A new password`}
        </Typography>
        <Typography variant="body2">
          {isJoining
            ? t`You are invited as ${invitation.role}. From now on you sign in with ${invitation.email}.`
            : t`For ${invitation.email} at ${invitation.clubName}. Everywhere else you are signed out.`}
        </Typography>
      </Box>
      {formState.errors.root?.message && <Alert severity="error">{formState.errors.root.message}</Alert>}
      {isJoining && <FormField control={control} name="name" label={t`Your name`} autoComplete="name" />}
      <FormField
        control={control}
        name="password"
        label={t`Password, at least 10 characters`}
        type="password"
        autoComplete="new-password"
        helperText={t`Three or four words of your own are good, and easy to keep in mind.`}
      />
      <Button type="submit" variant="contained" disabled={formState.isSubmitting} sx={{ justifySelf: 'start' }}>
        {isJoining ? t`Join the club` : t`Set the password`}
      </Button>
    </Box>
  );
}

export { InvitationPage as Page };
