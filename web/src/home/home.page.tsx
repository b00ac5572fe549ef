import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { HomePageResponse } from '@leiter/contract';
import { useCallback, useEffect, useState } from 'react';
import { atHand } from '../at-hand/register';
import { LadderMark } from '../shared/ladder-mark';
import { palette } from '../shared/palette';
import { freshPage, HomeRefused, keptPage, sendWaiting, tellHome, type HomeWrite } from './home-client';
import { linkHere } from './home-link';
import { AtHome } from './parts/at-home';
import { ClassesToCome } from './parts/classes-to-come';
import { HomeLadders } from './parts/home-ladders';
import { HomeTask } from './parts/home-task';
import { WordsAndBests } from './parts/words-and-bests';

/** Tells the server, shows it at once, and reads the page anew. */
export type Tell = (write: Omit<HomeWrite, 'link'>, shown: (page: HomePageResponse) => HomePageResponse) => Promise<void>;

/** The page of a family, on a phone: what comes, what is practised, how far the child is. The link is all it needs. */
function HomePage() {
  const [link] = useState(linkHere);
  const [page, setPage] = useState<HomePageResponse | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [isAway, setAway] = useState(false);
  const [isOver, setOver] = useState(link === null);
  const read = useCallback(async () => {
    if (link === null) return;
    try {
      await sendWaiting(link);
      setPage(await freshPage(link));
      setAway(false);
    } catch (error) {
      if (error instanceof HomeRefused) {
        setSaid(error.message);
        if (error.status === 404) {
          setPage(null);
          setOver(true);
        }
      } else setAway(true);
    }
  }, [link]);
  useEffect(() => {
    if (link === null) return;
    void atHand();
    // what was kept is there at once, unless the answer was quicker
    void keptPage(link).then((kept) => {
      if (kept) setPage((now) => now ?? kept);
    });
    void read();
    const again = (): void => {
      if (document.visibilityState === 'visible') void read();
    };
    window.addEventListener('online', again);
    document.addEventListener('visibilitychange', again);
    return () => {
      window.removeEventListener('online', again);
      document.removeEventListener('visibilitychange', again);
    };
  }, [link, read]);
  useEffect(() => {
    document.title = page ? t`${page.child.givenName} – ${page.clubName}` : t`At home – Leiter`;
  }, [page]);
  const tell: Tell = async (write, shown) => {
    if (link === null) return;
    setSaid(null);
    setPage((now) => now && shown(now));
    try {
      const waiting = await tellHome({ ...write, link });
      setAway(waiting > 0);
    } catch (error) {
      if (error instanceof HomeRefused) setSaid(error.message);
    }
    await read();
  };
  if (isOver || (page === null && said !== null))
    return <Nothing words={said ?? t`This link is not whole. Open it from the message of the club.`} />;
  if (page === null || link === null)
    return (
      <Box component="main" role="status" sx={{ p: 3, color: palette.soft }}>
        {isAway ? t`No connection. Open this page once with one; from then on it is here.` : t`One moment …`}
      </Box>
    );
  return (
    <Box sx={{ height: '100%', overflowY: 'auto' }}>
      <Box component="main" sx={{ maxWidth: 620, mx: 'auto', px: 2, pb: 6 }}>
        <Box component="header" sx={{ display: 'flex', gap: 1.25, alignItems: 'center', py: 1.75 }}>
          <LadderMark size={30} filled={3} />
          <Box sx={{ lineHeight: 1.2 }}>
            <Typography variant="h1" sx={{ fontSize: 26 }}>
              {page.child.givenName}
            </Typography>
            <Box sx={{ fontSize: 14, color: palette.soft }}>{page.clubName}</Box>
          </Box>
        </Box>
        <Box role="status" aria-live="polite">
          {isAway && (
            <Notice>
              <Trans>No connection. What you see was kept here; what you do is sent later.</Trans>
            </Notice>
          )}
        </Box>
        {said !== null && (
          <Box role="alert">
            <Notice>{said}</Notice>
          </Box>
        )}
        <ClassesToCome page={page} tell={tell} />
        <HomeTask page={page} tell={tell} />
        <HomeLadders page={page} link={link} />
        <WordsAndBests page={page} />
        <AtHome page={page} tell={tell} />
        <Typography variant="body2" sx={{ mt: 4, color: palette.soft }}>
          <Trans>
            Usual cautions only: stop when it hurts. Your doctor’s advice comes first. This page is for your family alone – whoever has the
            link can open it; the club can give you a new one.
          </Trans>
        </Typography>
      </Box>
    </Box>
  );
}

function Notice({ children }: { readonly children: React.ReactNode }) {
  return <Box sx={{ backgroundColor: palette.cautionPaper, color: palette.caution, p: 1.25, mb: 1.5, borderRadius: 1 }}>{children}</Box>;
}

function Nothing({ words }: { readonly words: string }) {
  return (
    <Box component="main" sx={{ p: 3, maxWidth: 480 }}>
      <LadderMark size={30} filled={0} />
      <Typography variant="h1" sx={{ fontSize: 24, my: 1.5 }}>
        <Trans>This page is not there</Trans>
      </Typography>
      <Typography>{words}</Typography>
    </Box>
  );
}

export { HomePage as Page };
