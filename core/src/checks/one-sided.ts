import { groupBy } from '../values/group-by.js';
import type { PlanEdit } from '../class-plan/edit.js';
import { activeSecondsOf, sameDose } from '../movement/dose.js';
import type { TimedItem } from '../timing/timeline.js';
import { defineCheck } from './check.js';
import type { Found } from './finding.js';

export type Fact = { readonly kind: 'one-side-only'; readonly planned: 'left' | 'right' } | { readonly kind: 'unequal-sides' };

/** A movement with two sides is planned for one of them only, or one side gets more than the other over the class. */
export const oneSided = defineCheck({
  id: 'one-sided',
  look: ({ timeline }): readonly Found<Fact>[] => {
    const bySlug = groupBy(
      timeline.items.filter(({ movement, item }) => movement.sides === 'each' && (item.sides === 'left' || item.sides === 'right')),
      ({ movement }) => movement.slug,
    );
    return [...bySlug.values()].flatMap(findingOn);
  },
  words: (fact, { name }) =>
    fact.kind === 'one-side-only'
      ? { title: 'One side only', sentence: `${name} is planned on the ${fact.planned} only.` }
      : { title: 'Sides not equal', sentence: `${name}: one side does more than the other.` },
  mendWords: (fact) =>
    fact.kind === 'one-side-only' ? `Add the ${fact.planned === 'left' ? 'right' : 'left'}, same dose` : 'Give both sides the larger dose',
});

function findingOn(items: readonly TimedItem[]): readonly Found<Fact>[] {
  const lefts = items.filter(({ item }) => item.sides === 'left');
  const rights = items.filter(({ item }) => item.sides === 'right');
  const itemIds = items.map(({ item }) => item.id);
  const planned = lefts.length === 0 ? 'right' : rights.length === 0 ? 'left' : null;
  if (planned) {
    const mend = itemIds.map((item): PlanEdit => ({ kind: 'set-sides', item, sides: 'both' }));
    return [{ severity: 'caution', itemIds, fact: { kind: 'one-side-only', planned }, mend }];
  }
  const amount = (some: readonly TimedItem[]): number => some.reduce((sum, { item }) => sum + activeSecondsOf(item.dose), 0);
  // compared to the tenth of a second: sums of fractions are not equal to the last bit
  if (Math.abs(amount(lefts) - amount(rights)) < 0.1) return [];
  return [{ severity: 'caution', itemIds, fact: { kind: 'unequal-sides' }, mend: evened(lefts, rights) }];
}

/** Where each side has one item, the smaller gets the dose of the larger; else there is no obvious mend. */
function evened(lefts: readonly TimedItem[], rights: readonly TimedItem[]): readonly PlanEdit[] | null {
  const [left, right] = [lefts[0], rights[0]];
  if (!left || !right || lefts.length > 1 || rights.length > 1 || sameDose(left.item.dose, right.item.dose)) return null;
  const [smaller, larger] = activeSecondsOf(left.item.dose) < activeSecondsOf(right.item.dose) ? [left, right] : [right, left];
  return [{ kind: 'set-dose', item: smaller.item.id, dose: larger.item.dose }];
}
