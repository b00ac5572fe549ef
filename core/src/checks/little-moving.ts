import type { Check } from './check.js';

export const leastMovingShare = 0.4;

/** The children move less than they could. Silent on an empty plan. */
export const littleMoving: Check = ({ timeline }) =>
  timeline.items.length === 0 || timeline.movingShare >= leastMovingShare
    ? []
    : [{ check: 'little-moving', severity: 'hint', itemIds: [], fact: { kind: 'little-moving', share: timeline.movingShare }, mend: null }];
