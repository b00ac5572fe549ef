import type { PlanEdit } from '../class-plan/edit.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck, type CheckContext } from './check.js';
import { numberIn, ruleNumber } from './club-rules.js';
import { isKick } from './cooled-off.js';
import type { Found } from './finding.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

export const longHold = ruleNumber({
  id: 'static-before-power.long-hold',
  words: 'A hold is long from more than',
  unit: 'seconds',
  usual: 10,
  least: 1,
  most: 120,
});

const fullEffort = 4;

const powerHazards = ['hard-landing', 'soft-landing', 'travels-fast', 'rotation'] as const;

/** Jumps, kicks, sprints and turns. */
function isPower({ movement }: TimedItem): boolean {
  if (!['drill', 'skill', 'combination', 'game', 'strength'].includes(movement.kind)) return false;
  return movement.effort >= fullEffort || isKick(movement) || powerHazards.some((hazard) => movement.hazards.includes(hazard));
}

function heldSeconds({ item, movement }: TimedItem): Seconds {
  if (movement.kind !== 'static-stretch' || movement.effort === 0) return 0;
  return item.dose.kind === 'hold' ? item.dose.holdSeconds : item.dose.kind === 'timed' ? item.dose.seconds : 0;
}

export interface Fact {
  readonly kind: 'static-before-power';
  /** The longest. */
  readonly seconds: Seconds;
}

/** In a dynamic-first programme, long holds before jumps, kicks, sprints or turns; mended by moving stretches in their place. */
export const staticBeforePower = defineCheck({
  id: 'static-before-power',
  title: 'Long hold before power',
  says: 'Where moving stretches come first: long holds before jumps, kicks, sprints or turns.',
  gravest: 'caution',
  numbers: [longHold],
  look: (context): readonly Found<Fact>[] => {
    if (context.stretchingSchool !== 'dynamic-first') return [];
    const { items } = context.timeline;
    const last = items.findLastIndex(isPower);
    const most = numberIn(context, longHold);
    const long = items.slice(0, Math.max(0, last)).filter((timed) => heldSeconds(timed) > most);
    if (long.length === 0) return [];
    const mends = long.map((timed) => movingInstead(context, timed));
    return [
      {
        severity: 'caution',
        itemIds: [...new Set(long.map(({ item }) => item.id))],
        fact: { kind: 'static-before-power', seconds: Math.max(...long.map(heldSeconds)) },
        mend: mends.includes(null) ? null : mends.flatMap((mend) => mend ?? []),
      },
    ];
  },
  words: ({ seconds }, { name }) => ({
    title: 'Long hold before power',
    sentence: `${name}: ${String(seconds)} seconds held before jumps, kicks or turns.`,
  }),
});

function movingInstead(context: CheckContext, timed: TimedItem): readonly PlanEdit[] | null {
  const wanted = new Set(timed.movement.lengthens);
  const moving = suitableMovement(
    context,
    ['dynamic-stretch'],
    `${timed.movement.level} ${[...wanted].join()}`,
    ({ lengthens, prepares, level, loads }) => {
      if (loads.some(({ amount }) => amount >= 2)) return null;
      const shared = [...lengthens, ...prepares].filter((region) => wanted.has(region)).length;
      return shared === 0 ? null : (level === timed.movement.level ? 0 : 10) - shared;
    },
  );
  return (
    moving && [
      { kind: 'insert', item: mendItem(moving, context), place: { at: 'before', item: timed.item.id } },
      { kind: 'remove', item: timed.item.id },
    ]
  );
}
