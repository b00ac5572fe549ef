import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../unit.js';
import type { Check, CheckContext } from './check.js';
import type { Finding } from './finding.js';
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

/** In a dynamic-first programme, a long hold before jumps, kicks, sprints or turns; mended by a moving stretch in its place. */
export const staticBeforePower: Check = (context) => {
  if (context.stretchingSchool !== 'dynamic-first') return [];
  const { items } = context.timeline;
  const lastPower = items.findLastIndex(isPower);
  return items.slice(0, Math.max(0, lastPower)).flatMap((timed, index): readonly Finding[] => {
    const seconds = heldSeconds(timed);
    const power = items.slice(index + 1).find(isPower);
    if (seconds <= staticBeforePowerSettings.longHoldSeconds || !power) return [];
    return [
      {
        check: 'static-before-power',
        severity: 'caution',
        itemIds: [timed.item.id, power.item.id],
        fact: { kind: 'static-before-power', seconds },
        mend: movingInstead(context, timed),
      },
    ];
  });
};

function movingInstead(context: CheckContext, timed: TimedItem): Finding['mend'] {
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
