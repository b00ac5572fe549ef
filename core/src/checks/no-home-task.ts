import type { Movement } from '../movement/movement.js';
import type { MovementSlug } from '../values/unit.js';
import { defineCheck } from './check.js';
import type { Found } from './finding.js';
import { atTheEnd, suitableMovement } from './suitable-movement.js';

export interface Fact {
  readonly kind: 'no-home-task';
}

/** The talk in which it is told; a story for the way home is none. */
const isHomeTask = ({ kind, sections, slug }: Movement): boolean =>
  kind === 'talk' && sections.includes('closing') && !sections.includes('cool-down') && !storyTelling.has(slug);
const storyTelling: ReadonlySet<MovementSlug> = new Set(['story-rest', 'term-review']);

/** Nothing is sent home for the week. Silent on an empty plan. */
export const noHomeTask = defineCheck({
  id: 'no-home-task',
  title: 'A task for home',
  says: 'Nothing is given for home.',
  gravest: 'hint',
  look: (context): readonly Found<Fact>[] => {
    const { items } = context.timeline;
    if (context.plan.homeTask) return [];
    if (items.length === 0 || items.some(({ movement }) => isHomeTask(movement))) return [];
    const talk = suitableMovement(context, ['talk'], 'home task', (movement) => (isHomeTask(movement) ? 0 : null));
    return [{ severity: 'hint', itemIds: [], fact: { kind: 'no-home-task' }, mend: atTheEnd(context, talk) }];
  },
  words: () => ({ title: 'Nothing for the week', sentence: 'No small task is sent home.' }),
});
