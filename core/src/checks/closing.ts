import type { Movement } from '../movement/movement.js';
import type { Check, CheckContext } from './check.js';
import type { Finding } from './finding.js';
import { mendItem, suitableMovement } from './suitable-movement.js';

const isHomeTask = ({ kind, sections }: Movement): boolean => kind === 'talk' && sections.includes('closing');

/** Nothing closes the class. Silent on an empty plan. */
export const noClosing: Check = (context) => {
  const { items } = context.timeline;
  if (items.length === 0 || items.some(({ section }) => section.kind === 'closing')) return [];
  const closing = suitableMovement(context, ['ritual'], ({ sections }) => (sections.includes('closing') ? 0 : null));
  return [{ check: 'no-closing', severity: 'hint', itemIds: [], fact: { kind: 'no-closing' }, mend: atTheEnd(context, closing) }];
};

/** Nothing is sent home for the week. Silent on an empty plan. */
export const noHomeTask: Check = (context) => {
  const { items } = context.timeline;
  if (items.length === 0 || items.some(({ movement }) => isHomeTask(movement))) return [];
  const talk = suitableMovement(context, ['talk'], (movement) => (isHomeTask(movement) ? 0 : null));
  return [{ check: 'no-home-task', severity: 'hint', itemIds: [], fact: { kind: 'no-home-task' }, mend: atTheEnd(context, talk) }];
};

/** Into the closing section, or after the last item where there is none. */
function atTheEnd(context: CheckContext, movement: Movement | null): Finding['mend'] {
  const section = context.plan.sections.find(({ kind }) => kind === 'closing') ?? context.plan.sections.at(-1);
  return movement && section ? [{ kind: 'insert', item: mendItem(movement, context), place: { at: 'end-of', section: section.id } }] : null;
}
