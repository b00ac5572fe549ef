import { applyEdits, type ClassPlan, type EditRefusal, type ItemId, type PlanEdit } from '@leiter/core';
import { temporal } from 'zundo';
import { createStore } from 'zustand';

interface PlanState {
  readonly plan: ClassPlan;
}

/**
 * The plan that is being written: every edit can be undone and done again.
 * @param history what can be undone and done again from before, the oldest first
 */
export function makePlanStore(
  plan: ClassPlan,
  history: { readonly past: readonly ClassPlan[]; readonly future: readonly ClassPlan[] } = { past: [], future: [] },
) {
  const store = createStore<PlanState>()(temporal(() => ({ plan }), { equality: (past, current) => past.plan === current.plan }));
  const states = (plans: readonly ClassPlan[]): PlanState[] => plans.map((one) => ({ plan: one }));
  store.temporal.setState({ pastStates: states(history.past), futureStates: states(history.future.toReversed()) });
  return store;
}

export type PlanStore = ReturnType<typeof makePlanStore>;

/**
 * Applies edits, all or none.
 * @returns the id of the item that was added last, if one was; or why the edits do not fit.
 */
export function edit(store: PlanStore, edits: readonly PlanEdit[]): { readonly added: ItemId | null } | { readonly refusal: EditRefusal } {
  let made: string | null = null;
  const result = applyEdits(store.getState().plan, edits, () => (made = crypto.randomUUID()));
  if (!result.ok) return { refusal: result.error };
  store.setState({ plan: result.value });
  const isItem = result.value.sections.some(({ items }) => items.some(({ id }) => id === made));
  return { added: isItem ? made : null };
}
