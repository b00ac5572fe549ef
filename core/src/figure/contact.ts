import { eight, type Body } from './body.js';
import { jointLimits } from './limits.js';
import type { LimbAngles, LimbName, Pose, Target, WrittenPose } from './pose.js';
import { limbRotation, placedFigure, trunkRotations, type SolvedFigure } from './solve.js';
import {
  aboutAxis,
  aboutX,
  add,
  after,
  between,
  lengthOf,
  minus,
  scaled,
  transposed,
  turnBetween,
  turned,
  type Degrees,
  type Rotation,
  type Vector,
} from './vector.js';

/** How exactly a contact is met, in body lengths. */
export const contactExact = 0.01;

/** What is missing for a limb to touch what it should. */
export interface ContactFault {
  readonly limb: LimbName;
  readonly target: string;
  readonly why: 'out-of-reach' | 'beyond-joints';
}

interface Point {
  readonly at: Vector;
  /** How thick the body is there. */
  readonly radius: number;
}

const degrees = 180 / Math.PI;

/** Where a target of the body is, and how thick it is there. Left and right are the child's. */
function pointOf(target: Exclude<Target, { readonly ahead: number }>, figure: SolvedFigure): Point {
  const { leftArm, rightArm, leftLeg, rightLeg } = figure;
  const { radii } = figure.body;
  const leg = (own: SolvedFigure['leftLeg']): Record<'hip' | 'thigh' | 'knee' | 'shin' | 'ankle' | 'foot' | 'heel' | 'toes', Point> => ({
    hip: { at: own.hip, radius: radii.seat },
    thigh: { at: between(own.hip, own.knee, 0.6), radius: radii.thigh },
    knee: { at: own.knee, radius: radii.knee },
    shin: { at: between(own.knee, own.ankle, 0.5), radius: radii.shin },
    ankle: { at: between(own.knee, own.ankle, 0.94), radius: radii.shin },
    foot: { at: between(own.heel, own.ball, 0.6), radius: radii.foot },
    heel: { at: own.heel, radius: radii.foot },
    toes: { at: own.toes, radius: radii.foot },
  });
  const arm = (own: SolvedFigure['leftArm']): Record<'shoulder' | 'elbow' | 'forearm' | 'wrist' | 'hand', Point> => ({
    shoulder: { at: own.shoulder, radius: radii.arm },
    elbow: { at: own.elbow, radius: radii.arm },
    forearm: { at: between(own.elbow, own.wrist, 0.5), radius: radii.arm },
    wrist: { at: own.wrist, radius: radii.arm },
    hand: { at: between(own.wrist, own.fingers, 0.5), radius: radii.hand },
  });
  const trunk: Record<string, Point> = {
    belly: { at: between(figure.pelvis, figure.waist, 0.7), radius: radii.trunk },
    chest: { at: between(figure.waist, figure.chest, 0.7), radius: radii.trunk },
    head: { at: figure.head, radius: radii.head },
  };
  const [side, ...rest] = target.split(/(?=[A-Z])/);
  const part = rest.join('').toLowerCase();
  const own: Record<string, Point> =
    side === 'left' ? { ...leg(leftLeg), ...arm(leftArm) } : side === 'right' ? { ...leg(rightLeg), ...arm(rightArm) } : trunk;
  const found = own[side === 'left' || side === 'right' ? part : target];
  if (!found) throw new Error(`no part of the body is called ${target}`);
  return found;
}

/** A limb as two bones that bend in one plane. */
interface TwoBones {
  readonly root: Vector;
  /** The frame that the limb is turned in. */
  readonly frame: Rotation;
  readonly side: 1 | -1;
  readonly upper: number;
  readonly lower: number;
  /** How much further than the joint the lower bone is bent, since hand or foot are not in line with it. */
  readonly offset: Degrees;
  /** Which way the joint bends about the axis to the left. */
  readonly hinge: 1 | -1;
  readonly limits: (typeof jointLimits)['arm'];
  readonly radius: number;
}

function bonesOf(limb: LimbName, angles: LimbAngles, figure: SolvedFigure, frames: ReturnType<typeof trunkRotations>): TwoBones {
  const side = limb.startsWith('left') ? 1 : -1;
  const { bones, radii } = figure.body;
  if (limb.endsWith('Arm')) {
    // the palm, in the frame of the forearm
    const palm = add([0, -bones.foreArm, 0], turned(aboutX(-angles.end), [0, -bones.hand / 2, 0]));
    return {
      root: figure[limb as 'leftArm' | 'rightArm'].shoulder,
      frame: frames.high,
      side,
      upper: bones.upperArm,
      lower: lengthOf(palm),
      offset: Math.atan2(palm[2], -palm[1]) * degrees,
      hinge: -1,
      limits: jointLimits.arm,
      radius: radii.hand,
    };
  }
  const ball = add([0, -bones.shin, 0], turned(aboutX(angles.end), [0, -(bones.ankleHeight - radii.foot), bones.ballAhead]));
  return {
    root: figure[limb as 'leftLeg' | 'rightLeg'].hip,
    frame: frames.root,
    side,
    upper: bones.thigh,
    lower: lengthOf(ball),
    offset: -Math.atan2(ball[2], -ball[1]) * degrees,
    hinge: 1,
    limits: jointLimits.leg,
    radius: radii.foot,
  };
}

