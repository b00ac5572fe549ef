import type { Seconds } from '../values/unit.js';
import { isClockBound } from './item-time.js';
import type { PartSpread } from './pace.js';
import type { Timeline } from './timeline.js';

/** Between these lengths lie four of five classes. */
export interface Span {
  readonly leastSeconds: Seconds;
  readonly mostSeconds: Seconds;
}

/** `40–47 min`; where both ends are the same minute, that one. */
export function spanWords({ leastSeconds, mostSeconds }: Span): string {
  const [least, most] = [Math.round(leastSeconds / 60), Math.round(mostSeconds / 60)];
  return `${least === most ? String(least) : `${String(least)}–${String(most)}`} min`;
}

/** Standard deviations on either side that hold four fifths of a normal distribution. */
const fourFifths = 1.2816;

/**
 * How sure the reckoning of a class is: explaining and work that no clock leads differ in common – the instructor, the day – and item
 * by item; what the clock leads is as long as it is.
 */
export function spanOf(
  { items, totalSeconds }: Pick<Timeline, 'items' | 'totalSeconds'>,
  spread: Record<'explain' | 'work', PartSpread>,
): Span {
  const explained = items.map(({ parts, roundRestSeconds }) => parts.explain + parts.goTo - roundRestSeconds);
  const worked = items.map(({ item, parts }) => (isClockBound(item.dose) ? 0 : parts.setUp + parts.work + parts.sideChange));
  const off = fourFifths * Math.sqrt(variance(explained, spread.explain) + variance(worked, spread.work));
  return { leastSeconds: Math.max(0, totalSeconds - off), mostSeconds: totalSeconds + off };
}

function variance(parts: readonly Seconds[], { common, each }: PartSpread): number {
  const whole = parts.reduce((sum, part) => sum + part, 0);
  const squares = parts.reduce((sum, part) => sum + part ** 2, 0);
  return (whole * common) ** 2 + squares * each ** 2;
}
