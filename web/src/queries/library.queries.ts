import { t } from '@lingui/core/macro';
import type { LibraryImportResponse, MovementResponse } from '@leiter/contract';
import { libraryOf, libraryWithRows, type Movement, type Unsaid, type WrittenPhrase } from '@leiter/core';
import type { ImportTold } from '../shared/import-dialog';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api } from '../shared/api';
import { queryClient } from '../shared/query-client';

/** Every movement the club can teach, those put away as well: plans and marks may speak of them. */
export function useMovements() {
  return useQuery({ queryKey: ['library'], queryFn: () => api<readonly MovementResponse[]>('GET', 'library'), staleTime: 5 * 60_000 });
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

/**
 * Keeps the steps of a movement, or takes them away, and leaves what else the server has of it by now.
 * @param isOn whether the steps that the server has are those on which these were written
 * @returns false where they are not: then nothing is saved, and the others are shown
 */
export async function savePhrase(
  slug: string,
  phrase: WrittenPhrase | null,
  isOn: (before: WrittenPhrase | undefined) => boolean,
): Promise<boolean> {
  const { phrase: before, ...entry } = entryOf(await api<MovementResponse>('GET', `library/${slug}`));
  const isGood = isOn(before);
  if (isGood) await saveMovement(phrase ? { ...entry, phrase } : entry);
  else await queryClient.invalidateQueries({ queryKey: ['library'] });
  return isGood;
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
