import { startTransition, useEffect, useState } from 'react';

const pauseMilliseconds = 60;

/** False for the first picture of a page, true a moment later: what is out of sight at first is drawn then. */
export function useIsSettled(): boolean {
  const [isSettled, setIsSettled] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => {
      startTransition(() => {
        setIsSettled(true);
      });
    }, pauseMilliseconds);
    return () => {
      clearTimeout(timer);
    };
  }, []);
  return isSettled;
}
