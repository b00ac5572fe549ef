import { blended, type Pose, type Prop } from './pose.js';
import { poseNamed, propsOf } from './pose-book.js';
import { solve } from './solve.js';

/** A movement as its key poses, one after the other. */
export interface Motion {
  readonly poses: readonly Pose[];
  /** The pose that stands for the whole where nothing moves: the one furthest from where it begins. */
  readonly still: Pose;
  readonly props: readonly Prop[];
}

/** @returns the motion of up to four base poses by name; null where there is none, or where a name is not known. */
export function motionOf(names: readonly string[]): Motion | null {
  const poses = names.flatMap((name) => poseNamed(name) ?? []);
  const first = poses[0];
  if (!first || poses.length < names.length) return null;
  const still = poses.reduce((most, pose) => (apart(first, pose) > apart(first, most) + 1e-9 ? pose : most));
  return { poses, still, props: [...new Set(names.flatMap(propsOf))] };
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
  ].reduce((sum, [p = [0, 0, 0], q = [0, 0, 0]]) => sum + Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]), 0);
}

/** The part of each step in which the figure stays in its pose, so that the eye can take it in. */
const restShare = 0.35;

/**
 * @param share of one round, 0 to 1: through the poses and, where the last is not the first, back the same way.
 * @returns the pose at that moment.
 */
export function poseAt({ poses, still }: Motion, share: number): Pose {
  const isRound = poses.length > 2 && poses[0] === poses.at(-1);
  const path = isRound ? poses : [...poses, ...poses.slice(0, -1).toReversed()];
  const steps = path.length - 1;
  const along = (((share % 1) + 1) % 1) * steps;
  const [from, to] = [path[Math.floor(along)], path[Math.floor(along) + 1]];
  if (!from || !to) return still;
  const within = Math.max(0, (along % 1) - restShare) / (1 - restShare);
  return blended(from, to, within);
}
