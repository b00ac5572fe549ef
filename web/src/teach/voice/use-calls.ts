import type { ClassPageResponse } from '@leiter/contract';
import { isThere } from '@leiter/contract/who-comes';
import {
  calledUtterances,
  callRound,
  callsAtStops,
  musicStops,
  type MusicStop,
  type Call,
  type CallList,
  type CallListKind,
  type CalledMoment,
  type CallRound,
  type CountLanguage,
  type Library,
  type TimedItem,
} from '@leiter/core';
import { useCallback, useMemo, useState } from 'react';
import { callsOfItem, classCallLists } from '../../shared/voice/class-calls';
import type { Aside } from './parts-now';
import { monotonicNow } from '../run/monotonic-clock';

/** Time to say what is coming, and for the words to come. */
const getReadyMilliseconds = 3000;

/** How a round on the spot goes; how long and by which chance is decided when it begins. */
export type RoundWanted = Pick<CallRound, 'every' | 'mostAtOnce' | 'gaps' | 'order'> & {
  readonly shown: 'word' | 'figure' | 'neither';
  /** Music plays, and something is called each time it stops. */
  readonly withMusic: boolean;
  /** The children call, one after the other: the screen says whose turn it is, and nothing is spoken. */
  readonly byChildren: boolean;
};

/** A list of the library, or words of one's own. */
export interface RoundList {
  readonly kind: CallListKind | 'own';
  readonly calls: readonly Call[];
}

/** A child calls for so long before the next one does. */
const turnSeconds = 15;

/** A round that goes on. */
export interface CallingNow {
  readonly list: RoundList;
  /** Who calls, at which moments, where children do. */
  readonly callers: readonly CalledMoment[] | null;
  readonly shown: RoundWanted['shown'];
  readonly aside: Aside;
  readonly moments: readonly CalledMoment[];
  /** When its music stops, in seconds of the round; null where there is none. */
  readonly stops: readonly MusicStop[] | null;
  /** In milliseconds of the page's clock. */
  readonly endsAt: number;
}

export interface Calling {
  readonly lists: readonly CallList[];
  readonly callsOf: (timed: TimedItem) => readonly Call[] | null;
  readonly now: CallingNow | null;
  readonly begin: (list: RoundList, wanted: RoundWanted, seconds: number) => void;
  readonly stop: () => void;
}

/** What can be called out in this class, and a round of it on the spot. */
export function useCalls(page: ClassPageResponse, library: Library, countLanguage: CountLanguage): Calling {
  const lists = useMemo(() => classCallLists(page, library, countLanguage), [page, library, countLanguage]);
  const [now, setNow] = useState<CallingNow | null>(null);
  return {
    lists,
    callsOf: useMemo(() => callsOfItem(lists), [lists]),
    now,
    begin: (list, { shown, withMusic, byChildren, ...wanted }, seconds) => {
      const startsAt = monotonicNow() + getReadyMilliseconds;
      const seed = Math.floor(startsAt);
      const stops = withMusic ? musicStops(seconds, seed) : null;
      const moments = stops ? callsAtStops(list.calls, stops, seed) : callRound(list.calls, { ...wanted, seconds, seed });
      const turns = {
        seconds,
        every: { first: turnSeconds, last: turnSeconds },
        mostAtOnce: 1,
        gaps: 'even',
        order: 'chance',
        seed,
      } as const;
      setNow({
        list,
        callers: byChildren ? callRound(childrenOf(page), turns) : null,
        shown,
        moments: byChildren ? [] : moments,
        stops,
        // a child's name is nothing for a voice that keeps its words
        aside: { utterances: byChildren ? [] : calledUtterances(moments, seconds), startsAt },
        endsAt: startsAt + seconds * 1000,
      });
    },
    stop: useCallback(() => {
      setNow(null);
    }, []),
  };
}

/** The children who may be there, each as something that is called. */
function childrenOf({ children }: ClassPageResponse): readonly Call[] {
  return children.filter(isThere).map(({ name }) => ({ text: name, language: 'en', movement: null, from: null, to: null }));
}

/** Who calls now; null where nobody does. */
export function callerAt({ callers, aside }: Pick<CallingNow, 'callers' | 'aside'>, now: number): string | null {
  return callers?.findLast(({ at }) => aside.startsAt + at * 1000 <= now)?.calls[0]?.text ?? null;
}

/** What was called last; null before the first call. */
export function calledAt({ moments, aside }: Pick<CallingNow, 'moments' | 'aside'>, now: number): CalledMoment | null {
  return moments.findLast(({ at }) => aside.startsAt + at * 1000 <= now) ?? null;
}
