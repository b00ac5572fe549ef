import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { eight } from './body.js';
import { extentOf, facings, flattened, shapesOf, viewOf } from './draw.js';
import { jointFaults, jointLimits } from './limits.js';
import { figureAt, motionOf } from './motion.js';
import {
  blended,
  completePose,
  handShapes,
  limbNames,
  mirrored,
  props,
  type Bearing,
  type LimbAngles,
  type Pose,
  type WrittenPose,
} from './pose.js';
import { poseNamed, poseNames } from './pose-book.js';
import { settled } from './settle.js';
import { centreOfMass, heightOf, leanOver, solve, type SolvedFigure } from './solve.js';
import { propShapes } from './things.js';
import { minus, type Vector } from './vector.js';

const skeleton = eight.bones;

const named = (name: string): Pose => {
  const pose = poseNamed(name);
  if (!pose) throw new Error(`no pose ${name}`);
  return pose;
};
const figureOf = (name: string): SolvedFigure => solve(named(name));
const distance = (a: Vector, b: Vector): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
/** How far a line leans from straight up, in degrees. */
const fromUpright = (low: Vector, high: Vector): number => (Math.acos(Math.abs(high[1] - low[1]) / distance(low, high)) * 180) / Math.PI;
const everyPart: readonly Bearing[] = ['hands', 'feet', 'knees', 'elbows', 'seat', 'back', 'belly', 'head'];

const between = ([least, most]: readonly [number, number]) => fc.double({ min: least, max: most, noNaN: true });
const limb = (limits: Readonly<Record<keyof LimbAngles, readonly [number, number]>>) =>
  fc.record({
    flex: between(limits.flex),
    abduct: between(limits.abduct),
    rotate: between(limits.rotate),
    bend: between(limits.bend),
    end: between(limits.end),
  });
const trunk = (limits: (typeof jointLimits)['low']) =>
  fc.record({ flex: between(limits.flex), bend: between(limits.bend), twist: between(limits.twist) });
const anyTurn = fc.double({ min: -180, max: 180, noNaN: true });
const anyPose: fc.Arbitrary<Pose> = fc.record({
  root: fc.record({ pitch: anyTurn, roll: anyTurn, yaw: anyTurn }),
  low: trunk(jointLimits.low),
  high: trunk(jointLimits.high),
  neck: trunk(jointLimits.neck),
  leftArm: limb(jointLimits.arm),
  rightArm: limb(jointLimits.arm),
  leftLeg: limb(jointLimits.leg),
  rightLeg: limb(jointLimits.leg),
  hands: fc.record({ left: fc.constantFrom(...handShapes), right: fc.constantFrom(...handShapes) }),
  lift: fc.double({ min: 0, max: 0.4, noNaN: true }),
});

describe.each(poseNames)('the base pose %s', (name) => {
  it('can be taken by a child, touches the floor or is in the air on purpose, and nothing of it is below', () => {
    const pose = named(name);
    expect(jointFaults(pose)).toEqual([]);
    const lowest = Math.min(...everyPart.map((part) => heightOf(solve(pose), part)));
    expect(lowest).toBeCloseTo(pose.lift, 6);
  });
});

