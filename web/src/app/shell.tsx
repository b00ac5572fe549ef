import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import { useEffect } from 'react';
import { Navigate, NavLink, Outlet, useLocation } from 'react-router';
import { atHand } from '../at-hand/register';
import { openClassOutbox, putRefusalsAway, useClassOutbox } from '../queries/class-outbox';
import { noteSettledWrite } from '../queries/class.queries';
import { openMarkQueue, useMarkQueue } from '../queries/mark-queue';
import { noteArrivedMark } from '../queries/record.queries';
import { api } from '../shared/api';
import { noteDraftOwner } from '../shared/document-session/kept-draft';
import { listenLive, onLiveEvent, onLiveMissed } from '../shared/live/live-events';
import { readAllAnew, showLiveEvent } from './live-updates';
import { PlaceSign, type PlaceName } from './place-signs';
import { useConnection } from '../shared/connection';
import { onPhone } from '../shared/screen';
import { Loaded } from '../shared/page';
import { palette } from '../shared/palette';
import { queryClient } from '../shared/query-client';
import { TextButton } from '../shared/text-button';
import { UndoBar } from '../shared/undo-bar';
import { useSession } from '../queries/session.queries';

const places: readonly { readonly to: string; readonly label: string; readonly sign: PlaceName }[] = [
  { to: '/', label: t`Today`, sign: 'today' },
  { to: '/week', label: t`Week`, sign: 'week' },
  { to: '/children', label: t`Children`, sign: 'children' },
  { to: '/syllabus', label: t`Syllabus`, sign: 'syllabus' },
  { to: '/library', label: t`Library`, sign: 'library' },
];

