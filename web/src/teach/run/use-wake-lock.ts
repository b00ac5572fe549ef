import { useEffect } from 'react';

/** Keeps the screen awake while a class runs, where the browser can. */
export function useWakeLock(isWanted: boolean): void {
  useEffect(() => {
    if (!isWanted || !('wakeLock' in navigator)) return;
    const request = navigator.wakeLock.request('screen').catch(() => null);
    return () => {
      void request.then((lock) => lock?.release());
    };
  }, [isWanted]);
}
