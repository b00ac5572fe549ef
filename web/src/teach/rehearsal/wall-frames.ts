import { figureAt, flawed, mirroredFigure, motionOf, shapesOf, viewOf, type Flaw, type Motion, type Movement } from '@leiter/core';

/** A part of a figure in body lengths from the middle of its floor: a line, a filled body or a disc. */
interface Stroke {
  readonly kind: 'stroke' | 'body' | 'disc';
  readonly isFar: boolean;
  readonly width: number;
  /** x, y, x, y …; of a disc its middle. */
  readonly points: readonly number[];
}

/** One round of a movement, drawn beforehand: a wall of many is only strokes. */
export type Frames = readonly (readonly Stroke[])[];

export const framesOfRound = 40;
/** As many variants as are kept; a class has fewer. */
const mostKept = 300;

const kept = new Map<string, Frames | null>();

/** What is drawn of whom. */
export interface Variant {
  readonly movement: Pick<Movement, 'slug' | 'figure' | 'view'>;
  readonly flaws: readonly Flaw[];
  readonly isMirrored: boolean;
}

const keyOf = ({ movement, flaws, isMirrored }: Variant): string => `${movement.slug} ${flaws.join()} ${isMirrored ? 'm' : ''}`;

export const knownFrames = (variant: Variant): Frames | null | undefined => kept.get(keyOf(variant));

/** Draws one round of a movement with its flaws; null where the movement has no figure. */
export function makeFrames(variant: Variant): Frames | null {
  const motion = motionOf(variant.movement.figure);
  const frames = motion && drawn(motion, variant);
  if (kept.size >= mostKept) kept.clear();
  kept.set(keyOf(variant), frames);
  return frames;
}

function drawn(motion: Motion, { movement, flaws, isMirrored }: Variant): Frames {
  const view = viewOf(movement.view?.facing ?? 'front');
  return Array.from({ length: framesOfRound }, (_, index) => {
    const share = index / framesOfRound;
    const figure = figureAt(motion, share, (pose) => flawed(pose, flaws, 1, share * 3));
    return shapesOf(isMirrored ? mirroredFigure(figure) : figure, view).map((shape): Stroke =>
      shape.kind === 'disc'
        ? { kind: 'disc', isFar: false, width: shape.radius, points: [...shape.at] }
        : { kind: shape.kind, isFar: shape.side === 'far', width: shape.width, points: shape.points.flat() },
    );
  });
}

/** How a figure is inked. */
export interface Inks {
  readonly near: string;
  readonly far: string;
}

/** Draws a frame. @param left where the middle of the figure stands, @param floor its floor, @param scale of a body length, in pixels */
export function paint(
  ink: CanvasRenderingContext2D,
  frame: readonly Stroke[],
  { near, far }: Inks,
  left: number,
  floor: number,
  scale: number,
): void {
  ink.lineCap = 'round';
  ink.lineJoin = 'round';
  for (const { kind, isFar, width, points } of frame) {
    const colour = isFar ? far : near;
    ink.beginPath();
    if (kind === 'disc') {
      ink.fillStyle = colour;
      ink.arc(left + (points[0] ?? 0) * scale, floor - (points[1] ?? 0) * scale, width * scale, 0, 2 * Math.PI);
      ink.fill();
      continue;
    }
    for (let at = 0; at < points.length; at += 2) ink.lineTo(left + (points[at] ?? 0) * scale, floor - (points[at + 1] ?? 0) * scale);
    if (kind === 'body') {
      ink.closePath();
      ink.fillStyle = colour;
      ink.fill();
    }
    ink.strokeStyle = colour;
    ink.lineWidth = width * scale;
    ink.stroke();
  }
}
