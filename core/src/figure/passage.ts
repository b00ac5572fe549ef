import type { Body } from './body.js';
import { steepnessOf } from './contact.js';
import { brought, isDown, limbOf, overFloor, partAt, parts, type HoldingPart, type Placed } from './on-floor.js';
import { blended, type Pose } from './pose.js';
import { centreOfMass, heightOf, lowestOf, moved, placedFigure, type SolvedFigure } from './solve.js';
import { between, minus, scaled, type Vector } from './vector.js';

/** From one pose to the next: what it keeps where it is, and how long it stays before it goes. */
export interface Passage {
  readonly from: Placed;
  readonly to: Placed;
  readonly stays: number;
  readonly takes: number;
  /** What stays down where it is; the first holds the body. */
  readonly kept: readonly Holding[];
  /** What is down before and after and goes from the one place to the other: a step, a brush. */
  readonly carried: readonly Holding[];
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

/** A part that moves less over the floor stays where it is. */
const keptWithin = 0.009;
/** A body that would go further through the floor than that while a part of it is held turns over. */
const deepest = -0.05;
/** How far a foot is lifted on a step. */
const stepLift = 0.045;
/** So much room a foot needs beside another. */
const roomBeside = 0.075;

const handsAndFeet = ['leftFoot', 'rightFoot', 'leftHand', 'rightHand'] as const;

/** A sole that lies on the floor. */
const isFlat = (figure: SolvedFigure, part: HoldingPart): boolean => {
  const limb = limbOf[part];
  if (limb !== 'leftLeg' && limb !== 'rightLeg') return false;
  const { heel, toes } = figure[limb];
  return Math.max(heel[1], toes[1]) - figure.body.radii.foot < 0.03;
};

/** The way from a pose to the next: what of the body stays down, and what steps or brushes. */
export function passage(from: Placed, to: Placed, stays: number, takes: number): Passage {
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

/** The body on its way. @param share of it, 0 to 1 */
export function figureOn(way: Passage, share: number, change: (pose: Pose) => Pose): SolvedFigure {
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
