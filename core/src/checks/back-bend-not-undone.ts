import type { PlanEdit } from '../class-plan/edit.js';
import type { MovementKind } from '../movement/kind.js';
import { fromYears } from '../movement/movement.js';
import type { TimedItem } from '../timing/timeline.js';
import { defineCheck, type CheckContext } from './check.js';
import { numberIn, ruleNumber } from './club-rules.js';
import type { Found } from './finding.js';
import { mendItem } from './suitable-movement.js';

/** Within how many items back bends want to be undone; safety.md. */
export const undoneWithin = ruleNumber({
  id: 'back-bend-not-undone.within',
  words: 'A back bend is undone within',
  unit: 'items',
  usual: 2,
  least: 1,
  most: 10,
});

export interface Fact {
  readonly kind: 'back-bend-not-undone';
  readonly within: number;
}

/** Nobody bends either way in these: they are not counted. */
const still: ReadonlySet<MovementKind> = new Set(['break', 'talk', 'ritual', 'breathing']);

const isBackBend = ({ movement }: TimedItem): boolean => movement.hazards.includes('back-bend');

/** Back bends that are not followed by what undoes them; several one after the other are undone together, after the last. */
export const backBendNotUndone = defineCheck({
  id: 'back-bend-not-undone',
  title: 'Back bend not undone',
  says: 'Nothing that rounds the back again follows a back bend.',
  gravest: 'caution',
  numbers: [undoneWithin],
  look: (context): readonly Found<Fact>[] => {
    const items = context.timeline.items.filter(({ movement }) => !still.has(movement.kind));
    const within = numberIn(context, undoneWithin);
    const open = items.filter((timed, index) => {
      if (!isBackBend(timed)) return false;
      const last = items.slice(index).findIndex((next) => !isBackBend(next));
      const after = last < 0 ? [] : items.slice(index + last, index + last + within);
      return !after.some(({ movement }) => timed.movement.undoneBy.includes(movement.slug));
    });
    if (open.length === 0) return [];
    const itemIds = [...new Set(open.map(({ item }) => item.id))];
    return [{ severity: 'caution', itemIds, fact: { kind: 'back-bend-not-undone', within }, mend: undoAfter(context, items, open) }];
  },
  words: ({ within }, { name }) => ({
    title: 'Back bend not undone',
    sentence: `${name}: nothing in the ${within === 1 ? 'item' : `${within === 2 ? 'two' : String(within)} items`} after rounds the back again.`,
  }),
});

/** After the last of each row of back bends what undoes it, on the same level if there is one. */
function undoAfter(context: CheckContext, items: readonly TimedItem[], open: readonly TimedItem[]): readonly PlanEdit[] | null {
  const ends = open.filter((timed) => {
    const next = items[items.indexOf(timed) + 1];
    return !next || !open.includes(next);
  });
  const edits = ends.flatMap((timed): readonly PlanEdit[] => {
    const undoing = timed.movement.undoneBy
      .flatMap((slug) => context.library.get(slug) ?? [])
      .filter((movement) => fromYears(movement) <= context.youngestYears)
      .sort((a, b) => Number(a.level !== timed.movement.level) - Number(b.level !== timed.movement.level))[0];
    return undoing ? [{ kind: 'insert', item: mendItem(undoing, context), place: { at: 'after', item: timed.item.id } }] : [];
  });
  return edits.length === ends.length ? edits : null;
}
