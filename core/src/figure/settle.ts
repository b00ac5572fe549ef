import { eight, type Body } from './body.js';
import { inContact } from './contact.js';
import { completePose, type LimbAngles, type LimbName, type Pose, type Turn, type WrittenPose } from './pose.js';
import { heightBetween, leanOver } from './solve.js';

/** How far from what is written an angle that follows may be, and how finely it is looked for. */
const reachDegrees = 60;
const stepDegrees = 1;

/**
 * The pose that is meant: parts that carry the body together are brought to one floor, and what stands leans until its weight
 * is above its feet.
 * @throws Error where no turn within 60 degrees does it, ContactError where a limb does not come to what it touches: a pose that ships is
 * wrong then.
 */
export function settled(written: WrittenPose, body: Body = eight): Pose {
  const level = (pose: Pose): Pose =>
    (written.level ?? []).reduce(
      (current, { of, with: other, by, above = 0 }) => turnedUntil(current, by, (at) => heightBetween(at, of, other, body) - above),
      pose,
    );
  // who leans may move what is touched
  return inContact(balanced(inContact(level(completePose(written)), written, body), written, body), written, body);
}

function balanced(pose: Pose, { on, leans = 'body' }: WrittenPose, body: Body): Pose {
  if (on === undefined) return pose;
  const sideways =
    on === 'feet' ? pose : turnedUntil(pose, on === 'leftFoot' ? 'leftLeg.abduct' : 'rightLeg.abduct', (at) => leanOver(at, on, 'x', body));
  return turnedUntil(sideways, leans === 'leg' && on !== 'feet' ? `${on === 'leftFoot' ? 'leftLeg' : 'rightLeg'}.lean` : 'lean', (at) =>
    leanOver(at, on, 'z', body),
  );
}

/** What leans from an ankle: the whole body, or one leg under a trunk that stays. */
type Lean = 'lean' | 'leftLeg.lean' | 'rightLeg.lean';

/** @returns the pose with the angle nearest to its own at which `wanted` is 0. */
function turnedUntil(pose: Pose, by: Turn | Lean, wanted: (pose: Pose) => number): Pose {
  const begun = angleOf(pose, by);
  const at = (angle: number): number => wanted(withAngle(pose, by, angle));
  const value = at(begun);
  if (Math.abs(value) < 1e-9) return pose;
  // how far it is looked for to either side, and what is wanted there
  const fronts = [1, -1].map((direction) => ({ direction, angle: begun, value }));
  for (let out = stepDegrees; out <= reachDegrees; out += stepDegrees)
    for (const front of fronts) {
      const near = front.angle;
      front.angle = begun + front.direction * out;
      const before = front.value;
      front.value = at(front.angle);
      if (Math.sign(before) !== Math.sign(front.value)) return withAngle(pose, by, rootBetween(at, near, front.angle));
    }
  throw new Error(`no turn of ${by} settles the pose`);
}

/** Halves the stretch in which a value changes its sign, to a thousandth of a degree. */
function rootBetween(at: (angle: number) => number, near: number, far: number): number {
  let [a, b] = [near, far];
  const sign = Math.sign(at(a));
  while (Math.abs(b - a) > 0.001) {
    const middle = (a + b) / 2;
    if (Math.sign(at(middle)) === sign) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}

function limbsOf(by: Turn): { readonly limbs: readonly LimbName[]; readonly angle: keyof LimbAngles } {
  const [limb, angle] = by.split('.') as [LimbName | 'arms' | 'legs', keyof LimbAngles]; // the type of `by` says so
  if (limb === 'arms') return { limbs: ['leftArm', 'rightArm'], angle };
  return { limbs: limb === 'legs' ? ['leftLeg', 'rightLeg'] : [limb], angle };
}

function angleOf(pose: Pose, by: Turn | Lean): number {
  if (by === 'leftLeg.lean' || by === 'rightLeg.lean') return pose[by === 'leftLeg.lean' ? 'leftLeg' : 'rightLeg'].flex;
  if (by === 'lean' || by === 'pitch') return pose.root.pitch;
  if (by === 'roll') return pose.root.roll;
  const { limbs, angle } = limbsOf(by);
  return pose[limbs[0] ?? 'leftLeg'][angle];
}

function withAngle(pose: Pose, by: Turn | Lean, degrees: number): Pose {
  if (by === 'leftLeg.lean' || by === 'rightLeg.lean') {
    // the leg leans from the ankle, the sole stays flat
    const limb = by === 'leftLeg.lean' ? 'leftLeg' : 'rightLeg';
    const leg = pose[limb];
    return { ...pose, [limb]: { ...leg, flex: degrees, end: leg.end + degrees - leg.flex } };
  }
  if (by === 'lean') {
    // the whole body leans from the ankles, the soles stay flat
    const lean = degrees - pose.root.pitch;
    const leg = (limb: LimbAngles): LimbAngles => ({ ...limb, end: limb.end - lean });
    return { ...pose, root: { ...pose.root, pitch: degrees }, leftLeg: leg(pose.leftLeg), rightLeg: leg(pose.rightLeg) };
  }
  if (by === 'pitch' || by === 'roll') return { ...pose, root: { ...pose.root, [by]: degrees } };
  const { limbs, angle } = limbsOf(by);
  return limbs.reduce((current, limb) => ({ ...current, [limb]: { ...current[limb], [angle]: degrees } }), pose);
}
