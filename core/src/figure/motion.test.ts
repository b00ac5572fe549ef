import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { motionFaults } from '../testing/motion-faults.js';
import { bodies, eight } from './body.js';
import { jointFaults } from './limits.js';
import { mirroredFigure } from './mirrored-figure.js';
import { figureAt, motionOf, type Motion } from './motion.js';
import { poseNames } from './pose-book.js';
import { lowestOf, solve, type SolvedFigure } from './solve.js';
import { canBeTaken, mostSteps, readStep, stepWordGroups, stepWords, takenStep, writtenStep } from './step.js';
import { lengthOf, minus, type Vector } from './vector.js';

const motion = (...steps: readonly string[]): Motion => {
  const found = motionOf(steps);
  if (!found) throw new Error(steps.join());
  return found;
};
const apart = (a: Vector, b: Vector): number => lengthOf(minus(a, b));
const step = (text: string) => {
  const found = takenStep(text);
  if (!found) throw new Error(text);
  return found;
};

describe('a step of a figure', () => {
  it('is read as it is written, whatever the order of its words, and written as it is read', () => {
    const words = fc.subarray([...stepWords], { maxLength: 6 });
    fc.assert(
      fc.property(fc.constantFrom(...poseNames), words, (pose, some) => {
        const one = readStep([pose, ...some].join(' '));
        if (!one) throw new Error('a known word');
        const other = readStep([pose, ...some.toReversed()].join('   '));
        expect(new Set(writtenStep(one).split(' '))).toEqual(new Set([pose, ...some]));
        expect(readStep(writtenStep(one))).toEqual(one);
        expect(new Set(other?.additions)).toEqual(new Set(one.additions));
      }),
    );
  });

  it.each(['', '  ', 'levitate', 'stand on-the-moon', 'quick', 'constructor', 'stand constructor', `stand ${'quick '.repeat(9)}`])(
    'is refused where a word is not known: “%s”',
    (text) => {
      expect(readStep(text)).toBeNull();
      expect(canBeTaken(text)).toBe(false);
      expect(motionOf([text])).toBeNull();
    },
  );

  it('changes what its words say and nothing else', () => {
    const [plain, up] = [step('stork').pose, step('stork arms-up').pose];
    expect(up.leftArm.flex).toBeGreaterThan(170);
    expect(up.rightLeg).toEqual(plain.rightLeg);
    expect(step('jab hands-open').pose.hands).toEqual({ left: 'open', right: 'open' });
    expect(step('jab').pose.hands).toEqual({ left: 'fist', right: 'fist' });
    expect(step('jab right-flat-hand').pose.hands).toEqual({ left: 'fist', right: 'flat' });
    expect(step('stand ring towel').props).toEqual(['ring', 'towel']);
    expect(step('line-walk beam').props).toEqual(['beam']);
  });

  it('lets go of what it touched where its arms are told to do something else, and keeps the foot where it is', () => {
    expect(canBeTaken('knee-hug arms-side')).toBe(true);
    const figure = solve(step('stork arms-up').pose);
    expect(apart(figure.rightLeg.ball, figure.leftLeg.knee)).toBeLessThan(0.12);
  });

  it('can be taken with every word for arms, hands, head and direction', () => {
    const words = stepWordGroups.body;
    expect(poseNames.flatMap((pose) => words.map((word) => `${pose} ${word}`)).filter((text) => !canBeTaken(text))).toEqual([]);
  });

  it('turned is the same body, facing elsewhere', () => {
    const [ahead, left] = [solve(step('stork').pose), solve(step('stork turned-left').pose)];
    expect(left.face[0] - left.head[0]).toBeCloseTo(ahead.face[2] - ahead.head[2], 6);
    expect(left.rightLeg.knee[1]).toBeCloseTo(ahead.rightLeg.knee[1], 6);
  });

  it('on the other side is the mirror image', () => {
    const [one, other] = [solve(step('front-kick').pose), solve(step('front-kick other-side').pose)];
    expect(apart(mirroredFigure(one).leftLeg.toes, other.leftLeg.toes)).toBeLessThan(1e-9);
  });
});

