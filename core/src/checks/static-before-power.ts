import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

export const staticBeforePowerSettings = { longHoldSeconds: 10, powerEffort: 3 } as const;

const powerHazards = ['hard-landing', 'soft-landing', 'travels-fast', 'rotation'] as const;

/** Jumps, kicks, sprints and turns. */
function isPower({ movement }: TimedItem): boolean {
  if (!['drill', 'skill', 'combination', 'game', 'strength'].includes(movement.kind)) return false;
  return movement.effort >= staticBeforePowerSettings.powerEffort || powerHazards.some((hazard) => movement.hazards.includes(hazard));
}

function heldSeconds({ item, movement }: TimedItem): Seconds {
  if (movement.kind !== 'static-stretch') return 0;
  return item.dose.kind === 'hold' ? item.dose.holdSeconds : item.dose.kind === 'timed' ? item.dose.seconds : 0;
}

export interface Fact {
  readonly kind: 'static-before-power';
  readonly seconds: Seconds;
}

/** In a dynamic-first programme, a long hold before jumps, kicks, sprints or turns; mended by a moving stretch in its place. */
export const staticBeforePower = defineCheck({
  id: 'static-before-power',
  look: (context): readonly Found<Fact>[] => {
    if (context.stretchingSchool !== 'dynamic-first') return [];
    const { items } = context.timeline;
    const lastPower = items.findLastIndex(isPower);
    return items.slice(0, Math.max(0, lastPower)).flatMap((timed, index): readonly Found<Fact>[] => {
      const seconds = heldSeconds(timed);
      const power = items.slice(index + 1).find(isPower);
      if (seconds <= staticBeforePowerSettings.longHoldSeconds || !power) return [];
      return [
        {
          severity: 'caution',
          itemIds: [timed.item.id, power.item.id],
          fact: { kind: 'static-before-power', seconds },
          mend: movingInstead(context, timed),
        },
      ];
    });
  },
  words: ({ seconds }, { name }) => ({
    title: 'Long hold before power',
    sentence: `${name}: ${String(seconds)} seconds held before jumps, kicks or turns.`,
  }),
});

function movingInstead(context: CheckContext, timed: TimedItem): Found<Fact>['mend'] {
  const wanted = new Set(timed.movement.lengthens);
  const moving = suitableMovement(context, ['dynamic-stretch'], ({ lengthens, prepares, level, loads }) => {
    if (loads.some(({ amount }) => amount >= 2)) return null;
    const shared = [...lengthens, ...prepares].filter((region) => wanted.has(region)).length;
    return shared === 0 ? null : (level === timed.movement.level ? 0 : 10) - shared;
  });
  return (
    moving && [
      { kind: 'insert', item: mendItem(moving, context), place: { at: 'before', item: timed.item.id } },
      { kind: 'remove', item: timed.item.id },
    ]
  );
}
