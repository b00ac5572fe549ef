import { queryClient } from './query-client';

/**
 * Puts what the server is known to have where pages read it. An answer that is still on its way may be older and would take it
 * away again: it is asked for anew.
 */
export function putIn<Data>(queryKey: readonly string[], change: (known: Data) => Data): void {
  queryClient.setQueryData<Data>(queryKey, (known) => known && change(known));
  const query = queryClient.getQueryCache().find({ queryKey, exact: true });
  if (query?.state.fetchStatus !== 'fetching') return;
  const askAnew = (): void => void queryClient.invalidateQueries({ queryKey, exact: true });
  // the very first answer is not broken off
  if (query.state.data === undefined) void query.promise?.then(askAnew, askAnew);
  else askAnew();
}
