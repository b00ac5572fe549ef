import { accepted, refused, type Result } from './result.js';

/** Why a document that was stored, sent or kept cannot be read. */
export type DocumentFault =
  /** A later Leiter wrote it. */
  | { readonly kind: 'newer'; readonly v: number }
  /** It is not what it should be. */
  | { readonly kind: 'unreadable' };

export type Fields = Readonly<Record<string, unknown>>;

/** What makes a document of one version into the next. */
export type Upgrade = (older: Fields) => Fields;

export const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Opens a document `{ v, … }` of any version that was ever written; before documents had one it was 0.
 * @param upgrades from version 0 to 1, from 1 to 2, …; as many as there were versions before today's
 * @param fits whether the content is what it should be, after the upgrades
 * @returns the content without its version. Never throws.
 */
export function openDocument<Content>(
  kept: unknown,
  upgrades: readonly Upgrade[],
  fits: (content: Fields) => boolean,
): Result<Content, DocumentFault> {
  if (!isFields(kept)) return refused({ kind: 'unreadable' });
  const { v = 0, ...content } = kept;
  if (typeof v !== 'number' || !Number.isInteger(v) || v < 0) return refused({ kind: 'unreadable' });
  if (v > upgrades.length) return refused({ kind: 'newer', v });
  const today = upgrades.slice(v).reduce<Fields>((older, upgrade) => upgrade(older), content);
  return fits(today) ? accepted(today as Content) : refused({ kind: 'unreadable' }); // looked at just now
}

/** A document as it is stored and sent. */
export function writeDocument<Content extends object>(content: Content, upgrades: readonly Upgrade[]): Content & { readonly v: number } {
  return { v: upgrades.length, ...content };
}

/** Why it cannot be read, as a person is told it. */
export function documentFaultWords(what: string, fault: DocumentFault): string {
  switch (fault.kind) {
    case 'newer':
      return `The ${what} was written by a newer Leiter. Load the page again; if that does not help, Leiter has to be brought up to date.`;
    case 'unreadable':
      return `The ${what} cannot be read. Nothing of it was changed; tell the person who runs Leiter.`;
  }
}
