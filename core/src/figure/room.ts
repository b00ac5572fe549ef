import { extentOf, flattened, type Extent, type View } from './draw.js';
import type { FigureRoom } from './markup.js';
import { figureAt, type Motion } from './motion.js';
import type { SolvedFigure } from './solve.js';

/** A child with lifted arms fits; who is larger – in a jump, lying long – is drawn smaller. */
const leastRoom = 1.32;
/** Who goes further than that from side to side is followed. */
const mostWay = 1.9;
/** Seen from higher than this, in degrees, what is nearer stands visibly lower. */
export const levelElevation = 20;

/**
 * How a motion is fitted into a square of 100: where it moves, the same for the whole round, so that it does not jump; who travels far is
 * followed (`roomAt`).
 */
export function roomFor(motion: Motion, view: View, moments: 'still' | 'moving'): FigureRoom {
  const shown =
    moments === 'still' || !motion.isMoving ? [motion.stillFigure] : Array.from({ length: 24 }, (_, index) => figureAt(motion, index / 24));
  const { left, right, top, bottom }: Extent = extentOf(shown, view);
  // seen from above there is no line that is the floor
  const base = view.elevation > levelElevation ? bottom : 0;
  const isFollowed = right - left > mostWay;
  const width = isFollowed ? Math.max(...shown.map((one) => 2 * reach(one, view))) : right - left;
  const side = Math.max(leastRoom, width + 0.04, top - base + 0.1);
  return { left: (left + right) / 2 - side / 2, scale: 100 / side, base, isFollowed };
}

/** How far a body reaches from its hips to either side of the picture. */
function reach(figure: SolvedFigure, view: View): number {
  const { left, right } = extentOf([figure], view);
  const [middle] = flattened(figure.pelvis, view);
  return Math.max(middle - left, right - middle);
}

/** The same room at a moment: round the body, where it is followed. */
export function roomAt(room: FigureRoom, figure: SolvedFigure, view: View): FigureRoom {
  return room.isFollowed ? { ...room, left: flattened(figure.pelvis, view)[0] - 50 / room.scale } : room;
}
