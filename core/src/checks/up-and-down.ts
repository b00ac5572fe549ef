import { defineCheck } from './check.js';
import { numberIn, ruleNumber } from './club-rules.js';
import type { Found } from './finding.js';

export const changesPer = ruleNumber({
  id: 'up-and-down.per-change',
  words: 'One way down or up in',
  unit: 'minutes',
  usual: 5,
  least: 1,
  most: 60,
});

export const mostReframings = ruleNumber({
  id: 'up-and-down.reframings',
  words: 'The camera is moved at most',
  unit: 'times',
  usual: 4,
  least: 0,
  most: 30,
});

export type Fact =
  | { readonly kind: 'up-and-down'; readonly changes: number; readonly most: number }
  | { readonly kind: 'reframed'; readonly times: number; readonly most: number };

/** The children go down and up, or the camera is moved, more often than is worth it. */
export const upAndDown = defineCheck({
  id: 'up-and-down',
  title: 'Up and down',
  says: 'The children go down and up, or the camera is moved, more often than it is worth.',
  gravest: 'hint',
  numbers: [changesPer, mostReframings],
  look: (context): readonly Found<Fact>[] => {
    const { levelChanges, reframings, totalSeconds } = context.timeline;
    const most = Math.max(1, Math.floor(totalSeconds / (60 * numberIn(context, changesPer))));
    const mostMoves = numberIn(context, mostReframings);
    const about = { severity: 'hint', itemIds: [], mend: null } as const;
    return [
      ...(levelChanges > most ? [{ ...about, fact: { kind: 'up-and-down', changes: levelChanges, most } as const }] : []),
      ...(reframings > mostMoves ? [{ ...about, fact: { kind: 'reframed', times: reframings, most: mostMoves } as const }] : []),
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
