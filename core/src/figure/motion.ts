import { eight, type Body } from './body.js';
import { onOneFloor, type Placed } from './on-floor.js';
import { figureOn, passage, type Passage } from './passage.js';
import type { Pose, Prop } from './pose.js';
import { solve, type SolvedFigure } from './solve.js';
import { takenStep, type TakenStep } from './step.js';
import { lengthOf, minus } from './vector.js';

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

/**
 * @param steps up to twelve, as `readStep` reads them
 * @returns the motion; null where there is none, where a word is not known, or where a body cannot take a step
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
