import { useQuery } from '@tanstack/react-query';
import type { DocumentKind } from './document-kind';
import { historyOf } from './kept-history';

/** What the browser kept of earlier steps; read once when the page opens. A browser that keeps nothing has none. */
export function useKeptHistory<Content>(kind: DocumentKind<Content>, id: string) {
  return useQuery({
    queryKey: [`${kind.name}-history`, id],
    queryFn: () => historyOf(kind, id, new Date()).catch(() => null),
    networkMode: 'always',
    gcTime: 0,
    staleTime: Infinity,
  });
}