/** Where the palm or the ball of the foot is, seen from the shoulder or hip, before the limb is turned. */
const tipAt = ({ upper, lower, hinge }: TwoBones, bend: Degrees): Vector =>
  add([0, -upper, 0], turned(aboutX(hinge * bend), [0, -lower, 0]));

/**
 * The angles with which a limb of two bones reaches a point, nearest to how it is written: the joint between opens by the law of cosines,
 * the whole is turned the short way there, and about the line to it only as far as the joints ask (closed form for two bones).
 */
function reaching(limb: LimbName, written: LimbAngles, bones: TwoBones, point: Vector): LimbAngles | ContactFault['why'] {
  const { root, frame, side, upper, lower, offset, limits } = bones;
  const wanted = turned(transposed(frame), minus(point, root));
  const far = lengthOf(wanted);
  if (far > upper + lower + contactExact || far < Math.abs(upper - lower) - contactExact) return 'out-of-reach';
  const reach = Math.max(Math.abs(upper - lower) + 1e-6, Math.min(upper + lower - 1e-6, far));
  const inner = Math.acos(Math.max(-1, Math.min(1, (upper ** 2 + lower ** 2 - reach ** 2) / (2 * upper * lower)))) * degrees;
  const whole = 180 - inner;
  const tip = tipAt(bones, whole);
  const begun = limbRotation(written, side);
  const straight = after(turnBetween(turned(begun, tip), wanted), begun);
  const bend = whole - offset;
  const axis = scaled(wanted, 1 / far);
  for (let swivel = 0; swivel <= 150; swivel += 5)
    for (const direction of swivel === 0 ? [1] : [1, -1]) {
      const found = anglesOf(after(aboutAxis(axis, direction * swivel), straight), side, written, limits);
      if (found && bend >= limits.bend[0] - 1 && bend <= limits.bend[1]) return { ...written, ...found, bend: Math.max(0, bend) };
    }
  return 'beyond-joints';
}

/** A rotation as flex, abduct and rotate within the limits of a joint, of the ways to write it the one nearest to how it was; null for none. */
function anglesOf(
  r: Rotation,
  side: 1 | -1,
  near: LimbAngles,
  limits: (typeof jointLimits)['arm'],
): Pick<LimbAngles, 'flex' | 'abduct' | 'rotate'> | null {
  const flex = Math.atan2(-r[7], r[4]) * degrees;
  const abduct = Math.asin(Math.max(-1, Math.min(1, -r[1]))) * degrees;
  const rotate = Math.atan2(r[2], r[0]) * degrees;
  let best: Pick<LimbAngles, 'flex' | 'abduct' | 'rotate'> | null = null;
  let least = Infinity;
  for (const [f, a, o] of [
    [flex, abduct, rotate],
    [flex + 180, 180 - abduct, rotate + 180],
  ] as const)
    for (const turn of [-360, 0, 360])
      for (const about of [-360, 0, 360]) {
        const wrapped = side === 1 || a <= 180 ? a : a - 360;
        const one = { flex: f + turn, abduct: side * wrapped, rotate: side * (o + about) };
        if ((['flex', 'abduct', 'rotate'] as const).some((name) => one[name] < limits[name][0] || one[name] > limits[name][1])) continue;
        const away = Math.abs(one.flex - near.flex) + Math.abs(one.abduct - near.abduct) + Math.abs(one.rotate - near.rotate);
        if (away < least) [best, least] = [one, away];
      }
  return best;
}

const limbsOfPart: Readonly<Record<string, readonly LimbName[]>> = {
  hands: ['leftArm', 'rightArm'],
  leftHand: ['leftArm'],
  rightHand: ['rightArm'],
  feet: ['leftLeg', 'rightLeg'],
  leftFoot: ['leftLeg'],
  rightFoot: ['rightLeg'],
};

/** `ownKnee` is the knee of the same side, `otherShoulder` that of the other one. */
function targetFor(limb: LimbName, target: Target): Target {
  if (typeof target !== 'string') return target;
  const [own, other] = limb.startsWith('left') ? (['left', 'right'] as const) : (['right', 'left'] as const);
  return target.replace(/^own/, own).replace(/^other/, other) as Target;
}

