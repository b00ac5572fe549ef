import { clockText } from '../values/clock-text.js';
import type { PlanEdit } from '../class-plan/edit.js';
import type { Movement } from '../movement/movement.js';
import type { Region } from '../movement/region.js';
import { preparationSettings } from '../preparation/settings.js';
import { isWarm, warmSecondsBefore } from '../preparation/warmth.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

const guardedRegions: ReadonlySet<Region> = new Set(['wrists', 'neck', 'lower-back', 'shoulders']);
const guardedHazards = ['split', 'inverted', 'hard-landing'] as const;

const coldWords = {
  region: 'much of wrists, shoulders, neck or back',
  split: 'a split',
  inverted: 'to go upside down',
  'hard-landing': 'for hard landings',
} as const;

export interface Fact {
  readonly kind: 'cold-load';
  readonly movedSeconds: Seconds;
  readonly because: keyof typeof coldWords;
}

/** An item asks much of a body that is not warm yet. */
export const coldLoad = defineCheck({
  id: 'cold-load',
  look: (context): readonly Found<Fact>[] => {
    const moved = warmSecondsBefore(context.timeline);
    return context.timeline.items.flatMap((timed): readonly Found<Fact>[] => {
      const movedSeconds = moved.get(timed.item.id) ?? 0;
      const because = coldReason(timed.movement);
      if (!because || isWarm(movedSeconds)) return [];
      const fact = { kind: 'cold-load', movedSeconds, because } as const;
      return [{ severity: 'stop', itemIds: [timed.item.id], fact, mend: warmFirst(context, timed, movedSeconds) }];
    });
  },
  words: ({ movedSeconds, because }, { name }) => ({
    title: 'Not warm yet',
    sentence: `${name} asks ${coldWords[because]}, after only ${clockText(movedSeconds)} of moving.`,
  }),
});

function coldReason(movement: Movement): 'region' | (typeof guardedHazards)[number] | null {
  const hazard = guardedHazards.find((one) => movement.hazards.includes(one));
  if (hazard) return hazard;
  return movement.loads.some(({ region, amount }) => amount >= 2 && guardedRegions.has(region)) ? 'region' : null;
}

/** Puts a pulse-raiser before the item, as long as is missing, in steps of a quarter of a minute. */
export function warmFirst(context: CheckContext, timed: TimedItem, movedSeconds: Seconds): readonly PlanEdit[] | null {
  const raiser = suitableMovement(context, ['pulse-raiser'], (movement) =>
    movement.effort >= preparationSettings.warmEffort && coldReason(movement) === null
      ? movement.hazards.length + (movement.level === 'floor' ? 1 : 0)
      : null,
  );
  if (!raiser) return null;
  const missing = preparationSettings.warmSeconds - movedSeconds;
  const item = { ...mendItem(raiser, context), dose: { kind: 'timed', seconds: Math.ceil(missing / 15) * 15 } as const };
  return [{ kind: 'insert', item, place: { at: 'before', item: timed.item.id } }];
}
