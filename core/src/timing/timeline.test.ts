import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aContext, aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';
import { anyLibrary as library, anyPlan as plan } from '../testing/random-plans.js';
import { withUneven } from '../movement/dose.js';
import { evaluatePlan } from '../composing/evaluation.js';
import { familiarityOf } from './familiarity.js';
import { secondsOf } from './item-time.js';
import { plainPace } from './pace.js';
import { stepsOf } from './step.js';
import { sectionSeconds } from './timeline.js';

describe('a class on the clock', () => {
  it('is as long as its items, its sections and its parts, and every item begins where the one before ends', () => {
    fc.assert(
      fc.property(plan, fc.double({ min: 0.7, max: 1.6, noNaN: true }), fc.integer({ min: 4, max: 13 }), (some, pace, age) => {
        const { timeline } = evaluatePlan(
          some,
          library,
          aContext({ agesYears: [age], pace: { ...plainPace, explainAll: pace, work: pace } }),
        );
        const sum = timeline.items.reduce((total, { parts }) => total + secondsOf(parts), 0);
        expect(timeline.totalSeconds).toBeCloseTo(sum, 6);
        expect(sectionSeconds(some, timeline).reduce((total, { seconds }) => total + seconds, 0)).toBeCloseTo(sum, 6);
        timeline.items.forEach((timed, index) => {
          const before = timeline.items[index - 1];
          expect(timed.startSecond).toBeCloseTo(before ? before.startSecond + before.seconds : 0, 6);
        });
        expect(timeline.movingShare).toBeLessThanOrEqual(1);
      }),
    );
  });

  it('is taught in steps that take exactly as long as the item', () => {
    fc.assert(
      fc.property(plan, fc.integer({ min: 4, max: 13 }), (some, age) => {
        for (const timed of evaluated(some, library, { agesYears: [age] }).timeline.items)
          expect(stepsOf(timed).reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(timed.seconds, 6);
      }),
    );
  });

  it('takes no time when it is empty', () => {
    expect(evaluated(aPlan({ opening: [] }), library).timeline).toMatchObject({ totalSeconds: 0, movingShare: 0, items: [] });
  });

  it('lists items whose movement the library does not have, and reckons the others', () => {
    const { timeline } = evaluated(aPlan({ opening: [anItem('gone'), anItem('jog')] }), library);
    expect(timeline.unknown.map(({ movement }) => movement)).toEqual(['gone']);
    expect(timeline.items).toHaveLength(1);
  });

  it('counts how often the children go to the floor and how often the camera is really moved', () => {
    const side = { facing: 'side', framing: 'floor' } as const;
    const own = aLibrary(aMovement('fold', { level: 'floor', view: side }), aMovement('hop'));
    const { timeline } = evaluated(
      aPlan({
        drills: [anItem('hop'), anItem('fold', { isCameraMoved: true }), anItem('drink'), anItem('fold', { id: 'f2' }), anItem('jog')],
      }),
      own,
    );
    expect([timeline.levelChanges, timeline.reframings]).toEqual([2, 1]);
  });

  it('counts as moving what bodies do, not explaining, resting or a drink', () => {
    const { timeline } = evaluated(aPlan({ opening: [anItem('drink'), anItem('jog')] }), library);
    expect(timeline.movingShare).toBeCloseTo(60 / timeline.totalSeconds, 10);
  });

  it('is taught length by length, and says which are the way back', () => {
    const dose = { kind: 'lengths', lengths: 3, metres: 5, secondsPerMetre: 2, restSeconds: 4, back: 'backwards' } as const;
    const [timed] = evaluated(aPlan({ drills: [anItem('jog', { dose })] }), library).timeline.items;
    const lengths = timed ? stepsOf(timed).flatMap((step) => (step.kind === 'length' ? [[step.nth, step.seconds, step.back]] : [])) : [];
    expect(lengths).toEqual([
      [1, 10, null],
      [2, 10, 'backwards'],
      [3, 10, null],
    ]);
    expect(timed?.parts.work).toBe(3 * 10 + 2 * 4);
  });

  it('is learnt slowly before it is done, each with its count-in, in the metre that is written', () => {
    const dose = { kind: 'counts', eights: 16, beats: 3, bpm: 120, repeats: 2, countIn: 3, learnBpm: 60, learnTimes: 1 } as const;
    const [timed] = evaluated(aPlan({ combination: [anItem('jog', { dose })] }), library).timeline.items;
    expect(
      timed ? stepsOf(timed).flatMap((step) => ('counts' in step ? [[step.kind, step.counts, step.seconds, step.beats]] : [])) : [],
    ).toEqual([
      ['count-in', 3, 3, 3],
      ['counts', 48, 48, 3],
      ['count-in', 3, 1.5, 3],
      ['counts', 96, 48, 3],
    ]);
  });

  it('holds a ladder of holds set by set', () => {
    const dose = withUneven({ kind: 'hold', sets: 1, holdSeconds: 1, restSeconds: 5 }, [10, 30, 60]);
    const [timed] = evaluated(aPlan({ strength: [anItem('jog', { dose })] }), library).timeline.items;
    expect(timed ? stepsOf(timed).flatMap((step) => (step.kind === 'hold' ? [[step.set, step.sets, step.seconds]] : [])) : []).toEqual([
      [1, 3, 10],
      [2, 3, 30],
      [3, 3, 60],
    ]);
  });

  it('gives left before right, with the change between them', () => {
    const own = aLibrary(aMovement('kick', { kind: 'skill', sides: 'each' }));
    const kick = anItem('kick', { sides: 'both', dose: { kind: 'reps', sets: 2, reps: 4, secondsPerRep: 2, restSeconds: 5 } });
    const [timed] = evaluated(aPlan({ skill: [kick] }), own).timeline.items;
    expect(timed && stepsOf(timed).map((step) => `${step.kind} ${'side' in step ? String(step.side) : ''}`.trim())).toEqual([
      'explain',
      'set-up left',
      'reps left',
      'rest left',
      'reps left',
      'change-side right',
      'set-up right',
      'reps right',
      'rest right',
      'reps right',
    ]);
  });
});

describe('how well a group knows a movement', () => {
  it.each([
    [undefined, 'new'],
    [{ shareInLastTwoClasses: 0.8, shareInLastEightWeeks: 1 }, 'routine'],
    [{ shareInLastTwoClasses: 0.79, shareInLastEightWeeks: 1 }, 'known'],
    [{ shareInLastTwoClasses: 0, shareInLastEightWeeks: 0.5 }, 'known'],
    [{ shareInLastTwoClasses: 0, shareInLastEightWeeks: 0.49 }, 'new'],
  ])('comes from the record: %j is %s', (exposure, familiarity) => {
    expect(familiarityOf(exposure)).toBe(familiarity);
  });

  it('is what the instructor says where the record is overruled', () => {
    const exposures = new Map([['jog', { shareInLastTwoClasses: 1, shareInLastEightWeeks: 1 }]]);
    const { familiarity: _known, ...unsaid } = anItem('jog');
    const { timeline } = evaluated(aPlan({ opening: [unsaid, anItem('jog', { id: 'again', familiarity: 'new' })] }), library, {
      exposures,
    });
    expect(timeline.items.map(({ familiarity }) => familiarity)).toEqual(['routine', 'new']);
  });
});
