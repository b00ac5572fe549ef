import { eight, type Body } from './body.js';
import { broughtTo, steepnessOf, tipOf } from './contact.js';
import { blended, type LimbName, type Pose, type Prop } from './pose.js';
import { centreOfMass, heightOf, lowestOf, moved, placedFigure, solve, type SolvedFigure } from './solve.js';
import { takenStep, type TakenStep } from './step.js';
import { between, lengthOf, minus, scaled, type Vector } from './vector.js';

/** A movement as its key poses, one after the other, on one floor. */
export interface Motion {
  readonly poses: readonly Pose[];
  /** The pose that stands for the whole where nothing moves: the one furthest from where it begins. */
  readonly still: Pose;
  /** The same body where it is in the movement. */
  readonly stillFigure: SolvedFigure;
  readonly props: readonly Prop[];
  /** The bodies of the key poses, where they are in the movement. */
  readonly figures: readonly SolvedFigure[];
  readonly body: Body;
  /** False for a single pose. */
  readonly isMoving: boolean;
  /** One round: through the poses and, where the last is not the first, back the same way. */
  readonly path: readonly Passage[];
  /** How long a round takes, in parts of the usual step from pose to pose. */
  readonly steps: number;
}

/** From one pose to the next: what it keeps where it is, and how long it stays before it goes. */
interface Passage {
  readonly from: Placed;
  readonly to: Placed;
  readonly stays: number;
  readonly takes: number;
  /** What stays down where it is; the first holds the body. */
  readonly kept: readonly Holding[];
  /** What is down before and after and goes from the one place to the other: a step, a brush. */
  readonly carried: readonly Holding[];
}

/** A pose, and the body that takes it where it is in the movement. */
interface Placed {
  readonly pose: Pose;
  readonly figure: SolvedFigure;
}

/** A part that is on the floor before and after a passage, and where. */
interface Holding {
  readonly part: HoldingPart;
  readonly from: Vector;
  readonly to: Vector;
  /** How steep a foot is, before and after; null for what is none. */
  readonly steep: readonly [number, number] | null;
  /** True for a foot that is lifted on its way: flat before and after. */
  readonly isLifted: boolean;
  /** How far aside it goes half way: round the foot that stands. */
  readonly aside: Vector;
}

