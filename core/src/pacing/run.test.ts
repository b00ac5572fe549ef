import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';
import { caughtUp, itemZero, moved, passKey, positionOf, putOff, startRun, waitsForSignal, withGo, type Run, type RunMove } from './run.js';
import { openRun } from './open-run.js';

const library = aLibrary(aMovement('kick', { kind: 'skill', sides: 'each' }));
const kick = anItem('kick', { sides: 'both', dose: { kind: 'reps', sets: 1, reps: 4, secondsPerRep: 5, restSeconds: 0 } });
// 4 naming + 60 = 64 s, then 8 naming + 1 going + 2 × (2 + 20) + 3 = 56 s, then 1 naming + 60 = 61 s, gone straight on to
const { items } = evaluated(aPlan({ opening: [anItem('jog')], skill: [kick], 'cool-down': [anItem('breathe')] }), library).timeline;
const t0 = 1_000_000;
const at = (seconds: number): number => t0 + seconds * 1000;
const press = (run: Run, ...presses: readonly (readonly [number, RunMove])[]): Run =>
  presses.reduce((current, [seconds, move]) => moved(current, move, items, at(seconds)), run);
const show = (run: Run, seconds: number) => positionOf(caughtUp(run, items, at(seconds)), items, at(seconds));

describe('a class that is taught', () => {
  it('begins with the first item, and shows what comes next', () => {
    const position = show(startRun(t0), 0);
    expect(position).toMatchObject({ itemIndex: 0, remainingSeconds: 64, behindSeconds: 0, isPaused: false });
    expect([position.timed?.movement.slug, position.next?.movement.slug]).toEqual(['jog', 'kick']);
  });

  it('goes on by itself when the time of an item is over', () => {
    expect([63.9, 64].map((seconds) => show(startRun(t0), seconds).itemIndex)).toEqual([0, 1]);
  });

  it('is where the clock says after the tab slept, however long', () => {
    expect(show(startRun(t0), 121)).toMatchObject({ itemIndex: 2, behindSeconds: 0 });
    expect(show(startRun(t0), 9999)).toMatchObject({ itemIndex: 3, timed: null, next: null, step: null, remainingSeconds: 0 });
  });

  it.each([
    [64 + 3, 'explain', null, 0],
    [64 + 9 + 2, 'reps', 'left', 1],
    [64 + 9 + 2 + 15.1, 'reps', 'left', 4],
    [64 + 9 + 22.5, 'change-side', 'right', 0],
    [64 + 9 + 22 + 3 + 2 + 5, 'reps', 'right', 2],
  ])('counts: after %s s it is %s on the %s, number %s', (seconds, kind, side, count) => {
    const { step, count: shown } = show(startRun(t0), seconds);
    expect([step?.kind, step && 'side' in step ? step.side : null, shown]).toEqual([kind, side, count]);
  });

  it('stands still while it is paused, and is behind by as much', () => {
    const run = press(startRun(t0), [10, 'pause']);
    expect(show(run, 40)).toMatchObject({ remainingSeconds: 54, behindSeconds: 30, isPaused: true });
    expect(show(press(run, [40, 'resume']), 45)).toMatchObject({ remainingSeconds: 49, behindSeconds: 30, isPaused: false });
  });

  it('goes on to the next item when asked, and is ahead by what was left', () => {
    expect(show(press(startRun(t0), [20, 'on']), 20)).toMatchObject({ itemIndex: 1, behindSeconds: -44 });
  });

  it('goes back to the start of the item, or in its first seconds to the item before', () => {
    expect(show(press(startRun(t0), [75, 'back']), 75)).toMatchObject({ itemIndex: 1, remainingSeconds: 56 });
    expect(show(press(startRun(t0), [66, 'back']), 66).itemIndex).toBe(0);
    expect(show(press(startRun(t0), [1, 'back']), 1).itemIndex).toBe(0);
  });

  it('comes back from the end to the last item', () => {
    expect(show(press(startRun(t0), [500, 'back']), 500)).toMatchObject({ itemIndex: 2, remainingSeconds: 61 });
  });

  it('keeps what each item really took, an item taught twice summed up', () => {
    const run = press(startRun(t0), [20, 'on'], [21, 'back'], [31, 'on'], [41, 'on']);
    expect(run.realSeconds).toEqual({ jog: 30, kick: 11 });
  });

  it('is the same after a reload: what is kept is plain data', () => {
    const run = press(startRun(t0), [20, 'on'], [30, 'pause']);
    expect(show(JSON.parse(JSON.stringify(run)) as Run, 50)).toEqual(show(run, 50));
  });

  it('begins the work when somebody says so, and is over as much sooner', () => {
    const run = press(startRun(t0), [64, 'pause'], [64, 'resume'], [66, 'go']);
    expect(show(run, 66)).toMatchObject({ itemIndex: 1, remainingSeconds: 47, behindSeconds: -7 });
    expect([show(run, 112.9).itemIndex, show(run, 113.1).itemIndex]).toEqual([1, 2]);
    expect(press(run, [80, 'go'])).toBe(run);
  });

  it('is taken over from a browser that knew nothing of parts', () => {
    const { workStartedAt: _began, pausedSeconds: _paused, realParts: _parts, visits: _visits, ...older } = press(startRun(t0), [20, 'on']);
    expect(openRun({ ...older, v: 1 })).toEqual({ ...press(startRun(t0), [20, 'on']), realParts: {}, visits: [] });
    expect(openRun({ ...older, v: 3 })).toBeNull();
  });

  it('loses no second and finds none, whatever is pressed: pauses belong to what they interrupt', () => {
    const presses = fc.array(fc.tuple(fc.integer({ min: 0, max: 30 }), fc.constantFrom<RunMove>('on', 'back', 'pause', 'resume', 'go')), {
      maxLength: 25,
    });
    fc.assert(
      fc.property(presses, (list) => {
        let now = 0;
        let run = startRun(t0);
        for (const [wait, move] of list) {
          now += wait;
          run = moved(run, move, items, at(now));
        }
        run = moved(run, 'resume', items, at(now));
        if (items[run.itemIndex] === undefined) return;
        const spent =
          Object.values(run.realSeconds).reduce((sum, seconds) => sum + seconds, 0) +
          (at(now) - run.itemStartedAt) / 1000 +
          run.pausedSeconds.explain +
          run.pausedSeconds.work;
        // what was gone to one after the other lies end to end
        run.visits.forEach(({ beginsSecond }, index) => {
          const before = run.visits[index - 1];
          if (!list.some(([, move]) => move === 'back'))
            expect(beginsSecond).toBeCloseTo(before ? before.beginsSecond + before.seconds : 0, 6);
        });
        // what lies between the end of the class and coming back to it is nobody's
        if (!list.some(([, move]) => move === 'back')) expect(spent).toBeCloseTo(now, 6);
        for (const seconds of Object.values(run.realSeconds)) expect(seconds).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  it('has nothing to show for a plan without items', () => {
    expect(positionOf(startRun(t0), [], at(5))).toMatchObject({ timed: null, next: null, behindSeconds: 0 });
    expect(moved(startRun(t0), 'on', [], at(5)).itemIndex).toBe(0);
  });
});

describe('a class in which the work begins on a signal', () => {
  // jog is explained for 4 s, kick for 8 s and gone to for 1
  const waiting = startRun(t0, 'on-signal');

  it('explains until the signal comes, and says how much longer than planned', () => {
    expect(show(waiting, 3)).toMatchObject({ itemIndex: 0, step: { kind: 'explain' }, overSeconds: 0, remainingSeconds: 61 });
    const late = show(waiting, 500);
    expect(late).toMatchObject({ itemIndex: 0, step: { kind: 'explain' }, overSeconds: 496 });
    expect(late.remainingSeconds).toBeCloseTo(60, 2);
    expect(late.behindSeconds).toBeCloseTo(496, 2);
  });

  it('begins the work at the signal, early or late, and keeps what explaining really took', () => {
    for (const signal of [2, 20]) {
      const run = press(waiting, [signal, 'go']);
      expect(show(run, signal + 10)).toMatchObject({ step: { kind: 'timed' }, overSeconds: 0, remainingSeconds: 50 });
      expect(items.slice(0, 1).map((timed) => itemZero(run, timed))).toEqual([at(signal - 4)]);
      const over = caughtUp(run, items, at(signal + 61));
      expect(over.itemIndex).toBe(1);
      expect(over.realParts[passKey('jog', 1)]).toEqual({ explain: signal, work: 60 });
      expect(items.slice(1, 2).every((timed) => waitsForSignal(over, timed))).toBe(true);
    }
  });

  it('counts all of it as explaining when it is left before the signal, and learns nothing of it', () => {
    const run = press(waiting, [30, 'on']);
    expect(run.realSeconds['jog']).toBe(30);
    expect(run.realParts).toEqual({});
  });

  it('goes on by itself as soon as that is chosen: what waited too long begins now, what did not waits on', () => {
    const late = withGo(waiting, 'by-itself', items, at(20));
    expect(show(late, 20)).toMatchObject({ step: { kind: 'timed' }, remainingSeconds: 60 });
    expect(show(late, 80).itemIndex).toBe(1);
    expect(show(withGo(waiting, 'by-itself', items, at(2)), 3)).toMatchObject({ step: { kind: 'explain' }, remainingSeconds: 61 });
    expect(show(withGo(startRun(t0), 'on-signal', items, at(2)), 300)).toMatchObject({ step: { kind: 'explain' }, overSeconds: 296 });
  });

  it('is paused and goes on with the signal', () => {
    const run = press(waiting, [3, 'pause'], [13, 'go']);
    expect(show(run, 13)).toMatchObject({ isPaused: false, step: { kind: 'timed' }, remainingSeconds: 60 });
    expect(caughtUp(run, items, at(74)).realParts[passKey('jog', 1)]).toEqual({ explain: 13, work: 60 });
  });

  it('is the same after it was kept and read again; what was kept before there was a signal goes by itself', () => {
    expect(openRun(JSON.parse(JSON.stringify(waiting)))).toEqual(waiting);
    const { go: _go, ...older } = waiting;
    expect(openRun(older)).toEqual({ ...waiting, go: 'by-itself' });
  });
});

describe('an item that is put off', () => {
  it('makes room for the next at once, keeps the time it took, and comes again where it was put', () => {
    const later = evaluated(aPlan({ opening: [], skill: [kick, anItem('jog')], 'cool-down': [anItem('breathe')] }), library).timeline.items;
    const run = putOff(startRun(t0), items, later, at(20));
    const position = positionOf(run, later, at(20));
    expect(position).toMatchObject({ itemIndex: 0, timed: { item: { id: 'kick' } }, next: { item: { id: 'jog' } } });
    expect(position.remainingSeconds).toBeCloseTo(later[0]?.seconds ?? 0, 6);
    expect(run.realSeconds).toEqual({ jog: 20 });
    expect(run.realParts).toEqual({});
    const then = moved(run, 'on', later, at(40));
    expect(positionOf(then, later, at(40)).timed?.item.id).toBe('jog');
    expect(caughtUp(then, later, at(40 + 200)).realSeconds['jog']).toBeGreaterThan(20 + 60);
  });

  it('is nothing once the class is over', () => {
    const over = caughtUp(startRun(t0), items, at(5000));
    expect(putOff(over, items, items, at(5001))).toBe(over);
  });
});
