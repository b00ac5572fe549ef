import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chanceOf } from '../values/chance.js';
import { moved, startRun, type RunMove } from '../pacing/run.js';
import { itemTimesOf } from '../pacing/item-times.js';
import { aContext, aLibrary, aMovement, anItem, aPlan } from '../testing/makers.js';
import type { ClassPlan } from '../class-plan/class-plan.js';
import type { MovementKind } from '../movement/kind.js';
import { evaluatePlan } from '../composing/evaluation.js';
import { learnedPace, paceOf, paceSettings, type ItemRun } from './learned-pace.js';
import { explainPace, plainPace, type Pace } from './pace.js';
import type { TimedItem, Timeline } from './timeline.js';

const aRun = (said: Partial<ItemRun> = {}): ItemRun => ({
  classId: 'c',
  kind: 'skill',
  way: 'teach',
  plannedExplainSeconds: 20,
  realExplainSeconds: 20,
  plannedWorkSeconds: 60,
  realWorkSeconds: 60,
  isClockBound: false,
  ...said,
});
const times = (count: number, said: Partial<ItemRun>): readonly ItemRun[] => Array.from({ length: count }, () => aRun(said));

describe('the learned pace', () => {
  it('is 1 before anything was taught', () => {
    expect(paceOf(learnedPace([]))).toEqual(plainPace);
  });

  it('goes from 1 towards what the classes say, by what explaining and work really took', () => {
    const { explainAll, work } = learnedPace(times(12, { realExplainSeconds: 30, realWorkSeconds: 66 }));
    // 240 believed and 240 seen at 1.5; 300 believed and 720 seen at 1.1
    expect(explainAll).toEqual({ factor: 1.25, items: 12, classes: 1 });
    expect(work.factor).toBeCloseTo((300 + 792) / 1020, 10);
  });

  it('has a factor of its own for each way and kind, shrunk towards that of all', () => {
    const learned = learnedPace([...times(12, { realExplainSeconds: 40 }), ...times(12, { kind: 'drill' })]);
    const pace = paceOf(learned);
    expect(learned.explainAll.factor).toBeCloseTo((240 + 480 + 240) / 720, 10);
    expect(explainPace(pace, 'teach', 'skill')).toBeCloseTo((60 * learned.explainAll.factor + 480) / 300, 10);
    expect(explainPace(pace, 'follow', 'skill')).toBe(learned.explainAll.factor);
  });

  it('learns nothing of the work where clock or music leads it', () => {
    expect(learnedPace(times(9, { isClockBound: true, realWorkSeconds: 300 })).work).toEqual({ factor: 1, items: 0, classes: 0 });
  });

  it('looks at the last twelve classes', () => {
    const recent = Array.from({ length: paceSettings.lastClasses }, (_, index) => aRun({ classId: `c${String(index)}` }));
    expect(learnedPace([...recent, ...times(500, { classId: 'long ago', realExplainSeconds: 200 })]).explainAll.factor).toBe(1);
  });

  it('grows surer with every class, and never surer than days differ', () => {
    const commonAfter = (classes: number): number =>
      learnedPace(Array.from({ length: classes }, (_, index) => times(15, { classId: `c${String(index)}`, realExplainSeconds: 22 })).flat())
        .spread.explain.common;
    const grown = [0, 1, 3, 6, 12].map(commonAfter);
    for (const [index, common] of grown.entries()) if (index > 0) expect(common).toBeLessThan(grown[index - 1] ?? 0);
    expect(grown.at(-1)).toBeGreaterThan(paceSettings.dayToDay);
  });
});

const kinds: readonly MovementKind[] = [
  'pulse-raiser',
  'mobiliser',
  'static-stretch',
  'basic',
  'drill',
  'skill',
  'strength',
  'combination',
];
const library = aLibrary(...kinds.map((kind) => aMovement(kind, { kind, level: kind === 'static-stretch' ? 'floor' : 'standing' })));

