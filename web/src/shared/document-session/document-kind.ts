import type { Problem } from '@leiter/contract';

/** A document as the server has it. */
export interface StoredDocument<Content> {
  readonly version: number;
  readonly content: Content;
  readonly savedBy: string | null;
}

/** What there is to know of a kind of document, so that it can be written, kept, saved and settled like any other. */
export interface DocumentKind<Content> {
  /** Part of the names under which the browser keeps it; stays for ever. */
  readonly name: 'plan' | 'ladder' | 'phrase';
  /** Opens what the browser kept, whichever version of Leiter wrote it; null for what cannot be read. */
  readonly open: (kept: unknown) => Content | null;
  readonly write: (content: Content) => object;
  /** Saves on top of a version. @throws ApiError, 409 where there is another version by now */
  readonly save: (id: string, version: number, content: Content) => Promise<StoredDocument<Content>>;
  /** What the server has now; null where it has none. */
  readonly read: (id: string) => Promise<StoredDocument<Content> | null>;
  /** What the server has, from the problem of a save that came too late; null where it has none any more. */
  readonly currentIn: (problem: Problem | null) => StoredDocument<Content> | null;
}
