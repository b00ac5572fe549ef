import { libraryOf, type Movement } from '@leiter/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api } from '../shared/api';

/** Every movement the club can teach. */
export function useMovements() {
  return useQuery({ queryKey: ['library'], queryFn: () => api<readonly Movement[]>('GET', 'library'), staleTime: 5 * 60_000 });
}

/** The movements by slug; empty until they have come. */
export function useLibrary() {
  const { data } = useMovements();
  return useMemo(() => libraryOf(data ?? []), [data]);
}
