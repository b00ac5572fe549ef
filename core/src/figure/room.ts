import { extentOf, type Extent, type Facing } from './draw.js';
import type { FigureRoom } from './markup.js';
import { poseAt, type Motion } from './motion.js';
import { solve } from './solve.js';

/** A child with lifted arms fits; who is larger – in a jump, lying long – is drawn smaller. */
const leastRoom = 1.32;

/**
 * How a motion is fitted into a square of 100: the same for all its poses, so that it does not jump.
 * @param moments `poses` where the figure stands still, `between` where it moves: there limbs may reach further than in either.
 */
export function roomFor(motion: Motion, facing: Facing, moments: 'poses' | 'between'): FigureRoom {
  const shown =
    moments === 'poses' || motion.poses.length === 1 ? motion.poses : Array.from({ length: 24 }, (_, index) => poseAt(motion, index / 24));
  const { left, right, top }: Extent = extentOf(shown.map(solve), facing);
  const side = Math.max(leastRoom, right - left + 0.04, top + 0.1);
  return { left: (left + right) / 2 - side / 2, scale: 100 / side };
}
