import type { WrittenPose } from '../pose.js';
import { flat, pointing } from './limbs.js';

/** With something that a home has: a wall, a chair, a line on the floor, a cushion. */
export const propPoses = {
  'wall-calf-stretch': {
    pitch: 16,
    leftLeg: { ...flat(34, 34, 16) },
    rightLeg: { flex: -10, end: -26 },
    arms: { flex: 92, end: 70 },
    level: [{ of: 'rightFoot', with: 'leftFoot', by: 'rightLeg.flex' }],
    props: ['wall'],
  },
  'wall-push': { pitch: 18, legs: { flex: 0, end: -18 }, arms: { flex: 92, end: 70 }, props: ['wall'] },
  'wall-sit': { legs: { flex: 90, bend: 90 }, arms: { abduct: 8 }, props: ['wall'] },
  'line-walk': {
    leftLeg: { flex: 18, abduct: -6, end: 12 },
    rightLeg: { flex: -16, abduct: -6, bend: 8, end: 22 },
    arms: { abduct: 86 },
    level: [{ of: 'leftFoot', with: 'rightFoot', by: 'rightLeg.end' }],
    props: ['line'],
  },
  'line-jump': { arms: { flex: 30, abduct: 20 }, legs: { flex: 34, bend: 60, end: 50 }, lift: 0.1, props: ['line'] },
  'line-hands': {
    pitch: 128,
    legs: { flex: 118, bend: 96, end: 40 },
    arms: { flex: 158, end: 86 },
    spine: { flex: 8 },
    level: [{ of: 'hands', with: 'feet', by: 'pitch' }],
    props: ['line'],
  },
  'chair-hold': { leftArm: pointing(54, 60, 30), rightArm: { abduct: 20 }, legs: { rotate: 44 }, props: ['chair'] },
  'chair-sit': { legs: { flex: 90, bend: 90 }, arms: pointing(26, 12, 60), lift: 0, props: ['chair'] },
  'pad-hold': {
    leftLeg: flat(22, 28),
    rightLeg: { flex: -14, bend: 14, end: 0 },
    arms: pointing(58, 26, 66, 0, -40),
    level: [{ of: 'rightFoot', with: 'leftFoot', by: 'rightLeg.bend' }],
    props: ['cushion'],
  },
} satisfies Readonly<Record<string, WrittenPose>>;
