import type { Timeline } from '../timing/timeline.js';
import type { Seconds } from '../unit.js';
import { preparationSettings } from './settings.js';

/** Effort over a class, smoothed over a minute. */
export interface EffortCurve {
  readonly stepSeconds: Seconds;
  /** Effort 0–4 at 0 s, 10 s, 20 s … to the end of the class; empty for an empty plan. */
  readonly values: readonly number[];
}

/**
 * The moving average of effort over 60 s around each point (less at both ends). An item counts with its effort over its
 * whole length, as its rung shows it.
 */
export function effortCurveOf(timeline: Timeline): EffortCurve {
  const { curveStepSeconds: stepSeconds, smoothingSeconds } = preparationSettings;
  const total = timeline.totalSeconds;
  if (total <= 0) return { stepSeconds, values: [] };
  const effortSecondsTo = integralOf(timeline);
  const half = smoothingSeconds / 2;
  const values = Array.from({ length: Math.floor(total / stepSeconds) + 1 }, (_, index) => {
    const from = Math.max(0, index * stepSeconds - half);
    const to = Math.min(total, index * stepSeconds + half);
    return (effortSecondsTo(to) - effortSecondsTo(from)) / (to - from);
  });
  return { stepSeconds, values };
}

/** Effort × seconds from the start to a moment; asked with rising or falling moments alike, in time log(items). */
function integralOf(timeline: Timeline): (second: Seconds) => number {
  const starts: number[] = [];
  const sums: number[] = [];
  let sum = 0;
  for (const { startSecond, seconds, movement } of timeline.items) {
    starts.push(startSecond);
    sums.push(sum);
    sum += movement.effort * seconds;
  }
  return (second) => {
    let low = 0;
    let high = starts.length - 1;
    while (low < high) {
      const middle = Math.ceil((low + high) / 2);
      if ((starts[middle] ?? 0) <= second) low = middle;
      else high = middle - 1;
    }
    const timed = timeline.items[low];
    return (sums[low] ?? 0) + (timed ? timed.movement.effort * Math.max(0, Math.min(timed.seconds, second - timed.startSecond)) : 0);
  };
}