describe('the shapes that coaches look for', () => {
  it('a handstand is one straight line over the hands', () => {
    const { leftArm, leftLeg, chest, pelvis } = figureOf('handstand');
    for (const [low, high] of [
      [leftArm.wrist, leftArm.shoulder],
      [chest, pelvis],
      [leftLeg.hip, leftLeg.knee],
      [leftLeg.knee, leftLeg.ankle],
    ] as const)
      expect(fromUpright(low, high)).toBeLessThan(3);
    expect(leftArm.wrist[1]).toBeLessThan(0.1);
  });

  it('a split lies on the floor with both legs, and is no lunge', () => {
    const { leftLeg, rightLeg, pelvis } = figureOf('split');
    for (const leg of [leftLeg, rightLeg]) {
      expect(90 - fromUpright(leg.hip, leg.ankle)).toBeLessThan(14);
      expect(distance(leg.hip, leg.ankle)).toBeCloseTo(skeleton.thigh + skeleton.shin, 6);
    }
    expect(pelvis[1]).toBeLessThan(0.14);
  });

  it('a lever has the lifted leg and the back in one line', () => {
    const { rightLeg, pelvis, chest } = figureOf('lever');
    const slope = (from: Vector, to: Vector): number => (Math.atan2(to[1] - from[1], to[2] - from[2]) * 180) / Math.PI;
    expect(Math.abs(slope(rightLeg.ankle, rightLeg.hip) - slope(pelvis, chest))).toBeLessThan(6);
    expect(Math.abs(slope(pelvis, chest))).toBeLessThan(25);
  });

  it('a bridge stands on hands and feet with the belly highest', () => {
    const figure = figureOf('bridge');
    expect(heightOf(figure, 'hands')).toBeCloseTo(0, 2);
    expect(heightOf(figure, 'feet')).toBeCloseTo(0, 2);
    expect(figure.waist[1]).toBeGreaterThan(figure.head[1]);
    expect(figure.waist[1]).toBeGreaterThan(figure.leftLeg.knee[1] - 0.02);
  });

  it('a plank is straight from shoulder to ankle', () => {
    const { chest, pelvis, leftLeg } = figureOf('plank');
    expect(distance(chest, pelvis) + distance(pelvis, leftLeg.ankle)).toBeLessThan(distance(chest, leftLeg.ankle) + 0.01);
  });

  it('a plié and a horse stance have the knees over the toes', () => {
    for (const name of ['plie-first', 'plie-second', 'horse-stance']) {
      const { leftLeg } = figureOf(name);
      const outward = (to: Vector): number => (Math.atan2(to[0] - leftLeg.ankle[0], to[2] - leftLeg.ankle[2]) * 180) / Math.PI;
      const alongFoot = Math.hypot(leftLeg.knee[0] - leftLeg.ankle[0], leftLeg.knee[2] - leftLeg.ankle[2]);
      if (alongFoot > 0.02) expect(Math.abs(outward(leftLeg.knee) - outward(leftLeg.toes)), name).toBeLessThan(15);
    }
  });

  it('a back kick goes heel first', () => {
    const { rightLeg } = figureOf('back-kick');
    expect(rightLeg.heel[2]).toBeLessThan(rightLeg.toes[2]);
  });

  it('what stands on one foot has its weight above that foot', () => {
    for (const name of ['lever', 'passe', 'arabesque', 'front-kick', 'side-kick', 'round-kick', 'knee-up', 'stork', 'attitude']) {
      const pose = named(name);
      expect(Math.abs(leanOver(pose, 'leftFoot', 'z')), name).toBeLessThan(0.02);
      expect(Math.abs(leanOver(pose, 'leftFoot', 'x')), name).toBeLessThan(0.06);
    }
  });
});

describe('solving', () => {
  it('never stretches a limb, and puts the lowest point on the floor and the weight above the origin', () => {
    fc.assert(
      fc.property(anyPose, (pose) => {
        const figure = solve(pose);
        for (const leg of [figure.leftLeg, figure.rightLeg]) {
          expect(distance(leg.hip, leg.knee)).toBeCloseTo(skeleton.thigh, 9);
          expect(distance(leg.knee, leg.ankle)).toBeCloseTo(skeleton.shin, 9);
        }
        for (const arm of [figure.leftArm, figure.rightArm]) {
          expect(distance(arm.shoulder, arm.elbow)).toBeCloseTo(skeleton.upperArm, 9);
          expect(distance(arm.elbow, arm.wrist)).toBeCloseTo(skeleton.foreArm, 9);
        }
        expect(Math.min(...everyPart.map((part) => heightOf(figure, part)))).toBeCloseTo(pose.lift, 9);
        const [x, , z] = centreOfMass(figure);
        expect(Math.abs(x) + Math.abs(z)).toBeLessThan(1e-9);
      }),
    );
  });

  it('of a mirrored pose is the mirror image, and mirrored twice it is itself', () => {
    fc.assert(
      fc.property(anyPose, (pose) => {
        const [one, other] = [solve(pose), solve(mirrored(pose))];
        const flipped = (v: Vector): Vector => [-v[0], v[1], v[2]];
        for (const [a, b] of [
          [one.leftArm.fingers, other.rightArm.fingers],
          [one.rightLeg.toes, other.leftLeg.toes],
          [one.head, other.head],
          [one.face, other.face],
        ] as const)
          expect(distance(flipped(a), b)).toBeLessThan(1e-9);
        const twice = mirrored(mirrored(pose));
        for (const name of limbNames) expect(twice[name]).toEqual(pose[name]);
        expect(distance(solve(twice).head, one.head)).toBeLessThan(1e-9);
      }),
    );
  });

  it('in a straight stand makes the child one body length tall, head up, toes ahead', () => {
    const { head, leftLeg, face } = figureOf('stand');
    expect(head[1] + skeleton.head).toBeGreaterThan(0.95);
    expect(head[1] + skeleton.head).toBeLessThan(1.05);
    expect(leftLeg.toes[2]).toBeGreaterThan(leftLeg.heel[2]);
    expect(face[2]).toBeGreaterThan(head[2]);
  });
});

