import type { Degrees } from '../vector.js';
import { props, type Prop, type WrittenPose } from '../pose.js';
import { crossed, guard, hanging, high, highRound, lowRound, onHips, round, sideways, up } from './arms.js';
import { pointing } from './limbs.js';

/** What a word after the name of a pose changes of it. */
export interface Addition {
  /** What is written over; where it says arms, neither the arms of the pose nor what its hands touch counts. */
  readonly pose?: Pick<WrittenPose, 'arms' | 'leftArm' | 'rightArm' | 'neck' | 'hands' | 'lift'>;
  /** How far the whole body is turned to the left. */
  readonly turn?: Degrees;
  readonly prop?: Prop;
}

/** The words that may follow the name of a pose: arms, hands, where one looks, and things. */
export const additions: Readonly<Record<string, Addition>> = {
  'arms-down': { pose: hanging },
  'arms-up': { pose: up },
  'arms-side': { pose: sideways },
  'arms-high': { pose: high },
  'arms-ahead': { pose: { arms: { flex: 88, abduct: 4 } } },
  'arms-back': { pose: { arms: { flex: -42, abduct: 12 } } },
  'arms-low-round': { pose: lowRound },
  'arms-round': { pose: round },
  'arms-high-round': { pose: highRound },
  'arms-crossed': { pose: crossed },
  'arms-guard': { pose: { ...guard, hands: 'fist' } },
  'hands-on-hips': { pose: onHips },
  'hands-behind': { pose: { arms: { flex: -34, abduct: 12, rotate: 40, bend: 62 } } },
  'hands-on-thighs': { pose: { arms: { flex: 22, abduct: 2, bend: 14 } } },
  'hand-on-heart': { pose: { leftArm: { abduct: 6 }, rightArm: pointing(34, -4, 118, 0, -40) } },
  'left-arm-up': { pose: { leftArm: { flex: 176 }, rightArm: { abduct: 8 } } },
  'right-arm-up': { pose: { rightArm: { flex: 176 }, leftArm: { abduct: 8 } } },
  'left-arm-ahead': { pose: { leftArm: { flex: 88 }, rightArm: { abduct: 84 } } },
  'right-arm-ahead': { pose: { rightArm: { flex: 88 }, leftArm: { abduct: 84 } } },
  'arms-open-low': { pose: { arms: { abduct: 42 } } },
  'diagonal-left': { pose: { leftArm: { abduct: 138 }, rightArm: { abduct: 42 } } },
  'diagonal-right': { pose: { rightArm: { abduct: 138 }, leftArm: { abduct: 42 } } },
  'hands-at-ears': { pose: { arms: pointing(92, 74, 132, 0, -70) } },
  'arms-running': { pose: { leftArm: { flex: 44, bend: 84 }, rightArm: { flex: -40, bend: 84 } } },
  'hands-open': { pose: { hands: 'open' } },
  fists: { pose: { hands: 'fist' } },
  'left-fist': { pose: { hands: { left: 'fist' } } },
  'right-fist': { pose: { hands: { right: 'fist' } } },
  'flat-hands': { pose: { hands: 'flat' } },
  'left-flat-hand': { pose: { hands: { left: 'flat', right: 'fist' } } },
  'right-flat-hand': { pose: { hands: { right: 'flat', left: 'fist' } } },
  pointing: { pose: { hands: { right: 'pointing' } } },
  'looks-left': { pose: { neck: { twist: 62 } } },
  'looks-right': { pose: { neck: { twist: -62 } } },
  'looks-down': { pose: { neck: { flex: 42 } } },
  'looks-up': { pose: { neck: { flex: -38 } } },
  'head-left': { pose: { neck: { bend: 30 } } },
  'head-right': { pose: { neck: { bend: -30 } } },
  'arms-fourth': { pose: { leftArm: pointing(160, 62, 34, 0, -30), rightArm: pointing(78, 72, 18, 0, -60) } },
  clapping: { pose: { arms: pointing(56, -12, 66, 0, -40) } },
  'hand-on-chair': { pose: { leftArm: pointing(54, 60, 30), rightArm: { abduct: 20 } }, prop: 'chair' },
  'turned-left': { turn: 90 },
  'turned-right': { turn: -90 },
  'turned-round': { turn: 180 },
  higher: { pose: { lift: 0.16 } },
  ...Object.fromEntries(props.map((prop) => [prop, { prop }])),
};
