import { defineCheck } from './check.js';
import type { Found } from './finding.js';

export const upAndDownLimits = { secondsPerChange: 300, reframings: 4 } as const;

export type Fact =
  | { readonly kind: 'up-and-down'; readonly changes: number; readonly most: number }
  | { readonly kind: 'reframed'; readonly times: number; readonly most: number };

/** The children go down and up, or the camera is moved, more often than is worth it. */
export const upAndDown = defineCheck({
  id: 'up-and-down',
  look: ({ timeline }): readonly Found<Fact>[] => {
    const { levelChanges, reframings, totalSeconds } = timeline;
    const most = Math.max(1, Math.floor(totalSeconds / upAndDownLimits.secondsPerChange));
    const about = { severity: 'hint', itemIds: [], mend: null } as const;
    return [
      ...(levelChanges > most ? [{ ...about, fact: { kind: 'up-and-down', changes: levelChanges, most } as const }] : []),
      ...(reframings > upAndDownLimits.reframings
        ? [{ ...about, fact: { kind: 'reframed', times: reframings, most: upAndDownLimits.reframings } as const }]
        : []),
    ];
  },
  words: (fact) =>
    fact.kind === 'up-and-down'
      ? {
          title: `${String(fact.changes)} times down or up`,
          sentence: `In a class of this length ${String(fact.most)} are usual; put what is on the floor together.`,
        }
      : {
          title: `Camera moved ${String(fact.times)} times`,
          sentence: `More than ${String(fact.most)} times costs the children’s eyes.`,
        },
});
