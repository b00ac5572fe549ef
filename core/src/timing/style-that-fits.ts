import type { TeachingStyle, Way } from '../class-plan/way.js';
import type { LearnedPace } from './learned-pace.js';

/** Ours: from so many items of so many classes on something is said, and from so far off. */
export const styleSettings = { leastItems: 12, leastClasses: 3, shorter: 0.65, longer: 1.7 } as const;

/**
 * The style that classes taught look like, where it is another one than was chosen: who explains what is taught far shorter than is
 * reckoned teaches along; who explains at length what is only named shows first. Between these the pace says enough.
 * @returns null where the chosen one fits, or too little was taught to say
 */
export function styleThatFits({ explain }: LearnedPace, style: TeachingStyle): TeachingStyle | null {
  const taught = meanOf(explain, ['teach', 'watch']);
  const named = meanOf(explain, ['follow', 'flow']);
  if (style !== 'along' && taught !== null && taught <= styleSettings.shorter) return 'along';
  if (style !== 'watch-then-do' && named !== null && named >= styleSettings.longer) return 'watch-then-do';
  return null;
}

/** The factor of some ways, each kind counting by its items; null where too little was taught in them. */
function meanOf(explain: LearnedPace['explain'], ways: readonly Way[]): number | null {
  const own = explain.filter(({ way }) => ways.includes(way));
  const items = own.reduce((sum, one) => sum + one.items, 0);
  const classes = Math.max(0, ...own.map((one) => one.classes));
  if (items < styleSettings.leastItems || classes < styleSettings.leastClasses) return null;
  return own.reduce((sum, one) => sum + one.factor * one.items, 0) / items;
}