/** A class of about 45 minutes, of another mixture each time. */
function aClass(chance: () => number): ClassPlan {
  const of = (section: string, some: readonly MovementKind[], count: number) =>
    Array.from({ length: count }, (_, index) => {
      const kind = some[Math.floor(chance() * some.length)] ?? 'basic';
      const familiarity = chance() < 0.3 ? 'new' : 'known';
      const dose =
        chance() < 0.3
          ? ({ kind: 'timed', seconds: 60 } as const)
          : ({ kind: 'reps', sets: 1 + Math.floor(chance() * 3), reps: 8, secondsPerRep: 3, restSeconds: 10 } as const);
      return anItem(kind, { id: `${section}${String(index)}`, familiarity, dose });
    });
  return aPlan({
    'warm-up': of('w', ['pulse-raiser', 'mobiliser'], 7),
    basics: of('b', ['basic'], 4),
    drills: of('d', ['drill'], 5),
    skill: of('s', ['skill'], 3),
    strength: of('f', ['strength'], 3),
    combination: of('k', ['combination'], 1),
    'cool-down': of('c', ['static-stretch'], 4),
  });
}

/** An instructor who explains and works as nobody knows: by kind, and every time a little differently. */
function anInstructor(chance: () => number) {
  const spread = (by: number): number => Math.exp((chance() + chance() + chance() - 1.5) * by * 2);
  const explainAll = 0.6 + chance() * 1.6;
  const explain = new Map(kinds.map((kind) => [kind, explainAll * spread(0.25)]));
  const work = 0.95 + chance() * 0.3;
  return (timed: TimedItem): { readonly explain: number; readonly work: number } => {
    const planned = timed.parts.explain + timed.parts.goTo;
    const done = timed.seconds - planned;
    return {
      explain: planned * (explain.get(timed.movement.kind) ?? 1) * spread(0.3),
      work: timed.item.dose.kind === 'timed' ? done : done * work * spread(0.08),
    };
  };
}

const timelineWith = (plan: ClassPlan, pace: Pace): Timeline => evaluatePlan(plan, library, aContext({ pace })).timeline;

/** Teaches a class by its keys: says when the work begins, holds the clock where it takes longer, goes on when it is done. */
function taught(
  plan: ClassPlan,
  pace: Pace,
  teach: ReturnType<typeof anInstructor>,
  classId: string,
): { readonly runs: readonly ItemRun[]; readonly seconds: number } {
  const { items } = timelineWith(plan, pace);
  const plain = timelineWith(plan, plainPace).items;
  let now = 0;
  let run = startRun(0);
  const press = (move: RunMove, after: number): void => {
    now += after * 1000;
    run = moved(run, move, items, now);
  };
  items.forEach((timed, index) => {
    const real = teach(plain[index] ?? timed);
    const planned = timed.workStartSecond - timed.startSecond;
    if (real.explain > planned) {
      press('pause', planned * 0.9);
      press('go', real.explain - planned * 0.9);
    } else press('go', Math.min(real.explain, planned - 0.001));
    const left = timed.seconds - planned;
    if (real.work > left) {
      press('pause', left * 0.9);
      press('resume', real.work - left);
      press('on', left * 0.1 - 0.001);
    } else press('on', Math.min(real.work, left - 0.001));
  });
  const runs = itemTimesOf(run, items, plain).flatMap(({ itemId, measured }) => {
    const kind = items.find(({ item }) => item.id === itemId)?.movement.kind;
    return measured && kind ? [{ classId, kind, ...measured }] : [];
  });
  return { runs, seconds: now / 1000 };
}

