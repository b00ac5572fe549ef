import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState, type SubmitEvent } from 'react';
import { Navigate, useLocation } from 'react-router';
import { LadderMark } from '../shared/ladder-mark';
import { Loaded, Refused } from '../shared/page';
import { palette } from '../shared/palette';
import { MakeClub } from './make-club';
import { useSession, useSignIn, useWelcome } from '../queries/session.queries';

/** Before anybody is signed in: the demo people by one click, a form for everybody else, or the first club. */
function SignInPage() {
  const welcome = useWelcome();
  const session = useSession();
  const location = useLocation();
  if (session.data) return <Navigate to={wantedPage(location.state)} replace />;
  return (
    <Box component="main" sx={{ minHeight: '100%', display: 'grid', gridTemplateColumns: { xs: '1fr', md: '5fr 6fr' } }}>
      <Box
        sx={{
          backgroundColor: palette.primary,
          color: palette.cream,
          p: 6,
          display: { xs: 'none', md: 'flex' },
          flexDirection: 'column',
          justifyContent: 'space-between',
        }}
      >
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
          <LadderMark size={34} filled={3} />
          <Typography variant="h1" component="p" sx={{ color: 'inherit', fontSize: 30 }}>
            <Trans>Leiter</Trans>
          </Typography>
        </Box>
        <Box sx={{ maxWidth: 430 }}>
          <Typography variant="h1" component="p" sx={{ color: 'inherit', fontSize: 34, mb: 2 }}>
            <Trans>Plan the class, teach it from three metres away, and know what every child can do.</Trans>
          </Typography>
          <Typography sx={{ fontSize: 17 }}>
            <Trans>For people who teach children gymnastics, dance or a martial art on a video call.</Trans>
          </Typography>
        </Box>
        <Typography variant="body2">
          <Trans>Usual cautions only. Your governing body’s rules, your training and medical advice come first.</Trans>
        </Typography>
      </Box>
      <Box sx={{ p: { xs: 3, md: 6 }, display: 'flex', alignItems: 'center' }}>
        <Box sx={{ width: '100%', maxWidth: 440 }}>
          <Loaded query={welcome} what={t`sign-in page`}>
            {({ needsClub, demoPeople, demoPassword }) =>
              needsClub ? (
                <MakeClub />
              ) : (
                <>
                  {demoPassword !== null && <DemoPeople people={demoPeople} password={demoPassword} />}
                  <SignInForm />
                </>
              )
            }
          </Loaded>
        </Box>
      </Box>
    </Box>
  );
}

/** The page that asked to sign in; Today where none did. @param state set by the shell alone. */
function wantedPage(state: unknown): string {
  const from = typeof state === 'object' && state !== null && 'from' in state ? state.from : null;
  return typeof from === 'string' ? from : '/';
}

function DemoPeople({
  people,
  password,
}: {
  readonly people: readonly { readonly name: string; readonly email: string; readonly does: string }[];
  readonly password: string;
}) {
  const signIn = useSignIn();
  return (
    <Box component="section" aria-label={t`Demo people`} sx={{ mb: 4 }}>
      <Typography variant="h1" sx={{ mb: 0.5 }}>
        <Trans>The Sail Loft, a demo club</Trans>
      </Typography>
      <Typography variant="body2" sx={{ color: palette.soft, mb: 1.5 }}>
        <Trans>Come in as one of its people. Everything in it is made up.</Trans>
      </Typography>
      <Refused error={signIn.error} />
      {people.map(({ name, email, does }) => (
        <Button
          key={email}
          variant="outlined"
          fullWidth
          disabled={signIn.isPending}
          onClick={() => {
            signIn.mutate({ email, password });
          }}
          sx={{ justifyContent: 'flex-start', mb: 1, gap: 1, backgroundColor: palette.white }}
        >
          {name}
          <Box component="span" sx={{ fontWeight: 400, color: palette.soft }}>
            {does}
          </Box>
        </Button>
      ))}
    </Box>
  );
}

function SignInForm() {
  const signIn = useSignIn();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const submit = (event: SubmitEvent): void => {
    event.preventDefault();
    signIn.mutate({ email, password });
  };
  return (
    <Box component="form" onSubmit={submit} noValidate aria-label={t`Sign in`}>
      <Typography variant="h2" sx={{ mb: 1.5 }}>
        <Trans>Sign in</Trans>
      </Typography>
      <Refused error={signIn.error} />
      <TextField
        label={t`E-mail address`}
        type="email"
        autoComplete="username"
        fullWidth
        value={email}
        onChange={(event) => {
          setEmail(event.target.value);
        }}
        sx={{ mb: 1.5 }}
      />
      <TextField
        label={t`Password`}
        type="password"
        autoComplete="current-password"
        fullWidth
        value={password}
        onChange={(event) => {
          setPassword(event.target.value);
        }}
        sx={{ mb: 1.5 }}
      />
      <Button type="submit" variant="contained" disabled={signIn.isPending}>
        <Trans>Sign in</Trans>
      </Button>
    </Box>
  );
}

export { SignInPage as Page };
