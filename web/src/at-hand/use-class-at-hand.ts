import type { ClassPageResponse } from '@leiter/contract';
import { clipsWanted, usualVoice, utterancesOf, type Library, type TimedItem } from '@leiter/core';
import { useEffect, useMemo, useState } from 'react';
import { useSession } from '../queries/session.queries';
import { keepAnswers } from '../shared/kept-answers';
import { callsOfItem, classCallLists } from '../shared/voice/class-calls';
import { loadClips } from '../shared/voice/load-clips';
import { atHand } from './register';

/** A plan that is being written is looked at when it rests. */
const restMilliseconds = 3000;

/** `all`: the class can be taught from here without a connection; `not-here`: this browser keeps nothing; `some`: on its way, or words are missing. */
export type AtHand = 'some' | 'all' | 'not-here';

/** Keeps all that a class needs: its page, its group’s board, the library and each word that is said. */
export function useClassAtHand(page: ClassPageResponse, items: readonly TimedItem[], library: Library): AtHand {
  const settings = useSession().data?.voice ?? usualVoice;
  const [state, setState] = useState<AtHand>('some');
  const lists = useMemo(() => classCallLists(page, library, settings.countLanguage), [page, library, settings.countLanguage]);
  const { id, groupId } = page.class;
  useEffect(() => {
    const stop = new AbortController();
    const keep = async (): Promise<void> => {
      if (!(await atHand())) {
        setState('not-here');
        return;
      }
      const answers = await keepAnswers([
        'session',
        'today',
        'library',
        'syllabuses',
        `classes/${id}`,
        `classes/${id}/taught`,
        `groups/${groupId}/board`,
      ]);
      const wanted = clipsWanted(utterancesOf(items, settings, callsOfItem(lists)));
      const { missing } = await loadClips(
        wanted,
        () => Promise.resolve(true),
        () => undefined,
        () => undefined,
        stop.signal,
      );
      if (!stop.signal.aborted) setState(answers && missing === 0 ? 'all' : 'some');
    };
    const timer = setTimeout(() => void keep(), restMilliseconds);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [id, groupId, items, settings, lists]);
  return state;
}
