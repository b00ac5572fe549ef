import type { ClassPlan } from '@leiter/core';
import { hashKey } from '@tanstack/react-query';
import Dexie, { type Table } from 'dexie';
import type { PlanStore } from './plan-store';

/** What was before and what was taken back, as the browser kept it; so that undo reaches over a reload. */
export interface PlanHistory {
  readonly past: readonly ClassPlan[];
  readonly plan: ClassPlan;
  readonly future: readonly ClassPlan[];
}

interface Step {
  readonly classId: string;
  readonly nth: number;
  readonly plan: ClassPlan;
}

interface Head {
  readonly classId: string;
  /** Which step is the plan now. */
  readonly nth: number;
  readonly keptOn: string;
}

class HistoryStore extends Dexie {
  readonly steps!: Table<Step, [string, number]>;
  readonly heads!: Table<Head, string>;

  constructor() {
    super('leiter-plan-history');
    this.version(1).stores({ steps: '[classId+nth], classId', heads: 'classId, keptOn' });
  }
}

const store = new HistoryStore();
const keptDays = 90;
const writtenAfterMilliseconds = 40;

/** @returns what was kept of a class; null where nothing was. Histories that nobody touched for three months are dropped. */
export async function historyOf(classId: string, today: Date): Promise<PlanHistory | null> {
  const oldest = new Date(today.getTime() - keptDays * 86_400_000).toISOString();
  for (const { classId: old } of await store.heads.where('keptOn').below(oldest).toArray()) await dropHistory(old);
  const head = await store.heads.get(classId);
  const plans = (await store.steps.where({ classId }).sortBy('nth')).map(({ plan }) => plan);
  const plan = head && plans[head.nth];
  return plan ? { past: plans.slice(0, head.nth), plan, future: plans.slice(head.nth + 1) } : null;
}

async function dropHistory(classId: string): Promise<void> {
  await store.steps.where({ classId }).delete();
  await store.heads.delete(classId);
}

/** The history with which a plan goes on. Where the plan is not what was left, somebody else changed it: one more step. */
export function historyOn(plan: ClassPlan, kept: PlanHistory | null): Omit<PlanHistory, 'plan'> {
  if (!kept) return { past: [], future: [] };
  return isSamePlan(kept.plan, plan) ? kept : { past: [...kept.past, kept.plan], future: [] };
}

/** Whether two plans say the same, in whatever order their fields come. */
export function isSamePlan(one: ClassPlan, other: ClassPlan): boolean {
  return one === other || hashKey([one]) === hashKey([other]);
}

/** Keeps the history of a plan as it grows: each change writes what is new and no more. @returns what ends it. */
export function keepHistory(classId: string, plans: PlanStore, now: () => Date): () => void {
  let kept: readonly ClassPlan[] = [];
  let writing: Promise<unknown> = Promise.resolve();
  const keep = (): void => {
    const { pastStates, futureStates } = plans.temporal.getState();
    // of what was taken back, the newest comes last
    const all = [...pastStates, plans.getState(), ...futureStates.toReversed()].flatMap(({ plan }) => plan ?? []);
    let same = 0;
    while (same < all.length && all[same] === kept[same]) same += 1;
    const steps = all.slice(same).map((plan, index) => ({ classId, nth: same + index, plan }));
    const surplus = Math.max(0, kept.length - all.length);
    kept = all;
    writing = writing
      .then(() =>
        store.transaction('rw', store.steps, store.heads, async () => {
          await store.steps.bulkPut(steps);
          if (surplus > 0) await store.steps.where('[classId+nth]').between([classId, all.length], [classId, Dexie.maxKey]).delete();
          await store.heads.put({ classId, nth: pastStates.length, keptOn: now().toISOString() });
        }),
      )
      // a browser that keeps nothing, or is full, still plans: only undo does not reach over a reload then
      .catch(() => undefined);
  };
  keep();
  let later: ReturnType<typeof setTimeout> | undefined;
  // of the two, what can be undone changes last; it is written once the key is painted
  const stop = plans.temporal.subscribe(() => {
    clearTimeout(later);
    later = setTimeout(keep, writtenAfterMilliseconds);
  });
  return () => {
    clearTimeout(later);
    stop();
    keep();
  };
}
