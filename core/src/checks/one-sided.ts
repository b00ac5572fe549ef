import type { Side } from '../values/side.js';
import { groupBy } from '../values/group-by.js';
import { listText } from '../values/list-text.js';
import type { PlanEdit } from '../class-plan/edit.js';
import { activeSecondsOf, repsOf, sameDose } from '../movement/dose.js';
import type { Movement } from '../movement/movement.js';
import type { TimedItem } from '../timing/timeline.js';
import type { MovementSlug } from '../values/unit.js';
import { defineCheck } from './check.js';
import type { Found } from './finding.js';

export type Fact =
  | { readonly kind: 'one-side-only'; readonly planned: Side | 'lead' }
  | { readonly kind: 'unequal-sides'; readonly movements: readonly MovementSlug[] };

/** Of alternating reps one side gets one more; from ten on nobody feels it. */
const fewReps = 10;

const hasSides = ({ sides }: Movement): boolean => sides === 'each' || sides === 'alternating';

/** What the items of one movement do on each side, in seconds, and where they do not say which side it is. */
interface Amounts {
  readonly left: number;
  readonly right: number;
  readonly lead: number;
}

/**
 * A movement with two sides is planned for one of them only – the side a child prefers is one too –, or one side gets more than the
 * other over the class. One finding for each of the two.
 */
export const oneSided = defineCheck({
  id: 'one-sided',
  title: 'One side only',
  says: 'Something is done for one side only, or more for one than for the other.',
  gravest: 'caution',
  look: ({ timeline }): readonly Found<Fact>[] => {
    const bySlug = [
      ...groupBy(
        timeline.items.filter(({ movement }) => hasSides(movement)),
        ({ movement }) => movement.slug,
      ).values(),
    ];
    const some = bySlug.map((items) => ({ items, amounts: amountsOf(items) }));
    const single = some.flatMap(({ items, amounts }) => {
      const planned = onlySide(amounts);
      return planned ? [{ items: items.filter(({ sides }) => sides === planned), planned }] : [];
    });
    const unequal = some.filter(({ amounts }) => onlySide(amounts) === null && isUnequal(amounts));
    return [...oneSideOnly(single), ...unequalSides(unequal.map(({ items }) => items))];
  },
  words: (fact, { name, library }) =>
    fact.kind === 'one-side-only'
      ? {
          title: 'One side only',
          sentence: `${name}: planned on the ${fact.planned === 'lead' ? 'side each child prefers' : fact.planned} only.`,
        }
      : {
          title: 'Sides not equal',
          sentence: `${listText(fact.movements.map((slug) => library.get(slug)?.name ?? slug))}: one side does more than the other.`,
        },
  mendWords: (fact, mend) => {
    if (fact.kind === 'unequal-sides') return mend.some(({ kind }) => kind === 'set-dose') ? 'Give both sides the larger dose' : null;
    if (mend.length > 1 || fact.planned === 'lead') return 'Do both sides';
    return `Add the ${fact.planned === 'left' ? 'right' : 'left'}, same dose`;
  },
});

function amountsOf(items: readonly TimedItem[]): Amounts {
  const sum = { left: 0, right: 0, lead: 0 };
  for (const { item, movement, sides } of items) {
    const seconds = activeSecondsOf(item.dose);
    switch (sides) {
      case 'left':
      case 'right':
      case 'lead':
        sum[sides] += seconds;
        break;
      case 'both':
        sum.left += seconds;
        sum.right += seconds;
        break;
      case 'alternating': {
        const reps = movement.kind === 'game' ? null : repsOf(item.dose);
        const extra = reps !== null && reps % 2 === 1 && reps < fewReps ? seconds / reps : 0;
        sum.left += (seconds + extra) / 2;
        sum.right += (seconds - extra) / 2;
        break;
      }
      case 'none':
        break;
    }
  }
  return sum;
}

/** The only side that is planned; where each child does the side it prefers, that one. A lead beside both is a little more of it. */
function onlySide({ left, right, lead }: Amounts): Side | 'lead' | null {
  if (left > 0 && right > 0) return null;
  if (left > 0) return 'left';
  if (right > 0) return 'right';
  return lead > 0 ? 'lead' : null;
}

/** Compared to the tenth of a second: sums of fractions are not equal to the last bit. */
const isUnequal = ({ left, right }: Amounts): boolean => Math.abs(left - right) >= 0.1;

function oneSideOnly(single: readonly { readonly items: readonly TimedItem[]; readonly planned: Side | 'lead' }[]): readonly Found<Fact>[] {
  // a movement that alternates by itself is done on the side one prefers only where it says so
  const asked = single.filter(({ items, planned }) => planned !== 'lead' || items.some(({ movement }) => movement.sides === 'each'));
  const [first] = asked;
  if (!first) return [];
  const itemIds = [...new Set(asked.flatMap(({ items }) => items.map(({ item }) => item.id)))];
  const mend = asked.flatMap(({ items }) =>
    [...new Set(items.map(({ item }) => item.id))].map((item): PlanEdit => ({
      kind: 'set-sides',
      item,
      sides: items[0]?.movement.sides === 'alternating' ? 'alternating' : 'both',
    })),
  );
  return [{ severity: 'caution', itemIds, fact: { kind: 'one-side-only', planned: first.planned }, mend }];
}

function unequalSides(unequal: readonly (readonly TimedItem[])[]): readonly Found<Fact>[] {
  if (unequal.length === 0) return [];
  const mends = unequal.map(evened);
  return [
    {
      severity: 'caution',
      itemIds: [...new Set(unequal.flatMap((items) => items.filter(({ item }) => item.sides !== 'both').map(({ item }) => item.id)))],
      fact: { kind: 'unequal-sides', movements: unequal.flatMap((items) => items[0]?.movement.slug ?? []) },
      mend: mends.includes(null) ? null : mends.flatMap((mend) => mend ?? []),
    },
  ];
}

/** Where each side has one item, the smaller gets the dose of the larger; one rep too few is added; else there is no obvious mend. */
function evened(items: readonly TimedItem[]): readonly PlanEdit[] | null {
  const [one, other] = items;
  if (!other && one?.item.sides === 'alternating' && one.item.dose.kind === 'reps' && !one.item.dose.uneven && one.item.dose.sets % 2 === 1)
    return [{ kind: 'set-dose', item: one.item.id, dose: { ...one.item.dose, reps: one.item.dose.reps + 1 } }];
  if (!one || !other || items.length > 2 || new Set([one.item.sides, other.item.sides]).size < 2) return null;
  if ([one, other].some(({ item }) => item.sides !== 'left' && item.sides !== 'right') || sameDose(one.item.dose, other.item.dose))
    return null;
  const [smaller, larger] = activeSecondsOf(one.item.dose) < activeSecondsOf(other.item.dose) ? [one, other] : [other, one];
  return [{ kind: 'set-dose', item: smaller.item.id, dose: larger.item.dose }];
}
