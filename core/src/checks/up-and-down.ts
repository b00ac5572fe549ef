import type { Check } from './check.js';

export const upAndDownLimits = { secondsPerChange: 300, reframings: 4 } as const;

/** The children go down and up, or the camera is moved, more often than is worth it. */
export const upAndDown: Check = ({ timeline }) => {
  const { levelChanges, reframings, totalSeconds } = timeline;
  const most = Math.max(1, Math.floor(totalSeconds / upAndDownLimits.secondsPerChange));
  const about = { check: 'up-and-down', severity: 'hint', itemIds: [], mend: null } as const;
  return [
    ...(levelChanges > most ? [{ ...about, fact: { kind: 'up-and-down', changes: levelChanges, most } as const }] : []),
    ...(reframings > upAndDownLimits.reframings
      ? [{ ...about, fact: { kind: 'reframed', times: reframings, most: upAndDownLimits.reframings } as const }]
      : []),
  ];
};