describe('an instructor with habits of their own', () => {
  const median = (numbers: readonly number[]): number => numbers.toSorted((a, b) => a - b)[Math.floor(numbers.length / 2)] ?? NaN;
  const histories = Array.from({ length: 50 }, (_, seed) => {
    const chance = chanceOf(seed + 1);
    const teach = anInstructor(chance);
    let runs: readonly ItemRun[] = [];
    let pace = plainPace;
    const classes: { readonly off: number; readonly isWithin: boolean }[] = [];
    for (let nth = 0; nth <= 6; nth += 1) {
      const plan = aClass(chance);
      const { timeline, span } = evaluatePlan(plan, library, aContext({ pace }));
      const { runs: own, seconds } = taught(plan, pace, teach, `class ${String(nth)}`);
      classes.push({
        off: Math.abs(timeline.totalSeconds / seconds - 1),
        isWithin: seconds >= span.leastSeconds && seconds <= span.mostSeconds,
      });
      runs = [...own, ...runs];
      pace = paceOf(learnedPace(runs));
    }
    return classes;
  });

  it('is reckoned within 6 % after six classes, and not so before', () => {
    expect(median(histories.map((classes) => classes.at(-1)?.off ?? 1))).toBeLessThan(0.06);
    expect(median(histories.map((classes) => classes[0]?.off ?? 0))).toBeGreaterThan(0.06);
  });

  it('ends within what was said to be likely about as often as that was said: four times of five', () => {
    const after = histories.flatMap((classes) => classes.slice(2));
    const share = after.filter(({ isWithin }) => isWithin).length / after.length;
    expect(share).toBeGreaterThan(0.7);
    expect(share).toBeLessThan(0.95);
  });
});

describe('what a class leaves behind', () => {
  const plan = aPlan({
    skill: [anItem('skill', { familiarity: 'known', dose: { kind: 'reps', sets: 2, reps: 8, secondsPerRep: 3, restSeconds: 10 } })],
  });
  const { items } = timelineWith(plan, plainPace);
  const [timed] = items;
  const planned = (timed?.workStartSecond ?? 0) - (timed?.startSecond ?? 0);
  const left = (presses: readonly (readonly [number, RunMove])[]) => {
    let now = 0;
    let run = startRun(0);
    for (const [after, move] of presses) {
      now += after * 1000;
      run = moved(run, move, items, now);
    }
    return itemTimesOf(run, items, items)[0];
  };

  it('is as much more as it was paused, in the part that was interrupted', () => {
    const whole = left([[timed?.seconds ?? 0, 'on']])?.measured;
    expect(
      left([
        [2, 'pause'],
        [40, 'resume'],
        [(timed?.seconds ?? 0) - 2, 'on'],
      ])?.measured,
    ).toEqual({
      ...whole,
      realExplainSeconds: (whole?.realExplainSeconds ?? 0) + 40,
    });
    expect(
      left([
        [planned + 5, 'pause'],
        [40, 'resume'],
        [(timed?.seconds ?? 0) - planned - 5, 'on'],
      ])?.measured,
    ).toEqual({
      ...whole,
      realWorkSeconds: (whole?.realWorkSeconds ?? 0) + 40,
    });
  });

  it('is nothing of what was skipped, or left within a third of its work', () => {
    const work = (timed?.seconds ?? 0) - planned;
    expect(left([[planned - 1, 'on']])?.measured).toBeUndefined();
    expect(left([[planned + work / 3 - 0.5, 'on']])?.measured).toBeUndefined();
    expect(left([[planned + work / 3 + 0.5, 'on']])?.measured).toBeDefined();
  });

  it('is explaining up to the key that says so, and work from there', () => {
    const early = left([
      [3, 'go'],
      [30, 'on'],
    ])?.measured;
    expect([early?.realExplainSeconds, early?.realWorkSeconds]).toEqual([3, 30]);
  });

  it('adds up to the time that passed, whatever is pressed', () => {
    const presses = fc.array(fc.tuple(fc.integer({ min: 0, max: 30 }), fc.constantFrom<RunMove>('on', 'pause', 'resume', 'go')), {
      maxLength: 12,
    });
    fc.assert(
      fc.property(presses, (list) => {
        const time = left(list);
        if (!time?.measured) return;
        const { realExplainSeconds, realWorkSeconds } = time.measured;
        expect(realExplainSeconds + realWorkSeconds).toBeCloseTo(time.realSeconds, 6);
      }),
    );
  });
});
