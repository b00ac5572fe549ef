import type { WrittenPose } from '../pose.js';
import { guard, high, highRound, side, sideways, up } from './arms.js';
import { pointing } from './limbs.js';

/** In the air. */
export const jumpingPoses = {
  'jump-straight': { ...up, legs: { end: 78 }, lift: 0.16 },
  'jump-arms-side': { ...sideways, legs: { end: 78 }, lift: 0.14 },
  'jump-tuck': { pitch: 4, arms: { flex: 66, bend: 30 }, legs: { flex: 118, bend: 118, end: 60 }, spine: { flex: 8 }, lift: 0.24 },
  'jump-star': { ...high, legs: { abduct: 42, end: 78 }, lift: 0.18 },
  'jump-straddle': { pitch: 26, arms: { flex: 74, abduct: 34 }, legs: { ...pointing(112, 52, 0, 78) }, lift: 0.3 },
  'jump-pike': { pitch: 24, arms: { flex: 70 }, legs: { flex: 112, end: 78 }, lift: 0.3 },
  'jump-stag': { ...sideways, rightLeg: { flex: 86, bend: 104, end: 78 }, leftLeg: { flex: -46, end: 78 }, lift: 0.22 },
  'jump-frog': { pitch: 20, legs: { ...pointing(70, 46, 92, 50) }, arms: { flex: 40, abduct: 10 }, lift: 0.12 },
  'jump-half-turn': { ...up, yaw: 90, legs: { end: 78 }, lift: 0.16 },
  'jump-cat': { arms: { abduct: 80 }, leftLeg: { flex: 86, bend: 104, end: 60 }, rightLeg: { flex: 60, bend: 96, end: 60 }, lift: 0.2 },
  'jump-scissor': { arms: { abduct: 84 }, leftLeg: { flex: 70, end: 78 }, rightLeg: { flex: 16, end: 78 }, lift: 0.18 },
  saute: { ...side, legs: { rotate: 44, end: 78 }, lift: 0.14 },
  changement: {
    ...highRound,
    leftLeg: { rotate: 56, flex: 10, abduct: -10, end: 78 },
    rightLeg: { rotate: 56, flex: -10, abduct: -10, end: 78 },
    lift: 0.14,
  },
  echappe: { ...side, legs: { rotate: 44, abduct: 26, end: 78 }, lift: 0.12 },
  leap: {
    pitch: 8,
    leftArm: { flex: 100 },
    rightArm: { abduct: 90 },
    leftLeg: { flex: 84, end: 78 },
    rightLeg: { flex: -56, end: 78 },
    low: { flex: -10 },
    lift: 0.3,
  },
  'leap-small': {
    leftArm: { flex: 80 },
    rightArm: { abduct: 80 },
    leftLeg: { flex: 52, bend: 8, end: 78 },
    rightLeg: { flex: -38, bend: 12, end: 78 },
    lift: 0.18,
  },
  hop: { ...sideways, leftLeg: { end: 78 }, rightLeg: { flex: 60, bend: 96, end: 78 }, lift: 0.12 },
  skip: {
    leftArm: { flex: -30, bend: 20 },
    rightArm: { flex: 60, bend: 30 },
    leftLeg: { flex: 84, bend: 92, end: 60 },
    rightLeg: { end: 78 },
    lift: 0.12,
  },
  gallop: { arms: { abduct: 80 }, leftLeg: { abduct: -5, end: 78 }, rightLeg: { abduct: -5, end: 78 }, lift: 0.1 },
  'jump-cat-open': {
    arms: { abduct: 70 },
    leftLeg: { ...pointing(66, 64, 118, 78) },
    rightLeg: { ...pointing(58, 64, 104, 78) },
    lift: 0.2,
  },
  'glide-side': { ...side, leftLeg: { abduct: 30, rotate: 44, end: 78 }, rightLeg: { abduct: 22, rotate: 44, end: 78 }, lift: 0.03 },
  'jump-front-kick': {
    pitch: -8,
    arms: pointing(34, 35, 140, 0, -18),
    leftLeg: { flex: 46, bend: 100, end: 50 },
    rightLeg: { flex: 84, bend: 4, end: 40 },
    lift: 0.26,
  },
  'jump-side-kick': {
    roll: 24,
    arms: pointing(34, 35, 140, 0, -18),
    leftLeg: { flex: 96, abduct: 10, bend: 142, end: 60 },
    rightLeg: { abduct: 70, rotate: -30, end: -10 },
    lift: 0.3,
  },
  'speed-hop': { ...guard, legs: { flex: 14, bend: 30, end: 50 }, lift: 0.06 },
} satisfies Readonly<Record<string, WrittenPose>>;
