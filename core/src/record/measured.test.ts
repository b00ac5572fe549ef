import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anObservation, aRequirement } from '../testing/makers.js';
import { bestOf, measureAsked, measuredAs, measuredLines } from './measured.js';
import type { Observation } from './observation.js';

const held = (seconds: number, day: string, said: Partial<Observation> = {}): Observation =>
  anObservation({ movement: 'lever', seenOn: `2026-${day}`, measure: { seconds }, ...said });

describe('what was measured of a child', () => {
  it('is a line for each movement, side and measure, with the best and the latest, the newest first', () => {
    const lines = measuredLines([
      held(8, '10-02', { side: 'left' }),
      held(12, '10-09', { side: 'left' }),
      held(9, '11-06', { side: 'left' }),
      held(5, '10-09', { side: 'right' }),
      anObservation({ movement: 'terms', seenOn: '2026-11-13', measure: { correct: 6, of: 8 } }),
      anObservation({ movement: 'hop', seenOn: '2026-09-01', measure: { reps: 20 } }),
    ]);
    expect(lines.map(({ movement, side, measuredIn }) => `${movement} ${side} ${measuredIn}`)).toEqual([
      'terms none share',
      'lever left seconds',
      'lever right seconds',
      'hop none reps',
    ]);
    expect(lines[0]?.best.value).toBe(0.75);
    expect(lines[1]).toMatchObject({ best: { value: 12, day: '2026-10-09' }, latest: { value: 9, day: '2026-11-06' } });
    expect(lines[1]?.points).toHaveLength(3);
  });

  it('has one point a day, the best of it, and forgets what was taken back', () => {
    const slip = held(90, '10-09');
    const lines = measuredLines([
      held(8, '10-09'),
      held(11, '10-09'),
      slip,
      { ...slip, id: 'taken', supersedes: slip.id, isWithdrawal: true },
    ]);
    expect(lines[0]?.points).toEqual([{ day: '2026-10-09', value: 11 }]);
    expect(measuredLines([anObservation({})])).toEqual([]);
  });

  it('never has a best below any of its points, and its days in order, whatever was measured', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 10, max: 28 }))), (all) => {
        for (const { points, best, latest } of measuredLines(all.map(([seconds, day]) => held(seconds, `11-${String(day)}`)))) {
          expect(Math.max(...points.map(({ value }) => value))).toBe(best.value);
          expect(points.map(({ day }) => day)).toEqual([...new Set(points.map(({ day }) => day))].toSorted());
          expect(points.at(-1)).toEqual(latest);
        }
      }),
    );
  });
});

describe('the best of what a criterion asks', () => {
  const { criterion } = aRequirement({ leastSeconds: 8 });

  it('is the largest with the day on which it was first, in its measure alone', () => {
    const all = [held(8, '10-02'), held(12, '10-09'), held(20, '11-06'), anObservation({ seenOn: '2026-09-01', measure: { reps: 90 } })];
    expect(bestOf(all.toReversed(), criterion)).toEqual({ day: '2026-11-06', value: 20 });
    expect(bestOf([held(20, '11-13'), ...all], criterion)?.day).toBe('2026-11-06');
    expect(bestOf([all[3] ?? held(1, '10-01')], criterion)).toBeNull();
    expect(measuredAs({ seconds: 9, reps: 3 }, criterion)).toBe(9);
    expect(measuredAs({ correct: 6, of: 8 }, aRequirement({ leastCorrect: { correct: 5, of: 8 } }).criterion)).toBe(0.75);
    expect([measureAsked(criterion), measureAsked(aRequirement().criterion)]).toEqual(['seconds', null]);
  });
});
