import type { Side } from '../values/side.js';
import {
  aboutAxis,
  aboutX,
  aboutY,
  aboutZ,
  after,
  lengthOf,
  scaled,
  transposed,
  type Degrees,
  type Rotation,
  type Vector,
} from './vector.js';

/** A joint of the trunk: forward, to the left, turned to the left. */
export interface TrunkAngles {
  readonly flex: Degrees;
  readonly bend: Degrees;
  readonly twist: Degrees;
}

/** An arm or a leg. All angles are 0 in a straight stand with hanging arms. */
export interface LimbAngles {
  /** Shoulder or hip, forward. */
  readonly flex: Degrees;
  /** Shoulder or hip, away from the middle. */
  readonly abduct: Degrees;
  /** Shoulder or hip about the long axis, outward: turnout. */
  readonly rotate: Degrees;
  /** Elbow or knee, bent. */
  readonly bend: Degrees;
  /** Wrist lifted towards the back of the hand; ankle stretched, toes away. */
  readonly end: Degrees;
}

export const limbNames = ['leftArm', 'rightArm', 'leftLeg', 'rightLeg'] as const;
export type LimbName = (typeof limbNames)[number];

/** Lower and upper part of the spine, and the neck. */
export const trunkNames = ['low', 'high', 'neck'] as const;

/** Parts of the body that can carry it. */
export const bearings = [
  'hands',
  'leftHand',
  'rightHand',
  'feet',
  'leftFoot',
  'rightFoot',
  'knees',
  'leftKnee',
  'rightKnee',
  'elbows',
  'seat',
  'back',
  'belly',
  'head',
] as const;
export type Bearing = (typeof bearings)[number];

/** How a hand is held. */
export const handShapes = ['open', 'fist', 'flat', 'pointing'] as const;
export type HandShape = (typeof handShapes)[number];

/** What stands beside or under the figure, or is in its hands. */
export const props = ['wall', 'chair', 'line', 'cushion', 'ring', 'towel', 'beam', 'sofa', 'block', 'ball', 'pad'] as const;
export type Prop = (typeof props)[number];

/** A shape of the body: angles only. Where it stands follows from what touches the floor. */
export interface Pose {
  /** How the pelvis lies: forward, to the left, turned to the left. 180 forward is upside down. */
  readonly root: { readonly pitch: Degrees; readonly roll: Degrees; readonly yaw: Degrees };
  readonly low: TrunkAngles;
  readonly high: TrunkAngles;
  readonly neck: TrunkAngles;
  readonly leftArm: LimbAngles;
  readonly rightArm: LimbAngles;
  readonly leftLeg: LimbAngles;
  readonly rightLeg: LimbAngles;
  readonly hands: { readonly left: HandShape; readonly right: HandShape };
  /** How high the lowest point is above the floor, in body lengths; more than 0 in a jump. */
  readonly lift: number;
}

/** A pose as it is written: what is left out is 0; `arms`, `legs` and `spine` stand for both sides and both parts. */
export interface WrittenPose {
  readonly pitch?: Degrees;
  readonly roll?: Degrees;
  readonly yaw?: Degrees;
  readonly lift?: number;
  readonly spine?: Partial<TrunkAngles>;
  readonly low?: Partial<TrunkAngles>;
  readonly high?: Partial<TrunkAngles>;
  readonly neck?: Partial<TrunkAngles>;
  readonly arms?: Partial<LimbAngles>;
  readonly legs?: Partial<LimbAngles>;
  readonly leftArm?: Partial<LimbAngles>;
  readonly rightArm?: Partial<LimbAngles>;
  readonly leftLeg?: Partial<LimbAngles>;
  readonly rightLeg?: Partial<LimbAngles>;
  readonly hands?: HandShape | { readonly left?: HandShape; readonly right?: HandShape };
  /** What the pose stands on: it leans until the weight is above it. */
  readonly on?: 'feet' | 'leftFoot' | 'rightFoot';
  /** Leans from the ankles with the whole body, or with the standing leg alone, so that the trunk stays as it is written. */
  readonly leans?: 'body' | 'leg';
  /** Parts that carry the body together: `by` is turned until both touch the floor. */
  readonly level?: readonly Levelling[];
  /** What hands and feet touch or reach; their angles say which way elbows and knees go, and are followed as far as that leaves them free. */
  readonly touch?: Partial<Readonly<Record<TouchingPart, Target>>>;
  readonly props?: readonly Prop[];
}

/** What touches: the palm, the ball of the foot. */
export type TouchingPart = 'hands' | 'leftHand' | 'rightHand' | 'feet' | 'leftFoot' | 'rightFoot';

type Sided = 'Hip' | 'Thigh' | 'Knee' | 'Shin' | 'Ankle' | 'Foot' | 'Heel' | 'Toes' | 'Shoulder' | 'Elbow' | 'Forearm' | 'Wrist' | 'Hand';

/** A part of the body – `own` and `other` are the sides of what touches –, or a point seen from the chest, in body lengths. */
export type Target =
  | `${Side | 'own' | 'other'}${Sided}`
  | 'belly'
  | 'chest'
  | 'head'
  | { readonly ahead: number; readonly up?: number; readonly left?: number };

/** An angle that follows from another condition than itself. */
export type Turn = 'pitch' | 'roll' | `${LimbName | 'arms' | 'legs'}.${keyof LimbAngles}`;

export interface Levelling {
  readonly of: Bearing;
  readonly with: Bearing;
  readonly by: Turn;
  /** How much higher `of` lies than `with`, in body lengths: on a block, a beam, a sofa; 0 where it is left out. */
  readonly above?: number;
}

