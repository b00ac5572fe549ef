import type { ClassPageResponse } from '@leiter/contract';
import { groupBy, type Evaluation, type Library } from '@leiter/core';

/** What those do who do another movement than the item says, each with their names: `Jog on the spot: Mei H., Mikko S.`. */
export function insteadOf(
  itemId: string | undefined,
  { versions }: Evaluation,
  { children }: ClassPageResponse,
  library: Library,
): readonly string[] {
  const nameOf = (childId: string): string => children.find(({ id }) => id === childId)?.name ?? '';
  const others = groupBy(
    versions.filter((version) => version.itemId === itemId && version.tier === 'instead'),
    ({ movement }) => movement,
  );
  return [...others].map(
    ([movement, own]) => `${library.get(movement)?.name ?? movement}: ${own.map(({ childId }) => nameOf(childId)).join(', ')}`,
  );
}
