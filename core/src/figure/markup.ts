import { shapesOf, type Flat, type View } from './draw.js';
import type { SolvedFigure } from './solve.js';
import { propShapes, type Things } from './things.js';

/** The inks of a drawn figure, as CSS colours. */
export interface FigureInks {
  readonly near: string;
  readonly far: string;
  readonly thing: string;
  readonly line: string;
  /** What is behind it: it parts a limb from what it crosses. */
  readonly paper: string;
}

/** Where a figure stands in a square of 100: the left edge in body lengths, and units per body length. */
export interface FigureRoom {
  readonly left: number;
  readonly scale: number;
  /** What stands on the floor of the square, in body lengths above the floor of the figure: 0 but for what is seen from above. */
  readonly base: number;
  /** True for who travels so far that the picture goes along; marks on the floor show the way. */
  readonly isFollowed?: boolean;
}

/** The floor of the square of 100 in which a figure is drawn. */
export const floorOfSquare = 93;

/**
 * The strokes of a body, and of what its movement uses, as SVG elements in a square of 100; numbers and inks only.
 * @param things of the movement, and the body beside which they stand; none for a body alone
 */
export function figureMarkup(figure: SolvedFigure, things: Things | null, view: View, room: FigureRoom, inks: FigureInks): string {
  const at = ([right, up]: Flat): string =>
    `${((right - room.left) * room.scale).toFixed(2)},${(floorOfSquare - (up - room.base) * room.scale).toFixed(2)}`;
  const line = (points: readonly Flat[]): string => points.map(at).join(' ');
  const stroke = (points: readonly Flat[], ink: string, width: number, ends = 'round'): string =>
    `<polyline points="${line(points)}" stroke="${ink}" stroke-width="${width.toFixed(2)}" stroke-linecap="${ends}" stroke-linejoin="round" fill="none"/>`;
  const beside = (things ? propShapes(things, figure, view) : []).flatMap(({ kind, lines }) =>
    lines.map((points) => (kind === 'line' || kind === 'ring' ? stroke(points, inks.line, 2.6) : stroke(points, inks.thing, 2))),
  );
  const marks = room.isFollowed ? floorMarks(room).map((points) => stroke(points, inks.thing, 1.1)) : [];
  const body = shapesOf(figure, view).map((shape) => {
    const ink = shape.side === 'far' ? inks.far : inks.near;
    if (shape.kind === 'disc') {
      const [x, y] = at(shape.at).split(',');
      return `<circle cx="${x ?? ''}" cy="${y ?? ''}" r="${(shape.radius * room.scale).toFixed(2)}" fill="${ink}"/>`;
    }
    const width = shape.width * room.scale;
    if (shape.kind === 'body')
      return `<polygon points="${line(shape.points)}" fill="${ink}" stroke="${ink}" stroke-width="${width.toFixed(2)}" stroke-linejoin="round"/>`;
    const gap = shape.gap.length > 0 ? stroke(shape.gap, inks.paper, (shape.width + 0.022) * room.scale, 'butt') : '';
    return gap + stroke(shape.points, ink, width);
  });
  return [...marks, ...beside, ...body].join('');
}

/** Short lines across the floor, two a body length, under who is followed. */
function floorMarks({ left, scale, base }: FigureRoom): readonly (readonly Flat[])[] {
  const apart = 0.5;
  const first = Math.ceil((left + 3 / scale) / apart);
  const count = Math.floor(94 / scale / apart) + 1;
  return Array.from({ length: count }, (_, index) => (first + index) * apart)
    .filter((right) => (right - left) * scale < 97)
    .map((right): readonly Flat[] => [
      [right, base - 1.6 / scale],
      [right - 2.4 / scale, base - 5 / scale],
    ]);
}