/** What stands under a place in the address, though it has an address of its own. */
const under: readonly { readonly to: string; readonly path: RegExp }[] = [
  { to: '/week', path: /^\/classes\// },
  { to: '/children', path: /^\/(?:groups|gradings)(?:\/|$)/ },
  { to: '/club', path: /^\/(?:reports|club\/)/ },
];

/** The rail at the left – on a phone the bar at the foot – and the page beside it; asks to sign in where nobody is. */
export function Shell() {
  const session = useSession();
  const location = useLocation();
  const personId = session.data?.person.id;
  useEffect(() => {
    if (personId === undefined) return;
    noteDraftOwner(personId);
    void openMarkQueue(personId, noteArrivedMark);
    void openClassOutbox(personId, noteSettledWrite);
    void atHand();
    const ends = [onLiveEvent(showLiveEvent), onLiveMissed(readAllAnew), listenLive()];
    return () => {
      for (const end of ends) end();
    };
  }, [personId]);
  const isTeaching = /^\/(?:classes\/[^/]+\/(teach|rehearse|beside)|terms\/[^/]+\/quiz)$/.test(location.pathname);
  return (
    <Loaded query={session} what={t`club`}>
      {(signedIn) =>
        signedIn === null ? (
          <Navigate to="/sign-in" replace state={{ from: location.pathname }} />
        ) : (
          <Box sx={{ display: 'flex', height: '100%', overflow: 'hidden', [onPhone]: { flexDirection: 'column-reverse' } }}>
            {!isTeaching && <Rail name={signedIn.person.name} />}
            <Box sx={{ flex: 1, minWidth: 0, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
              <Waiting isDark={isTeaching} />
              <Box sx={{ flex: 1, minHeight: 0 }}>
                <Outlet />
              </Box>
            </Box>
            <UndoBar />
          </Box>
        )
      }
    </Loaded>
  );
}

function Rail({ name }: { readonly name: string }) {
  const initials = name
    .split(/[\s-]+/)
    .map((part) => part.charAt(0))
    .slice(0, 2)
    .join('');
  return (
    <Box
      component="nav"
      aria-label={t`Main`}
      sx={{
        width: 72,
        flexShrink: 0,
        backgroundColor: palette.shade,
        borderRight: `1px solid ${palette.line}`,
        display: 'flex',
        flexDirection: 'column',
        py: 1,
        [onPhone]: { width: '100%', flexDirection: 'row', py: 0, borderRight: 0, borderTop: `1px solid ${palette.line}` },
      }}
    >
      {places.map((place) => (
        <RailLink key={place.to} {...place} />
      ))}
      <Box sx={{ mt: 'auto', [onPhone]: { display: 'contents' } }}>
        <RailLink to="/club" label={t`Club`} sign="club" />
        <RailLink to="/me" label={t`You`} initials={initials} title={name} />
      </Box>
    </Box>
  );
}

function RailLink({
  to,
  label,
  sign,
  initials,
  title,
}: {
  readonly to: string;
  readonly label: string;
  readonly sign?: PlaceName;
  readonly initials?: string;
  readonly title?: string;
}) {
  const { pathname } = useLocation();
  const isUnder = under.some((one) => one.to === to && one.path.test(pathname));
  return (
    <Box
      component={NavLink}
      to={to}
      end={to === '/'}
      title={title ?? label}
      aria-label={title ?? label}
      className={isUnder ? 'active' : ''}
      sx={{
        display: 'flex',
        flexDirection: 'column',
        alignItems: 'center',
        gap: 0.4,
        py: 1,
        fontSize: 12.5,
        color: palette.soft,
        textDecoration: 'none',
        borderLeft: '4px solid transparent',
        pr: '4px',
        '&.active': { color: palette.primary, fontWeight: 700, backgroundColor: palette.paper, borderLeftColor: palette.primary },
        '&:focus-visible': { outlineOffset: '-3px' },
        [onPhone]: {
          flex: 1,
          minWidth: 0,
          minHeight: 56,
          justifyContent: 'center',
          py: 0.5,
          pr: 0,
          fontSize: 11.5,
          borderLeft: 0,
          borderTop: '4px solid transparent',
          '&.active': { borderTopColor: palette.primary },
        },
      }}
    >
      {sign ? (
        <PlaceSign of={sign} />
      ) : (
        <Box
          component="span"
          aria-hidden="true"
          sx={{
            width: 24,
            height: 24,
            borderRadius: '50%',
            border: '1.9px solid currentColor',
            display: 'grid',
            placeItems: 'center',
            fontSize: 11,
          }}
        >
          {initials}
        </Box>
      )}
      {label}
    </Box>
  );
}

/** What has not arrived yet: says so while the database is away, looks every two seconds, and goes on by itself. */
function Waiting({ isDark }: { readonly isDark: boolean }) {
  const state = useConnection((store) => store.state);
  const waiting = useMarkQueue((store) => store.waiting.length);
  const { waiting: writes, refusals } = useClassOutbox();
  useEffect(() => {
    if (state === 'there') return;
    const timer = setInterval(() => {
      void api('GET', 'health').then(
        () => queryClient.invalidateQueries(),
        () => undefined,
      );
    }, 2000);
    return () => {
      clearInterval(timer);
    };
  }, [state]);
  const things = waiting + writes.length;
  const kept = things > 0 ? t` ${plural(things, { one: '# entry is', other: '# entries are' })} kept here and sent then.` : '';
  const look = { px: 2.25, py: 0.75, fontSize: 14 } as const;
  return (
    <Box role="status" aria-live="polite">
      {state === 'away' && (
        <Box
          sx={
            isDark
              ? { ...look, backgroundColor: palette.nightShade, color: palette.glow }
              : { ...look, backgroundColor: palette.cautionPaper, color: palette.caution }
          }
        >
          <Trans>
            <strong>No connection.</strong> You can go on teaching, looking and marking; it comes back by itself.{kept}
          </Trans>
        </Box>
      )}
      {refusals.length > 0 && (
        <Box sx={{ ...look, backgroundColor: palette.stopPaper, color: palette.stop }}>
          <Trans>Of what was sent later, this was not taken: {refusals.join(' ')}</Trans>{' '}
          <TextButton label={t`Put it away`} onClick={putRefusalsAway} />
        </Box>
      )}
    </Box>
  );
}
