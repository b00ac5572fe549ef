import { applyEdits, type ClassPlan, type EditRefusal, type ItemId, type PlanEdit } from '@leiter/core';
import { temporal } from 'zundo';
import { createStore } from 'zustand';

interface PlanState {
  readonly plan: ClassPlan;
}

/** The plan that is being written: every edit can be undone and done again. */
export function makePlanStore(plan: ClassPlan) {
  return createStore<PlanState>()(temporal(() => ({ plan }), { equality: (past, current) => past.plan === current.plan }));
}

export type PlanStore = ReturnType<typeof makePlanStore>;

/**
 * Applies edits, all or none.
 * @returns the id of the item that was added last, if one was; or why the edits do not fit.
 */
export function edit(store: PlanStore, edits: readonly PlanEdit[]): { readonly added: ItemId | null } | { readonly refusal: EditRefusal } {
  let added: ItemId | null = null;
  const result = applyEdits(store.getState().plan, edits, () => (added = crypto.randomUUID()));
  if (!result.ok) return { refusal: result.error };
  store.setState({ plan: result.value });
  return { added };
}
