import type { SolvedFigure } from './solve.js';
import type { Vector } from './vector.js';

/** Left and right exchanged. */
export function mirroredFigure(figure: SolvedFigure): SolvedFigure {
  const flip = ([x, y, z]: Vector): Vector => [-x, y, z];
  const arm = ({ shoulder, elbow, wrist, fingers, hand }: SolvedFigure['leftArm']): SolvedFigure['leftArm'] => ({
    shoulder: flip(shoulder),
    elbow: flip(elbow),
    wrist: flip(wrist),
    fingers: flip(fingers),
    hand,
  });
  const leg = ({ hip, knee, ankle, heel, ball, toes }: SolvedFigure['leftLeg']): SolvedFigure['leftLeg'] => ({
    hip: flip(hip),
    knee: flip(knee),
    ankle: flip(ankle),
    heel: flip(heel),
    ball: flip(ball),
    toes: flip(toes),
  });
  return {
    pelvis: flip(figure.pelvis),
    waist: flip(figure.waist),
    chest: flip(figure.chest),
    head: flip(figure.head),
    face: flip(figure.face),
    leftArm: arm(figure.rightArm),
    rightArm: arm(figure.leftArm),
    leftLeg: leg(figure.rightLeg),
    rightLeg: leg(figure.leftLeg),
    body: figure.body,
  };
}
