import { useCallback, useLayoutEffect, useRef } from 'react';

/** The same function for as long as a part is there, doing what the newest one does: for parts that are not drawn anew. */
export function useStable<Args extends readonly unknown[]>(newest: (...args: Args) => void): (...args: Args) => void {
  const current = useRef(newest);
  useLayoutEffect(() => {
    current.current = newest;
  });
  return useCallback((...args: Args) => {
    current.current(...args);
  }, []);
}
