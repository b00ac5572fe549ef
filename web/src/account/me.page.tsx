import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { Loaded, Page, Panel } from '../shared/page';
import { CalendarLink } from './calendar-link';
import { OwnMusic } from './own-music';
import { PasswordForm } from './password-form';
import { TeachingStyleForm } from './teaching-style-form';
import { TeachingVoiceForm } from './teaching-voice-form';
import { TeachingRoomForm } from './teaching-room-form';
import { useSession, useSignOut } from '../queries/session.queries';

/** The person who is signed in. */
function MePage() {
  const session = useSession();
  const signOut = useSignOut();
  const navigate = useNavigate();
  return (
    <Page title={t`You`}>
      <Panel label={t`You`}>
        <Loaded query={session} what={t`person`}>
          {(signedIn) => (
            <>
              <Typography variant="h2">{signedIn?.person.name}</Typography>
              <Typography sx={{ mb: 2 }}>
                <Trans>
                  {signedIn?.person.email} · {signedIn?.person.role} at {signedIn?.club.name}
                </Trans>
              </Typography>
              <Button
                variant="outlined"
                onClick={() => {
                  signOut.mutate(undefined, { onSuccess: () => void navigate('/sign-in') });
                }}
              >
                <Trans>Sign out</Trans>
              </Button>
              {signedIn && <PasswordForm />}
              {signedIn && <CalendarLink />}
              {signedIn && signedIn.person.role !== 'assistant' && <TeachingStyleForm style={signedIn.style} />}
              {signedIn && signedIn.person.role !== 'assistant' && <TeachingVoiceForm voice={signedIn.voice} />}
              {signedIn && signedIn.person.role !== 'assistant' && <OwnMusic />}
              {signedIn && signedIn.person.role !== 'assistant' && <TeachingRoomForm room={signedIn.room} />}
            </>
          )}
        </Loaded>
      </Panel>
    </Page>
  );
}

export { MePage as Page };
