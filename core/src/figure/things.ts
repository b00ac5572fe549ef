import { cameraAt, extentOf, type Camera, type Extent, type Flat, type View } from './draw.js';
import type { Motion } from './motion.js';
import type { Prop } from './pose.js';
import type { SolvedFigure } from './solve.js';
import { between, type Vector } from './vector.js';

/** What of a motion its things need. */
export type Things = Pick<Motion, 'props' | 'stillFigure' | 'figures'>;

/** A thing beside the figure, as lines of the picture. */
export interface PropShape {
  readonly kind: Prop;
  readonly lines: readonly (readonly Flat[])[];
}

const box = (left: number, right: number, bottom: number, top: number): readonly Flat[] => [
  [left, bottom],
  [right, bottom],
  [right, top],
  [left, top],
  [left, bottom],
];

/** A ring of lines round a point. @param flat how much of its height is seen, 1 for a circle */
const ring = ([x, y]: Flat, radius: number, flat: number): readonly Flat[] =>
  Array.from({ length: 25 }, (_, index): Flat => {
    const angle = (index / 24) * 2 * Math.PI;
    return [x + Math.cos(angle) * radius, y + Math.sin(angle) * radius * flat];
  });

/**
 * @param figure the body as it is drawn: what is in its hands goes with them
 * @param things what there is, the body as it stands for the movement – what stands on the floor stays there –, and the way it goes
 * @returns the lines of what stands beside or under a figure, or is in its hands
 */
export function propShapes(things: Things, figure: SolvedFigure, view: View): readonly PropShape[] {
  const camera = cameraAt(view);
  return things.props.map((kind) => ({ kind, lines: linesOf(kind, figure, things, camera, view) }));
}

function linesOf(
  kind: Prop,
  figure: SolvedFigure,
  { stillFigure: still, figures }: Things,
  camera: Camera,
  view: View,
): readonly (readonly Flat[])[] {
  const way = (): Extent => extentOf(figures, view);
  const { radii } = still.body;
  // seen from above, what lies on the floor is as deep as the view is steep
  const depth = Math.sin((Math.abs(view.elevation) * Math.PI) / 180);
  const onFloor = (point: Vector): Flat => camera.flat([point[0], 0, point[2]]);
  const feet = between(still.leftLeg.ball, still.rightLeg.ball, 0.5);
  switch (kind) {
    case 'wall': {
      const at = wallAt(still, camera);
      return [
        [
          [at, 0],
          [at, 1.35],
        ],
      ];
    }
    case 'line': {
      const { left, right } = way();
      return [
        [
          [left - 0.05, 0],
          [right + 0.05, 0],
        ],
      ];
    }
    case 'beam': {
      const { left, right } = way();
      return [box(left - 0.06, right + 0.06, -0.055, -0.012)];
    }
    case 'chair': {
      const seat = camera.flat(still.pelvis);
      const isSatOn = seat[1] < 0.4;
      const y = isSatOn ? seat[1] - radii.seat : 0.27;
      // somebody who stands holds its back
      const hand = camera.flat(still.leftArm.wrist);
      const back = isSatOn ? seat[0] - 0.13 : hand[0];
      const top = isSatOn ? y + 0.34 : hand[1] - radii.hand;
      return [
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
      ];
    }
    case 'cushion': {
      const [x, y] = camera.flat(still.rightArm.fingers);
      return [box(x + 0.03, x + 0.1, y - 0.12, y + 0.14)];
    }
    case 'pad': {
      // where what reaches furthest from the hips ends
      const tips = [still.leftArm.fingers, still.rightArm.fingers, still.leftLeg.toes, still.rightLeg.toes].map(camera.flat);
      const [middle] = camera.flat(still.pelvis);
      const [x, y] = tips
        .filter(([, up]) => up > 0.2)
        .reduce<Flat>((most, tip) => (Math.abs(tip[0] - middle) > Math.abs(most[0] - middle) ? tip : most), [middle, 0.5]);
      const outward = Math.sign(x - middle) || 1;
      const [near, far] = [x + outward * 0.03, x + outward * 0.1];
      return [box(Math.min(near, far), Math.max(near, far), y - 0.13, y + 0.13)];
    }
    case 'ring':
      return [ring(onFloor(feet), 0.24, Math.max(0.1, depth))];
    case 'towel': {
      const [one, other] = [figure.leftArm.fingers, figure.rightArm.fingers];
      const [a, b] = [camera.flat(one), camera.flat(other)];
      if (Math.hypot(a[0] - b[0], a[1] - b[1]) > 0.1) return [[a, b]];
      // round the feet of who sits
      if (still.pelvis[1] < 0.15)
        return [[camera.flat(between(one, other, 0.5)), camera.flat(between(figure.leftLeg.ball, figure.rightLeg.ball, 0.5))]];
      // folded, under what carries
      const knee = onFloor(still.leftLeg.knee[1] < 0.1 ? still.leftLeg.knee : feet);
      return [box(knee[0] - 0.12, knee[0] + 0.12, -0.03, -0.006)];
    }
    case 'ball': {
      const held = between(figure.leftArm.fingers, figure.rightArm.fingers, 0.5);
      const upper = figure.leftArm.fingers[1] > figure.rightArm.fingers[1] ? figure.leftArm.fingers : figure.rightArm.fingers;
      const isHeldByBoth =
        Math.hypot(...([0, 1, 2] as const).map((axis) => figure.leftArm.fingers[axis] - figure.rightArm.fingers[axis])) < 0.3;
      const [x, y] = camera.flat(isHeldByBoth ? held : upper);
      return [ring([x, y + (isHeldByBoth ? 0.02 : 0.09)], 0.06, 1)];
    }
    case 'block':
      return raised(still, camera, 0.1).map(([x, top]) => box(x - 0.07, x + 0.07, 0, top));
    case 'sofa':
      return raised(still, camera, 0.5)
        .slice(0, 1)
        .map(([x, top]) => {
          const outward = Math.sign(x - camera.flat(still.pelvis)[0]) || 1;
          const end = x + outward * 0.26;
          return box(Math.min(x - outward * 0.06, end), Math.max(x - outward * 0.06, end), 0, top);
        });
  }
}

