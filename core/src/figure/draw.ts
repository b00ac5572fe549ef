import type { Prop } from './pose.js';
import { radii, skeleton, type Arm, type Leg, type SolvedFigure } from './solve.js';
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

/** A thing beside the figure. */
export interface PropShape {
  readonly kind: Prop;
  readonly lines: readonly (readonly Flat[])[];
}

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

interface Camera {
  readonly flat: (point: Vector) => Flat;
  readonly depth: (point: Vector) => number;
}

function cameraAt({ azimuth, elevation }: View): Camera {
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
  const arm = ({ shoulder, elbow, wrist, fingers }: Arm): void => {
    const depth = (camera.depth(shoulder) + camera.depth(elbow) + camera.depth(wrist)) / 3;
    stroke(depth, [shoulder, elbow], radii.arm * 2 + 0.006);
    stroke(depth, [elbow, wrist], radii.arm * 2, [between(elbow, wrist, 0.3), wrist]);
    stroke(depth, [wrist, fingers], radii.hand * 2, [wrist, fingers]);
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

/** A limb that points at the viewer is a dot; a gap round it would only be a speck. */
function isLong(points: readonly Flat[]): boolean {
  const [first, last] = [points[0], points.at(-1)];
  return first !== undefined && last !== undefined && Math.hypot(last[0] - first[0], last[1] - first[1]) > 0.03;
}

/** Round the trunk: shoulders, waist, hips, up the one side and down the other. */
function outlineOf({ leftArm, rightArm, leftLeg, rightLeg, waist }: SolvedFigure): readonly Vector[] {
  const inwards = 0.018;
  const beside = (one: Vector, other: Vector): Vector => between(one, other, inwards / skeleton.shoulderHalf);
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

/** @returns the lines of what stands beside or under a figure. */
export function propShapes(props: readonly Prop[], figure: SolvedFigure, view: View): readonly PropShape[] {
  const camera = cameraAt(view);
  const { left, right } = extentOf([figure], view);
  const seat = camera.flat(figure.pelvis);
  return props.map((kind) => {
    switch (kind) {
      case 'wall': {
        const at = wallAt(figure, camera);
        return {
          kind,
          lines: [
            [
              [at, 0],
              [at, 1.35],
            ],
          ],
        };
      }
      case 'line':
        return {
          kind,
          lines: [
            [
              [left - 0.05, 0],
              [right + 0.05, 0],
            ],
          ],
        };
      case 'chair': {
        const isSatOn = seat[1] < 0.4;
        const y = isSatOn ? seat[1] - radii.seat : 0.27;
        // somebody who stands holds its back
        const back = isSatOn ? seat[0] - 0.13 : camera.flat(figure.leftArm.wrist)[0];
        const top = isSatOn ? y + 0.34 : camera.flat(figure.leftArm.wrist)[1] - radii.hand;
        return {
          kind,
          lines: [
            [
              [back, y],
              [back + 0.29, y],
            ],
            [
              [back, 0],
              [back, top],
            ],
            [
              [back + 0.28, 0],
              [back + 0.28, y],
            ],
          ],
        };
      }
      case 'cushion': {
        const [x, y] = camera.flat(figure.rightArm.fingers);
        return {
          kind,
          lines: [
            [
              [x + 0.03, y - 0.12],
              [x + 0.03, y + 0.14],
              [x + 0.1, y + 0.14],
              [x + 0.1, y - 0.12],
              [x + 0.03, y - 0.12],
            ],
          ],
        };
      }
    }
  });
}

/** A wall stands where the body reaches it: at the hands of somebody upright, at the feet or back of everybody else. */
function wallAt(figure: SolvedFigure, camera: Camera): number {
  const { leftArm, leftLeg, pelvis, chest } = figure;
  const isUpsideDown = chest[1] < pelvis[1];
  if (isUpsideDown) {
    const heel = camera.flat(leftLeg.toes)[0];
    return heel + Math.sign(heel - camera.flat(leftArm.wrist)[0] || -1) * (radii.foot + 0.004);
  }
  const hands = camera.flat(leftArm.fingers)[0];
  const back = camera.flat(chest)[0];
  return hands > back + 0.15 ? Math.max(hands, camera.flat(leftArm.wrist)[0]) + radii.hand : back - radii.trunk;
}