describe('a motion', () => {
  it('keeps the foot that stands where it is, and the sole on the floor', () => {
    const kick = motion('fighting-stance', 'front-chamber quick', 'front-kick quick', 'fighting-stance');
    const stood = figureAt(kick, 0);
    for (let share = 0; share < 1; share += 0.01) {
      const figure = figureAt(kick, share);
      expect(Math.hypot(figure.leftLeg.ball[0] - stood.leftLeg.ball[0], figure.leftLeg.ball[2] - stood.leftLeg.ball[2])).toBeLessThan(0.01);
      expect(lowestOf(figure)).toBeGreaterThan(-0.01);
    }
  });

  it('walks on: each step is taken from the foot that stands', () => {
    const walk = motion('walk-left', 'walk-left other-side', 'walk-left');
    const way = figureAt(walk, 0.999).pelvis[2] - figureAt(walk, 0).pelvis[2];
    expect(way).toBeGreaterThan(0.4);
    expect(motionFaults(walk)).toEqual([]);
  });

  it('leads the swinging leg round the standing one on a line, not through it', () => {
    const walk = motion('line-walk', 'line-walk other-side', 'line-walk');
    for (let share = 0; share < 1; share += 0.01) {
      const { leftLeg, rightLeg } = figureAt(walk, share);
      expect(apart(leftLeg.ankle, rightLeg.ankle)).toBeGreaterThan(0.06);
    }
  });

  it('lifts a foot that steps, and brushes one that stays pointed', () => {
    const highest = (one: Motion): number =>
      Math.max(
        ...Array.from({ length: 60 }, (_, at) => figureAt(one, at / 60)).map(({ rightLeg }) =>
          Math.min(rightLeg.heel[1], rightLeg.toes[1]),
        ),
      );
    expect(highest(motion('stand', 'stand-wide'))).toBeGreaterThan(0.04);
    expect(highest(motion('tendu-front', 'tendu-side'))).toBeLessThan(0.04);
  });

  it('rolls over about the length of the body', () => {
    const roll = motion('supine-arms-up', 'side-lying-long passing', 'front-lying-long');
    for (let share = 0; share < 1; share += 0.02) expect(figureAt(roll, share).chest[1]).toBeLessThan(0.2);
  });

  it('takes its time as it is told: a quick kick is over before a slow one has begun, and what is held stays', () => {
    const moved = (...steps: readonly string[]): number => {
      const one = motion('stand', ...steps);
      const still = figureAt(one, 0).rightLeg.toes;
      return Array.from({ length: 200 }, (_, at) => figureAt(one, at / 200)).filter(({ rightLeg }) => apart(rightLeg.toes, still) > 0.15)
        .length;
    };
    expect(moved('knee-up held')).toBeGreaterThan(moved('knee-up') * 1.2);
    expect(motion('stand', 'knee-up quick').steps).toBeLessThan(motion('stand', 'knee-up slow').steps);
  });

  it('stands for itself by the pose that is shown', () => {
    expect(apart(motion('stand', 'squat-deep', 'star shown').stillFigure.head, motion('star').stillFigure.head)).toBeLessThan(0.4);
    expect(motion('stand', 'squat-deep shown', 'star').stillFigure.head[1]).toBeLessThan(0.7);
  });

  it('never tears a body apart, whatever follows on whatever', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...poseNames), { minLength: 2, maxLength: mostSteps }),
        fc.constantFrom('4-6' as const, '7-9' as const, '10-13' as const),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (names, age, share) => {
          const one = motionOf(names, bodies[age]);
          if (!one) throw new Error('known poses');
          const figure = figureAt(one, share);
          const { bones } = bodies[age];
          for (const { hip, knee, ankle } of [figure.leftLeg, figure.rightLeg]) {
            expect(apart(hip, knee)).toBeCloseTo(bones.thigh, 6);
            expect(apart(knee, ankle)).toBeCloseTo(bones.shin, 6);
          }
          for (const pose of one.poses) expect(jointFaults(pose)).toEqual([]);
        },
      ),
      { numRuns: 150 },
    );
  });
});

describe('bodies by age', () => {
  const heads = (figure: SolvedFigure): number => (figure.head[1] + figure.body.radii.head) / (2 * figure.body.radii.head);

  it('are one body length tall, with fewer heads the younger', () => {
    const all = Object.values(bodies).map((body) => solve(step('stand').pose, body));
    for (const { head, body } of all) expect(Math.abs(head[1] + body.radii.head - 1)).toBeLessThan(0.02);
    expect(all.map(heads)).toEqual(all.map(heads).toSorted((a, b) => a - b));
    expect(heads(solve(step('stand').pose, bodies['4-6']))).toBeLessThan(5.8);
  });

  it('touch what they should with arms of their own length', () => {
    const hug = (body: (typeof bodies)[keyof typeof bodies]): number => {
      const figure = motionOf(['knee-hug'], body)?.stillFigure;
      if (!figure) throw new Error('no figure');
      return apart(figure.leftArm.wrist, figure.rightLeg.knee);
    };
    for (const body of Object.values(bodies)) expect(hug(body)).toBeLessThan(0.11);
    expect(eight).toBe(bodies['7-9']);
  });
});
