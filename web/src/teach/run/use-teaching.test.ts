// @vitest-environment jsdom
import { placedItems, type ClassPlan, type PlanEdit } from '@leiter/core';
import { aContext, aLibrary, aMovement, anItem, aPlan } from '@leiter/core/testing';
import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { lateStart, livePlan, offerNow, putOffEdit } from './live-plan';
import { useTeaching } from './use-teaching';

const game = aMovement('game', { kind: 'game', sections: ['combination'] });
const library = aLibrary(
  ...['a', 'b'].map((slug) => aMovement(slug)),
  game,
  aMovement('down', { kind: 'breathing', sections: ['cool-down'] }),
);
const dose = { kind: 'timed', seconds: 300 } as const;
const plan = aPlan({
  drills: [anItem('a', { dose, familiarity: 'routine' }), anItem('b', { dose, familiarity: 'routine' })],
  combination: [anItem('game', { dose, familiarity: 'routine' })],
  'cool-down': [anItem('down', { dose, familiarity: 'routine' })],
});
const context = aContext();
const order = (some: ClassPlan): readonly string[] => placedItems(some).map(({ item }) => item.id);
const teach = () => renderHook(() => useTeaching('class', plan, library, context)).result;
type Taught = ReturnType<typeof teach>;
const press = (taught: Taught, what: (teaching: Taught['current']) => void): void => {
  act(() => {
    what(taught.current);
  });
};
const now = (taught: Taught): string | undefined => taught.current.position?.timed?.item.id;

beforeEach(() => {
  vi.useFakeTimers({ now: new Date('2026-03-02T16:00:00Z') });
  localStorage.clear();
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});
const pass = (seconds: number): void => {
  act(() => {
    vi.advanceTimersByTime(seconds * 1000);
  });
};

describe('a plan that is taught', () => {
  it('puts an item off behind the next, and it comes again; undone, all is as it was', () => {
    const taught = teach();
    press(taught, ({ start }) => {
      start('by-itself');
    });
    pass(20);
    press(taught, (teaching) => {
      teaching.putOff();
    });
    expect([now(taught), order(taught.current.plan)]).toEqual(['b', ['b', 'a', 'game', 'down']]);
    press(taught, ({ move }) => {
      move('on');
    });
    expect(now(taught)).toBe('a');
    press(taught, ({ undo }) => {
      undo();
    });
    expect(now(taught)).toBe('b');
    press(taught, ({ undo }) => {
      undo();
    });
    expect([now(taught), order(taught.current.plan), taught.current.canUndo]).toEqual(['a', ['a', 'b', 'game', 'down'], false]);
  });

  it('does an item once more, known by then, which counts to the item it was', () => {
    const taught = teach();
    press(taught, ({ start }) => {
      start('by-itself');
    });
    press(taught, (teaching) => {
      teaching.onceMore();
    });
    press(taught, (teaching) => {
      teaching.onceMore();
    });
    expect(order(taught.current.plan)).toEqual(['a', 'more-2', 'more-0', 'b', 'game', 'down']);
    expect(['a', 'more-0', 'more-2', 'b'].map(taught.current.plannedItem)).toEqual(['a', 'a', 'a', 'b']);
    press(taught, ({ move }) => {
      move('on');
    });
    expect([now(taught), taught.current.position?.timed?.item.familiarity]).toEqual(['more-2', 'routine']);
    press(taught, (teaching) => {
      teaching.onceMore();
    });
    expect(taught.current.plannedItem('more-4')).toBe('a');
  });

  it('takes presses of all kinds back one after the other', () => {
    const taught = teach();
    const undone: string[] = [];
    press(taught, ({ start }) => {
      start('by-itself');
    });
    press(taught, ({ move }) => {
      move('on');
    });
    press(taught, ({ pressed }) => {
      pressed(() => undone.push('mark'));
    });
    press(taught, ({ undo }) => {
      undo();
    });
    expect([undone, now(taught)]).toEqual([['mark'], 'b']);
    press(taught, ({ undo }) => {
      undo();
    });
    expect([undone, now(taught)]).toEqual([['mark'], 'a']);
  });

  it('is as it was changed after the page was loaded anew, until the class is over', () => {
    const taught = teach();
    press(taught, ({ start }) => {
      start('by-itself');
    });
    press(taught, (teaching) => {
      teaching.putOff();
    });
    cleanup();
    const again = teach();
    expect(order(again.current.plan)).toEqual(['b', 'a', 'game', 'down']);
    press(again, ({ forget }) => {
      forget();
    });
    cleanup();
    expect(order(teach().current.plan)).toEqual(['a', 'b', 'game', 'down']);
  });

  it('is offered shorter when it is late, never in what was done or in the cool-down, and ends on time with it', () => {
    const taught = teach();
    press(taught, ({ start }) => {
      start('by-itself');
    });
    pass(30);
    const { run, evaluation } = taught.current;
    if (!run) throw new Error('it runs');
    const { items, totalSeconds } = evaluation.timeline;
    expect(offerNow(run, items, plan, library, context, 59)).toBeNull();
    const fit = offerNow(run, items, plan, library, context, 120);
    expect(fit?.kind).toBe('shorten');
    const edits = fit?.steps.map(({ edit }) => edit) ?? [];
    expect(fit?.steps.every(({ item }) => item === 'b' || item === 'game')).toBe(true);
    press(taught, ({ take }) => {
      take(edits);
    });
    expect(taught.current.evaluation.timeline.totalSeconds).toBeLessThanOrEqual(totalSeconds - 120 + 0.5);
    expect(now(taught)).toBe('a');
    // nothing is left that could be so much shorter
    expect(offerNow(run, items, plan, library, context, 900)?.kind).toBe('cannot');
  });

  it('takes no edit that no longer fits the plan, and those that do', () => {
    const edits: readonly PlanEdit[] = [
      { kind: 'remove', item: 'gone' },
      { kind: 'move', item: 'a', place: { at: 'after', item: 'b' } },
    ];
    expect(order(livePlan(plan, edits))).toEqual(['b', 'a', 'game', 'down']);
  });

  it('puts nothing off into its end', () => {
    expect(putOffEdit(plan, 'game')).toBeNull();
    expect(putOffEdit(plan, 'down')).toBeNull();
    expect(putOffEdit(plan, 'a')).toMatchObject({ kind: 'move', place: { at: 'after', item: 'b' } });
  });

  it('knows how late it began, in the zone of the club', () => {
    const slot = { day: '2026-07-01', startsAt: '16:30', lengthMinutes: 45 };
    const at = (time: string): number => lateStart(slot, 'Europe/London', Date.parse(`2026-07-01T${time}Z`));
    // summer: 16:30 in London is 15:30
    expect([at('15:29:00'), at('15:32:30'), at('16:30:00')]).toEqual([0, 150, 0]);
  });
});