describe('limits of the joints', () => {
  it.each<readonly [string, WrittenPose, string]>([
    ['a knee bent backwards', { leftLeg: { bend: -10 } }, 'leftLeg.bend'],
    ['an elbow bent backwards', { rightArm: { bend: -5 } }, 'rightArm.bend'],
    ['a head turned to the back', { neck: { twist: 150 } }, 'neck.twist'],
    ['a leg behind the head', { rightLeg: { flex: -120 } }, 'rightLeg.flex'],
    ['no number', { low: { flex: Number.NaN } }, 'low.flex'],
  ])('refuse %s', (_what, written, joint) => {
    expect(jointFaults(completePose(written)).map((fault) => fault.joint)).toEqual([joint]);
  });
});

describe('settling', () => {
  it('says when no turn brings two parts to the floor together', () => {
    expect(() => settled({ level: [{ of: 'head', with: 'feet', by: 'arms.end' }] })).toThrow(/no turn of arms.end/);
  });

  it('brings both down where one turn does', () => {
    const figure = solve(settled({ pitch: 70, arms: { flex: 70, end: 88 }, level: [{ of: 'hands', with: 'feet', by: 'pitch' }] }));
    expect(heightOf(figure, 'hands')).toBeCloseTo(0, 3);
    expect(heightOf(figure, 'feet')).toBeCloseTo(0, 3);
  });
});

describe('blending', () => {
  it('begins at the one pose and ends at the other', () => {
    fc.assert(
      fc.property(anyPose, anyPose, (from, to) => {
        expect(distance(solve(blended(from, to, 0)).head, solve(from).head)).toBeLessThan(1e-9);
        expect(distance(solve(blended(from, to, 1)).leftLeg.toes, solve(to).leftLeg.toes)).toBeLessThan(1e-6);
      }),
    );
  });

  it('of two poses that can be taken can be taken all the way', () => {
    fc.assert(
      fc.property(anyPose, anyPose, fc.double({ min: 0, max: 1, noNaN: true }), (from, to, share) => {
        expect(jointFaults(blended(from, to, share))).toEqual([]);
      }),
    );
    // from one limit to the other is rounded past it by a hair
    const still = named('stand');
    const end = (degrees: number): Pose => ({ ...still, leftArm: { ...still.leftArm, end: degrees } });
    expect(jointFaults(blended(end(94.99999999999629), end(-85), 1))).toEqual([]);
    expect(jointFaults(end(-85.01)).map(({ joint }) => joint)).toEqual(['leftArm.end']);
  });

  it('takes a roll over the back on, and not the long way back', () => {
    const [back, up] = [named('roll-on-back'), named('squat-half')];
    const middle = blended(back, up, 0.5).root.pitch;
    expect(middle).toBeGreaterThan(back.root.pitch);
  });
});

describe('a motion', () => {
  const apart = (one: SolvedFigure, name: string): number => {
    const other = figureOf(name);
    const seen = (figure: SolvedFigure, point: Vector): Vector => minus(point, figure.pelvis);
    return (
      distance(seen(one, one.rightLeg.toes), seen(other, other.rightLeg.toes)) +
      distance(seen(one, one.leftArm.fingers), seen(other, other.leftArm.fingers))
    );
  };

  it('goes to and fro between two poses, and round where the last is the first', () => {
    const knee = motionOf(['stand', 'knee-up']);
    const kick = motionOf(['fighting-stance', 'front-chamber', 'front-kick', 'fighting-stance']);
    if (!knee || !kick) throw new Error('no motion');
    expect(apart(figureAt(knee, 0), 'stand')).toBeLessThan(1e-9);
    expect(apart(figureAt(knee, 0.5), 'knee-up')).toBeLessThan(0.03);
    expect(apart(figureAt(knee, 0.9999), 'stand')).toBeLessThan(0.02);
    expect(apart(figureAt(kick, 2 / 3), 'front-kick')).toBeLessThan(0.03);
    expect(apart(kick.stillFigure, 'front-kick')).toBeLessThan(0.03);
  });

  it('of a name that no pose has is none', () => {
    expect(motionOf(['stand', 'levitate'])).toBeNull();
    expect(motionOf([])).toBeNull();
  });
});

