import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import type { HomePageResponse } from '@leiter/contract';
import { useCallback, useEffect, useState } from 'react';
import { FigureAge } from '../shared/figure-age';
import { familyLanguages, languageNames } from '../shared/family/languages';
import { LadderMark } from '../shared/ladder-mark';
import { i18n } from '../shared/texts';
import { freshPage, HomeRefused, keptPage, sendWaiting, tellHome, type Tell } from './home-client';
import { keepLanguage } from './home-language';
import { linkHere } from './home-link';
import { keepHere } from './keep-here';
import { AtHome } from './parts/at-home';
import { Clips } from './parts/clips';
import { ClassesToCome } from './parts/classes-to-come';
import { HomeLadders } from './parts/home-ladders';
import { HomeTask } from './parts/home-task';
import { Phrases } from './parts/phrases';
import { WhoLooked } from './parts/who-looked';
import { WordsAndBests } from './parts/words-and-bests';

const againMilliseconds = 8000;

/** The page of a family, on a phone: what comes, what is practised, how far the child is. The link is all it needs. */
export function HomePage() {
  const [link] = useState(linkHere);
  const [page, setPage] = useState<HomePageResponse | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [isAway, setAway] = useState(false);
  const [isOver, setOver] = useState(link === null);
  const read = useCallback(async () => {
    if (link === null) return;
    try {
      await sendWaiting(link);
      const fresh = await freshPage(link);
      // what the family told the club on another phone, or the club of it, holds here as well
      if (fresh.language !== null && keepLanguage(fresh.language)) {
        window.location.reload();
        return;
      }
      setPage(fresh);
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
    void keepHere();
    // what was kept is there at once, unless the answer was quicker
    void keptPage(link).then((kept) => {
      if (kept) setPage((now) => now ?? kept);
    });
    // the first time as any other, once this is drawn
    const first = setTimeout(() => void read(), 0);
    const again = (): void => {
      if (document.visibilityState === 'visible') void read();
    };
    window.addEventListener('online', again);
    document.addEventListener('visibilitychange', again);
    return () => {
      clearTimeout(first);
      window.removeEventListener('online', again);
      document.removeEventListener('visibilitychange', again);
    };
  }, [link, read]);
  // a phone does not always say that it is connected again
  useEffect(() => {
    if (!isAway || isOver) return;
    const timer = setInterval(() => void read(), againMilliseconds);
    return () => {
      clearInterval(timer);
    };
  }, [isAway, isOver, read]);
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
      <main role="status" className="soft">
        <p style={{ paddingTop: 24 }}>
          {isAway ? t`No connection. Open this page once with one; from then on it is here.` : t`One moment …`}
        </p>
      </main>
    );
  return (
    <FigureAge value={page.child.ageBand ?? '7-9'}>
      <main>
        <header>
          <LadderMark size={30} filled={3} />
          <div>
            <h1>{page.child.givenName}</h1>
            <div className="small soft">{page.clubName}</div>
          </div>
        </header>
        <div role="status" aria-live="polite">
          {isAway && (
            <div className="notice">
              <Trans>No connection. What you see was kept here; what you do is sent later.</Trans>
            </div>
          )}
        </div>
        {said !== null && (
          <div role="alert" className="notice">
            {said}
          </div>
        )}
        <ClassesToCome page={page} link={link} tell={tell} />
        <HomeTask page={page} tell={tell} />
        <Phrases page={page} />
        <HomeLadders page={page} link={link} />
        <Clips page={page} link={link} tell={tell} onSent={() => void read()} />
        <WordsAndBests page={page} />
        <AtHome page={page} tell={tell} />
        <WhoLooked page={page} />
        <Languages page={page} tell={tell} />
        <p className="small soft" style={{ marginTop: 32 }}>
          <Trans>
            Usual cautions only: stop when it hurts. Your doctor’s advice comes first. This page is for your family alone – whoever has the
            link can open it; the club can give you a new one.
          </Trans>
        </p>
      </main>
    </FigureAge>
  );
}

/** The page in another language; letters of the club come in it as well. */
function Languages({ page, tell }: { readonly page: HomePageResponse; readonly tell: Tell }) {
  return (
    <div className="on-screen line" style={{ marginTop: 24 }}>
      <span>
        <Trans>Language</Trans>
      </span>
      <div role="group" aria-label={t`Language`} className="rest choice">
        {familyLanguages.map((language) => (
          <button
            key={language}
            type="button"
            lang={language}
            aria-pressed={language === (page.language ?? i18n.locale)}
            onClick={() => {
              void tell({ method: 'PUT', path: 'home/language', body: { language } }, (now) => ({ ...now, language }));
            }}
          >
            {languageNames[language]}
          </button>
        ))}
      </div>
    </div>
  );
}

function Nothing({ words }: { readonly words: string }) {
  return (
    <main>
      <header>
        <LadderMark size={30} />
        <h1>
          <Trans>This page is not there</Trans>
        </h1>
      </header>
      <p>{words}</p>
    </main>
  );
}
