import { useCallback, useEffect, useRef, useState } from 'react';
import { useStore } from 'zustand';
import { ApiError } from '../api';
import { useConnection } from '../connection';
import type { DocumentKind, StoredDocument } from './document-kind';
import { makeDocumentStore, type DocumentStore } from './document-store';
import { forgetDraft, keepDraft, keptDraft } from './kept-draft';
import { historyOn, keepHistory, type KeptHistory } from './kept-history';

export type SaveState<Content> =
  | { readonly kind: 'saved'; readonly content: Content | null }
  | { readonly kind: 'unsaved' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'refused'; readonly why: string; readonly errors: readonly string[] }
  /** Somebody saved meanwhile; null where what was there is gone. */
  | { readonly kind: 'conflict'; readonly current: StoredDocument<Content> | null };

export interface DocumentSession<Content> {
  readonly store: DocumentStore<Content>;
  readonly content: Content;
  readonly state: SaveState<Content>;
  /** Saves now; where it saves itself nobody has to. @returns whether it is stored */
  readonly save: () => Promise<boolean>;
  /** Settles a conflict: what is chosen becomes the newest. */
  readonly settle: (chosen: Content, current: StoredDocument<Content> | null) => void;
  /** Like `settle`, but nothing is saved: what is chosen goes on as a draft on what is stored now. */
  readonly rebase: (chosen: Content, current: StoredDocument<Content>) => void;
  /** Whether somebody else's version is newer, and nothing of one's own is on its way: then theirs can simply be shown. */
  readonly isNews: (version: number) => boolean;
  /** Goes on from what somebody else saved. @returns false when something of one's own came in between. */
  readonly goOnFrom: (stored: StoredDocument<Content>) => boolean;
  /** Drops what was not saved and goes on from what the server had. */
  readonly drop: () => void;
}

interface Settings<Content> {
  readonly kind: DocumentKind<Content>;
  readonly id: string;
  /** What is written on, where the browser has no draft: what is stored, or something new. */
  readonly initial: Content;
  readonly stored: StoredDocument<Content> | null;
  /** What the browser kept of earlier steps; left out, undo reaches back to where the page was opened. */
  readonly history?: KeptHistory<Content> | null;
  /** Saves by itself a moment after each change, or when it is told to. */
  readonly saves: 'by-itself' | 'when-told';
}

/** Long enough for the next key, short enough that somebody else sees it within a second. */
const pauseMilliseconds = 300;

/**
 * A document being written: undo, a draft in the browser until it has arrived, and saving that never writes over somebody else.
 * Two saves never run at once; a save on an old version ends in `conflict` with both at hand. The id stays the same for as long
 * as the part is there: a page of another document is another part (`key`).
 */
