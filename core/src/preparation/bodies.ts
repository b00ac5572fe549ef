import type { Load, Region } from '../movement/region.js';
import type { TimedItem, Timeline } from '../timing/timeline.js';
import type { Seconds } from '../values/unit.js';
import { preparationSettings, type PreparationSettings } from './settings.js';

/** What the class has done to bodies when an item begins to move them. */
export interface BodyState {
  /** Σ effort × seconds of moving so far, a gentle effort counted half; warm from 240 on. */
  readonly effortSeconds: number;
  readonly isWarm: boolean;
  /** Was warm, and stood or moved gently for three minutes. */
  readonly isCooled: boolean;
  /** Since when it has stood or moved gently. */
  readonly restedSeconds: Seconds;
  /** For what the item loads by 2 or more: how long ago the region was last readied or in use; null where it is neither. */
  readonly loads: readonly { readonly load: Load; readonly readySecondsAgo: Seconds | null }[];
}

/** Of these nobody relies on gentle use: they are readied, or they are not. */
export const graveRegions: ReadonlySet<Region> = new Set(['wrists', 'neck', 'lower-back']);

/** Whoever moves on the feet, beyond gently, readies what carries, and keeps in use what swings once it was loosened. */
const carrying: readonly Region[] = ['quadriceps', 'knees', 'calves', 'ankles', 'core'];
const swinging: readonly Region[] = ['hips', 'hip-flexors', 'hamstrings', 'adductors'];

const reckoned = new WeakMap<Timeline, { readonly settings: PreparationSettings; readonly states: readonly BodyState[] }>();

/** The bodies at each item of a timeline, round by round, in its order: reckoned once, for all who ask. */
export function bodiesThrough(timeline: Timeline, settings: PreparationSettings = preparationSettings): readonly BodyState[] {
  const known = reckoned.get(timeline);
  if (known?.settings === settings) return known.states;
  const states = reckonedAnew(timeline.items, settings);
  reckoned.set(timeline, { settings, states });
  return states;
}

function reckonedAnew(items: readonly TimedItem[], settings: PreparationSettings): readonly BodyState[] {
  const { warmEffortSeconds, gentleShare, coolSeconds, rewarmSeconds, preparedForSeconds } = settings;
  const readyAt = new Map<Region, Seconds>();
  let effortSeconds = 0;
  let restedSeconds = 0;
  let isCooled = false;
  let rewarmed = 0;
  return items.map((timed): BodyState => {
    const { movement, startSecond, workStartSecond, seconds, movingSeconds } = timed;
    const isGentle = movement.effort <= 1;
    // who listens stands: what is explained before a hard item is rest as well
    restedSeconds += workStartSecond - startSecond;
    const isWarm = effortSeconds >= warmEffortSeconds;
    if (isWarm && restedSeconds >= coolSeconds) {
      isCooled = true;
      rewarmed = 0;
    }
    const end = startSecond + seconds;
    const readySecondsAgo = (region: Region): Seconds | null => {
      const ago = startSecond - (readyAt.get(region) ?? -Infinity);
      return ago <= preparedForSeconds ? ago : null;
    };
    const state: BodyState = {
      effortSeconds,
      isWarm,
      isCooled,
      restedSeconds,
      loads: movement.loads.flatMap((load) => (load.amount >= 2 ? [{ load, readySecondsAgo: readySecondsAgo(load.region) }] : [])),
    };
    effortSeconds += movement.effort * (isGentle ? gentleShare : 1) * movingSeconds;
    if (isGentle) restedSeconds += end - workStartSecond;
    else {
      restedSeconds = 0;
      rewarmed += movingSeconds;
      if (rewarmed >= rewarmSeconds) isCooled = false;
    }
    // what is in use stays ready; what is used gently gets ready, except where that is not enough
    const uses = (region: Region, isEnough: boolean): void => {
      if (isEnough || readySecondsAgo(region) !== null) readyAt.set(region, end);
    };
    for (const { region, amount } of movement.loads) uses(region, amount === 1 && !graveRegions.has(region));
    if (!isGentle && movement.level !== 'floor') {
      for (const region of carrying) uses(region, true);
      for (const region of swinging) uses(region, false);
    }
    for (const region of movement.prepares) readyAt.set(region, end);
    return state;
  });
}
