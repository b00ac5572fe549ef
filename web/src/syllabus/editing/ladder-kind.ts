import type { SavedSyllabusResponse, SyllabusResponse } from '@leiter/contract';
import { isFields, openDocument, type LadderVersion } from '@leiter/core';
import { api } from '../../shared/api';
import type { DocumentKind, StoredDocument } from '../../shared/document-session/document-kind';
import { queryClient } from '../../shared/query-client';
import { ladderOf, writtenDraft } from './ladder-draft';

const isGrade = (value: unknown): boolean => isFields(value) && typeof value['slug'] === 'string' && Array.isArray(value['requirements']);

export const ladderDocument = (syllabus: SyllabusResponse): StoredDocument<LadderVersion> => ({
  version: syllabus.version,
  content: ladderOf(syllabus),
  savedBy: null,
});

/** The ladder of a programme as a document; its id is the slug of the programme. */
export const ladderKind: DocumentKind<LadderVersion> = {
  name: 'ladder',
  open: (kept) => {
    // drafts of ladders were never kept before they had a version
    const opened = openDocument<LadderVersion>(kept, [(older) => older], ({ grades }) => Array.isArray(grades) && grades.every(isGrade));
    return opened.ok ? opened.value : null;
  },
  write: (ladder) => ({ v: 1, ...ladder }),
  save: async (programme, version, ladder) => ladderDocument((await saveSyllabus({ programme, version }, ladder)).syllabus),
  read: async (programme) => {
    const all = await api<readonly SyllabusResponse[]>('GET', 'syllabuses');
    const found = all.find((one) => one.programme === programme);
    return found ? ladderDocument(found) : null;
  },
  currentIn: (problem) => {
    // a 409 of this route carries the ladder that is stored
    const { current = null } = (problem ?? {}) as { readonly current?: SyllabusResponse | null };
    return current && ladderDocument(current);
  },
};

/** Stores a ladder as the version after the one that was changed. */
async function saveSyllabus(
  { programme, version }: Pick<SyllabusResponse, 'programme' | 'version'>,
  ladder: LadderVersion,
): Promise<SavedSyllabusResponse> {
  const saved = await api<SavedSyllabusResponse>('PUT', `syllabuses/${programme}`, { version, grades: writtenDraft(ladder) });
  queryClient.setQueryData(['saved-ladder', programme], saved);
  await queryClient.invalidateQueries();
  return saved;
}
