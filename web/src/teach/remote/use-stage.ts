import type { PressRequest, StageRequest } from '@leiter/contract';
import { useEffect, useRef, useState } from 'react';
import { api } from '../../shared/api';
import { onLiveEvent } from '../../shared/live/live-events';

const quietMilliseconds = 60;
/** Said again so often, so that who stands beside it knows that it is still there. */
const againMilliseconds = 20_000;
/** So many presses are remembered as done. */
const mostDone = 40;

export type StageShown = Omit<StageRequest, 'tab' | 'done'>;

/**
 * Tells those beside it what this device shows, and does what they press: each press once.
 * @param shown null while no class is taught here
 */
export function useStage(classId: string, shown: StageShown | null, onPress: (press: PressRequest) => void): void {
  const [tab] = useState(() => crypto.randomUUID());
  const [done, setDone] = useState<readonly string[]>([]);
  // the time that is left is told with the rest: who is told counts on
  const key = shown && JSON.stringify({ ...shown, remainingSeconds: 0, done });
  const latest = useRef({ shown, done, onPress });
  useEffect(() => {
    latest.current = { shown, done, onPress };
  });
  useEffect(() => {
    if (key === null) return;
    const say = (): void => {
      const now = latest.current;
      if (!now.shown) return;
      const body: StageRequest = { ...now.shown, tab, done: [...now.done] };
      // without an answer it is said again with the next change
      void api<undefined>('PUT', `classes/${classId}/stage`, body).catch(() => undefined);
    };
    const soon = setTimeout(say, quietMilliseconds);
    const again = setInterval(say, againMilliseconds);
    return () => {
      clearTimeout(soon);
      clearInterval(again);
    };
  }, [classId, key, tab]);
  useEffect(
    () =>
      onLiveEvent((event) => {
        if (event.topic !== 'press' || event.classId !== classId || event.tab !== tab) return;
        const { id } = event;
        if (latest.current.done.includes(id)) return;
        const next = [...latest.current.done, id].slice(-mostDone);
        latest.current = { ...latest.current, done: next };
        setDone(next);
        latest.current.onPress(event);
      }),
    [classId, tab],
  );
}
