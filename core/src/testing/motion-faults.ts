import { figureAt, restShare, type Motion } from '../figure/motion.js';
import { partAt } from '../figure/on-floor.js';
import { lowestOf, type SolvedFigure } from '../figure/solve.js';
import { minus, lengthOf, dot, add, scaled, type Vector } from '../figure/vector.js';

/** What is wrong in the way from pose to pose, as far as it can be reckoned; lengths in body lengths. */
export interface MotionFault {
  readonly kind: 'slides' | 'under-the-floor' | 'through-the-trunk';
  /** Which part, or which arm. */
  readonly part: string;
  readonly by: number;
}

/** How far a hand or foot that stays down may move, anything may be under the floor, and an arm deeper in the trunk than in the poses. */
const most = { slides: 0.01, under: 0.03, through: 0.03 } as const;
const moments = 16;

/** @returns the worst of each kind in one round, none where a child could be shown it */
export function motionFaults(motion: Motion): readonly MotionFault[] {
  const faults: MotionFault[] = [];
  let before = 0;
  for (const { from, to, kept, stays, takes } of motion.path) {
    const goes = before + stays * restShare;
    const way = takes * (1 - restShare);
    const inPoses = Math.min(depth(from.figure), depth(to.figure));
    for (let moment = 1; moment < moments; moment += 1) {
      const figure = figureAt(motion, (goes + (way * moment) / moments) / motion.steps);
      for (const { part, from: was } of kept.filter((one) => /Foot|Hand/.test(one.part))) {
        const [x, , z] = partAt(figure, part);
        faults.push({ kind: 'slides', part, by: Math.hypot(x - was[0], z - was[2]) - most.slides });
      }
      faults.push({ kind: 'under-the-floor', part: 'body', by: -lowestOf(figure) - most.under });
      faults.push({ kind: 'through-the-trunk', part: 'arm', by: inPoses - depth(figure) - most.through });
    }
    before = goes + way;
  }
  return (['slides', 'under-the-floor', 'through-the-trunk'] as const).flatMap((kind) => {
    const worst = faults.filter((fault) => fault.kind === kind && fault.by > 0).toSorted((a, b) => b.by - a.by)[0];
    return worst ? [worst] : [];
  });
}

/** How deep the forearms and hands are in trunk and head; 0 where they are outside. */
function depth({ leftArm, rightArm, pelvis, waist, chest, head, body }: SolvedFigure): number {
  const { radii } = body;
  const limbs = [leftArm, rightArm].flatMap(({ elbow, wrist, fingers }): readonly (readonly [Vector, Vector])[] => [
    [elbow, wrist],
    [wrist, fingers],
  ]);
  return Math.min(
    0,
    ...limbs.flatMap(([a, b]) => [
      apart(a, b, pelvis, waist) - radii.trunk - radii.arm * 0.6,
      apart(a, b, waist, chest) - radii.trunk - radii.arm * 0.6,
      apart(a, b, head, add(head, [0, 1e-6, 0])) - radii.head - radii.hand * 0.6,
    ]),
  );
}

/** The shortest way between two stretches (Ericson, Real-Time Collision Detection, 5.1.9). */
function apart(p: Vector, q: Vector, r: Vector, s: Vector): number {
  const [d1, d2, between] = [minus(q, p), minus(s, r), minus(p, r)];
  const [a, e, f, c, b] = [dot(d1, d1), dot(d2, d2), dot(d2, between), dot(d1, between), dot(d1, d2)];
  const within = (share: number): number => Math.max(0, Math.min(1, share));
  const bottom = a * e - b * b;
  let one = bottom > 1e-12 ? within((b * f - c * e) / bottom) : 0;
  let other = (b * one + f) / e;
  if (other < 0) [one, other] = [within(-c / a), 0];
  else if (other > 1) [one, other] = [within((b - c) / a), 1];
  return lengthOf(minus(add(p, scaled(d1, one)), add(r, scaled(d2, other))));
}
