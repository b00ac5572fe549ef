import { useEffect, useRef } from 'react';

/** Keys pressed anywhere on the page, wherever the focus is: what looks chosen is what they are for. */
export function useWindowKeys(onKey: (event: KeyboardEvent) => void): void {
  const latest = useRef(onKey);
  useEffect(() => {
    latest.current = onKey;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      latest.current(event);
    };
    window.addEventListener('keydown', listen);
    return () => {
      window.removeEventListener('keydown', listen);
    };
  }, []);
}
