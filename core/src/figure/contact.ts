import { eight, type Body } from './body.js';
import { jointLimits } from './limits.js';
import type { LimbAngles, LimbName, Pose, Target, WrittenPose } from './pose.js';
import { limbRotation, placedFigure, trunkRotations, withLimb, type SolvedFigure } from './solve.js';
import {
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
  const { radii } = figure.body;
  if (target === 'belly') return { at: between(figure.pelvis, figure.waist, 0.7), radius: radii.trunk };
  if (target === 'chest') return { at: between(figure.waist, figure.chest, 0.7), radius: radii.trunk };
  if (target === 'head') return { at: figure.head, radius: radii.head };
  const isLeft = target.startsWith('left');
  const part = target.slice(isLeft ? 'left'.length : 'right'.length);
  const leg = isLeft ? figure.leftLeg : figure.rightLeg;
  const arm = isLeft ? figure.leftArm : figure.rightArm;
  switch (part) {
    case 'Hip':
      return { at: leg.hip, radius: radii.seat };
    case 'Thigh':
      return { at: between(leg.hip, leg.knee, 0.6), radius: radii.thigh };
    case 'Knee':
      return { at: leg.knee, radius: radii.knee };
    case 'Shin':
      return { at: between(leg.knee, leg.ankle, 0.5), radius: radii.shin };
    case 'Ankle':
      return { at: between(leg.knee, leg.ankle, 0.94), radius: radii.shin };
    case 'Foot':
      return { at: between(leg.heel, leg.ball, 0.6), radius: radii.foot };
    case 'Heel':
      return { at: leg.heel, radius: radii.foot };
    case 'Toes':
      return { at: leg.toes, radius: radii.foot };
    case 'Shoulder':
      return { at: arm.shoulder, radius: radii.arm };
    case 'Elbow':
      return { at: arm.elbow, radius: radii.arm };
    case 'Forearm':
      return { at: between(arm.elbow, arm.wrist, 0.5), radius: radii.arm };
    case 'Wrist':
      return { at: arm.wrist, radius: radii.arm };
    case 'Hand':
      return { at: between(arm.wrist, arm.fingers, 0.5), radius: radii.hand };
    default:
      throw new Error(`no part of the body is called ${target}`);
  }
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
  if (bend < limits.bend[0] - 1 || bend > limits.bend[1]) return 'beyond-joints';
  // turned by an angle about an axis, a rotation is along + cos * across + sin * around (Rodrigues): worked out once for all angles
  const axis = scaled(wanted, 1 / far);
  const along = projected(axis, straight);
  const around = crossed(axis, straight);
  const turnedBy = (angle: Degrees): Rotation => {
    const [c, s] = [Math.cos(angle / degrees), Math.sin(angle / degrees)];
    const at = (index: 0 | 1 | 2 | 4 | 7): number => along[index] + c * (straight[index] - along[index]) + s * around[index];
    return [at(0), at(1), at(2), 0, at(4), 0, 0, at(7), 0];
  };
  for (let swivel = 0; swivel <= 150; swivel += 5)
    for (const direction of swivel === 0 ? [1] : [1, -1]) {
      const found = anglesOf(turnedBy(direction * swivel), side, written, limits);
      if (found) return { ...written, ...found, bend: Math.max(0, bend) };
    }
  return 'beyond-joints';
}

/** The part of each column of a rotation that lies along an axis of length 1. */
function projected([x, y, z]: Vector, r: Rotation): Rotation {
  const a = x * r[0] + y * r[3] + z * r[6];
  const b = x * r[1] + y * r[4] + z * r[7];
  const c = x * r[2] + y * r[5] + z * r[8];
  return [x * a, x * b, x * c, y * a, y * b, y * c, z * a, z * b, z * c];
}

/** The axis crossed with each column of a rotation. */
const crossed = ([x, y, z]: Vector, r: Rotation): Rotation => [
  y * r[6] - z * r[3],
  y * r[7] - z * r[4],
  y * r[8] - z * r[5],
  z * r[0] - x * r[6],
  z * r[1] - x * r[7],
  z * r[2] - x * r[8],
  x * r[3] - y * r[0],
  x * r[4] - y * r[1],
  x * r[5] - y * r[2],
];

/** A rotation – of which the entries 0, 1, 2, 4 and 7 say it – as flex, abduct and rotate within the limits of a joint, of the ways to write it the one nearest to how it was; null for none. */
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
  for (const isOver of [false, true]) {
    const a = isOver ? 180 - abduct : abduct;
    const one = {
      flex: withinOf(isOver ? flex + 180 : flex, near.flex, limits.flex),
      abduct: side * (side === 1 || a <= 180 ? a : a - 360),
      rotate: withinOf(side * (isOver ? rotate + 180 : rotate), near.rotate, limits.rotate),
    };
    if (Number.isNaN(one.flex) || Number.isNaN(one.rotate) || one.abduct < limits.abduct[0] || one.abduct > limits.abduct[1]) continue;
    const away = Math.abs(one.flex - near.flex) + Math.abs(one.abduct - near.abduct) + Math.abs(one.rotate - near.rotate);
    if (away < least) [best, least] = [one, away];
  }
  return best;
}

/** The same direction as an angle within limits, the nearest to how it was; NaN for none. */
function withinOf(angle: Degrees, near: Degrees, [from, to]: readonly [number, number]): Degrees {
  let best = Number.NaN;
  for (let turn = -360; turn <= 360; turn += 360) {
    const one = angle + turn;
    if (one >= from && one <= to && !(Math.abs(one - near) >= Math.abs(best - near))) best = one;
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

/** A hand or foot, and what it touches. */
export interface Contact {
  readonly limb: LimbName;
  readonly target: Target;
}

const contactsByTouch = new WeakMap<object, readonly Contact[]>();

/** Every contact of a written pose, legs before arms: an arm may hold a leg. */
export function contactsOf({ touch }: Pick<WrittenPose, 'touch'>): readonly Contact[] {
  if (touch === undefined) return [];
  const known = contactsByTouch.get(touch);
  if (known) return known;
  const all = Object.entries(touch)
    .flatMap(([part, target]) => (limbsOfPart[part] ?? []).map((limb) => ({ limb, target: targetFor(limb, target) })))
    .toSorted((a, b) => Number(a.limb.endsWith('Arm')) - Number(b.limb.endsWith('Arm')));
  contactsByTouch.set(touch, all);
  return all;
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
  const contacts = contactsOf(written);
  if (contacts.length === 0) return pose;
  const frames = trunkRotations(pose);
  let current = pose;
  let figure = placedFigure(pose, body);
  for (const { limb, target } of contacts) {
    const bones = bonesOf(limb, current[limb], figure, frames);
    const place = placeOf(target, figure, tipOf(limb, figure), bones.radius);
    const angles = reaching(limb, current[limb], bones, place);
    if (typeof angles === 'string') throw new ContactError({ limb, target: JSON.stringify(target), why: angles });
    current = { ...current, [limb]: angles };
    figure = withLimb(figure, limb, angles, frames);
  }
  return current;
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
    figure = withLimb(figure, limb, angles, frames);
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
