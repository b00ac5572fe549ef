// @vitest-environment jsdom
import { evaluated, aLibrary, aMovement, anItem, aPlan } from '@leiter/core/testing';
import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useRun } from './use-run';

const plan = aPlan({ drills: ['a', 'b', 'c'].map((id) => anItem(id, { familiarity: 'routine' })) });
const { items } = evaluated(plan, aLibrary(...['a', 'b', 'c'].map((slug) => aMovement(slug)))).timeline;
const firstSeconds = items[0]?.seconds ?? 0;

beforeEach(() => {
  vi.useFakeTimers({ now: new Date('2026-03-02T16:00:00Z') });
  localStorage.clear();
});
afterEach(() => {
  vi.useRealTimers();
});
function pass(seconds: number): void {
  act(() => {
    vi.advanceTimersByTime(seconds * 1000);
  });
}

describe('a class being taught', () => {
  it('goes on to the next item by itself', () => {
    const { result } = renderHook(() => useRun('class', items));
    expect(result.current.position).toBeNull();
    act(() => {
      result.current.start('by-itself');
    });
    expect(result.current.position?.timed?.item.id).toBe('a');
    pass(firstSeconds + 1);
    expect(result.current.position?.timed?.item.id).toBe('b');
    expect(result.current.position?.behindSeconds).toBeCloseTo(0, 0);
  });

  it('stands still while paused, and says how far it is behind after', () => {
    const { result } = renderHook(() => useRun('class', items));
    act(() => {
      result.current.start('by-itself');
    });
    pass(10);
    act(() => {
      result.current.move('pause');
    });
    const left = result.current.position?.remainingSeconds ?? 0;
    pass(90);
    expect(result.current.position?.remainingSeconds).toBeCloseTo(left, 1);
    act(() => {
      result.current.move('resume');
    });
    expect(result.current.position?.behindSeconds).toBeCloseTo(90, 0);
  });

  it('goes on where it was after the page was loaded anew', () => {
    const before = renderHook(() => useRun('class', items));
    act(() => {
      before.result.current.start('by-itself');
    });
    pass(firstSeconds + 5);
    const left = before.result.current.position?.remainingSeconds ?? 0;
    before.unmount();
    pass(7);
    const after = renderHook(() => useRun('class', items));
    expect(after.result.current.position?.timed?.item.id).toBe('b');
    expect(after.result.current.position?.remainingSeconds).toBeCloseTo(left - 7, 0);
  });

  it('of one class leaves another alone, and is forgotten when it is over', () => {
    const { result } = renderHook(() => useRun('class', items));
    act(() => {
      result.current.start('by-itself');
    });
    expect(renderHook(() => useRun('other', items)).result.current.run).toBeNull();
    act(() => {
      result.current.forget();
    });
    expect(renderHook(() => useRun('class', items)).result.current.run).toBeNull();
  });

  it('is over after its last item, with the real time of each', () => {
    const { result } = renderHook(() => useRun('class', items));
    act(() => {
      result.current.start('by-itself');
    });
    pass(5);
    act(() => {
      result.current.move('on');
    });
    pass(10_000);
    expect(result.current.position?.timed).toBeNull();
    expect(result.current.run?.realSeconds['a']).toBeCloseTo(5, 0);
    expect(result.current.run?.realSeconds['b']).toBeCloseTo(items[1]?.seconds ?? 0, 0);
  });
});
