import type { Check } from './check.js';

export const clockLimits = { stopOverSeconds: 120, hintUnusedSeconds: 240 } as const;

/** The total does not fit the slot. Reckoned in whole seconds: a fraction of a second is not late. */
export const clock: Check = ({ timeline, slotMinutes }) => {
  const over = Math.round(timeline.totalSeconds) - slotMinutes * 60;
  if (over > 0) {
    const severity = over > clockLimits.stopOverSeconds ? 'stop' : 'caution';
    return [{ check: 'clock', severity, itemIds: [], fact: { kind: 'over-time', overSeconds: over }, mend: null }];
  }
  if (-over > clockLimits.hintUnusedSeconds)
    return [{ check: 'clock', severity: 'hint', itemIds: [], fact: { kind: 'time-unused', unusedSeconds: -over }, mend: null }];
  return [];
};
