import { landingsOf } from '../checks/landings.js';
import { onHandsSeconds } from '../preparation/on-hands.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Day, Seconds } from '../values/unit.js';

/** What a class asked of a child that did all of it, as it was planned. */
export interface ClassLoad {
  readonly movingSeconds: Seconds;
  /** Of it at effort 3 and more. */
  readonly hardSeconds: Seconds;
  /** Hard landings. */
  readonly landings: number;
  /** Weight on the hands. */
  readonly handsSeconds: Seconds;
}

/** From this effort on it is hard work (model.md: 3 is out of breath). */
const hardEffort = 3;

export const noLoad: ClassLoad = { movingSeconds: 0, hardSeconds: 0, landings: 0, handsSeconds: 0 };

/** Sums a class up, item by item as it comes on the clock. */
export function classLoad(items: readonly TimedItem[]): ClassLoad {
  return items.reduce<ClassLoad>((sum, timed) => {
    const { movement, movingSeconds, item } = timed;
    return {
      movingSeconds: sum.movingSeconds + movingSeconds,
      hardSeconds: sum.hardSeconds + (movement.effort >= hardEffort ? movingSeconds : 0),
      landings: sum.landings + (movement.hazards.includes('hard-landing') ? landingsOf(timed) : 0),
      handsSeconds: sum.handsSeconds + onHandsSeconds(timed, item.dose),
    };
  }, noLoad);
}

export interface WeekLoad extends ClassLoad {
  readonly classes: number;
}

/**
 * The classes of a group week by week.
 * @param days ends of weeks, in order; the first ends a week that is not reported @returns one for each day but the first
 */
export function weekLoads(classes: readonly { readonly day: Day; readonly load: ClassLoad }[], days: readonly Day[]): readonly WeekLoad[] {
  return days.slice(1).map((end, index) => {
    const before = days[index] ?? end;
    const own = classes.filter(({ day }) => day > before && day <= end);
    return own.reduce<WeekLoad>(
      (sum, { load }) => ({
        classes: sum.classes + 1,
        movingSeconds: sum.movingSeconds + load.movingSeconds,
        hardSeconds: sum.hardSeconds + load.hardSeconds,
        landings: sum.landings + load.landings,
        handsSeconds: sum.handsSeconds + load.handsSeconds,
      }),
      { ...noLoad, classes: 0 },
    );
  });
}