describe('drawing', () => {
  it('draws what is near over what is far, and calls it so', () => {
    const shapes = shapesOf(figureOf('lunge-left'), viewOf('side'));
    const strokes = shapes.flatMap((shape) => (shape.kind === 'stroke' ? [shape.side] : []));
    expect(strokes.indexOf('far')).toBeLessThan(strokes.lastIndexOf('near'));
    expect(new Set(strokes)).toEqual(new Set(['near', 'far']));
  });

  it('from the front shows the left of the child on the right of the picture, from the back on the left', () => {
    const figure = figureOf('stand-point'); // the right arm points
    const hand = (facing: 'front' | 'back'): number => {
      const extent = extentOf([figure], viewOf(facing));
      return Math.abs(extent.left) - Math.abs(extent.right);
    };
    const wave = figureOf('stand-wave');
    expect(extentOf([wave], viewOf('front')).left).toBeLessThan(-Math.abs(extentOf([wave], viewOf('front')).right) + 0.02);
    expect(extentOf([wave], viewOf('back')).right).toBeGreaterThan(Math.abs(extentOf([wave], viewOf('back')).left) - 0.02);
    expect(hand('front')).toBeCloseTo(-hand('back'), 6);
  });

  it('stands a wall where hands or feet reach it', () => {
    const push = figureOf('wall-push');
    const [wall] = propShapes({ props: ['wall'], stillFigure: push, figures: [push] }, push, viewOf('side'));
    const at = wall?.lines[0]?.[0]?.[0] ?? 0;
    expect(at).toBeGreaterThan(push.leftArm.wrist[2]);
    expect(at - push.leftArm.fingers[2]).toBeLessThan(0.08);
  });

  it('draws every thing that there is beside any pose with it, from every side, as lines that are somewhere', () => {
    for (const prop of props)
      for (const pose of ['stand', 'plank', 'long-sit', 'handstand', 'chair-sit', 'bridge-raised']) {
        const one = motionOf([`${pose} ${prop}`]);
        if (!one) throw new Error(`${pose} ${prop}`);
        for (const facing of facings)
          for (const { lines } of propShapes(one, one.stillFigure, viewOf(facing)))
            expect(lines.flat(2).every(Number.isFinite), `${pose} ${prop} ${facing}`).toBe(true);
      }
    const sofa = motionOf(['bridge-raised']);
    expect(sofa && propShapes(sofa, sofa.stillFigure, viewOf('side'))[0]?.lines.length).toBe(1);
  });

  it('lays a line under the whole way that is gone on it', () => {
    const walk = motionOf(['line-walk', 'line-walk other-side', 'line-walk']);
    if (!walk) throw new Error('no motion');
    const [line = []] = propShapes(walk, walk.stillFigure, viewOf('side'))[0]?.lines ?? [];
    const reach = line.map(([right]) => right);
    for (const { to } of walk.path)
      for (const foot of [to.figure.leftLeg, to.figure.rightLeg]) {
        expect(flattened(foot.toes, viewOf('side'))[0]).toBeLessThan(Math.max(...reach));
        expect(flattened(foot.heel, viewOf('side'))[0]).toBeGreaterThan(Math.min(...reach));
      }
  });

  it('draws a fist as a knob and a flat hand as a blade', () => {
    const thickest = (text: string): number => {
      const one = motionOf([text]);
      if (!one) throw new Error(text);
      const { leftArm } = one.stillFigure;
      const [x, y] = flattened(leftArm.wrist, viewOf('front'));
      return Math.max(
        ...shapesOf(one.stillFigure, viewOf('front')).flatMap((shape) =>
          shape.kind === 'stroke' && Math.hypot((shape.points[0]?.[0] ?? 9) - x, (shape.points[0]?.[1] ?? 9) - y) < 1e-9
            ? [shape.width]
            : [],
        ),
      );
    };
    expect(thickest('stand-arms-side fists')).toBeGreaterThan(thickest('stand-arms-side') * 1.3);
    expect(thickest('stand-arms-side flat-hands')).toBeLessThan(thickest('stand-arms-side') * 0.8);
  });
});
