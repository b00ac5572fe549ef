import { eight, type Body } from './body.js';
import { rootRotation, type Bearing, type HandShape, type LimbAngles, type LimbName, type Pose, type TrunkAngles } from './pose.js';
import { aboutX, aboutY, aboutZ, add, after, scaled, turned, type Rotation, type Vector } from './vector.js';

export interface Arm {
  readonly shoulder: Vector;
  readonly elbow: Vector;
  readonly wrist: Vector;
  readonly fingers: Vector;
  readonly hand: HandShape;
}

export interface Leg {
  readonly hip: Vector;
  readonly knee: Vector;
  readonly ankle: Vector;
  readonly heel: Vector;
  readonly ball: Vector;
  readonly toes: Vector;
}

/** Where every joint is, in body lengths; the floor is at y = 0, and the middle of the body's weight at x = z = 0. */
export interface SolvedFigure {
  readonly pelvis: Vector;
  readonly waist: Vector;
  readonly chest: Vector;
  readonly head: Vector;
  /** On the surface of the head, where it faces. */
  readonly face: Vector;
  readonly leftArm: Arm;
  readonly rightArm: Arm;
  readonly leftLeg: Leg;
  readonly rightLeg: Leg;
  /** Whose bones these are. */
  readonly body: Body;
}

function trunkRotation({ flex, bend, twist }: TrunkAngles): Rotation {
  return after(aboutX(flex), after(aboutZ(-bend), aboutY(twist)));
}

/** @param side 1 for the left, -1 for the right. */
export function limbRotation({ flex, abduct, rotate }: LimbAngles, side: 1 | -1): Rotation {
  return after(aboutX(-flex), after(aboutZ(side * abduct), aboutY(side * rotate)));
}

/** An arm that hangs from a trunk turned so. */
export function solveArm(
  angles: LimbAngles,
  chest: Vector,
  trunk: Rotation,
  side: 1 | -1,
  { bones }: Body = eight,
  hand: HandShape = 'open',
): Arm {
  const shoulder = add(chest, turned(trunk, [side * bones.shoulderHalf, -0.01, 0]));
  const upper = after(trunk, limbRotation(angles, side));
  const elbow = add(shoulder, turned(upper, [0, -bones.upperArm, 0]));
  const fore = after(upper, aboutX(-angles.bend));
  const wrist = add(elbow, turned(fore, [0, -bones.foreArm, 0]));
  const fingers = add(wrist, turned(after(fore, aboutX(-angles.end)), [0, -bones.hand, 0]));
  return { shoulder, elbow, wrist, fingers, hand };
}

function solveLeg(angles: LimbAngles, pelvis: Vector, root: Rotation, side: 1 | -1, { bones, radii }: Body): Leg {
  const hip = add(pelvis, turned(root, [side * bones.hipHalf, 0, 0]));
  const upper = after(root, limbRotation(angles, side));
  const knee = add(hip, turned(upper, [0, -bones.thigh, 0]));
  const lower = after(upper, aboutX(angles.bend));
  const ankle = add(knee, turned(lower, [0, -bones.shin, 0]));
  const foot = after(lower, aboutX(angles.end));
  const sole = (ahead: number, down: number): Vector => add(ankle, turned(foot, [0, -down, ahead]));
  const down = bones.ankleHeight - radii.foot;
  return {
    hip,
    knee,
    ankle,
    heel: sole(-bones.heelBack, down),
    ball: sole(bones.ballAhead, down),
    toes: sole(bones.toeAhead, down),
  };
}

/** How the parts of the trunk are turned: what legs hang from, and what arms hang from. */
export function trunkRotations(pose: Pose): { readonly root: Rotation; readonly high: Rotation } {
  const root = rootRotation(pose.root);
  return { root, high: after(after(root, trunkRotation(pose.low)), trunkRotation(pose.high)) };
}

