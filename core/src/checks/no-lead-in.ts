import type { PlanEdit } from '../class-plan/edit.js';
import { fromYears, type Movement } from '../movement/movement.js';
import { firstRounds, type TimedItem } from '../timing/timeline.js';
import type { MovementSlug } from '../values/unit.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';
import { mendItem } from './suitable-movement.js';

export interface Fact {
  readonly kind: 'no-lead-in';
}

/** New skills that stand without any of what leads to them, nor a step of them, earlier in the class. */
export const noLeadIn = defineCheck({
  id: 'no-lead-in',
  title: 'Lead-in',
  says: 'A new skill comes without anything that leads to it.',
  gravest: 'hint',
  look: (context): readonly Found<Fact>[] => {
    const before = new Set<MovementSlug>();
    const bare: TimedItem[] = [];
    for (const timed of firstRounds(context.timeline.items)) {
      const { movement, familiarity, item } = timed;
      const { kind, prerequisites, slug } = movement;
      const isNew = familiarity === 'new' && (context.isGroupKnown || item.familiarity === 'new');
      if (kind === 'skill' && isNew && prerequisites.length > 0 && !isLedTo(movement, before, context)) bare.push(timed);
      before.add(slug);
    }
    if (bare.length === 0) return [];
    return [{ severity: 'hint', itemIds: bare.map(({ item }) => item.id), fact: { kind: 'no-lead-in' }, mend: leadIn(context, bare) }];
  },
  words: (_, { name }) => ({
    title: 'Nothing leads to it',
    sentence: `${name}: new to the group, and nothing that comes before it in learning comes before it in the class.`,
  }),
});

/** It itself, what it rests on, or something that names it as the next step. */
function isLedTo({ slug, prerequisites }: Movement, before: ReadonlySet<MovementSlug>, { library }: CheckContext): boolean {
  return (
    before.has(slug) ||
    prerequisites.some((one) => before.has(one.movement)) ||
    [...before].some((one) => library.get(one)?.leadsTo.includes(slug) === true)
  );
}

function leadIn({ library, youngestYears, ...context }: CheckContext, bare: readonly TimedItem[]): readonly PlanEdit[] | null {
  const edits = bare.flatMap(({ item, movement }): readonly PlanEdit[] => {
    const first = movement.prerequisites.flatMap((one) => library.get(one.movement) ?? []).find((one) => fromYears(one) <= youngestYears);
    const place = { at: 'before', item: item.id } as const;
    return first ? [{ kind: 'insert', item: mendItem(first, { library, youngestYears, ...context }), place }] : [];
  });
  return edits.length === bare.length ? edits : null;
}
