import type { SavedSyllabusResponse, SyllabusImportResponse, SyllabusResponse } from '@leiter/contract';
import type { LadderVersion } from '@leiter/core';
import { useQuery } from '@tanstack/react-query';
import { api } from '../shared/api';
import { queryClient } from '../shared/query-client';
import { writtenDraft } from './ladder-draft';

export function useSyllabuses() {
  return useQuery({ queryKey: ['syllabuses'], queryFn: () => api<readonly SyllabusResponse[]>('GET', 'syllabuses'), staleTime: 60_000 });
}

/** Stores a ladder as the version after the one that was changed. */
export async function saveSyllabus({ programme, version }: SyllabusResponse, ladder: LadderVersion): Promise<SavedSyllabusResponse> {
  const saved = await api<SavedSyllabusResponse>('PUT', `syllabuses/${programme}`, { version, grades: writtenDraft(ladder) });
  await queryClient.invalidateQueries();
  return saved;
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
