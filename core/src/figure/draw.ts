import { eight } from './body.js';
import type { HandShape } from './pose.js';
import { type Arm, type Leg, type SolvedFigure } from './solve.js';
import { between, type Degrees, type Vector } from './vector.js';

export const facings = ['front', 'quarter', 'side', 'back', 'above'] as const;
/** From where a movement is seen; `quarter` is between front and side and hides nothing, `above` shows what a foot draws on the floor. */
export type Facing = (typeof facings)[number];

/** From where a figure is seen: round it from the front to its left, and up from the floor. */
export interface View {
  readonly azimuth: Degrees;
  readonly elevation: Degrees;
}

/** A point of the picture in body lengths: right and up; the floor is at 0. */
export type Flat = readonly [right: number, up: number];

/** A part of the figure to be drawn, the furthest first. */
export type Shape =
  | {
      readonly kind: 'stroke';
      readonly points: readonly Flat[];
      readonly width: number;
      readonly side: 'near' | 'far';
      /** Drawn under the stroke in the colour of the paper, so that a limb is seen in front of the trunk; empty for none. */
      readonly gap: readonly Flat[];
    }
  | { readonly kind: 'body'; readonly points: readonly Flat[]; readonly width: number; readonly side: 'near' }
  | { readonly kind: 'disc'; readonly at: Flat; readonly radius: number; readonly side: 'near' };

/** The side is turned a little out of the straight view: both shoulders and both legs can be seen. */
const views: Readonly<Record<Facing, View>> = {
  front: { azimuth: 0, elevation: 0 },
  quarter: { azimuth: 42, elevation: 7 },
  side: { azimuth: 84, elevation: 0 },
  back: { azimuth: 180, elevation: 0 },
  above: { azimuth: 12, elevation: 62 },
};

export const viewOf = (facing: Facing): View => views[facing];
/** A limb this much behind the middle of the trunk counts as the far one. */
const farBehind = 0.03;

export interface Camera {
  readonly flat: (point: Vector) => Flat;
  readonly depth: (point: Vector) => number;
}

export function cameraAt({ azimuth, elevation }: View): Camera {
  const radians = Math.PI / 180;
  const [c, s] = [Math.cos(azimuth * radians), Math.sin(azimuth * radians)];
  const [level, lifted] = [Math.cos(elevation * radians), Math.sin(elevation * radians)];
  const ahead = ([x, , z]: Vector): number => z * c - x * s;
  return {
    flat: (point) => [point[0] * c + point[2] * s, point[1] * level - ahead(point) * lifted],
    depth: (point) => ahead(point) * level + point[1] * lifted,
  };
}

/** Where a point is in the picture from a side. */
export const flattened = (point: Vector, view: View): Flat => cameraAt(view).flat(point);

/** @returns the strokes of a figure from one side, the furthest first; the head is drawn where its depth puts it. */
export function shapesOf(figure: SolvedFigure, view: View): readonly Shape[] {
  const { radii } = figure.body;
  const camera = cameraAt(view);
  const trunkDepth = (camera.depth(figure.pelvis) + camera.depth(figure.chest)) / 2;
  const parts: { readonly depth: number; readonly shape: Shape }[] = [];
  const stroke = (limbDepth: number, points: readonly Vector[], width: number, gap: readonly Vector[] = []): void => {
    const depth = points.reduce((sum, point) => sum + camera.depth(point), 0) / points.length;
    parts.push({
      depth,
      shape: {
        kind: 'stroke',
        points: points.map(camera.flat),
        width,
        side: limbDepth < trunkDepth - farBehind ? 'far' : 'near',
        gap: isLong(gap.map(camera.flat)) ? gap.map(camera.flat) : [],
      },
    });
  };
  const arm = ({ shoulder, elbow, wrist, fingers, hand }: Arm): void => {
    const depth = (camera.depth(shoulder) + camera.depth(elbow) + camera.depth(wrist)) / 3;
    stroke(depth, [shoulder, elbow], radii.arm * 2 + 0.006);
    stroke(depth, [elbow, wrist], radii.arm * 2, [between(elbow, wrist, 0.3), wrist]);
    for (const { to, width } of handStrokes[hand]) {
      const tip = between(wrist, fingers, to);
      stroke(depth, [wrist, tip], radii.hand * width, [wrist, tip]);
    }
  };
  const leg = ({ hip, knee, ankle, heel, toes }: Leg): void => {
    const depth = (camera.depth(hip) + camera.depth(knee) + camera.depth(ankle)) / 3;
    stroke(depth, [hip, knee], radii.thigh * 2);
    stroke(depth, [knee, ankle], radii.shin * 2, [between(knee, ankle, 0.3), ankle]);
    stroke(depth, [ankle, heel, toes], radii.foot * 2);
  };
  arm(figure.leftArm);
  arm(figure.rightArm);
  leg(figure.leftLeg);
  leg(figure.rightLeg);
  parts.push({
    depth: trunkDepth,
    shape: { kind: 'body', points: outlineOf(figure).map(camera.flat), width: radii.trunk * 1.7, side: 'near' },
  });
  parts.push({
    depth: camera.depth(figure.head),
    shape: { kind: 'stroke', points: [figure.chest, figure.head].map(camera.flat), width: 0.05, side: 'near', gap: [] },
  });
  parts.push({
    depth: camera.depth(figure.head) + 0.001,
    shape: { kind: 'disc', at: camera.flat(figure.head), radius: radii.head, side: 'near' },
  });
  parts.push({ depth: camera.depth(figure.face), shape: { kind: 'disc', at: camera.flat(figure.face), radius: 0.014, side: 'near' } });
  return parts.toSorted((a, b) => a.depth - b.depth).map(({ shape }) => shape);
}

