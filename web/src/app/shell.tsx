import Box from '@mui/material/Box';
import { useEffect } from 'react';
import { Navigate, NavLink, Outlet, useLocation } from 'react-router';
import { openMarkQueue, useMarkQueue } from '../queries/mark-queue';
import { noteArrivedMark } from '../queries/record.queries';
import { api } from '../shared/api';
import { noteDraftOwner } from '../shared/document-session/kept-draft';
import { listenLive, onLiveEvent, onLiveMissed } from '../shared/live/live-events';
import { readAllAnew, showLiveEvent } from './live-updates';
import { useConnection } from '../shared/connection';
import { LadderMark } from '../shared/ladder-mark';
import { Loaded } from '../shared/page';
import { palette } from '../shared/palette';
import { queryClient } from '../shared/query-client';
import { plural } from '../shared/words';
import { useSession } from '../queries/session.queries';

const places = [
  { to: '/', label: 'Today', filled: 1 },
  { to: '/plan', label: 'Plan', filled: 2 },
  { to: '/teach', label: 'Teach', filled: 3 },
  { to: '/children', label: 'Children', filled: 4 },
  { to: '/syllabus', label: 'Syllabus', filled: 2 },
  { to: '/library', label: 'Library', filled: 1 },
] as const;

/** The rail on the left and the page beside it; asks to sign in where nobody is. */
export function Shell() {
  const session = useSession();
  const location = useLocation();
  const personId = session.data?.person.id;
  useEffect(() => {
    if (personId === undefined) return;
    noteDraftOwner(personId);
    void openMarkQueue(personId, noteArrivedMark);
    const ends = [onLiveEvent(showLiveEvent), onLiveMissed(readAllAnew), listenLive()];
    return () => {
      for (const end of ends) end();
    };
  }, [personId]);
  const isTeaching = /^\/classes\/[^/]+\/teach$/.test(location.pathname);
  return (
    <Loaded query={session} what="club">
      {(signedIn) =>
        signedIn === null ? (
          <Navigate to="/sign-in" replace state={{ from: location.pathname }} />
        ) : (
          <Box sx={{ display: 'flex', height: '100%', overflow: 'hidden' }}>
            {!isTeaching && <Rail name={signedIn.person.name} />}
            <Box sx={{ flex: 1, minWidth: 0, height: '100%', display: 'flex', flexDirection: 'column' }}>
              <Waiting />
              <Box sx={{ flex: 1, minHeight: 0 }}>
                <Outlet />
              </Box>
            </Box>
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
      aria-label="Main"
      sx={{
        width: 64,
        flexShrink: 0,
        backgroundColor: palette.shade,
        borderRight: `1px solid ${palette.line}`,
        display: 'flex',
        flexDirection: 'column',
        py: 1,
      }}
    >
      {places.map((place) => (
        <RailLink key={place.to} {...place} />
      ))}
      <Box sx={{ mt: 'auto' }}>
        <RailLink to="/club" label="Club" />
        <RailLink to="/me" label={initials} title={name} />
      </Box>
    </Box>
  );
}

function RailLink({
  to,
  label,
  filled,
  title,
}: {
  readonly to: string;
  readonly label: string;
  readonly filled?: number;
  readonly title?: string;
}) {
  return (
    <Box
      component={NavLink}
      to={to}
      end={to === '/'}
      title={title ?? label}
      aria-label={title ?? label}
      sx={{
        display: 'flex',
        flexDirection: 'column',
        alignItems: 'center',
        gap: 0.5,
        py: filled === undefined ? 1 : 1.1,
        fontSize: 12.5,
        color: palette.soft,
        textDecoration: 'none',
        borderLeft: '3px solid transparent',
        pr: '3px',
        '&.active': { color: palette.primary, fontWeight: 700, backgroundColor: palette.paper, borderLeftColor: palette.primary },
        '&:focus-visible': { outlineOffset: '-3px' },
      }}
    >
      {filled !== undefined && <LadderMark filled={filled} />}
      {label}
    </Box>
  );
}

/** What has not arrived yet: says so while the database is away, looks every two seconds, and goes on by itself. */
function Waiting() {
  const state = useConnection((store) => store.state);
  const waiting = useMarkQueue((store) => store.waiting.length);
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
  const kept = waiting > 0 ? ` ${plural(waiting, 'mark is', 'marks are')} kept here and sent then.` : '';
  return (
    <Box role="status" aria-live="polite">
      {state === 'away' && (
        <Box sx={{ px: 2.25, py: 0.75, backgroundColor: palette.cautionPaper, color: palette.caution, fontSize: 14 }}>
          <strong>The database does not answer.</strong> You can go on looking and marking; it comes back by itself.{kept}
        </Box>
      )}
    </Box>
  );
}
