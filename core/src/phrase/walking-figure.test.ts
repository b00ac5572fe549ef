import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { eight } from '../figure/body.js';
import { heightOf, type Leg, type SolvedFigure } from '../figure/solve.js';
import { lengthOf, minus, type Vector } from '../figure/vector.js';
import { aPhrase, quayLight } from '../testing/phrases.js';
import { armNames, armsFrom } from './arms.js';
import { mirroredPhrase } from './phrase.js';
import { walk } from './walk.js';
import { walkingFigure } from './walking-figure.js';

const bodyM = 1.7;
const moments = (counts: number): readonly number[] => Array.from({ length: counts * 20 + 20 }, (_, index) => index / 20 - 1);
const apart = (a: Vector, b: Vector): number => lengthOf(minus(a, b));
const legs = ({ leftLeg, rightLeg }: SolvedFigure): readonly Leg[] => [leftLeg, rightLeg];
const mirror = ([x, y, z]: Vector): Vector => [-x, y, z];

/** Any phrase that can be danced: feet change, kicks, touches, turns, jumps. */
const danced = fc
  .array(
    fc.record({
      act: fc.constantFrom('', '', 'touch', 'kick', 'lift', 'hop', 'leap', 'jump', 'sink'),
      place: fc.constantFrom('fwd', 'back', 'side', 'cross', 'behind', 'close', 'place'),
      turn: fc.constantFrom('', '', ' turn left 90', ' turn right 180', ' turn left 360'),
    }),
    { minLength: 1, maxLength: 16 },
  )
  .map((some) => {
    let stands = 'L';
    const other = { L: 'R', R: 'L' } as const;
    return some
      .map(({ act, place, turn }, index) => {
        const count = String((index % 8) + 1);
        if (act === 'jump' || act === 'sink') return `${count} both ${act} ${act === 'jump' ? place : ''}`;
        const free = other[stands as 'L' | 'R'];
        if (act === 'hop') return `${count} ${stands} hop`;
        if (act === '' || act === 'leap') stands = free;
        return `${count} ${free} ${act} ${place}${turn}`;
      })
      .join(', ');
  });

describe('the figure that walks a phrase', () => {
  it('stands where it begins through a count-in of eight, and where it ends for ever after', () => {
    const figure = walkingFigure(aPhrase(quayLight));
    expect(figure.at(-8)).toEqual(figure.at(-1));
    expect(figure.at(1000)).toEqual(figure.at(figure.counts + 1));
  });

  it('stands on its counts where the walk sets its feet, and the one that carries stays where it is', () => {
    const phrase = aPhrase(quayLight);
    const figure = walkingFigure(phrase);
    const { stands } = walk(phrase);
    phrase.rows.forEach(({ at, turn }, row) => {
      const stand = stands[row + 1];
      if (!stand || turn !== 0) return;
      const { leftLeg, rightLeg } = figure.at(at);
      for (const [foot, leg] of [
        ['left', leftLeg],
        ['right', rightLeg],
      ] as const) {
        if (stand.weight !== foot) continue;
        expect(Math.hypot(leg.ankle[0] - stand[foot].x / bodyM, leg.ankle[2] - stand[foot].z / bodyM)).toBeLessThan(0.02);
      }
    });
    // after one the right foot carries, until the left is about to: it does not slide
    for (let count = 0; count < 0.6; count += 0.1)
      expect(apart(figure.at(count).rightLeg.ankle, figure.at(0).rightLeg.ankle)).toBeLessThan(1e-6);
  });

  it('has bones of their length, nothing under the floor and no leap between two moments, whatever is danced', () => {
    fc.assert(
      fc.property(danced, (text) => {
        const figure = walkingFigure(aPhrase(text));
        let before: SolvedFigure | null = null;
        for (const count of moments(figure.counts)) {
          const now = figure.at(count);
          for (const { hip, knee, ankle } of legs(now)) {
            expect(apart(hip, knee)).toBeCloseTo(eight.bones.thigh, 6);
            expect(apart(knee, ankle)).toBeCloseTo(eight.bones.shin, 6);
          }
          expect(heightOf(now, 'feet')).toBeGreaterThan(-0.02);
          expect(now.pelvis[1]).toBeGreaterThan(0.15);
          // in a twentieth of a count even a leap goes less than this
          if (before) expect(apart(before.pelvis, now.pelvis)).toBeLessThan(0.25);
          before = now;
        }
      }),
      { numRuns: 60 },
    );
  });

  it('of the other side is the mirror image', () => {
    fc.assert(
      fc.property(danced, (text) => {
        const phrase = aPhrase(text);
        const [one, other] = [walkingFigure(phrase), walkingFigure(mirroredPhrase(phrase))];
        for (const count of [-1, 0.3, 1, 2.6, 3.9, one.counts]) {
          const [a, b] = [one.at(count), other.at(count)];
          expect(apart(mirror(a.leftLeg.knee), b.rightLeg.knee)).toBeLessThan(1e-6);
          expect(apart(mirror(a.rightArm.elbow), b.leftArm.elbow)).toBeLessThan(1e-6);
          expect(apart(mirror(a.face), b.face)).toBeLessThan(1e-6);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('kicks into the air, jumps off the floor and sinks into its knees', () => {
    const kick = walkingFigure(aPhrase('1 R kick')).at(0);
    expect(kick.rightLeg.ankle[1]).toBeGreaterThan(0.25);
    expect(kick.leftLeg.ankle[1]).toBeLessThan(0.06);
    const jump = walkingFigure(aPhrase('1 both sink, 2 both jump'));
    expect(Math.max(...[0.4, 0.5, 0.6, 0.7, 0.8].map((count) => heightOf(jump.at(count), 'feet')))).toBeGreaterThan(0.08);
    expect(heightOf(jump.at(1), 'feet')).toBeLessThan(0.01);
    const sink = walkingFigure(aPhrase('1 both sink'));
    expect(sink.at(-1).pelvis[1] - sink.at(0).pelvis[1]).toBeGreaterThan(0.05);
  });
});

describe('arms by name', () => {
  it('are both, or each by its side, before or after the name', () => {
    const { left, right } = armsFrom('R high and L hip', null);
    expect(left).toEqual(armsFrom('hips', null).left);
    expect(right).toEqual(armsFrom('high', null).right);
    expect(armsFrom('low through first to high', null)).toEqual(armsFrom('high', null));
    expect(armsFrom('R up', null)).toMatchObject({ left: null });
    expect(armsFrom('something else', null)).toEqual({ left: null, right: null });
  });

  it('draw the other fist back in a technique of one hand, and swing in opposition to the foot', () => {
    const punch = armsFrom('reverse punch R', 'left');
    expect(punch.right?.flex).toBe(88);
    expect(punch.left).toEqual(armsFrom('fist at hip', null).left);
    expect(armsFrom('opposition', 'right').left?.flex).toBeGreaterThan(0);
    expect(armsFrom('opposition', 'right')).toEqual({
      left: armsFrom('opposition', 'left').right,
      right: armsFrom('opposition', 'left').left,
    });
    for (const name of armNames) expect([name, armsFrom(name, null).right === null]).toEqual([name, false]);
  });
});
