import type { ClassPageResponse } from '@leiter/contract';
import {
  calledUtterances,
  callRound,
  callsAtStops,
  musicStops,
  type MusicStop,
  type Call,
  type CallList,
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
};

/** A round that goes on. */
export interface CallingNow {
  readonly list: CallList;
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
  readonly begin: (list: CallList, wanted: RoundWanted, seconds: number) => void;
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
    begin: (list, { shown, withMusic, ...wanted }, seconds) => {
      const startsAt = monotonicNow() + getReadyMilliseconds;
      const seed = Math.floor(startsAt);
      const stops = withMusic ? musicStops(seconds, seed) : null;
      const moments = stops ? callsAtStops(list.calls, stops, seed) : callRound(list.calls, { ...wanted, seconds, seed });
      setNow({
        list,
        shown,
        moments,
        stops,
        aside: { utterances: calledUtterances(moments, seconds), startsAt },
        endsAt: startsAt + seconds * 1000,
      });
    },
    stop: useCallback(() => {
      setNow(null);
    }, []),
  };
}

/** What was called last; null before the first call. */
export function calledAt({ moments, aside }: Pick<CallingNow, 'moments' | 'aside'>, now: number): CalledMoment | null {
  return moments.findLast(({ at }) => aside.startsAt + at * 1000 <= now) ?? null;
}
