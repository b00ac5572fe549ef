import { applyEdits, type ClassPlan, type EditRefusal, type ItemId, type PlanEdit } from '@leiter/core';
import type { DocumentStore } from '../../shared/document-session/document-store';

/**
 * Applies edits to the plan that is being written, all or none.
 * @returns the id of the item that was added last, if one was; or why the edits do not fit.
 */
export function edit(
  store: DocumentStore<ClassPlan>,
  edits: readonly PlanEdit[],
): { readonly added: ItemId | null } | { readonly refusal: EditRefusal } {
  const made: string[] = [];
  const result = applyEdits(store.getState().content, edits, () => {
    const id = crypto.randomUUID();
    made.push(id);
    return id;
  });
  if (!result.ok) return { refusal: result.error };
  store.setState({ content: result.value });
  const there = new Set(result.value.sections.flatMap(({ items }) => items.map(({ id }) => id)));
  // of a block the last item: what is written next comes after it
  return { added: made.findLast((id) => there.has(id)) ?? null };
}