/** Where hands and feet lie on something: in the picture, and how high it is. */
function raised(still: SolvedFigure, camera: Camera, most: number): readonly Flat[] {
  const { radii } = still.body;
  const hands = [still.leftArm, still.rightArm].map(({ wrist, fingers }): readonly [Vector, number] => [
    between(wrist, fingers, 0.5),
    Math.min(wrist[1], fingers[1]) - radii.hand,
  ]);
  const feet = [still.leftLeg, still.rightLeg].map(({ heel, ball, toes }): readonly [Vector, number] => [
    between(heel, ball, 0.5),
    Math.min(heel[1], ball[1], toes[1]) - radii.foot,
  ]);
  const [onHands, onFeet] = [hands, feet].map((both) => both.filter(([, under]) => under > 0.02 && under < most));
  const found = onFeet && onFeet.length > 0 && most > 0.2 ? onFeet : (onHands ?? []);
  return found.map(([at, under]) => [camera.flat(at)[0], under]);
}

/** A wall stands where the body reaches it: at the hands of somebody upright, at the feet or back of everybody else. */
function wallAt(figure: SolvedFigure, camera: Camera): number {
  const { leftArm, leftLeg, pelvis, chest, body } = figure;
  const { radii } = body;
  const isUpsideDown = chest[1] < pelvis[1];
  if (isUpsideDown) {
    const heel = camera.flat(leftLeg.toes)[0];
    return heel + Math.sign(heel - camera.flat(leftArm.wrist)[0] || -1) * (radii.foot + 0.004);
  }
  const hands = camera.flat(leftArm.fingers)[0];
  const back = camera.flat(chest)[0];
  return hands > back + 0.15 ? Math.max(hands, camera.flat(leftArm.wrist)[0]) + radii.hand : back - radii.trunk;
}
