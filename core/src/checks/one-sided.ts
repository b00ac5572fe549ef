import { groupBy } from '../group-by.js';
import type { PlanEdit } from '../class-plan/edit.js';
import { activeSecondsOf, sameDose } from '../movement/dose.js';
import type { TimedItem } from '../timing/timeline.js';
import type { Check } from './check.js';
import type { Finding } from './finding.js';

/** A movement with two sides is planned for one of them only, or one side gets more than the other over the class. */
export const oneSided: Check = ({ timeline }) => {
  const bySlug = groupBy(
    timeline.items.filter(({ movement, item }) => movement.sides === 'each' && (item.sides === 'left' || item.sides === 'right')),
    ({ movement }) => movement.slug,
  );
  return [...bySlug.values()].flatMap(findingOn);
};

function findingOn(items: readonly TimedItem[]): readonly Finding[] {
  const lefts = items.filter(({ item }) => item.sides === 'left');
  const rights = items.filter(({ item }) => item.sides === 'right');
  const itemIds = items.map(({ item }) => item.id);
  const planned = lefts.length === 0 ? 'right' : rights.length === 0 ? 'left' : null;
  if (planned) {
    const mend = itemIds.map((item): PlanEdit => ({ kind: 'set-sides', item, sides: 'both' }));
    return [{ check: 'one-sided', severity: 'caution', itemIds, fact: { kind: 'one-side-only', planned }, mend }];
  }
  const amount = (some: readonly TimedItem[]): number => some.reduce((sum, { item }) => sum + activeSecondsOf(item.dose), 0);
  // compared to the tenth of a second: sums of fractions are not equal to the last bit
  if (Math.abs(amount(lefts) - amount(rights)) < 0.1) return [];
  return [{ check: 'one-sided', severity: 'caution', itemIds, fact: { kind: 'unequal-sides' }, mend: evened(lefts, rights) }];
}

/** Where each side has one item, the smaller gets the dose of the larger; else there is no obvious mend. */
function evened(lefts: readonly TimedItem[], rights: readonly TimedItem[]): readonly PlanEdit[] | null {
  const [left, right] = [lefts[0], rights[0]];
  if (!left || !right || lefts.length > 1 || rights.length > 1 || sameDose(left.item.dose, right.item.dose)) return null;
  const [smaller, larger] = activeSecondsOf(left.item.dose) < activeSecondsOf(right.item.dose) ? [left, right] : [right, left];
  return [{ kind: 'set-dose', item: smaller.item.id, dose: larger.item.dose }];
}