/** Every contact of a written pose, legs before arms: an arm may hold a leg. */
export function contactsOf({ touch = {} }: Pick<WrittenPose, 'touch'>): readonly { readonly limb: LimbName; readonly target: Target }[] {
  const all = Object.entries(touch).flatMap(([part, target]) =>
    (limbsOfPart[part] ?? []).map((limb) => ({ limb, target: targetFor(limb, target) })),
  );
  return all.toSorted((a, b) => Number(a.limb.endsWith('Arm')) - Number(b.limb.endsWith('Arm')));
}

/** Where a limb has to come to for a contact: on the surface of what it touches, on the side that it is on as it is written. */
function placeOf(target: Target, figure: SolvedFigure, tip: Vector, radius: number): Vector {
  if (typeof target !== 'string') return add(figure.chest, [target.left ?? 0, target.up ?? 0, target.ahead]);
  const { at, radius: thick } = pointOf(target, figure);
  const away = minus(tip, at);
  const far = lengthOf(away);
  return far < 1e-9 ? add(at, [0, 0, thick + radius]) : add(at, scaled(away, (thick + radius) / far));
}

/** What of a limb touches: the palm, the ball of the foot. */
export function tipOf(limb: LimbName, figure: SolvedFigure): Vector {
  if (limb === 'leftArm' || limb === 'rightArm') return between(figure[limb].wrist, figure[limb].fingers, 0.5);
  return figure[limb].ball;
}

/**
 * Bends the limbs of a pose until each touches or reaches what it should, exact to `contactExact`; the written angles say which way elbows
 * and knees go. @throws ContactError by name where a child's joints cannot
 */
export function inContact(pose: Pose, written: Pick<WrittenPose, 'touch'>, body: Body = eight): Pose {
  return contactsOf(written).reduce((current, { limb, target }) => {
    const figure = placedFigure(current, body);
    const bones = bonesOf(limb, current[limb], figure, trunkRotations(current));
    const place = placeOf(target, figure, tipOf(limb, figure), bones.radius);
    const angles = reaching(limb, current[limb], bones, place);
    if (typeof angles === 'string') throw new ContactError({ limb, target: JSON.stringify(target), why: angles });
    return { ...current, [limb]: angles };
  }, pose);
}

/**
 * The pose with a hand or foot brought to a point; the pelvis is at the origin.
 * @param steep how much higher the ball of the foot is than its heel, as an angle; as it was where it is left out
 * @returns null where the joints do not allow it
 */
export function broughtTo(pose: Pose, limb: LimbName, point: Vector, body: Body = eight, steep?: Degrees): Pose | null {
  const isLeg = limb === 'leftLeg' || limb === 'rightLeg';
  const frames = trunkRotations(pose);
  let current = pose;
  let figure = placedFigure(pose, body);
  const wanted = isLeg ? (steep ?? steepnessOf(figure[limb])) : 0;
  for (let round = 0; round < (isLeg ? 3 : 1); round += 1) {
    const angles = reaching(limb, current[limb], bonesOf(limb, current[limb], figure, frames), point);
    if (typeof angles === 'string') return null;
    current = { ...current, [limb]: angles };
    if (!isLeg || round === 2) break;
    figure = placedFigure(current, body);
    const [least, most] = jointLimits.leg.end;
    const end = Math.max(least, Math.min(most, angles.end + steepnessOf(figure[limb]) - wanted));
    if (Math.abs(end - angles.end) < 0.01) break;
    current = { ...current, [limb]: { ...angles, end } };
  }
  return current;
}

/** How much the ball of a foot is higher than its heel, as an angle. */
export const steepnessOf = ({ heel, ball }: SolvedFigure['leftLeg']): Degrees =>
  Math.asin(Math.max(-1, Math.min(1, (ball[1] - heel[1]) / Math.max(1e-9, lengthOf(minus(ball, heel)))))) * degrees;

/** A pose that a child cannot take: which limb does not come to what. */
export class ContactError extends Error {
  constructor(readonly fault: ContactFault) {
    super(`${fault.limb} does not come to ${fault.target}: ${fault.why}`);
  }
}

/** How far a limb is from what it should touch, surface to surface, or from where it should reach; in body lengths. */
export function contactGap(figure: SolvedFigure, limb: LimbName, target: Target): number {
  const tip = tipOf(limb, figure);
  const radius = limb.endsWith('Arm') ? figure.body.radii.hand : figure.body.radii.foot;
  if (typeof target !== 'string') return lengthOf(minus(tip, placeOf(target, figure, tip, radius)));
  const { at, radius: thick } = pointOf(target, figure);
  return Math.abs(lengthOf(minus(tip, at)) - thick - radius);
}
