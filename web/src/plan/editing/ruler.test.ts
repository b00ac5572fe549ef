import { evaluated, aLibrary, aMovement, anItem, aPlan } from '@leiter/core/testing';
import type { ClassPlan, TimedItem } from '@leiter/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptySectionPixels, leastRungPixels, rulerMarks, rulerOf } from './ruler';

function timed(plan: ClassPlan): readonly TimedItem[] {
  const movements = plan.sections.flatMap(({ items }) => items.map(({ movement }) => aMovement(movement)));
  return evaluated(plan, aLibrary(...movements)).timeline.items;
}

const planOf = (...seconds: readonly number[]): ClassPlan =>
  aPlan({
    drills: seconds.map((one, index) => anItem(`i${String(index)}`, { dose: { kind: 'timed', seconds: one }, familiarity: 'routine' })),
  });

describe('the ruler', () => {
  it('fills the room it has, each rung as tall as its item is long', () => {
    const plan = planOf(300, 600);
    const items = timed(plan);
    const { rungs, height } = rulerOf(plan, items, 500);
    expect(height).toBeCloseTo(500, 0);
    const [short, long] = [rungs.get('i0')?.height ?? 0, rungs.get('i1')?.height ?? 0];
    expect(long / short).toBeCloseTo((items[1]?.seconds ?? 0) / (items[0]?.seconds ?? 1), 3);
  });

  it('never makes a rung too low to be read, and scrolls rather than that', () => {
    const plan = planOf(...Array.from({ length: 40 }, () => 5));
    const { rungs, height } = rulerOf(plan, timed(plan), 500);
    for (const rung of rungs.values()) expect(rung.height).toBeGreaterThanOrEqual(leastRungPixels);
    expect(height).toBeGreaterThan(500);
  });

  it('shows a class of 25 items in one look at 1280 × 800, whatever their lengths', () => {
    // what is left of 800 px for the ladder, below the line of the page and above the words at its foot
    const room = 674;
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 600 }), { minLength: 25, maxLength: 25 }), (seconds) => {
        const plan = planOf(...seconds);
        expect(rulerOf(plan, timed(plan), room).height).toBeLessThanOrEqual(room + 1);
      }),
    );
  });

  it('leaves a place to put something into a section that is empty', () => {
    const plan: ClassPlan = { ...planOf(60), sections: [...planOf(60).sections, { id: 'e', kind: 'closing', items: [] }] };
    expect(rulerOf(plan, timed(plan), 500).sections.at(-1)?.height).toBe(emptySectionPixels);
  });

  it('has one rung for each further round of a circuit, as tall as the round is long', () => {
    const [section] = planOf(120, 60).sections;
    const plan: ClassPlan = {
      sections: section ? [{ ...section, items: section.items.map((item) => ({ ...item, circuit: 'c' })) }] : [],
      focus: [],
      circuits: [{ id: 'c', rounds: 3, restSeconds: 20 }],
    };
    const items = timed(plan);
    const ruler = rulerOf(plan, items, 600);
    expect(ruler.rounds.map(({ round, passes }) => [round, passes.length])).toEqual([
      [2, 2],
      [3, 2],
    ]);
    const second = items.filter(({ round }) => round === 2).reduce((sum, { seconds }) => sum + seconds, 0);
    const scale = (ruler.rungs.get('i0')?.height ?? 0) / (items[0]?.seconds ?? 1);
    expect(ruler.rounds[0]?.height).toBeCloseTo(second * scale, 3);
    expect(ruler.circuits).toEqual([{ id: 'c', top: 0, height: ruler.height }]);
    const begins = items.find(({ round }) => round === 2)?.startSecond ?? 0;
    expect(ruler.yOf(begins)).toBeCloseTo(ruler.rounds[0]?.top ?? -1, 6);
  });

  it('keeps the clock true: later is never higher, and each item begins where its rung begins', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 900 }), { minLength: 1, maxLength: 30 }),
        fc.integer({ min: 100, max: 900 }),
        (doses, room) => {
          const plan = planOf(...doses);
          const items = timed(plan);
          const ruler = rulerOf(plan, items, room);
          for (const one of items) expect(ruler.yOf(one.startSecond)).toBeCloseTo(ruler.rungs.get(one.item.id)?.top ?? -1, 6);
          const end = items.reduce((sum, { seconds }) => sum + seconds, 0);
          const ys = Array.from({ length: 50 }, (_, index) => ruler.yOf((end * index) / 49));
          ys.forEach((y, index) => {
            expect(y).toBeGreaterThanOrEqual((ys[index - 1] ?? 0) - 1e-9);
            expect(y).toBeLessThanOrEqual(ruler.height + 1e-9);
          });
        },
      ),
    );
  });
});

describe('the marks of the ruler', () => {
  it('stand at whole five minutes of the clock, not of the class', () => {
    expect(rulerMarks('16:03', 900)).toEqual([120, 420, 720]);
    expect(rulerMarks('16:00', 300)).toEqual([0, 300]);
  });
});
