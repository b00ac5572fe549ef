import {
  beginning,
  flattened,
  walkOfPartner,
  walkingFigure,
  type Phrase,
  type SolvedFigure,
  type View,
  type WalkingFigure,
} from '@leiter/core';

/** Who walks a phrase: the child, and the partner where there is one. */
export interface Bodies {
  readonly child: WalkingFigure;
  readonly partner: WalkingFigure | null;
  /** True where the two stand behind each other for the camera: from the side one sees both. */
  readonly isBestFromSide: boolean;
}

export function bodiesOf(phrase: Phrase): Bodies {
  const theirs = walkOfPartner(phrase);
  const [one, other] = [theirs && beginning(phrase), theirs?.stands[0]];
  return {
    child: walkingFigure(phrase),
    partner: theirs && walkingFigure(theirs.phrase),
    isBestFromSide: one && other ? Math.abs(one.left.z - other.left.z) > Math.abs(one.left.x - other.left.x) : false,
  };
}

/** Which of two is farther from the eye: it is drawn first. */
export function isFarther(one: SolvedFigure, other: SolvedFigure, view: View): boolean {
  const seen = { azimuth: view.azimuth + 90, elevation: 0 };
  return flattened(one.pelvis, seen)[0] > flattened(other.pelvis, seen)[0];
}
