import { isForTwo } from '../movement/movement.js';
import { homeTaskBar } from '../home-task/home-task.js';
import { listText } from '../values/list-text.js';
import type { PlanEdit } from '../class-plan/edit.js';
import type { MovementSlug } from '../values/unit.js';
import { childCount } from './child-count.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';

export interface Fact {
  readonly kind: 'home-task-unsafe';
  readonly movements: readonly MovementSlug[];
  readonly children: number;
}

/** The home task holds what is not for home, or what wants an adult at hand for a child who has none. One finding, mended by leaving it out. */
export const homeTaskUnsafe = defineCheck({
  id: 'home-task-unsafe',
  title: 'Home task',
  says: 'The home task holds what is not for home, or what a child needs an adult for who has none at hand.',
  gravest: 'stop',
  look: (context): readonly Found<Fact>[] => {
    const { homeTask } = context.plan;
    if (!homeTask) return [];
    const unsafe = unsafeIn(context);
    if (unsafe.length === 0) return [];
    const movements = unsafe.map(({ movement }) => movement);
    const childIds = [...new Set(unsafe.flatMap((one) => one.childIds))];
    const edit: PlanEdit = {
      kind: 'set-home-task',
      homeTask: { ...homeTask, tasks: homeTask.tasks.filter(({ movement }) => !movements.includes(movement)) },
    };
    const whose = childIds.length > 0 ? { childIds } : {};
    const fact: Fact = { kind: 'home-task-unsafe', movements, children: childIds.length };
    return [{ severity: 'stop', itemIds: [], ...whose, fact, mend: [edit] }];
  },
  words: ({ movements, children }, { library }) => ({
    title: 'Not for home',
    sentence: `${listText(movements.map((slug) => library.get(slug)?.name ?? slug))} in the home task: ${
      children === 0 ? 'it is not done at home' : `${childCount(children)} would do it with no adult at hand`
    }.`,
  }),
  mendWords: () => 'Leave it out of the home task',
});

/** What is not for home at all is about nobody in particular. */
function unsafeIn({ plan, library, children, ladder }: CheckContext) {
  return (plan.homeTask?.tasks ?? []).flatMap(({ movement: slug }) => {
    const movement = library.get(slug);
    if (!movement) return [];
    if (movement.homeTask === 'no' || isForTwo(movement.needs.adult)) return [{ movement: slug, childIds: [] }];
    const childIds = children.filter((child) => homeTaskBar(movement, child, ladder)?.kind === 'adult').map(({ id }) => id);
    return childIds.length > 0 ? [{ movement: slug, childIds }] : [];
  });
}
