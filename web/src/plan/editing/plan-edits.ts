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
  let made: string | null = null;
  const result = applyEdits(store.getState().content, edits, () => (made = crypto.randomUUID()));
  if (!result.ok) return { refusal: result.error };
  store.setState({ content: result.value });
  const isItem = result.value.sections.some(({ items }) => items.some(({ id }) => id === made));
  return { added: isItem ? made : null };
}
