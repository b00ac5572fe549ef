import type { WrittenPhrase } from '@leiter/core';
import { useCallback, useRef } from 'react';
import { useStore } from 'zustand';
import type { DocumentStore } from '../shared/document-session/document-store';

/** What is typed without a pause as long as this is one step back. */
const burstMilliseconds = 1000;

export interface PhraseWriting {
  readonly change: (next: Partial<WrittenPhrase>) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

/** Changes steps so that undo goes back by what was typed at once, not letter by letter. */
export function useWriting(store: DocumentStore<WrittenPhrase>): PhraseWriting {
  const last = useRef({ at: -Infinity, fields: '' });
  const canUndo = useStore(store.temporal, ({ pastStates }) => pastStates.length > 0);
  const canRedo = useStore(store.temporal, ({ futureStates }) => futureStates.length > 0);
  const change = useCallback(
    (next: Partial<WrittenPhrase>) => {
      const fields = Object.keys(next).join(' ');
      const now = performance.now();
      const { pause, resume, futureStates } = store.temporal.getState();
      const isOfBurst = fields === last.current.fields && now - last.current.at < burstMilliseconds && futureStates.length === 0;
      last.current = { at: now, fields };
      if (isOfBurst) pause();
      store.setState(({ content }) => ({ content: { ...content, ...next } }));
      if (isOfBurst) resume();
    },
    [store],
  );
  const step = useCallback(
    (way: 'undo' | 'redo') => {
      last.current = { at: -Infinity, fields: '' };
      store.temporal.getState()[way]();
    },
    [store],
  );
  return {
    change,
    undo: useCallback(() => {
      step('undo');
    }, [step]),
    redo: useCallback(() => {
      step('redo');
    }, [step]),
    canUndo,
    canRedo,
  };
}
