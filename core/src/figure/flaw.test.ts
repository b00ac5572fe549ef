import { describe, expect, it } from 'vitest';
import { flawed, flawOf, flaws } from './flaw.js';
import { poseNamed, poseNames } from './pose-book.js';
import { solve, type SolvedFigure } from './solve.js';

const joints = ({ head, chest, leftArm, rightArm, leftLeg, rightLeg }: SolvedFigure) => [
  head,
  chest,
  leftArm.elbow,
  leftArm.wrist,
  rightArm.wrist,
  leftLeg.knee,
  rightLeg.knee,
  leftLeg.ankle,
  leftLeg.toes,
  rightLeg.toes,
];
/** How far the farthest joint is moved, in body lengths. */
function moved(one: SolvedFigure, other: SolvedFigure): number {
  const others = joints(other);
  return Math.max(...joints(one).map((p, index) => Math.hypot(...p.map((value, axis) => value - (others[index]?.[axis] ?? 0)))));
}

describe('a flaw of a figure', () => {
  it.each(flaws)('%s can be seen in most poses, and none of them is below the floor', (flaw) => {
    let seen = 0;
    for (const name of poseNames) {
      const pose = poseNamed(name);
      if (!pose) throw new Error(name);
      const [right, wrong] = [solve(pose), solve(flawed(pose, [flaw], 1, 0.2))];
      for (const [, y] of joints(wrong)) expect(y).toBeGreaterThan(-0.02);
      if (moved(right, wrong) > 0.03) seen += 1;
      expect(moved(right, solve(flawed(pose, [flaw], 0, 0)))).toBeLessThan(flaw === 'wobble' ? 0.2 : 1e-9);
    }
    // arms that hang cannot hang lower
    expect(seen / poseNames.length).toBeGreaterThan(flaw === 'low-arms' ? 0.5 : 0.8);
  });

  it('is read from the words of a fault', () => {
    expect(
      [
        'knees-fall-in',
        'arms-bend',
        'back-rounds',
        'back-arches',
        'looks-down',
        'head-back',
        'heels-up',
        'leans',
        'hands-drop',
        'loud',
      ].map(flawOf),
    ).toEqual([
      'bent-knees',
      'bent-arms',
      'round-back',
      'arched-back',
      'head-down',
      'head-back',
      'loose-feet',
      'leaning',
      'low-arms',
      'wobble',
    ]);
  });
});
