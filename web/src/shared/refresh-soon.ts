import { hashKey } from '@tanstack/react-query';
import { queryClient } from './query-client';

const waiting = new Map<string, ReturnType<typeof setTimeout>>();
const pauseMilliseconds = 800;

/** Has something read anew, a moment later and once, however often it is asked: thirty marks in a minute are not thirty boards. */
export function refreshSoon(queryKey: readonly string[]): void {
  const hash = hashKey(queryKey);
  if (waiting.has(hash)) return;
  waiting.set(
    hash,
    setTimeout(() => {
      waiting.delete(hash);
      void queryClient.invalidateQueries({ queryKey });
    }, pauseMilliseconds),
  );
}
