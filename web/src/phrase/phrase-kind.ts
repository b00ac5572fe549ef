import { t } from '@lingui/core/macro';
import type { PhraseResponse } from '@leiter/contract';
import { readPhrase, type WrittenPhrase } from '@leiter/core';
import { readPhraseOf, savePhraseOf } from '../queries/library.queries';
import { ApiError } from '../shared/api';
import type { DocumentKind, StoredDocument } from '../shared/document-session/document-kind';

/** What one begins with. */
export const blankPhrase: WrittenPhrase = {
  beats: 8,
  learnBpm: 84,
  bpm: 100,
  countIn: 8,
  startWeight: 'both',
  startFacing: 1,
  endsAtStart: false,
  text: '',
};

export const isEmptyPhrase = ({ text }: WrittenPhrase): boolean => text.trim() === '';

export const phraseDocument = ({ version, phrase, savedBy }: PhraseResponse): StoredDocument<WrittenPhrase> => ({
  version,
  content: phrase ?? blankPhrase,
  savedBy,
});

/** The steps of a movement as a document; its id is the slug of the movement. */
export const phraseKind: DocumentKind<WrittenPhrase> = {
  name: 'phrase',
  open: (kept) => {
    const fields = (kept ?? {}) as Readonly<Record<string, unknown>>; // looked at field by field
    const isPhrase = Object.entries(blankPhrase).every(([field, value]) => typeof fields[field] === typeof value);
    return isPhrase ? (kept as WrittenPhrase) : null;
  },
  write: (written) => written,
  save: async (slug, version, written) => {
    // in the middle of a word nobody else is shown it; it stays in the browser meanwhile
    if (!isEmptyPhrase(written) && !readPhrase(written).ok) {
      const detail = t`kept in this browser until every line can be read`;
      throw new ApiError(422, { type: 'about:blank', title: detail, status: 422, detail });
    }
    return phraseDocument(await savePhraseOf(slug, version, isEmptyPhrase(written) ? null : written));
  },
  read: async (slug) => phraseDocument(await readPhraseOf(slug)),
  currentIn: (problem) => {
    // a 409 of this route carries the steps that are stored
    const { current = null } = (problem ?? {}) as { readonly current?: PhraseResponse | null };
    return current && phraseDocument(current);
  },
};
