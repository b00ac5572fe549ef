import type { WrittenPose } from '../pose.js';
import { pointing } from './limbs.js';

type Arms = Pick<WrittenPose, 'arms' | 'leftArm' | 'rightArm' | 'hands'>;

/** Ways of holding the arms that many poses share. */
export const hanging: Arms = { arms: { abduct: 6 } };
export const up: Arms = { arms: { flex: 178, end: 0 } };
export const ahead: Arms = { arms: { flex: 90 } };
export const sideways: Arms = { arms: { abduct: 86 } };
export const high: Arms = { arms: { abduct: 150 } };
export const onHips: Arms = { arms: { flex: -14, abduct: 46, rotate: -78, bend: 98 } };
export const fistsAhead: Arms = { arms: pointing(24, 40, 62, 0, -45), hands: 'fist' };
export const guard: Arms = { arms: pointing(34, 35, 140, 0, -18), hands: 'fist' };
export const lowRound: Arms = { arms: pointing(22, 55, 38, 0, -62) };
export const round: Arms = { arms: pointing(62, 42, 62, 0, -88) };
export const highRound: Arms = { arms: pointing(160, 62, 34, 0, -30) };
export const side: Arms = { arms: pointing(78, 72, 18, 0, -60) };
export const crossed: Arms = { arms: pointing(38, 30, 112, 0, -70) };

/** One fist drawn back to the hip, palm up. */
export const fistAtHip = { flex: -46, abduct: 8, bend: 104 } as const;
