import { placedItems, type ClassPlan, type Exposure } from '@leiter/core';

/** A class that was taught: what was in it and who did it. */
export interface TaughtClass {
  readonly plan: ClassPlan;
  readonly presentChildIds: readonly string[];
}

/**
 * What the children expected have met of each movement (model.md: how well a group knows it).
 * @param taught the classes of the last eight weeks, newest first; the first two are the last two.
 */
export function exposuresOf(expectedChildIds: readonly string[], taught: readonly TaughtClass[]): ReadonlyMap<string, Exposure> {
  const didIn = taught.map(({ plan, presentChildIds }) => ({
    movements: new Set(placedItems(plan).map(({ item }) => item.movement)),
    children: new Set(presentChildIds),
  }));
  const all = new Set(didIn.flatMap(({ movements }) => [...movements]));
  const share = (who: (childId: string) => boolean): number =>
    expectedChildIds.length === 0 ? 0 : expectedChildIds.filter(who).length / expectedChildIds.length;
  return new Map(
    [...all].map((movement) => {
      const did = (index: number, childId: string): boolean =>
        (didIn[index]?.movements.has(movement) ?? false) && (didIn[index]?.children.has(childId) ?? false);
      const met = (childId: string): boolean => didIn.some((_, index) => did(index, childId));
      return [movement, { shareInLastTwoClasses: share((id) => did(0, id) && did(1, id)), shareInLastEightWeeks: share(met) }];
    }),
  );
}
