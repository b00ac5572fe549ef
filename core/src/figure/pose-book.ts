import type { Pose, WrittenPose } from './pose.js';
import { allFoursPoses } from './poses/all-fours.js';
import { invertedPoses } from './poses/inverted.js';
import { jumpingPoses } from './poses/jumping.js';
import { lyingPoses } from './poses/lying.js';
import { oneLegPoses } from './poses/one-leg.js';
import { propPoses } from './poses/props.js';
import { sittingPoses } from './poses/sitting.js';
import { stancePoses } from './poses/stances.js';
import { standingPoses } from './poses/standing.js';
import { settled } from './settle.js';

const written: Readonly<Record<string, WrittenPose>> = {
  ...standingPoses,
  ...stancePoses,
  ...oneLegPoses,
  ...jumpingPoses,
  ...sittingPoses,
  ...allFoursPoses,
  ...lyingPoses,
  ...invertedPoses,
  ...propPoses,
};

/** The names of all base poses. */
export const poseNames: readonly string[] = Object.keys(written);

/** @returns a base pose as it is written; null for a name that no pose has. */
export const writtenPose = (name: string): WrittenPose | null => (Object.hasOwn(written, name) ? (written[name] ?? null) : null);

const settledByName = new Map<string, Pose>();

/** @returns a base pose by its name, settled on the floor; null for a name that no pose has. */
export function poseNamed(name: string): Pose | null {
  const known = settledByName.get(name);
  if (known) return known;
  const found = writtenPose(name);
  if (!found) return null;
  const pose = settled(found);
  settledByName.set(name, pose);
  return pose;
}
