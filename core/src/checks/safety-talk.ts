import type { PlanEdit } from '../class-plan/edit.js';
import type { Movement } from '../movement/movement.js';
import type { TimedItem } from '../timing/timeline.js';
import { defineCheck, type CheckContext } from './check.js';
import type { Found } from './finding.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

const isSafetyTalk = (movement: Movement): boolean => movement.kind === 'talk' && movement.sections.includes('safety');
/** Greeting and bowing are not yet moving in the room. */
const moves = ({ movement }: TimedItem): boolean => movement.kind !== 'ritual' && movement.effort > 0;

export interface Fact {
  readonly kind: 'no-safety-talk';
}

/** No safety and space talk before the first movement. */
export const safetyTalk = defineCheck({
  id: 'safety-talk',
  title: 'Safety and space talk',
  says: 'No safety and space talk comes before the first movement.',
  gravest: 'stop',
  look: (context): readonly Found<Fact>[] => {
    const { items } = context.timeline;
    const firstMove = items.findIndex(moves);
    const talk = items.findIndex(({ movement }) => isSafetyTalk(movement));
    const first = items[firstMove];
    if (!first || (talk >= 0 && talk < firstMove)) return [];
    return [
      {
        severity: 'stop',
        itemIds: [first.item.id],
        fact: { kind: 'no-safety-talk' },
        mend: talkFirst(context, first, items[talk]),
      },
    ];
  },
  words: (_, { name }) => ({
    title: 'No safety and space talk',
    sentence: `${name} comes before anybody has looked at floor, space and water.`,
  }),
  mendWords: (_, [edit]) => (edit?.kind === 'move' ? 'Move it to the front' : null),
});

function talkFirst(context: CheckContext, first: TimedItem, late: TimedItem | undefined): readonly PlanEdit[] | null {
  if (late) return [{ kind: 'move', item: late.item.id, place: { at: 'before', item: first.item.id } }];
  const talk = suitableMovement(context, ['talk'], 'safety talk', (movement) => (isSafetyTalk(movement) ? 0 : null));
  if (!talk) return null;
  const sections = context.plan.sections;
  const own = sections.find((section) => section.kind === 'safety');
  const isInTime = own !== undefined && sections.indexOf(own) < sections.indexOf(first.section);
  return [
    {
      kind: 'insert',
      item: mendItem(talk, context),
      place: isInTime ? { at: 'end-of', section: own.id } : { at: 'before', item: first.item.id },
    },
  ];
}
