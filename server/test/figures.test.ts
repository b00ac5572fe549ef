import { bodies, motionOf, solve, type Motion, type Movement, type SolvedFigure } from '@leiter/core';
import { motionFaults } from '@leiter/core/testing/motion-faults';
import { describe, expect, it } from 'vitest';
import { shippedLibrary } from '../src/library/shipped-content.js';

const movements = [...shippedLibrary().values()];
const motion = ({ slug, figure }: Movement): Motion => {
  const found = motionOf(figure);
  if (!found) throw new Error(`${slug} has no figure`);
  return found;
};

describe('the figures of the library', () => {
  it('keep hands and feet where they stand while the rest moves, stay above the floor and outside the trunk', () => {
    const wrong = movements.flatMap((one) => {
      const faults = motionFaults(motion(one));
      return faults.length > 0 ? [`${one.slug}: ${faults.map(({ kind, part, by }) => `${kind} ${part} ${by.toFixed(3)}`).join(', ')}`] : [];
    });
    expect(wrong).toEqual([]);
  }, 120_000);

  it('are there for a child of five and of twelve as well', () => {
    for (const { slug, figure } of movements)
      for (const age of ['4-6', '10-13'] as const) expect(motionOf(figure, bodies[age]), `${slug} ${age}`).not.toBeNull();
  });

  it('move where the body moves', () => {
    const still = movements.filter(({ figure }) => figure.length === 1).map(({ kind }) => kind);
    // a shape that is held, a talk, a rest
    expect(still.length).toBeLessThan(60);
  });

  it('tell every movement of a programme from every other by its still picture', () => {
    const alike = movements.flatMap((one, index) =>
      movements
        .slice(index + 1)
        .filter((other) => one.programmes.join() === other.programmes.join() && isAlike(one, other))
        .map((other) => `${one.slug} = ${other.slug}`),
    );
    expect(alike).toEqual([]);
  });
});

/** True where nobody could tell the two pictures apart: the same side, things, hands, and joints within a hand's breadth in all. */
function isAlike(one: Movement, other: Movement): boolean {
  if (one.view?.facing !== other.view?.facing) return false;
  const [a, b] = [motionOnce(one), motionOnce(other)];
  if (a.props.join() !== b.props.join() || JSON.stringify(a.still.hands) !== JSON.stringify(b.still.hands)) return false;
  const [p, q] = [joints(solve(a.still)), joints(solve(b.still))];
  return p.reduce((sum, value, index) => sum + Math.abs(value - (q[index] ?? 0)), 0) < 0.1;
}

const known = new Map<string, Motion>();
function motionOnce(movement: Movement): Motion {
  const found = known.get(movement.slug) ?? motion(movement);
  known.set(movement.slug, found);
  return found;
}

const joints = ({ head, face, chest, leftArm, rightArm, leftLeg, rightLeg }: SolvedFigure): readonly number[] =>
  [
    head,
    face,
    chest,
    ...[leftArm, rightArm].flatMap(({ elbow, wrist }) => [elbow, wrist]),
    ...[leftLeg, rightLeg].flatMap(({ knee, ankle, toes }) => [knee, ankle, toes]),
  ].flat();
