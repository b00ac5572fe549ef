import type { MovementKind } from '../movement/kind.js';
import { defineCheck } from './check.js';
import { limitAt, ruleByAge } from './club-rules.js';
import type { Found } from './finding.js';

/** How many new skills, drills and combinations a class takes, by the mean age; safety.md. */
export const mostNew = ruleByAge({
  id: 'too-much-new.most',
  words: 'New skills, drills and combinations at most',
  unit: 'items',
  usual: [
    { upToYears: 6, limit: 1 },
    { upToYears: 9, limit: 2 },
    { upToYears: 99, limit: 3 },
  ],
  least: 0,
  most: 20,
});

const learnt: ReadonlySet<MovementKind> = new Set(['skill', 'drill', 'combination']);

export interface Fact {
  readonly kind: 'too-much-new';
  readonly fresh: number;
  readonly most: number;
}

/** More that is new than children of this age take in. */
export const tooMuchNew = defineCheck({
  id: 'too-much-new',
  title: 'Much that is new',
  says: 'More is new than children of this age take in.',
  gravest: 'caution',
  numbers: [mostNew],
  look: (context): readonly Found<Fact>[] => {
    const { timeline, isGroupKnown } = context;
    const most = limitAt(context, mostNew)(context.meanYears);
    const fresh = timeline.items.filter(
      ({ movement, familiarity, item }) =>
        learnt.has(movement.kind) && familiarity === 'new' && (isGroupKnown || item.familiarity === 'new'),
    );
    const count = new Set(fresh.map(({ movement }) => movement.slug)).size;
    if (count <= most) return [];
    const itemIds = [...new Set(fresh.map(({ item }) => item.id))];
    return [{ severity: 'caution', itemIds, fact: { kind: 'too-much-new', fresh: count, most }, mend: null }];
  },
  words: ({ fresh, most }, { name }) => ({
    title: `${String(fresh)} things new`,
    sentence: `${name}: at this age ${most === 1 ? 'one new thing is' : `${String(most)} new things are`} enough for one class.`,
  }),
});