/** Forward kinematics: joint positions with the pelvis at the origin. */
export function placedFigure(pose: Pose, body: Body = eight): SolvedFigure {
  const { bones } = body;
  const root = rootRotation(pose.root);
  const pelvis: Vector = [0, 0, 0];
  const low = after(root, trunkRotation(pose.low));
  const waist = turned(low, [0, bones.lowSpine, 0]);
  const high = after(low, trunkRotation(pose.high));
  const chest = add(waist, turned(high, [0, bones.highSpine, 0]));
  const neck = after(high, trunkRotation(pose.neck));
  const head = add(chest, turned(neck, [0, bones.neck + bones.head, 0]));
  const face = add(head, turned(neck, [0, -0.008, bones.head]));
  return {
    pelvis,
    waist,
    chest,
    head,
    face,
    leftArm: solveArm(pose.leftArm, chest, high, 1, body, pose.hands.left),
    rightArm: solveArm(pose.rightArm, chest, high, -1, body, pose.hands.right),
    leftLeg: solveLeg(pose.leftLeg, pelvis, root, 1, body),
    rightLeg: solveLeg(pose.rightLeg, pelvis, root, -1, body),
    body,
  };
}

/** The same body with one limb bent otherwise. @param frames as `trunkRotations` of its pose gives them */
export function withLimb(
  figure: SolvedFigure,
  limb: LimbName,
  angles: LimbAngles,
  { root, high }: ReturnType<typeof trunkRotations>,
): SolvedFigure {
  const { chest, pelvis, body } = figure;
  const side = limb === 'leftArm' || limb === 'leftLeg' ? 1 : -1;
  if (limb === 'leftArm' || limb === 'rightArm') return { ...figure, [limb]: solveArm(angles, chest, high, side, body, figure[limb].hand) };
  return { ...figure, [limb]: solveLeg(angles, pelvis, root, side, body) };
}

type Touch = readonly [point: Vector, radius: number];

const handOf = (arm: Arm, { radii }: Body): readonly Touch[] => [
  [arm.wrist, radii.hand],
  [arm.fingers, radii.hand],
];
const footOf = (leg: Leg, { radii }: Body): readonly Touch[] => [
  [leg.heel, radii.foot],
  [leg.ball, radii.foot],
  [leg.toes, radii.foot],
];

/** The points with which a part of the body touches the floor, with their radii. */
function touches(figure: SolvedFigure, bearing: Bearing): readonly Touch[] {
  const { leftArm, rightArm, leftLeg, rightLeg, body } = figure;
  const { radii } = body;
  switch (bearing) {
    case 'hands':
      return [...handOf(leftArm, body), ...handOf(rightArm, body)];
    case 'leftHand':
      return handOf(leftArm, body);
    case 'rightHand':
      return handOf(rightArm, body);
    case 'feet':
      return [...footOf(leftLeg, body), ...footOf(rightLeg, body)];
    case 'leftFoot':
      return footOf(leftLeg, body);
    case 'rightFoot':
      return footOf(rightLeg, body);
    case 'knees':
      return [
        [leftLeg.knee, radii.knee],
        [rightLeg.knee, radii.knee],
      ];
    case 'leftKnee':
      return [[leftLeg.knee, radii.knee]];
    case 'rightKnee':
      return [[rightLeg.knee, radii.knee]];
    case 'elbows':
      return [
        [leftArm.elbow, radii.arm],
        [rightArm.elbow, radii.arm],
      ];
    case 'seat':
      return [
        [figure.pelvis, radii.seat],
        [leftLeg.hip, radii.seat],
        [rightLeg.hip, radii.seat],
      ];
    case 'back':
      return [
        [figure.chest, radii.trunk],
        [leftArm.shoulder, radii.trunk],
        [rightArm.shoulder, radii.trunk],
      ];
    case 'belly':
      return [[figure.waist, radii.trunk]];
    case 'head':
      return [[figure.head, radii.head]];
  }
}

const everyBearing: readonly Bearing[] = ['hands', 'feet', 'knees', 'elbows', 'seat', 'back', 'belly', 'head'];

/** @returns how high the lowest point of a part is, in body lengths above the pelvis' frame or the floor. */
export function heightOf(figure: SolvedFigure, bearing: Bearing): number {
  let lowest = Infinity;
  for (const [point, radius] of touches(figure, bearing)) lowest = Math.min(lowest, point[1] - radius);
  return lowest;
}

