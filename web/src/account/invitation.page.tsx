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
            Leiter
          </Typography>
        </Box>
        {invitation.isError ? (
          <>
            <Typography variant="h1" sx={{ mb: 1 }}>
              This link is not good any more
            </Typography>
            <Typography>It was used, or a week has passed. Ask whoever gave it to you for a new one.</Typography>
          </>
        ) : (
          <Loaded query={invitation} what="invitation">
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
    <Box component="form" onSubmit={submit} noValidate aria-label="Take up the invitation" sx={{ display: 'grid', gap: 1.75 }}>
      <Box>
        <Typography variant="h1" sx={{ mb: 0.5 }}>
          {isJoining ? `Join ${invitation.clubName}` : 'A new password'}
        </Typography>
        <Typography variant="body2">
          {isJoining
            ? `You are invited as ${invitation.role}. From now on you sign in with ${invitation.email}.`
            : `For ${invitation.email} at ${invitation.clubName}. Everywhere else you are signed out.`}
        </Typography>
      </Box>
      {formState.errors.root?.message && <Alert severity="error">{formState.errors.root.message}</Alert>}
      {isJoining && <FormField control={control} name="name" label="Your name" autoComplete="name" />}
      <FormField
        control={control}
        name="password"
        label="Password, at least 10 characters"
        type="password"
        autoComplete="new-password"
        helperText="Three or four words of your own are good, and easy to keep in mind."
      />
      <Button type="submit" variant="contained" disabled={formState.isSubmitting} sx={{ justifySelf: 'start' }}>
        {isJoining ? 'Join the club' : 'Set the password'}
      </Button>
    </Box>
  );
}

export { InvitationPage as Page };
