import { bodiesThrough, type BodyState } from '../preparation/bodies.js';
import type { PlanEdit } from '../class-plan/edit.js';
import type { Movement } from '../movement/movement.js';
import type { Region } from '../movement/region.js';
import type { TimedItem } from '../timing/timeline.js';
import type { CheckContext } from './check.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

/** Items at which bodies are in some state, with that state, in the order of the class. */
export function itemsAt(
  { timeline, preparation }: CheckContext,
  isSuch: (timed: TimedItem, body: BodyState) => boolean,
): readonly { readonly timed: TimedItem; readonly body: BodyState }[] {
  const bodies = bodiesThrough(timeline, preparation);
  const found: { readonly timed: TimedItem; readonly body: BodyState }[] = [];
  for (const [index, timed] of timeline.items.entries()) {
    const body = bodies[index];
    if (body && isSuch(timed, body)) found.push({ timed, body });
  }
  return found;
}

const guardedRegions: ReadonlySet<Region> = new Set(['wrists', 'neck', 'lower-back', 'shoulders']);
const guardedHazards = ['split', 'inverted', 'hard-landing'] as const;

/** Why a cold body should not do it; null where it may. */
export function coldReason(movement: Movement): 'region' | (typeof guardedHazards)[number] | null {
  const hazard = guardedHazards.find((one) => movement.hazards.includes(one));
  if (hazard) return hazard;
  return movement.loads.some(({ region, amount }) => amount >= 2 && guardedRegions.has(region)) ? 'region' : null;
}

/**
 * How warm, in words for a sentence: `a quarter of the way to warm`.
 * @param share of what makes a body warm
 */
export function warmthWords(share: number): string {
  if (share < 0.1) return 'before anybody has moved much';
  if (share < 0.4) return 'when bodies are a quarter of the way to warm';
  return share < 0.65 ? 'when bodies are half-way to warm' : 'when bodies are nearly, not quite, warm';
}

/** Puts a pulse-raiser before the item, as long as is missing, in steps of a quarter of a minute. */
export function warmFirst(context: CheckContext, timed: TimedItem, { effortSeconds }: BodyState): readonly PlanEdit[] | null {
  const missing = context.preparation.warmEffortSeconds - effortSeconds;
  return raiseBefore(context, timed, (effort) => Math.ceil(missing / effort / 15) * 15);
}

/** Puts half a minute or so of moving before the item. */
export function rewarmFirst(context: CheckContext, timed: TimedItem): readonly PlanEdit[] | null {
  return raiseBefore(context, timed, () => Math.ceil(context.preparation.rewarmSeconds / 15) * 15);
}

function raiseBefore(context: CheckContext, timed: TimedItem, secondsAt: (effort: number) => number): readonly PlanEdit[] | null {
  const raiser = suitableMovement(context, ['pulse-raiser'], 'warms', (movement) =>
    movement.effort >= 2 && movement.effort <= 3 && coldReason(movement) === null
      ? movement.hazards.length + (movement.level === 'floor' ? 1 : 0)
      : null,
  );
  if (!raiser) return null;
  const item = { ...mendItem(raiser, context), dose: { kind: 'timed', seconds: secondsAt(raiser.effort) } as const };
  return [{ kind: 'insert', item, place: { at: 'before', item: timed.item.id } }];
}
