import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contactExact, contactGap, contactsOf, ContactError, inContact } from './contact.js';
import { jointFaults } from './limits.js';
import { completePose, mirrored, type Target, type TouchingPart, type WrittenPose } from './pose.js';
import { poseNamed, writtenPose, poseNames } from './pose-book.js';
import { settled } from './settle.js';
import { placedFigure, solve } from './solve.js';

const touching = poseNames.filter((name) => writtenPose(name)?.touch !== undefined);

describe.each(touching)('what the pose %s touches', (name) => {
  it('is touched: surface to surface, within the hundredth of a body length, and by joints that go so far', () => {
    const [written, pose] = [writtenPose(name), poseNamed(name)];
    if (!written || !pose) throw new Error(name);
    const figure = placedFigure(pose);
    for (const { limb, target } of contactsOf(written)) expect(contactGap(figure, limb, target), limb).toBeLessThanOrEqual(contactExact);
    expect(jointFaults(pose)).toEqual([]);
  });
});

describe('a limb that reaches', () => {
  const arms = fc.record({
    flex: fc.double({ min: -40, max: 150, noNaN: true }),
    abduct: fc.double({ min: -10, max: 100, noNaN: true }),
    bend: fc.double({ min: 5, max: 120, noNaN: true }),
  });

  it('comes exactly there from wherever it is written, or is refused by name', () => {
    let met = 0;
    fc.assert(
      fc.property(
        arms,
        fc.double({ min: 0.08, max: 0.45, noNaN: true }),
        fc.double({ min: -0.3, max: 0.3, noNaN: true }),
        fc.double({ min: -0.3, max: 0.1, noNaN: true }),
        (leftArm, ahead, up, left) => {
          const target: Target = { ahead, up, left: left + 0.095 };
          const written: WrittenPose = { leftArm, touch: { leftHand: target } };
          let pose;
          try {
            pose = inContact(completePose(written), written);
          } catch (error) {
            expect(error).toBeInstanceOf(ContactError);
            expect((error as ContactError).fault.limb).toBe('leftArm');
            return;
          }
          met += 1;
          expect(contactGap(placedFigure(pose), 'leftArm', target)).toBeLessThanOrEqual(contactExact);
          expect(jointFaults(pose)).toEqual([]);
        },
      ),
      { numRuns: 400 },
    );
    expect(met).toBeGreaterThan(100);
  });

  it('on the other side is the mirror image', () => {
    const one = inContact(completePose({ leftArm: { flex: 60, bend: 50 } }), { touch: { leftHand: { ahead: 0.2, up: -0.05, left: 0.1 } } });
    const other = inContact(completePose({ rightArm: { flex: 60, bend: 50 } }), {
      touch: { rightHand: { ahead: 0.2, up: -0.05, left: -0.1 } },
    });
    const image = mirrored(one);
    for (const angle of ['flex', 'abduct', 'rotate', 'bend'] as const) expect(image.rightArm[angle]).toBeCloseTo(other.rightArm[angle], 6);
  });

  it('stays as it is written where it touches already', () => {
    const pose = poseNamed('tuck-hug');
    const written = writtenPose('tuck-hug');
    if (!pose || !written) throw new Error('no pose');
    const again = inContact(pose, written);
    expect(Math.abs(again.leftArm.flex - pose.leftArm.flex)).toBeLessThan(0.01);
    expect(Math.abs(again.leftArm.bend - pose.leftArm.bend)).toBeLessThan(0.01);
  });

  it.each<readonly [string, Partial<Record<TouchingPart, Target>>, WrittenPose, string]>([
    ['out of reach', { leftHand: 'rightFoot' }, {}, 'leftArm does not come to "rightFoot": out-of-reach'],
    ['behind what a hip can do', { leftFoot: 'head' }, {}, 'leftLeg does not come to "head": beyond-joints'],
  ])('is refused by name where it is %s', (_what, touch, written, message) => {
    expect(() => settled({ ...written, touch })).toThrow(message);
  });
});

describe('what coaches look for', () => {
  const figureOf = (name: string) => {
    const pose = poseNamed(name);
    if (!pose) throw new Error(name);
    return solve(pose);
  };
  const slope = (low: readonly number[], high: readonly number[]): number =>
    (Math.atan2((high[1] ?? 0) - (low[1] ?? 0), Math.hypot((high[0] ?? 0) - (low[0] ?? 0), (high[2] ?? 0) - (low[2] ?? 0))) * 180) /
    Math.PI;

  it('a lever is level from the fingers to the toes, within three degrees', () => {
    const { chest, pelvis, rightLeg, leftArm } = figureOf('lever');
    expect(Math.abs(slope(pelvis, chest))).toBeLessThan(3);
    expect(Math.abs(slope(rightLeg.hip, rightLeg.ankle))).toBeLessThan(3);
    expect(Math.abs(slope(leftArm.shoulder, leftArm.wrist))).toBeLessThan(6);
  });

  it('straight punches go ahead at the height of the chest, not across', () => {
    for (const [name, arm] of [
      ['jab', 'leftArm'],
      ['cross', 'rightArm'],
      ['palm-strike', 'rightArm'],
      ['punch-standing', 'rightArm'],
    ] as const) {
      const figure = figureOf(name);
      const { wrist } = figure[arm];
      expect(wrist[2] - figure.chest[2], name).toBeGreaterThan(0.24);
      expect(Math.abs(wrist[0] - figure.chest[0]), name).toBeLessThan(0.06);
      expect(Math.abs(wrist[1] - figure.chest[1]), name).toBeLessThan(0.06);
    }
  });

  it('turns turn, jumps leave the floor, and one leg up is one leg up', () => {
    expect(Math.abs(poseNamed('front-stance-back')?.root.yaw ?? 0)).toBe(180);
    for (const name of ['jump-stag', 'jump-frog', 'jump-cat-open']) expect(poseNamed(name)?.lift ?? 0, name).toBeGreaterThan(0.1);
    const { leftLeg, rightLeg } = figureOf('bridge-leg-up');
    expect(rightLeg.toes[1] - leftLeg.toes[1]).toBeGreaterThan(0.3);
    expect(figureOf('l-support').rightLeg.heel[1]).toBeGreaterThan(0.02);
  });
});
