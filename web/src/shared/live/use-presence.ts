import type { Presence } from '@leiter/contract';
import { useEffect, useRef, useState } from 'react';
import { api } from '../api';
import { onLiveEvent } from './live-events';

const saidAgainMilliseconds = 15_000;
const saidAfterMilliseconds = 150;

/**
 * Says that a class is open in this tab and on which item, and tells who else has it open.
 * @returns the others; a person with two tabs is there twice
 */
export function usePresence(classId: string, itemId: string | null): readonly Presence[] {
  const [tab] = useState(() => crypto.randomUUID());
  const [here, setHere] = useState<readonly Presence[]>([]);
  const item = useRef(itemId);
  useEffect(() => {
    const say = (isHere: boolean): Promise<readonly Presence[]> =>
      api<readonly Presence[]>(
        'PUT',
        `classes/${classId}/presence`,
        { tab, itemId: isHere ? item.current : null, isHere },
        { isLast: !isHere },
      );
    const again = (): void => {
      // who is here is said again in a moment
      void say(true).then(setHere, () => undefined);
    };
    again();
    const timer = setInterval(again, saidAgainMilliseconds);
    const stop = onLiveEvent((event) => {
      if (event.topic === 'presence' && event.classId === classId) setHere(event.here);
    });
    // a tab that is closed takes nothing down
    const leave = (): void => void say(false).catch(() => undefined);
    addEventListener('pagehide', leave);
    addEventListener('pageshow', again);
    return () => {
      removeEventListener('pagehide', leave);
      removeEventListener('pageshow', again);
      clearInterval(timer);
      stop();
      leave();
    };
  }, [classId, tab]);
  useEffect(() => {
    item.current = itemId;
    const timer = setTimeout(() => {
      void api<readonly Presence[]>('PUT', `classes/${classId}/presence`, { tab, itemId, isHere: true }).catch(() => undefined);
    }, saidAfterMilliseconds);
    return () => {
      clearTimeout(timer);
    };
  }, [classId, itemId, tab]);
  return here.filter((one) => one.tab !== tab);
}
