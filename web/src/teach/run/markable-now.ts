import type { ClassPageResponse, GroupBoardResponse } from '@leiter/contract';
import type { ClassPlan, Movement, TimedItem } from '@leiter/core';
import { offeredSkills } from '../../marking/mark-grid';

/** What is taught now, or the last that was, of what is in focus or asked by the next grade of somebody; null before there was any. */
export function markableNow(
  items: readonly TimedItem[],
  itemIndex: number,
  plan: ClassPlan,
  board: GroupBoardResponse,
  { children }: ClassPageResponse,
): Movement | null {
  const { focus, more } = offeredSkills(plan, board, new Set(children.map(({ id }) => id)), null);
  const can = new Set([...focus, ...more.map(({ slug }) => slug)]);
  return items.slice(0, itemIndex + 1).findLast(({ movement }) => can.has(movement.slug))?.movement ?? null;
}
