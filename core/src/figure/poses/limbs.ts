import { rootOf, type LimbAngles, type Pose } from '../pose.js';
import { aboutX, aboutY, after, type Degrees, type Rotation } from '../vector.js';

/**
 * A limb by where it points: `lift` degrees away from straight down, in a direction `out` degrees from forward to its own
 * side, turned by `turn` about its own length (outward is more). Returned are the angles of hip or shoulder that do it.
 */
export function pointing(lift: Degrees, out: Degrees, bend: Degrees = 0, end: Degrees = 0, turn: Degrees = 0): LimbAngles {
  return { ...hipAngles(after(aboutY(out), after(aboutX(-lift), aboutY(turn)))), bend, end };
}

/** Takes a rotation apart as flex, then abduct, then rotate: how a limb's angles are applied. */
function hipAngles(r: Rotation): Pick<LimbAngles, 'flex' | 'abduct' | 'rotate'> {
  const degrees = 180 / Math.PI;
  return {
    flex: Math.atan2(-r[7], r[4]) * degrees,
    abduct: Math.asin(Math.max(-1, Math.min(1, -r[1]))) * degrees,
    rotate: Math.atan2(r[2], r[0]) * degrees,
  };
}

/** A leg in front view or side view with a flat foot: the thigh `forward` degrees, the knee bent. @param pitch of the pelvis. */
export function flat(forward: Degrees, bend: Degrees, pitch: Degrees = 0): Pick<LimbAngles, 'flex' | 'bend' | 'end'> {
  return { flex: forward + pitch, bend, end: forward - bend };
}

/** A turned-out leg with a flat foot: bent over the toes. */
export function turnedOut(lift: Degrees, out: Degrees, bend: Degrees): LimbAngles {
  return pointing(lift, out, bend, lift - bend);
}

/** Lying on the back, turned `turn` degrees about one's own length to the left side: pitch, roll and yaw of the pelvis that do it. */
export const lyingTurned = (turn: Degrees): Pose['root'] => rootOf(after(aboutX(-90), aboutY(turn)));
