import type { LibraryImportResponse, MovementResponse } from '@leiter/contract';
import { libraryOf, type Movement } from '@leiter/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api } from '../shared/api';
import { queryClient } from '../shared/query-client';

/** Every movement the club can teach, those put away as well: plans and marks may speak of them. */
export function useMovements() {
  return useQuery({ queryKey: ['library'], queryFn: () => api<readonly MovementResponse[]>('GET', 'library'), staleTime: 5 * 60_000 });
}

/** The movements by slug; empty until they have come. */
export function useLibrary() {
  const { data } = useMovements();
  return useMemo(() => libraryOf(data ?? []), [data]);
}

/** What taking in a file would do; nothing is stored. */
export function lookAtImport(file: unknown): Promise<LibraryImportResponse> {
  return api<LibraryImportResponse>('POST', 'library/import?dryRun=true', file);
}

export async function takeIn(file: unknown): Promise<LibraryImportResponse> {
  const taken = await api<LibraryImportResponse>('POST', 'library/import', file);
  await queryClient.invalidateQueries({ queryKey: ['library'] });
  return taken;
}

export async function undoImport(id: string): Promise<void> {
  await api<undefined>('DELETE', `library/imports/${id}`);
  await queryClient.invalidateQueries({ queryKey: ['library'] });
}

export async function saveMovement(movement: Movement): Promise<void> {
  await api<MovementResponse>('PUT', `library/${movement.slug}`, { movement });
  await queryClient.invalidateQueries({ queryKey: ['library'] });
}

export async function putMovementAway(slug: string, isPutAway: boolean): Promise<void> {
  await api<MovementResponse>('PATCH', `library/${slug}`, { isPutAway });
  await queryClient.invalidateQueries({ queryKey: ['library'] });
}
