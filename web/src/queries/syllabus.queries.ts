import type { SyllabusImportResponse, SyllabusResponse } from '@leiter/contract';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import { api } from '../shared/api';
import { queryClient } from '../shared/query-client';

export const syllabusesQuery = queryOptions({
  queryKey: ['syllabuses'],
  queryFn: () => api<readonly SyllabusResponse[]>('GET', 'syllabuses'),
  staleTime: 60_000,
});

export const useSyllabuses = () => useQuery(syllabusesQuery);

/** A slug as words, for a programme without a ladder that could name it: `martial-arts` is Martial arts. */
const spelledOut = (slug: string): string => slug.charAt(0).toUpperCase() + slug.slice(1).replaceAll('-', ' ');

/** What the club calls a programme, by its slug. */
export function useProgrammeName(): (slug: string) => string {
  const { data } = useSyllabuses();
  return useCallback((slug) => data?.find(({ programme }) => programme === slug)?.programmeName ?? spelledOut(slug), [data]);
}

/** A file that was read: a syllabus file, or a table for one programme. */
export type SyllabusInput =
  { readonly kind: 'file'; readonly file: unknown } | { readonly kind: 'table'; readonly programme: string; readonly text: string };

function send(input: SyllabusInput, query: string): Promise<SyllabusImportResponse> {
  return input.kind === 'file'
    ? api<SyllabusImportResponse>('POST', `syllabuses/import${query}`, input.file)
    : api<SyllabusImportResponse>('POST', `syllabuses/${input.programme}/table${query}`, { text: input.text });
}

/** What taking in a file would do; nothing is stored. */
export const lookAtSyllabus = (input: SyllabusInput): Promise<SyllabusImportResponse> => send(input, '?dryRun=true');

export async function takeInSyllabus(input: SyllabusInput): Promise<SyllabusImportResponse> {
  const taken = await send(input, '');
  await queryClient.invalidateQueries();
  return taken;
}

export async function undoSyllabusImport(id: string): Promise<void> {
  await api<undefined>('DELETE', `syllabuses/imports/${id}`);
  await queryClient.invalidateQueries();
}