/** A hand as strokes from the wrist: how far along the fingers, and how thick in thicknesses of the open hand. */
const handStrokes: Readonly<Record<HandShape, readonly { readonly to: number; readonly width: number }[]>> = {
  open: [{ to: 1, width: 2 }],
  fist: [{ to: 0.42, width: 3.1 }],
  flat: [{ to: 1.18, width: 1.25 }],
  pointing: [
    { to: 0.5, width: 2.3 },
    { to: 1.25, width: 1 },
  ],
};

/** A limb that points at the viewer is a dot; a gap round it would only be a speck. */
function isLong(points: readonly Flat[]): boolean {
  const [first, last] = [points[0], points.at(-1)];
  return first !== undefined && last !== undefined && Math.hypot(last[0] - first[0], last[1] - first[1]) > 0.03;
}

/** Round the trunk: shoulders, waist, hips, up the one side and down the other. */
function outlineOf({ leftArm, rightArm, leftLeg, rightLeg, waist, body }: SolvedFigure): readonly Vector[] {
  const inwards = 0.018;
  const beside = (one: Vector, other: Vector): Vector => between(one, other, inwards / body.bones.shoulderHalf);
  const side = (hip: Vector, shoulder: Vector): Vector => {
    const half = 0.62;
    return [
      waist[0] + ((hip[0] + shoulder[0]) / 2 - (leftLeg.hip[0] + rightLeg.hip[0] + leftArm.shoulder[0] + rightArm.shoulder[0]) / 4) * half,
      waist[1] + ((hip[1] + shoulder[1]) / 2 - (leftLeg.hip[1] + rightLeg.hip[1] + leftArm.shoulder[1] + rightArm.shoulder[1]) / 4) * half,
      waist[2] + ((hip[2] + shoulder[2]) / 2 - (leftLeg.hip[2] + rightLeg.hip[2] + leftArm.shoulder[2] + rightArm.shoulder[2]) / 4) * half,
    ];
  };
  return [
    beside(leftArm.shoulder, rightArm.shoulder),
    side(leftLeg.hip, leftArm.shoulder),
    leftLeg.hip,
    rightLeg.hip,
    side(rightLeg.hip, rightArm.shoulder),
    beside(rightArm.shoulder, leftArm.shoulder),
  ];
}

/** Left, right, top and bottom of what is drawn, in body lengths; the floor, 0, is always in it. */
export interface Extent {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

export function extentOf(figures: readonly SolvedFigure[], view: View): Extent {
  const { radii } = figures[0]?.body ?? eight;
  const camera = cameraAt(view);
  const points = figures.flatMap((figure) => [
    ...[figure.leftArm, figure.rightArm].flatMap(({ elbow, fingers }) => [elbow, fingers]),
    ...[figure.leftLeg, figure.rightLeg].flatMap(({ knee, toes, heel }) => [knee, toes, heel]),
    figure.pelvis,
    figure.chest,
    figure.head,
  ]);
  const flats = points.map(camera.flat);
  const rights = flats.map(([right]) => right);
  const ups = flats.map(([, up]) => up);
  return {
    left: Math.min(...rights) - radii.head,
    right: Math.max(...rights) + radii.head,
    top: Math.max(...ups) + radii.head,
    bottom: Math.min(0, Math.min(...ups) - radii.foot),
  };
}
