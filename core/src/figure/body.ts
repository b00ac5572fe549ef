/** Lengths of the bones and half the thickness of the parts, in body lengths. */
export interface Body {
  readonly bones: Readonly<
    Record<
      | 'shin'
      | 'thigh'
      | 'ankleHeight'
      | 'heelBack'
      | 'ballAhead'
      | 'toeAhead'
      | 'hipHalf'
      | 'lowSpine'
      | 'highSpine'
      | 'shoulderHalf'
      | 'neck'
      | 'head'
      | 'upperArm'
      | 'foreArm'
      | 'hand',
      number
    >
  >;
  /** Half the thickness with which a part is drawn, and with which it lies on the floor. */
  readonly radii: Readonly<Record<'head' | 'trunk' | 'seat' | 'thigh' | 'knee' | 'shin' | 'foot' | 'arm' | 'hand', number>>;
}

/**
 * A child of five, of eight and of twelve: five and a half, six and a half and seven heads tall, with sitting heights of 55, 54 and 52 %
 * of the stature (after usual tables of body proportions by age). Each is about one body length tall. By the ages for which doses are written.
 */
export const bodies = {
  '4-6': {
    bones: {
      shin: 0.205,
      thigh: 0.225,
      ankleHeight: 0.042,
      heelBack: 0.036,
      ballAhead: 0.077,
      toeAhead: 0.117,
      hipHalf: 0.05,
      lowSpine: 0.142,
      highSpine: 0.15,
      shoulderHalf: 0.092,
      neck: 0.056,
      head: 0.09,
      upperArm: 0.15,
      foreArm: 0.131,
      hand: 0.075,
    },
    radii: { head: 0.09, trunk: 0.06, seat: 0.066, thigh: 0.045, knee: 0.039, shin: 0.034, foot: 0.023, arm: 0.03, hand: 0.022 },
  },
  '7-9': {
    bones: {
      shin: 0.215,
      thigh: 0.235,
      ankleHeight: 0.04,
      heelBack: 0.035,
      ballAhead: 0.075,
      toeAhead: 0.115,
      hipHalf: 0.05,
      lowSpine: 0.14,
      highSpine: 0.15,
      shoulderHalf: 0.095,
      neck: 0.065,
      head: 0.08,
      upperArm: 0.155,
      foreArm: 0.135,
      hand: 0.075,
    },
    radii: { head: 0.08, trunk: 0.058, seat: 0.064, thigh: 0.043, knee: 0.037, shin: 0.032, foot: 0.022, arm: 0.029, hand: 0.021 },
  },
  '10-13': {
    bones: {
      shin: 0.228,
      thigh: 0.245,
      ankleHeight: 0.038,
      heelBack: 0.035,
      ballAhead: 0.075,
      toeAhead: 0.115,
      hipHalf: 0.05,
      lowSpine: 0.137,
      highSpine: 0.149,
      shoulderHalf: 0.1,
      neck: 0.067,
      head: 0.071,
      upperArm: 0.162,
      foreArm: 0.139,
      hand: 0.075,
    },
    radii: { head: 0.071, trunk: 0.056, seat: 0.061, thigh: 0.041, knee: 0.035, shin: 0.03, foot: 0.021, arm: 0.027, hand: 0.02 },
  },
} as const satisfies Readonly<Record<string, Body>>;

/** The body that is drawn where nobody's age is known: a child of eight. */
export const eight: Body = bodies['7-9'];