const parts = [
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
type HoldingPart = (typeof parts)[number];

/** Lower than this above the floor a part is on it; nearer than that to where it was it stays there, and is put there. */
const downAt = 0.015;
const stayed = 0.05;
const keptWithin = 0.009;
/** A body that would go further through the floor than that while a part of it is held turns over. */
const deepest = -0.05;
/** Two ways that differ by less than the first are as long as each other; who ends a round further than that from where it began, in body lengths, is on the way somewhere. */
const alike = 0.03;
const walksOn = 0.12;
/** How far a foot is lifted on a step. */
const stepLift = 0.045;
/** So much room a foot needs beside another. */
const roomBeside = 0.075;

const limbOf: Readonly<Partial<Record<HoldingPart, LimbName>>> = {
  leftFoot: 'leftLeg',
  rightFoot: 'rightLeg',
  leftHand: 'leftArm',
  rightHand: 'rightArm',
};

const handsAndFeet = ['leftFoot', 'rightFoot', 'leftHand', 'rightHand'] as const;

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

function isDown(figure: SolvedFigure, part: HoldingPart): boolean {
  if (part === 'leftElbow' || part === 'rightElbow') return partAt(figure, part)[1] - figure.body.radii.arm < downAt;
  return heightOf(figure, part) < downAt;
}

/** A sole that lies on the floor. */
const isFlat = (figure: SolvedFigure, part: HoldingPart): boolean => {
  const limb = limbOf[part];
  if (limb !== 'leftLeg' && limb !== 'rightLeg') return false;
  const { heel, toes } = figure[limb];
  return Math.max(heel[1], toes[1]) - figure.body.radii.foot < 0.03;
};

const overFloor = (a: Vector, b: Vector): number => Math.hypot(a[0] - b[0], a[2] - b[2]);

/**
 * @param steps up to twelve, as `readStep` reads them
 * @returns the motion; null where there is none, or where a word is not known
 */
export function motionOf(steps: readonly string[], body: Body = eight): Motion | null {
  const taken = steps.flatMap((text) => takenStep(text, body) ?? []);
  if (taken.length === 0 || taken.length < steps.length) return null;
  const isRound = taken.length > 2 && steps[0] === steps.at(-1);
  const placed = onOneFloor(
    taken.map(({ pose }) => pose),
    isRound,
    body,
  );
  const still = placed[taken.findIndex(({ isShown }) => isShown)] ?? furthest(placed);
  return new PlacedMotion(placed, taken, isRound, still);
}

const pairs = <T>(all: readonly Placed[], made: (from: Placed, to: Placed, index: number) => T): readonly T[] =>
  all.slice(0, -1).flatMap((from, index) => {
    const to = all[index + 1];
    return to ? [made(from, to, index)] : [];
  });

/** Most motions stand still in a list: their passages are worked out when they are asked for. */
class PlacedMotion implements Motion {
  private passages: readonly Passage[] | null = null;

  constructor(
    private readonly placed: readonly Placed[],
    private readonly taken: readonly TakenStep[],
    private readonly isRound: boolean,
    private readonly stands: Placed,
  ) {}

  get poses(): readonly Pose[] {
    return this.placed.map(({ pose }) => pose);
  }

  get figures(): readonly SolvedFigure[] {
    return this.placed.map(({ figure }) => figure);
  }

  get still(): Pose {
    return this.stands.pose;
  }

  get stillFigure(): SolvedFigure {
    return this.stands.figure;
  }

  get body(): Body {
    return this.stands.figure.body;
  }

  get props(): readonly Prop[] {
    return [...new Set(this.taken.flatMap(({ props }) => props))];
  }

  get isMoving(): boolean {
    return this.placed.length > 1;
  }

  get path(): readonly Passage[] {
    this.passages ??= this.roundOf();
    return this.passages;
  }

  get steps(): number {
    return this.path.reduce((sum, one) => sum + lasts(one), 0);
  }

  private roundOf(): readonly Passage[] {
    const { placed, taken } = this;
    const there = pairs(placed, (from, to, index) => passage(from, to, taken[index]?.stays ?? 1, taken[index + 1]?.takes ?? 1));
    if (this.isRound) return there;
    // back it takes as long as it took there
    const back = pairs(placed, (from, to, index) => passage(to, from, taken[index + 1]?.stays ?? 1, taken[index + 1]?.takes ?? 1));
    return [...there, ...back.toReversed()];
  }
}

/** Puts the poses on one floor: what is down in two that follow each other stays where it is. */
function onOneFloor(poses: readonly Pose[], isRound: boolean, body: Body): readonly Placed[] {
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
function brought(placed: Placed, part: HoldingPart, to: Vector, steep?: number): Placed {
  const limb = limbOf[part];
  const { figure } = placed;
  const pose = limb && broughtTo(placed.pose, limb, minus(to, figure.pelvis), figure.body, steep);
  return pose ? { pose, figure: moved(placedFigure(pose, figure.body), figure.pelvis) } : placed;
}

function passage(from: Placed, to: Placed, stays: number, takes: number): Passage {
  const holdings = parts
    .filter((part) => isDown(from.figure, part) && isDown(to.figure, part))
    .map((part): Holding => ({
      part,
      from: partAt(from.figure, part),
      to: partAt(to.figure, part),
      steep: steepness(from.figure, to.figure, part),
      isLifted: isFlat(from.figure, part) && isFlat(to.figure, part),
      aside: asideOf(from.figure, to.figure, part),
    }));
  const wayOf = ({ from: was, to: is }: Holding): number => overFloor(was, is);
  const way: Passage = {
    from,
    to,
    stays,
    takes,
    kept: holdings.filter((one) => wayOf(one) < keptWithin).toSorted((a, b) => wayOf(a) - wayOf(b)),
    carried: holdings.filter((one) => wayOf(one) >= keptWithin && limbOf[one.part] !== undefined),
  };
  // who rolls over turns about the middle, not about a hand that happens to lie before and after
  const turnsOver = [0.25, 0.5, 0.75].some((share) => lowestOf(heldAt(way, share, (pose) => pose).figure) < deepest);
  return turnsOver ? { ...way, kept: [], carried: [] } : way;
}

/** A foot that would step through the other one goes round it, on its own side. */
function asideOf(from: SolvedFigure, to: SolvedFigure, part: HoldingPart): Vector {
  const other = part === 'leftFoot' ? 'rightFoot' : part === 'rightFoot' ? 'leftFoot' : null;
  if (other === null) return [0, 0, 0];
  const [a, b, standing] = [partAt(from, part), partAt(to, part), partAt(from, other)];
  const way = minus(b, a);
  const long = Math.hypot(way[0], way[2]);
  if (long < keptWithin || overFloor(standing, partAt(to, other)) > keptWithin) return [0, 0, 0];
  const along = ((standing[0] - a[0]) * way[0] + (standing[2] - a[2]) * way[2]) / long;
  const beside: Vector = [way[2] / long, 0, -way[0] / long];
  const off = (standing[0] - a[0]) * beside[0] + (standing[2] - a[2]) * beside[2];
  if (along < 0 || along > long || Math.abs(off) > roomBeside) return [0, 0, 0];
  const left = minus(from.leftLeg.hip, from.rightLeg.hip);
  const own = Math.sign((left[0] * beside[0] + left[2] * beside[2]) * (part === 'leftFoot' ? 1 : -1)) || 1;
  return scaled(beside, own * (roomBeside + own * off));
}

function steepness(from: SolvedFigure, to: SolvedFigure, part: HoldingPart): readonly [number, number] | null {
  const limb = limbOf[part];
  return limb === 'leftLeg' || limb === 'rightLeg' ? [steepnessOf(from[limb]), steepnessOf(to[limb])] : null;
}

/** The pose furthest from the first. */
function furthest(placed: readonly Placed[]): Placed {
  const [first] = placed;
  if (!first) throw new Error('a motion has a pose');
  const far = ({ pose }: Placed): number => apart(first.pose, pose);
  return placed.reduce((most, one) => (far(one) > far(most) + 1e-9 ? one : most));
}

/** How far the joints of two poses are from each other, summed, in body lengths. */
function apart(one: Pose, other: Pose): number {
  const [a, b] = [solve(one), solve(other)];
  return [
    [a.head, b.head],
    [a.chest, b.chest],
    [a.leftArm.wrist, b.leftArm.wrist],
    [a.rightArm.wrist, b.rightArm.wrist],
    [a.leftLeg.ankle, b.leftLeg.ankle],
    [a.rightLeg.ankle, b.rightLeg.ankle],
    [a.leftLeg.knee, b.leftLeg.knee],
    [a.rightLeg.knee, b.rightLeg.knee],
  ].reduce((sum, [p = [0, 0, 0], q = [0, 0, 0]]) => sum + lengthOf(minus(p, q)), 0);
}

/** The part of a step in which the figure stays in its pose, so that the eye can take it in. */
export const restShare = 0.35;

const lasts = ({ stays, takes }: Passage): number => stays * restShare + takes * (1 - restShare);

/**
 * The body at a moment: what is down before and after stays where it is while the rest moves.
 * @param share of one round, 0 to 1
 * @param change what is different in the shape of this body, a fault
 */
export function figureAt({ path, steps, stillFigure }: Motion, share: number, change: (pose: Pose) => Pose = (pose) => pose): SolvedFigure {
  let left = (((share % 1) + 1) % 1) * steps;
  for (const one of path) {
    if (left < lasts(one)) return figureOn(one, Math.max(0, left - one.stays * restShare) / (one.takes * (1 - restShare)), change);
    left -= lasts(one);
  }
  const last = path.at(-1);
  return last ? figureOn(last, 1, change) : stillFigure;
}

function figureOn(way: Passage, share: number, change: (pose: Pose) => Pose): SolvedFigure {
  const over = heldAt(way, share, change);
  const low = lowestOf(over.figure);
  if (low > -0.001) return over.figure;
  // nor does the rest of the body: it comes up, over hands and feet that stay
  const lifted = { ...over, figure: moved(over.figure, [0, -low, 0]) };
  return [...way.kept, ...way.carried].reduce((current, one) => held(current, one, way, share), lifted).figure;
}

/** A part that is down, put where it is at a moment. */
const held = (placed: Placed, one: Holding, way: Passage, share: number): Placed =>
  brought(placed, one.part, placeAt(one, way, share), steepAt(one, share));

const steepAt = ({ steep }: Holding, share: number): number | undefined =>
  steep === null ? undefined : steep[0] + (steep[1] - steep[0]) * share;

/** How high the ball of a foot is that is so steep: it stands on its toes, or on its heel. */
function ballHeight(steep: number, { bones, radii }: Body): number {
  const down = Math.sin((steep * Math.PI) / 180);
  return radii.foot + Math.max((bones.toeAhead - bones.ballAhead) * -down, (bones.ballAhead + bones.heelBack) * down);
}

/** Where a part that is down is at a moment: where it stays, or on its way. */
function placeAt(one: Holding, { carried, from }: Passage, share: number): Vector {
  const [x, y, z] = between(one.from, one.to, share);
  const steep = steepAt(one, share);
  const height = steep === undefined ? y : ballHeight(steep, from.figure.body);
  if (!one.isLifted || !carried.includes(one)) return [x, height, z];
  const arc = Math.sin(Math.PI * share);
  return [x + one.aside[0] * arc, height + stepLift * arc, z + one.aside[2] * arc];
}

function heldAt(way: Passage, share: number, change: (pose: Pose) => Pose): Placed {
  const { from, to, kept, carried } = way;
  const { body } = from.figure;
  const pose = change(blended(from.pose, to.pose, share));
  const loose = placedFigure(pose, body);
  const [anchor] = kept;
  if (!anchor) {
    const ground = between(centreOfMass(from.figure), centreOfMass(to.figure), share);
    const mass = centreOfMass(loose);
    return { pose, figure: moved(loose, [ground[0] - mass[0], pose.lift - lowestOf(loose), ground[2] - mass[2]]) };
  }
  const placed = { pose, figure: moved(loose, minus(placeAt(anchor, way, share), partAt(loose, anchor.part))) };
  const holding = [...kept, ...carried];
  const onFloor = holding.reduce((current, one) => held(current, one, way, share), placed);
  // a hand or foot on its way does not go through the floor
  return handsAndFeet
    .filter((part) => holding.every((one) => one.part !== part))
    .reduce((current, part) => {
      const under = heightOf(current.figure, part);
      const [x, y, z] = partAt(current.figure, part);
      return under < 0 ? brought(current, part, [x, y - under, z]) : current;
    }, onFloor);
}

/** Left and right exchanged. */
export function mirroredFigure(figure: SolvedFigure): SolvedFigure {
  const flip = ([x, y, z]: Vector): Vector => [-x, y, z];
  const arm = ({ shoulder, elbow, wrist, fingers, hand }: SolvedFigure['leftArm']): SolvedFigure['leftArm'] => ({
    shoulder: flip(shoulder),
    elbow: flip(elbow),
    wrist: flip(wrist),
    fingers: flip(fingers),
    hand,
  });
  const leg = ({ hip, knee, ankle, heel, ball, toes }: SolvedFigure['leftLeg']): SolvedFigure['leftLeg'] => ({
    hip: flip(hip),
    knee: flip(knee),
    ankle: flip(ankle),
    heel: flip(heel),
    ball: flip(ball),
    toes: flip(toes),
  });
  return {
    pelvis: flip(figure.pelvis),
    waist: flip(figure.waist),
    chest: flip(figure.chest),
    head: flip(figure.head),
    face: flip(figure.face),
    leftArm: arm(figure.rightArm),
    rightArm: arm(figure.leftArm),
    leftLeg: leg(figure.rightLeg),
    rightLeg: leg(figure.leftLeg),
    body: figure.body,
  };
}
