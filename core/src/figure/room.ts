import { extentOf, type Extent, type View } from './draw.js';
import type { FigureRoom } from './markup.js';
import { poseAt, type Motion } from './motion.js';
import { solve } from './solve.js';

/** A child with lifted arms fits; who is larger – in a jump, lying long – is drawn smaller. */
const leastRoom = 1.32;
/** Seen from higher than this, in degrees, what is nearer stands visibly lower. */
export const levelElevation = 20;

/**
 * How a motion is fitted into a square of 100: the same for all its poses, so that it does not jump.
 * @param moments `poses` where the figure stands still, `between` where it moves: there limbs may reach further than in either.
 */
export function roomFor(motion: Motion, view: View, moments: 'poses' | 'between'): FigureRoom {
  const shown =
    moments === 'poses' || motion.poses.length === 1 ? motion.poses : Array.from({ length: 24 }, (_, index) => poseAt(motion, index / 24));
  const { left, right, top, bottom }: Extent = extentOf(shown.map(solve), view);
  // seen from above there is no line that is the floor
  const base = view.elevation > levelElevation ? bottom : 0;
  const side = Math.max(leastRoom, right - left + 0.04, top - base + 0.1);
  return { left: (left + right) / 2 - side / 2, scale: 100 / side, base };
}
