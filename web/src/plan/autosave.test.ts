import { anItem, aPlan } from '@leiter/core/testing';
import type { ClassPlan } from '@leiter/core';
import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { noteAnswer } from '../shared/connection';
import { answerWith, stored } from '../testing/makers';
import { draftOf, useAutosave } from './autosave';

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
const saveOf = (plan: ClassPlan, version = 3) =>
  renderHook(({ now }: { now: ClassPlan }) => useAutosave('class', now, stored(version, plan)), { initialProps: { now: plan } });

describe('a plan saves itself', () => {
  it('a moment after the last of several changes, once, on the version it knows', async () => {
    const sent = answerWith(() => ({ status: 200, body: stored(4, third) }));
    const { rerender, result } = saveOf(first);
    rerender({ now: second });
    await wait(300);
    rerender({ now: third });
    await wait(2000);
    expect(sent.map(({ method, body }) => ({ method, body }))).toEqual([{ method: 'PUT', body: { version: 3, plan: third } }]);
    expect(result.current.state.kind).toBe('saved');
    expect(draftOf('class')).toBeNull();
  });

  it('and keeps the draft in the browser until it has arrived', async () => {
    answerWith(() => 'no answer');
    const { rerender, result } = saveOf(first);
    rerender({ now: second });
    expect(draftOf('class')).toEqual({ version: 3, plan: second });
    await wait(1000);
    expect(result.current.state.kind).toBe('waiting');
    expect(draftOf('class')).toEqual({ version: 3, plan: second });
  });

  it('by itself as soon as the server answers again', async () => {
    let isAway = true;
    const sent = answerWith(() => (isAway ? 'no answer' : { status: 200, body: stored(4, second) }));
    const { rerender, result } = saveOf(first);
    rerender({ now: second });
    await wait(1000);
    isAway = false;
    noteAnswer('there');
    await wait(100);
    expect(result.current.state.kind).toBe('saved');
    expect(sent.at(-1)?.body).toEqual({ version: 3, plan: second });
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
    const { rerender } = saveOf(first);
    rerender({ now: second });
    await wait(1000);
    rerender({ now: third });
    await wait(1000);
    expect(sent).toHaveLength(1);
    answerFirst();
    await wait(1000);
    expect(sent.map(({ body }) => body)).toEqual([
      { version: 3, plan: second },
      { version: 4, plan: third },
    ]);
  });

  it('and stops at a save of somebody else, with both plans at hand', async () => {
    const theirs = stored(7, third);
    const sent = answerWith((_sent, nth) =>
      nth === 0 ? { status: 409, body: { status: 409, current: theirs, yours: second } } : { status: 200, body: stored(8, second) },
    );
    const { rerender, result } = saveOf(first);
    rerender({ now: second });
    await wait(1000);
    expect(result.current.state).toMatchObject({ kind: 'conflict', current: theirs, yours: second });
    act(() => {
      result.current.settle(second, theirs);
    });
    await wait(1000);
    expect(sent.at(-1)?.body).toEqual({ version: 7, plan: second });
    expect(result.current.state.kind).toBe('saved');
  });

  it('and says why when the server does not take it', async () => {
    answerWith(() => ({ status: 422, body: { status: 422, errors: [{ field: 'plan', message: 'There is no movement “x”.' }] } }));
    const { rerender, result } = saveOf(first);
    rerender({ now: second });
    await wait(1000);
    expect(result.current.state).toEqual({ kind: 'refused', why: 'There is no movement “x”.' });
    expect(draftOf('class')?.plan).toEqual(second);
  });

  it('after a reload on the version the draft was made on, so that a save in between is not overwritten', async () => {
    localStorage.setItem('leiter-plan-class', JSON.stringify({ version: 2, plan: second }));
    const sent = answerWith(() => ({ status: 200, body: stored(3, second) }));
    renderHook(() => useAutosave('class', second, stored(5, first)));
    await wait(1000);
    expect(sent[0]?.body).toEqual({ version: 2, plan: second });
  });

  it('not at all when nothing was changed', async () => {
    const sent = answerWith(() => ({ status: 200 }));
    saveOf(first);
    await wait(5000);
    expect(sent).toHaveLength(0);
  });
});