export function useDocumentSession<Content>({
  kind,
  id,
  initial,
  stored,
  history = null,
  saves,
}: Settings<Content>): DocumentSession<Content> {
  const [begun] = useState(() => {
    const draft = keptDraft(kind, id);
    const content = draft?.content ?? initial;
    return { version: draft?.version ?? stored?.version ?? 0, content, store: makeDocumentStore(content, historyOn(content, history)) };
  });
  const { store } = begun;
  const content = useStore(store, (state) => state.content);
  const version = useRef(begun.version);
  const arrived = useRef<Content | null>(stored?.content ?? null);
  const running = useRef<Promise<boolean> | null>(null);
  const [state, setState] = useState<SaveState<Content>>({ kind: 'saved', content: stored?.content ?? null });
  useEffect(() => keepHistory(kind, id, store, () => new Date()), [kind, id, store]);

  const send = useCallback(async (): Promise<boolean> => {
    try {
      for (let sent = store.getState().content; sent !== arrived.current; sent = store.getState().content) {
        setState({ kind: 'saving' });
        const answer = await kind.save(id, version.current, sent);
        version.current = answer.version;
        arrived.current = sent;
        setState({ kind: 'saved', content: sent });
        if (saves === 'when-told') break;
      }
      if (store.getState().content === arrived.current) forgetDraft(kind, id);
      return true;
    } catch (error) {
      setState(stateAfter(kind, error));
      return false;
    }
  }, [id, kind, saves, store]);

  const save = useCallback((): Promise<boolean> => {
    running.current ??= send().finally(() => {
      running.current = null;
    });
    return running.current;
  }, [send]);

  useEffect(() => {
    if (content === arrived.current || state.kind === 'conflict') return;
    keepDraft(kind, id, { version: version.current, content });
    if (saves === 'when-told') return;
    const timer = setTimeout(() => void save(), pauseMilliseconds);
    return () => {
      clearTimeout(timer);
    };
  }, [content, id, kind, save, saves, state.kind]);

  useEffect(
    () =>
      useConnection.subscribe((connection) => {
        if (saves === 'by-itself' && connection.state === 'there' && store.getState().content !== arrived.current) void save();
      }),
    [save, saves, store],
  );

  useEffect(() => {
    const isOpen = (): boolean => store.getState().content !== arrived.current;
    const ask = (event: BeforeUnloadEvent): void => {
      if (isOpen()) event.preventDefault();
    };
    window.addEventListener('beforeunload', ask);
    return () => {
      window.removeEventListener('beforeunload', ask);
      // leaving the page within the app: what is not saved yet is sent now; what waits to be told stays as a draft
      if (saves === 'by-itself' && isOpen()) void save();
    };
  }, [save, saves, store]);

  const settle = useCallback(
    (chosen: Content, current: StoredDocument<Content> | null): void => {
      version.current = current?.version ?? 0;
      arrived.current = chosen === current?.content ? chosen : null;
      store.setState({ content: chosen });
      setState({ kind: 'saved', content: arrived.current });
      if (arrived.current === null) void save();
      else forgetDraft(kind, id);
    },
    [id, kind, save, store],
  );

  const rebase = useCallback(
    (chosen: Content, current: StoredDocument<Content>): void => {
      version.current = current.version;
      arrived.current = current.content;
      store.setState({ content: chosen });
      setState({ kind: 'saved', content: current.content });
      if (chosen === current.content) forgetDraft(kind, id);
      else keepDraft(kind, id, { version: current.version, content: chosen });
    },
    [id, kind, store],
  );

  const isNews = useCallback(
    (saved: number): boolean => saved > version.current && store.getState().content === arrived.current && running.current === null,
    [store],
  );

  const goOnFrom = useCallback(
    (newest: StoredDocument<Content>): boolean => {
      if (!isNews(newest.version)) return false;
      version.current = newest.version;
      arrived.current = newest.content;
      store.setState({ content: newest.content });
      setState({ kind: 'saved', content: newest.content });
      return true;
    },
    [isNews, store],
  );

  const drop = useCallback((): void => {
    forgetDraft(kind, id);
    if (!stored) return;
    version.current = stored.version;
    arrived.current = stored.content;
    store.setState({ content: stored.content });
    setState({ kind: 'saved', content: stored.content });
  }, [id, kind, store, stored]);

  // a change that waits for its moment is not saved yet, and nothing says that it is
  const waits = saves === 'by-itself' ? ({ kind: 'saving' } as const) : ({ kind: 'unsaved' } as const);
  const shown: SaveState<Content> = state.kind === 'saved' && state.content !== content ? waits : state;
  return { store, content, state: shown, save, settle, rebase, isNews, goOnFrom, drop };
}

function stateAfter<Content>(kind: DocumentKind<Content>, error: unknown): SaveState<Content> {
  if (!(error instanceof ApiError)) throw error;
  if (error.isAway) return { kind: 'waiting' };
  if (error.status === 409) return { kind: 'conflict', current: kind.currentIn(error.problem) };
  const errors = error.problem?.errors ?? [];
  return {
    kind: 'refused',
    why: error.problem?.detail ?? errors[0]?.message ?? error.message,
    errors: errors.map(({ field, message }) => `${field}: ${message}`),
  };
}