const noTrunk: TrunkAngles = { flex: 0, bend: 0, twist: 0 };
const noLimb: LimbAngles = { flex: 0, abduct: 0, rotate: 0, bend: 0, end: 0 };

/** @returns the pose with every angle, before levelling. */
export function completePose(written: WrittenPose): Pose {
  const limb = (both: Partial<LimbAngles> | undefined, one: Partial<LimbAngles> | undefined): LimbAngles => ({
    ...noLimb,
    ...both,
    ...one,
  });
  return {
    root: { pitch: written.pitch ?? 0, roll: written.roll ?? 0, yaw: written.yaw ?? 0 },
    low: { ...noTrunk, ...written.spine, ...written.low },
    high: { ...noTrunk, ...written.spine, ...written.high },
    neck: { ...noTrunk, ...written.neck },
    leftArm: limb(written.arms, written.leftArm),
    rightArm: limb(written.arms, written.rightArm),
    leftLeg: limb(written.legs, written.leftLeg),
    rightLeg: limb(written.legs, written.rightLeg),
    hands:
      typeof written.hands === 'string'
        ? { left: written.hands, right: written.hands }
        : { left: written.hands?.left ?? 'open', right: written.hands?.right ?? 'open' },
    lift: written.lift ?? 0,
  };
}

/** @returns the same shape with left and right exchanged. */
export function mirrored(pose: Pose): Pose {
  const trunk = ({ flex, bend, twist }: TrunkAngles): TrunkAngles => ({ flex, bend: -bend, twist: -twist });
  return {
    root: { pitch: pose.root.pitch, roll: -pose.root.roll, yaw: -pose.root.yaw },
    low: trunk(pose.low),
    high: trunk(pose.high),
    neck: trunk(pose.neck),
    leftArm: pose.rightArm,
    rightArm: pose.leftArm,
    leftLeg: pose.rightLeg,
    rightLeg: pose.leftLeg,
    hands: { left: pose.hands.right, right: pose.hands.left },
    lift: pose.lift,
  };
}

const mix = (a: number, b: number, share: number): number => a + (b - a) * share;

/** An arm or a leg between two, at a share from 0 to 1. */
export function blendedLimb(a: LimbAngles, b: LimbAngles, share: number): LimbAngles {
  return {
    flex: mix(a.flex, b.flex, share),
    abduct: mix(a.abduct, b.abduct, share),
    rotate: mix(a.rotate, b.rotate, share),
    bend: mix(a.bend, b.bend, share),
    end: mix(a.end, b.end, share),
  };
}

/** @returns the pose between two, at a share from 0 to 1; the pelvis turns the short way round. */
export function blended(from: Pose, to: Pose, share: number): Pose {
  const trunk = (a: TrunkAngles, b: TrunkAngles): TrunkAngles => ({
    flex: mix(a.flex, b.flex, share),
    bend: mix(a.bend, b.bend, share),
    twist: mix(a.twist, b.twist, share),
  });
  return {
    root: rootBetween(from.root, to.root, share),
    low: trunk(from.low, to.low),
    high: trunk(from.high, to.high),
    neck: trunk(from.neck, to.neck),
    leftArm: blendedLimb(from.leftArm, to.leftArm, share),
    rightArm: blendedLimb(from.rightArm, to.rightArm, share),
    leftLeg: blendedLimb(from.leftLeg, to.leftLeg, share),
    rightLeg: blendedLimb(from.rightLeg, to.rightLeg, share),
    hands: share < 0.5 ? from.hands : to.hands,
    lift: mix(from.lift, to.lift, share),
  };
}

/** How far apart two ways to lie are that are turned into each other about one axis; further, each angle goes its own short way. */
const mostTurn = 170;

/** How the pelvis lies between two: about one axis; where only one angle differs, by that. */
function rootBetween(from: Pose['root'], to: Pose['root'], share: number): Pose['root'] {
  const by = { pitch: shortWay(to.pitch - from.pitch), roll: shortWay(to.roll - from.roll), yaw: shortWay(to.yaw - from.yaw) };
  const byAngles = { pitch: from.pitch + by.pitch * share, roll: from.roll + by.roll * share, yaw: from.yaw + by.yaw * share };
  if (Object.values(by).filter((angle) => Math.abs(angle) > 1e-9).length < 2) return byAngles;
  const [a, b] = [rootRotation(from), rootRotation(to)];
  const whole = after(b, transposed(a));
  const angle = Math.acos(Math.max(-1, Math.min(1, (whole[0] + whole[4] + whole[8] - 1) / 2))) / radians;
  const axis: Vector = [whole[7] - whole[5], whole[2] - whole[6], whole[3] - whole[1]];
  const long = lengthOf(axis);
  if (angle > mostTurn || long < 1e-9) return byAngles;
  return rootOf(after(aboutAxis(scaled(axis, 1 / long), angle * share), a));
}

const radians = Math.PI / 180;

/** How a pelvis is turned: forward after to the side, then about the vertical. */
export const rootRotation = ({ pitch, roll, yaw }: Pose['root']): Rotation => after(aboutY(yaw), after(aboutX(pitch), aboutZ(-roll)));

/** The angles of a turned pelvis, taken apart again. */
export const rootOf = (r: Rotation): Pose['root'] => ({
  pitch: Math.asin(Math.max(-1, Math.min(1, -r[5]))) / radians,
  yaw: Math.atan2(r[2], r[8]) / radians,
  roll: -Math.atan2(r[3], r[4]) / radians,
});

/** A turn of at most half a circle; exactly half goes forward. */
function shortWay(degrees: Degrees): Degrees {
  const turn = ((degrees % 360) + 360) % 360;
  return turn > 180 ? turn - 360 : turn;
}
