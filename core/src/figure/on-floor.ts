import type { Body } from './body.js';
import { broughtTo, tipOf } from './contact.js';
import type { LimbName, Pose } from './pose.js';
import { centreOfMass, heightOf, moved, placedFigure, solve, type SolvedFigure } from './solve.js';
import { minus, type Vector } from './vector.js';

/** A pose, and the body that takes it where it is in the movement. */
export interface Placed {
  readonly pose: Pose;
  readonly figure: SolvedFigure;
}

export const parts = [
  'leftFoot',
  'rightFoot',
  'leftHand',
  'rightHand',
  'leftKnee',
  'rightKnee',
  'leftElbow',
  'rightElbow',
  'seat',
  'back',
  'belly',
  'head',
] as const;
export type HoldingPart = (typeof parts)[number];

/** Lower than this above the floor a part is on it. */
const downAt = 0.015;
/** Nearer than that to where it was a part stays where it is, and is put there. */
const stayed = 0.05;
/** Two ways that differ by less are as long as each other. */
const alike = 0.03;
/** Who ends a round further than that from where it began, in body lengths, is on the way somewhere. */
const walksOn = 0.12;

export const limbOf: Readonly<Partial<Record<HoldingPart, LimbName>>> = {
  leftFoot: 'leftLeg',
  rightFoot: 'rightLeg',
  leftHand: 'leftArm',
  rightHand: 'rightArm',
};

/** The point of a part that is followed over the floor. */
export function partAt(figure: SolvedFigure, part: HoldingPart): Vector {
  const limb = limbOf[part];
  if (limb) return tipOf(limb, figure);
  switch (part) {
    case 'leftKnee':
      return figure.leftLeg.knee;
    case 'rightKnee':
      return figure.rightLeg.knee;
    case 'leftElbow':
      return figure.leftArm.elbow;
    case 'rightElbow':
      return figure.rightArm.elbow;
    case 'back':
      return figure.chest;
    case 'belly':
      return figure.waist;
    case 'head':
      return figure.head;
    default:
      return figure.pelvis;
  }
}

export function isDown(figure: SolvedFigure, part: HoldingPart): boolean {
  if (part === 'leftElbow' || part === 'rightElbow') return partAt(figure, part)[1] - figure.body.radii.arm < downAt;
  return heightOf(figure, part) < downAt;
}

export const overFloor = (a: Vector, b: Vector): number => Math.hypot(a[0] - b[0], a[2] - b[2]);

/** Puts the poses on one floor: what is down in two that follow each other stays where it is. */
export function onOneFloor(poses: readonly Pose[], isRound: boolean, body: Body): readonly Placed[] {
  const placed: Placed[] = [];
  // a round ends where it began, but for who walks on
  const next = (before: Placed, pose: Pose, start: Placed, isLast: boolean): Placed => {
    const one = putAfter(before, pose, body);
    return isLast && isRound && overFloor(one.figure.pelvis, start.figure.pelvis) < walksOn ? start : one;
  };
  for (const [index, pose] of poses.entries()) {
    const [before, start] = [placed.at(-1), placed[0]];
    if (before === undefined || start === undefined) placed.push({ pose, figure: solve(pose, body) });
    else placed.push(next(before, pose, start, index === poses.length - 1));
  }
  return placed;
}

function putAfter(before: Placed, pose: Pose, body: Body): Placed {
  const own = solve(pose, body);
  const common = parts
    .filter((part) => isDown(before.figure, part) && isDown(own, part))
    .map((part) => {
      const was = partAt(before.figure, part);
      return { part, was, by: minus(was, partAt(own, part)) };
    });
  const mass = centreOfMass(before.figure);
  // the most that can stay down stays; the body moves the least; of two ways as long it goes forward, as a walk does
  const agreeing = (by: Vector): number => common.filter((other) => overFloor(by, other.by) < stayed).length;
  const ahead = ([x, , z]: Vector): number =>
    x * (before.figure.face[0] - before.figure.head[0]) + z * (before.figure.face[2] - before.figure.head[2]);
  const isBetter = (one: Vector, other: Vector): boolean => {
    const more = agreeing(one) - agreeing(other);
    const further = overFloor(one, mass) - overFloor(other, mass);
    return more > 0 || (more === 0 && (further < -alike || (Math.abs(further) <= alike && ahead(one) > ahead(other) + 1e-9)));
  };
  // in the air the body goes on where it is
  if (common.length === 0) return { pose, figure: moved(own, [mass[0], 0, mass[2]]) };
  const best = common.reduce((most, one) => (isBetter(one.by, most.by) ? one : most));
  const placed: Placed = { pose, figure: moved(own, [best.by[0], 0, best.by[2]]) };
  return common
    .filter((one) => one !== best && overFloor(one.by, best.by) < stayed)
    .reduce((current, { part, was }) => brought(current, part, [was[0], partAt(placed.figure, part)[1], was[2]]), placed);
}

/** The same with a hand or foot somewhere else; as it was where the joints do not allow it. */
export function brought(placed: Placed, part: HoldingPart, to: Vector, steep?: number): Placed {
  const limb = limbOf[part];
  const { figure } = placed;
  const pose = limb && broughtTo(placed.pose, limb, minus(to, figure.pelvis), figure.body, steep);
  return pose ? { pose, figure: moved(placedFigure(pose, figure.body), figure.pelvis) } : placed;
}
