import { t } from '@lingui/core/macro';
import type { LibraryImportResponse, MovementResponse, PhraseResponse } from '@leiter/contract';
import { libraryOf, libraryWithRows, type Movement, type Unsaid, type WrittenPhrase } from '@leiter/core';
import type { ImportTold } from '../shared/import-dialog';
import { queryOptions, skipToken, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api, apiEntries } from '../shared/api';
import { painted } from '../shared/painted';
import { queryClient } from '../shared/query-client';

/** From so many on the first of them are worth showing before all have come. */
const manyEntries = 1000;
const frontLength = 120;
const frontKey = ['library front'];

const readLibrary = (): Promise<readonly MovementResponse[]> =>
  apiEntries('library', (some: readonly MovementResponse[], count) => {
    if (count < manyEntries || some.length < frontLength || queryClient.getQueryData(frontKey) !== undefined) return undefined;
    queryClient.setQueryData(frontKey, some.slice(0, frontLength));
    // the page is drawn before the rest is read
    return painted();
  });

export const libraryQuery = queryOptions({ queryKey: ['library'], queryFn: readLibrary, staleTime: 5 * 60_000 });

/** Every movement the club can teach, those put away as well: plans and marks may speak of them. */
export const useMovements = () => useQuery(libraryQuery);

/** The first entries by name of a library of thousands, for as long as the others are coming; undefined where they come at once. */
export function useLibraryFront(): readonly MovementResponse[] | undefined {
  return useQuery<readonly MovementResponse[]>({ queryKey: frontKey, queryFn: skipToken }).data;
}

/** The movements by slug, the club's own cue before those of the entry; empty until they have come. */
export function useLibrary() {
  const { data } = useMovements();
  return useMemo(
    () =>
      libraryWithRows(
        libraryOf((data ?? []).map((movement) => (movement.ownCue === null ? movement : { ...movement, cues: cuesOf(movement) }))),
      ),
    [data],
  );
}

/** What is said to the children, the club's own cue first. */
export function cuesOf({ ownCue, cues }: MovementResponse): readonly string[] {
  return ownCue === null ? cues : [ownCue, ...cues.filter((cue) => cue !== ownCue)];
}

/** What taking in a file would do; nothing is stored. */
export async function lookAtImport(file: unknown): Promise<ImportTold> {
  return told(await api<LibraryImportResponse>('POST', 'library/import?dryRun=true', file));
}

export async function takeIn(file: unknown): Promise<ImportTold> {
  const taken = await api<LibraryImportResponse>('POST', 'library/import', file);
  await queryClient.invalidateQueries({ queryKey: ['library'] });
  return told(taken);
}

const unsaidWords: Readonly<Record<Unsaid, string>> = {
  leastAge: t`from which age`,
  homeTask: t`whether it is for home`,
  'needs.surface': t`on which floors`,
  'needs.adult': t`whether an adult is there`,
  'tiers.easier.prerequisites': t`who may do the easier version`,
};

function told({ added, changed, same, filled, unsignable, importId }: LibraryImportResponse): ImportTold {
  return {
    summary: t`${added.length} added, ${changed.length} changed, ${same.length} the same already`,
    lines: [
      ...filled.map(
        ({ slug, fields }) =>
          t`${slug}: the file does not say ${fields.map((field) => unsaidWords[field]).join(', ')} – filled on the careful side`,
      ),
      ...unsignable.map(({ slug, why }) => t`${slug}, to look at: ${why}`),
      ...added.map((slug) => t`${slug}: added`),
      ...changed.map(({ slug, fields }) => t`${slug}: ${fields.join(', ')} changed`),
    ],
    importId,
  };
}

export async function undoImport(id: string): Promise<void> {
  await api<undefined>('DELETE', `library/imports/${id}`);
  await queryClient.invalidateQueries({ queryKey: ['library'] });
}

/** The entry alone, without what the club says beside it. */
export function entryOf({ isOwn: _own, isPutAway: _away, ownCue: _said, ...entry }: MovementResponse): Movement {
  return entry;
}

export async function saveMovement(movement: Movement): Promise<void> {
  await api<MovementResponse>('PUT', `library/${movement.slug}`, { movement });
  await queryClient.invalidateQueries({ queryKey: ['library'] });
}

/** The steps of a movement as they are stored. */
export const readPhraseOf = (slug: string): Promise<PhraseResponse> => api<PhraseResponse>('GET', `library/${slug}/phrase`);

/** Saves the steps of a movement on top of a version. @throws ApiError, 409 with `current` where there is another by now */
export async function savePhraseOf(slug: string, version: number, phrase: WrittenPhrase | null): Promise<PhraseResponse> {
  const saved = await api<PhraseResponse>('PUT', `library/${slug}/phrase`, { version, phrase });
  queryClient.setQueryData<readonly MovementResponse[]>(['library'], (all) =>
    all?.map((one) => {
      if (one.slug !== slug) return one;
      const { phrase: _before, ...rest } = one;
      return { ...rest, isOwn: true, ...(saved.phrase ? { phrase: saved.phrase } : {}) };
    }),
  );
  return saved;
}

export async function putMovementAway(slug: string, isPutAway: boolean): Promise<void> {
  await api<MovementResponse>('PATCH', `library/${slug}`, { isPutAway });
  await queryClient.invalidateQueries({ queryKey: ['library'] });
}

/** What the club says to the children on a movement, whoever wrote the entry; empty to say what the entry says. */
export async function sayOwnCue(slug: string, ownCue: string): Promise<void> {
  await api<MovementResponse>('PATCH', `library/${slug}`, { ownCue });
  await queryClient.invalidateQueries({ queryKey: ['library'] });
}