/** @returns how high the lowest point of the body is. */
export function lowestOf(figure: SolvedFigure): number {
  let lowest = Infinity;
  for (const bearing of everyBearing) lowest = Math.min(lowest, heightOf(figure, bearing));
  return lowest;
}

/** Shares of the body's weight (Winter, Biomechanics and Motor Control of Human Movement; head raised for a child). */
const weights = { head: 0.11, high: 0.22, low: 0.26, thigh: 0.1, shin: 0.055, upperArm: 0.028, foreArm: 0.022 } as const;

/** @returns the middle of the body's weight. */
export function centreOfMass(figure: SolvedFigure): Vector {
  let sum: Vector = [0, 0, 0];
  let total = 0;
  const take = (share: number, a: Vector, b: Vector): void => {
    sum = add(sum, scaled(add(a, b), share / 2));
    total += share;
  };
  take(weights.head, figure.head, figure.head);
  take(weights.high, figure.chest, figure.waist);
  take(weights.low, figure.waist, figure.pelvis);
  for (const leg of [figure.leftLeg, figure.rightLeg]) {
    take(weights.thigh, leg.hip, leg.knee);
    take(weights.shin, leg.knee, leg.ankle);
  }
  for (const arm of [figure.leftArm, figure.rightArm]) {
    take(weights.upperArm, arm.shoulder, arm.elbow);
    take(weights.foreArm, arm.elbow, arm.fingers);
  }
  return scaled(sum, 1 / total);
}

/**
 * Stands a pose on the floor: joint positions in body lengths. The lowest point of the body touches y = 0, or is `lift` above
 * it; the middle of its weight is at x = z = 0.
 */
export function solve(pose: Pose, body: Body = eight): SolvedFigure {
  const figure = placedFigure(pose, body);
  const mass = centreOfMass(figure);
  return moved(figure, [-mass[0], pose.lift - lowestOf(figure), -mass[2]]);
}

/** The same body somewhere else. */
export function moved(figure: SolvedFigure, by: Vector): SolvedFigure {
  const arm = (one: Arm): Arm => ({
    ...one,
    shoulder: add(one.shoulder, by),
    elbow: add(one.elbow, by),
    wrist: add(one.wrist, by),
    fingers: add(one.fingers, by),
  });
  const leg = (one: Leg): Leg => ({
    hip: add(one.hip, by),
    knee: add(one.knee, by),
    ankle: add(one.ankle, by),
    heel: add(one.heel, by),
    ball: add(one.ball, by),
    toes: add(one.toes, by),
  });
  return {
    pelvis: add(figure.pelvis, by),
    waist: add(figure.waist, by),
    chest: add(figure.chest, by),
    head: add(figure.head, by),
    face: add(figure.face, by),
    leftArm: arm(figure.leftArm),
    rightArm: arm(figure.rightArm),
    leftLeg: leg(figure.leftLeg),
    rightLeg: leg(figure.rightLeg),
    body: figure.body,
  };
}

/** Where on a sole the weight may be, from its back edge to its front edge, or from side to side: there it stands at ease. */
const easy = { from: 0.3, to: 0.6 } as const;

/** How far the middle of the body's weight is ahead of (z), or to the left of (x), where a part carries it at ease; 0 within. */
export function leanOver(pose: Pose, bearing: Bearing, axis: 'x' | 'z', body: Body = eight): number {
  const figure = placedFigure(pose, body);
  const points = touches(figure, bearing).map(([point]) => point[axis === 'x' ? 0 : 2]);
  const [back, front] = [Math.min(...points), Math.max(...points)];
  const mass = centreOfMass(figure)[axis === 'x' ? 0 : 2];
  const [least, most] = [back + (front - back) * easy.from, back + (front - back) * easy.to];
  return mass < least ? mass - least : mass > most ? mass - most : 0;
}

/** How much higher one part is than another; 0 when both touch the same floor. */
export function heightBetween(pose: Pose, of: Bearing, other: Bearing, body: Body = eight): number {
  const figure = placedFigure(pose, body);
  return heightOf(figure, of) - heightOf(figure, other);
}
