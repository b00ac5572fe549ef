import type { Effort } from '../movement/effort.js';
import type { Timeline } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import { effortCurveSettings } from './settings.js';

/** Effort over a class, smoothed over a minute. */
export interface EffortCurve {
  readonly stepSeconds: Seconds;
  /** Effort 0–4 at 0 s, 10 s, 20 s … to the end of the class; empty for an empty plan. */
  readonly values: readonly number[];
}

/** So long at such an effort. */
export interface EffortStretch {
  readonly effort: Effort;
  readonly seconds: Seconds;
}

/** The effort of a plan: an item counts with its effort over its whole length, as its rung shows it. */
export function effortCurveOf(timeline: Timeline): EffortCurve {
  return effortCurveOver(timeline.items.map(({ movement, seconds }) => ({ effort: movement.effort, seconds })));
}

/** The moving average of effort over 60 s around each point (less at both ends), of stretches one after the other. */
export function effortCurveOver(stretches: readonly EffortStretch[]): EffortCurve {
  const { curveStepSeconds: stepSeconds, smoothingSeconds } = effortCurveSettings;
  const total = stretches.reduce((sum, { seconds }) => sum + seconds, 0);
  if (total <= 0) return { stepSeconds, values: [] };
  const effortSecondsTo = integralOf(stretches);
  const half = smoothingSeconds / 2;
  const values = Array.from({ length: Math.floor(total / stepSeconds) + 1 }, (_, index) => {
    const from = Math.max(0, index * stepSeconds - half);
    const to = Math.min(total, index * stepSeconds + half);
    return (effortSecondsTo(to) - effortSecondsTo(from)) / (to - from);
  });
  return { stepSeconds, values };
}

/** Effort × seconds from the start to a moment; a moment near the one asked before is found at once. */
function integralOf(stretches: readonly EffortStretch[]): (second: Seconds) => number {
  const starts: number[] = [];
  const sums: number[] = [];
  let start = 0;
  let sum = 0;
  for (const { effort, seconds } of stretches) {
    starts.push(start);
    sums.push(sum);
    start += seconds;
    sum += effort * seconds;
  }
  let at = 0;
  return (second) => {
    while (at > 0 && (starts[at] ?? 0) > second) at -= 1;
    while ((starts[at + 1] ?? Infinity) <= second) at += 1;
    const stretch = stretches[at];
    return (sums[at] ?? 0) + (stretch ? stretch.effort * Math.max(0, Math.min(stretch.seconds, second - (starts[at] ?? 0))) : 0);
  };
}
