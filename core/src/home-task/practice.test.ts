import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { activeSecondsOf, restSecondsOf, type Dose } from '../movement/dose.js';
import { practiceAt, practiceCues, practiceSeconds, practiceSettings, practiceSteps } from './practice.js';

const told = (dose: Dose, sides: Parameters<typeof practiceSteps>[1] = 'none') =>
  practiceSteps(dose, sides, 'right').map(({ kind, side, set, seconds }) => [kind, side, set, seconds]);

describe('practising with the counter', () => {
  it('goes set by set with its rests, and each side by itself', () => {
    expect(told({ kind: 'hold', sets: 2, holdSeconds: 10, restSeconds: 5 }, 'both')).toEqual([
      ['ready', 'left', 1, 5],
      ['work', 'left', 1, 10],
      ['rest', 'left', 2, 5],
      ['work', 'left', 2, 10],
      ['change', 'right', 1, 5],
      ['work', 'right', 1, 10],
      ['rest', 'right', 2, 5],
      ['work', 'right', 2, 10],
    ]);
    expect(told({ kind: 'timed', seconds: 30 }, 'lead')).toEqual([
      ['ready', 'right', 1, 5],
      ['work', 'right', 1, 30],
    ]);
  });

  it('counts every repetition in its tempo, uneven sets each their own, and the last seconds of what is held', () => {
    const [, slow, , fast] = practiceSteps(
      { kind: 'reps', sets: 2, reps: 3, secondsPerRep: 2, restSeconds: 4, uneven: [2, 3], tempos: [4, 1] },
      'none',
      'left',
    );
    expect(slow?.counts).toEqual([
      { at: 0, number: 1 },
      { at: 4, number: 2 },
    ]);
    expect(fast?.counts.map(({ at }) => at)).toEqual([0, 1, 2]);
    expect(practiceSteps({ kind: 'hold', sets: 1, holdSeconds: 3, restSeconds: 0 }, 'none', 'left')[1]?.counts).toEqual([
      { at: 0, number: 3 },
      { at: 1, number: 2 },
      { at: 2, number: 1 },
    ]);
  });

  it('takes what the dose takes, and the time to get into place', () => {
    const doses: fc.Arbitrary<Dose> = fc.oneof(
      fc.record({
        kind: fc.constant('reps' as const),
        sets: fc.integer({ min: 1, max: 6 }),
        reps: fc.integer({ min: 1, max: 30 }),
        secondsPerRep: fc.integer({ min: 1, max: 8 }),
        restSeconds: fc.integer({ min: 0, max: 60 }),
      }),
      fc.record({
        kind: fc.constant('hold' as const),
        sets: fc.integer({ min: 1, max: 6 }),
        holdSeconds: fc.integer({ min: 1, max: 60 }),
        restSeconds: fc.integer({ min: 0, max: 60 }),
      }),
      fc.record({ kind: fc.constant('timed' as const), seconds: fc.integer({ min: 1, max: 300 }) }),
      fc.record({
        kind: fc.constant('counts' as const),
        eights: fc.integer({ min: 1, max: 16 }),
        bpm: fc.integer({ min: 40, max: 160 }),
        repeats: fc.integer({ min: 1, max: 4 }),
        countIn: fc.constant(0),
      }),
    );
    fc.assert(
      fc.property(doses, fc.constantFrom('none' as const, 'both' as const), (dose, sides) => {
        const steps = practiceSteps(dose, sides, 'left');
        const turns = sides === 'both' ? 2 : 1;
        const { ready, change } = practiceSettings;
        const whole = turns * (activeSecondsOf(dose) + restSecondsOf(dose)) + ready + (turns - 1) * change;
        expect(steps.reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(whole, 6);
        for (const { seconds, counts } of steps) expect(counts.every(({ at }) => at >= 0 && at < seconds)).toBe(true);
      }),
    );
  });

  it('says what a step begins with, then its numbers, and at the end that it is done', () => {
    const steps = practiceSteps({ kind: 'reps', sets: 1, reps: 3, secondsPerRep: 2, restSeconds: 0 }, 'none', 'left');
    expect(practiceCues(steps).map(({ at, step, number }) => [at, step === 'over' ? step : step.kind, number])).toEqual([
      [0, 'ready', null],
      [5, 'work', null],
      [7, 'work', 2],
      [9, 'work', 3],
      [11, 'over', null],
    ]);
  });

  it('knows at every moment which step it is and what is left of it', () => {
    const steps = practiceSteps({ kind: 'hold', sets: 1, holdSeconds: 3, restSeconds: 0 }, 'both', 'left');
    const at = (seconds: number) => {
      const now = practiceAt(steps, seconds);
      return now && [now.step.kind, now.step.side, now.left];
    };
    expect([at(0), at(4.2), at(5), at(7.9), at(8), at(13), at(15.99), at(16)]).toEqual([
      ['ready', 'left', 5],
      ['ready', 'left', 1],
      ['work', 'left', 3],
      ['work', 'left', 1],
      ['change', 'right', 5],
      ['work', 'right', 3],
      ['work', 'right', 1],
      null,
    ]);
    expect(practiceSeconds(steps)).toBe(16);
    expect(practiceAt([], 0)).toBeNull();
  });
});
