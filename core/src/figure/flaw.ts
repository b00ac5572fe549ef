import type { LimbAngles, Pose, TrunkAngles } from './pose.js';

/** How a shape goes wrong so that one sees it. */
export const flaws = [
  'bent-knees',
  'bent-arms',
  'round-back',
  'arched-back',
  'low-arms',
  'leaning',
  'head-down',
  'head-back',
  'loose-feet',
  'wobble',
] as const;
export type Flaw = (typeof flaws)[number];

/** What words of a fault's name say of the body; the first that fits counts. */
const named: readonly (readonly [RegExp, Flaw])[] = [
  [/stiff|locked/, 'leaning'],
  [/knee/, 'bent-knees'],
  [/arm|elbow/, 'bent-arms'],
  [/hand|wrist|fist|guard/, 'low-arms'],
  [/arch|sag|ribs|belly/, 'arched-back'],
  [/round|pike|hips?-bend|seat|collaps|back-bends/, 'round-back'],
  [/lean|tilt|hip|twist|turn|shoulder/, 'leaning'],
  [/head-back|looks-up/, 'head-back'],
  [/head|look|chin|eyes/, 'head-down'],
  [/heel|toe|foot|feet|flat|ankle/, 'loose-feet'],
];

/** The flaw by which a fault is drawn; what is no matter of a shape – too loud, too quick – wobbles. */
export function flawOf(fault: string): Flaw {
  return named.find(([words]) => words.test(fault))?.[1] ?? 'wobble';
}

/**
 * A pose with flaws.
 * @param share 0 for none of it, 1 for all; @param moment seconds, for what wobbles
 */
export function flawed(pose: Pose, wrong: readonly Flaw[], share: number, moment: number): Pose {
  return wrong.reduce((current, flaw) => withFlaw(current, flaw, share, moment), pose);
}

function withFlaw(pose: Pose, flaw: Flaw, share: number, moment: number): Pose {
  const trunk = (part: TrunkAngles, flex: number, bend = 0): TrunkAngles => ({
    ...part,
    flex: part.flex + flex * share,
    bend: part.bend + bend * share,
  });
  const limb = (part: LimbAngles, change: Partial<LimbAngles>): LimbAngles => ({
    flex: part.flex + (change.flex ?? 0) * share,
    abduct: part.abduct + (change.abduct ?? 0) * share,
    rotate: part.rotate + (change.rotate ?? 0) * share,
    bend: part.bend + (change.bend ?? 0) * share,
    end: part.end + (change.end ?? 0) * share,
  });
  const legs = (change: Partial<LimbAngles>) => ({ leftLeg: limb(pose.leftLeg, change), rightLeg: limb(pose.rightLeg, change) });
  const arms = (change: Partial<LimbAngles>) => ({ leftArm: limb(pose.leftArm, change), rightArm: limb(pose.rightArm, change) });
  switch (flaw) {
    case 'bent-knees':
      // a knee that is bent already goes further in than it should
      return { ...pose, leftLeg: limb(pose.leftLeg, { flex: 14, bend: 32 }), rightLeg: limb(pose.rightLeg, { flex: 14, bend: 32 }) };
    case 'bent-arms':
      return { ...pose, ...arms({ bend: 42 }) };
    case 'round-back':
      return { ...pose, low: trunk(pose.low, 18), high: trunk(pose.high, 24) };
    case 'arched-back':
      return { ...pose, low: trunk(pose.low, -18), high: trunk(pose.high, -10) };
    case 'low-arms': {
      // what is lifted does not get all the way up
      const down = (arm: LimbAngles): LimbAngles => ({
        ...arm,
        flex: arm.flex * (1 - 0.35 * share),
        abduct: arm.abduct * (1 - 0.35 * share),
      });
      return { ...pose, leftArm: down(pose.leftArm), rightArm: down(pose.rightArm) };
    }
    case 'leaning':
      return { ...pose, low: trunk(pose.low, 4, 12), high: trunk(pose.high, 4, 10) };
    case 'head-down':
      return { ...pose, neck: trunk(pose.neck, 32) };
    case 'head-back':
      return { ...pose, neck: trunk(pose.neck, -28) };
    case 'loose-feet':
      return { ...pose, ...legs({ end: -24 }) };
    case 'wobble': {
      const sway = Math.sin(2 * Math.PI * 1.3 * moment) * 7;
      return { ...pose, low: trunk(pose.low, 0, sway), high: trunk(pose.high, 0, -sway * 0.6), ...arms({ abduct: 10 + Math.abs(sway) }) };
    }
  }
}
