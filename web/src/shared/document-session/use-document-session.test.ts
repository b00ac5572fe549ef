// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { anItem, aPlan } from '@leiter/core/testing';
import type { ClassPlan } from '@leiter/core';
import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { planKind, storedDocument } from '../../plan/editing/plan-kind';
import { answerWith, stored } from '../../testing/makers';
import { noteAnswer } from '../connection';
import { keptDraft, noteDraftOwner } from './kept-draft';
import { useDocumentSession } from './use-document-session';

const first = aPlan({ drills: [anItem('a')] });
const second = aPlan({ drills: [anItem('a'), anItem('b')] });
const third = aPlan({ drills: [anItem('c')] });

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  noteAnswer('there');
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const wait = (milliseconds: number) => act(() => vi.advanceTimersByTimeAsync(milliseconds));
const draftOf = (id: string) => keptDraft(planKind, id);
const sessionOf = (plan: ClassPlan, version = 3, saves: 'by-itself' | 'when-told' = 'by-itself') => {
  const document = storedDocument(stored(version, plan));
  const hook = renderHook(() => useDocumentSession({ kind: planKind, id: 'class', initial: plan, stored: document, saves }));
  const write = (content: ClassPlan): void => {
    act(() => {
      hook.result.current.store.setState({ content });
    });
  };
  return { result: hook.result, write };
};
const sentAs = (plan: ClassPlan) => ({ v: 1, ...plan });

describe('a plan saves itself', () => {
  it('a moment after the last of several changes, once, on the version it knows', async () => {
    const sent = answerWith(() => ({ status: 200, body: stored(4, third) }));
    const { write, result } = sessionOf(first);
    write(second);
    await wait(100);
    write(third);
    await wait(2000);
    expect(sent.map(({ method, body }) => ({ method, body }))).toEqual([{ method: 'PUT', body: { version: 3, plan: sentAs(third) } }]);
    expect(result.current.state.kind).toBe('saved');
    expect(draftOf('class')).toBeNull();
  });

  it('and keeps the draft in the browser until it has arrived', async () => {
    answerWith(() => 'no answer');
    const { write, result } = sessionOf(first);
    write(second);
    expect(draftOf('class')).toEqual({ version: 3, content: second });
    await wait(1000);
    expect(result.current.state.kind).toBe('waiting');
    expect(draftOf('class')).toEqual({ version: 3, content: second });
  });

  it('by itself as soon as the server answers again', async () => {
    let isAway = true;
    const sent = answerWith(() => (isAway ? 'no answer' : { status: 200, body: stored(4, second) }));
    const { write, result } = sessionOf(first);
    write(second);
    await wait(1000);
    isAway = false;
    noteAnswer('there');
    await wait(100);
    expect(result.current.state.kind).toBe('saved');
    expect(sent.at(-1)?.body).toEqual({ version: 3, plan: sentAs(second) });
  });

  it('never twice at once: a change during a save goes out after it, on the new version', async () => {
    let answerFirst = (): void => undefined;
    const sent = answerWith(async (_sent, nth) => {
      if (nth === 0)
        await new Promise<void>((resolve) => {
          answerFirst = resolve;
        });
      return { status: 200, body: stored(4 + nth, second) };
    });
    const { write } = sessionOf(first);
    write(second);
    await wait(1000);
    write(third);
    await wait(1000);
    expect(sent).toHaveLength(1);
    answerFirst();
    await wait(1000);
    expect(sent.map(({ body }) => body)).toEqual([
      { version: 3, plan: sentAs(second) },
      { version: 4, plan: sentAs(third) },
    ]);
  });

  it('and stops at a save of somebody else, with both plans at hand', async () => {
    const theirs = stored(7, third);
    const sent = answerWith((_sent, nth) =>
      nth === 0 ? { status: 409, body: { status: 409, current: theirs, yours: second } } : { status: 200, body: stored(8, second) },
    );
    const { write, result } = sessionOf(first);
    write(second);
    await wait(1000);
    expect(result.current.state).toEqual({ kind: 'conflict', current: storedDocument(theirs) });
    act(() => {
      result.current.settle(second, storedDocument(theirs));
    });
    await wait(1000);
    expect(sent.at(-1)?.body).toEqual({ version: 7, plan: sentAs(second) });
    expect(result.current.state.kind).toBe('saved');
  });

  it('and says why when the server does not take it', async () => {
    answerWith(() => ({ status: 422, body: { status: 422, errors: [{ field: 'plan', message: 'There is no movement “x”.' }] } }));
    const { write, result } = sessionOf(first);
    write(second);
    await wait(1000);
    expect(result.current.state).toMatchObject({ kind: 'refused', why: 'There is no movement “x”.' });
    expect(draftOf('class')?.content).toEqual(second);
  });

  it('after a reload on the version the draft was made on, so that a save in between is not overwritten', async () => {
    localStorage.setItem('leiter-plan-class', JSON.stringify({ version: 2, plan: second }));
    const sent = answerWith(() => ({ status: 200, body: stored(3, second) }));
    sessionOf(first, 5);
    await wait(1000);
    expect(sent[0]?.body).toEqual({ version: 2, plan: sentAs(second) });
  });

  it('not at all when nothing was changed', async () => {
    const sent = answerWith(() => ({ status: 200 }));
    sessionOf(first);
    await wait(5000);
    expect(sent).toHaveLength(0);
  });

  it('only when it is told to, where it should: until then it is a draft that is there after a reload', async () => {
    const sent = answerWith(() => ({ status: 200, body: stored(4, second) }));
    const { write, result } = sessionOf(first, 3, 'when-told');
    write(second);
    await wait(5000);
    expect(sent).toHaveLength(0);
    expect(result.current.state.kind).toBe('unsaved');
    expect(draftOf('class')).toEqual({ version: 3, content: second });
    await act(() => result.current.save());
    expect(sent).toHaveLength(1);
    expect(draftOf('class')).toBeNull();
  });
});

describe('a draft', () => {
  it('of somebody else who was signed in here is not shown', () => {
    localStorage.setItem('leiter-plan-class', JSON.stringify({ v: 1, version: 2, personId: 'tomasz', content: sentAs(second) }));
    noteDraftOwner('amara');
    expect(draftOf('class')).toBeNull();
    noteDraftOwner('tomasz');
    expect(draftOf('class')).toEqual({ version: 2, content: second });
    noteDraftOwner(null);
  });

  it('that cannot be read, or that a newer Leiter wrote, is left aside', () => {
    for (const kept of ['{', '[]', JSON.stringify({ version: 2, content: { v: 99, sections: [], focus: [] } })]) {
      localStorage.setItem('leiter-plan-class', kept);
      expect(draftOf('class')).toBeNull();
    }
  });
});
