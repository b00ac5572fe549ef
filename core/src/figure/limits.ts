import { limbNames, trunkNames, type LimbAngles, type Pose, type TrunkAngles } from './pose.js';

/**
 * How far the joints of a child go, in degrees: the ranges of a supple eight-year-old, wider than an adult's (after the usual
 * tables of joint ranges for children). A hip goes back further than its joint: the pelvis that tilts in a split is counted in.
 */
export const jointLimits: {
  readonly arm: Readonly<Record<keyof LimbAngles, readonly [number, number]>>;
  readonly leg: Readonly<Record<keyof LimbAngles, readonly [number, number]>>;
  readonly low: Readonly<Record<keyof TrunkAngles, readonly [number, number]>>;
  readonly high: Readonly<Record<keyof TrunkAngles, readonly [number, number]>>;
  readonly neck: Readonly<Record<keyof TrunkAngles, readonly [number, number]>>;
} = {
  arm: { flex: [-70, 215], abduct: [-60, 185], rotate: [-110, 110], bend: [0, 155], end: [-85, 95] },
  leg: { flex: [-85, 155], abduct: [-35, 92], rotate: [-50, 92], bend: [0, 158], end: [-40, 80] },
  low: { flex: [-55, 65], bend: [-40, 40], twist: [-35, 35] },
  high: { flex: [-50, 55], bend: [-40, 40], twist: [-60, 60] },
  neck: { flex: [-65, 70], bend: [-45, 45], twist: [-85, 85] },
};

export interface JointFault {
  readonly joint: string;
  readonly degrees: number;
  readonly limits: readonly [number, number];
}

/** What blending two angles rounds, in degrees. */
const rounding = 1e-9;

/** @returns every joint that is bent further than a child's goes; none for a pose that can be taken. */
export function jointFaults(pose: Pose): readonly JointFault[] {
  const faults: JointFault[] = [];
  const check = (joint: string, degrees: number, limits: readonly [number, number]): void => {
    if (!(degrees >= limits[0] - rounding && degrees <= limits[1] + rounding)) faults.push({ joint, degrees, limits });
  };
  for (const limb of limbNames) {
    const limits = limb.endsWith('Arm') ? jointLimits.arm : jointLimits.leg;
    for (const angle of ['flex', 'abduct', 'rotate', 'bend', 'end'] as const) check(`${limb}.${angle}`, pose[limb][angle], limits[angle]);
  }
  for (const part of trunkNames)
    for (const angle of ['flex', 'bend', 'twist'] as const) check(`${part}.${angle}`, pose[part][angle], jointLimits[part][angle]);
  return faults;
}
