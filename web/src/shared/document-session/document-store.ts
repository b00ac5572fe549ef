import { temporal } from 'zundo';
import { createStore } from 'zustand';

/** What can be undone and done again from before, the oldest first. */
export interface History<Content> {
  readonly past: readonly Content[];
  readonly future: readonly Content[];
}

/** A document that is being written: every change can be undone and done again. */
export function makeDocumentStore<Content>(content: Content, history: History<Content> = { past: [], future: [] }) {
  const store = createStore<{ readonly content: Content }>()(
    temporal(() => ({ content }), { equality: (past, current) => past.content === current.content }),
  );
  const states = (all: readonly Content[]): { content: Content }[] => all.map((one) => ({ content: one }));
  store.temporal.setState({ pastStates: states(history.past), futureStates: states(history.future.toReversed()) });
  return store;
}

export type DocumentStore<Content> = ReturnType<typeof makeDocumentStore<Content>>;
