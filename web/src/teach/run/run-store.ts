import { openRun, type PlanEdit, type Run } from '@leiter/core';

const key = (classId: string): string => `leiter-run-${classId}`;

/** The run of a class from before a reload; null where there is none, or none that can be read. */
export function keptRun(classId: string): Run | null {
  const kept = localStorage.getItem(key(classId));
  if (kept === null) return null;
  try {
    return openRun(JSON.parse(kept));
  } catch {
    return null;
  }
}

export function keepRun(classId: string, run: Run): void {
  localStorage.setItem(key(classId), JSON.stringify(run));
}

const editsKey = (classId: string): string => `leiter-run-edits-${classId}`;

/** What was changed in the plan while it was taught, in the order in which it was; none where nothing can be read. */
export function keptEdits(classId: string): readonly PlanEdit[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(editsKey(classId)) ?? '[]');
    return Array.isArray(kept) ? (kept as PlanEdit[]) : []; // only we write there; what does not fit the plan is refused one by one
  } catch {
    return [];
  }
}

export function keepEdits(classId: string, edits: readonly PlanEdit[]): void {
  localStorage.setItem(editsKey(classId), JSON.stringify(edits));
}

const planKey = (classId: string): string => `leiter-run-plan-${classId}`;

/** The plan a class began with, as it was kept; null where there is none, or none that can be read. */
export function heldPlan(classId: string): { readonly version: number; readonly plan: unknown; readonly marks: unknown } | null {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(planKey(classId)) ?? 'null');
    if (typeof kept !== 'object' || kept === null || !('version' in kept) || !('plan' in kept)) return null;
    return typeof kept.version === 'number' ? { version: kept.version, plan: kept.plan, marks: 'marks' in kept ? kept.marks : null } : null;
  } catch {
    return null;
  }
}

export function holdPlan(classId: string, held: { readonly version: number; readonly plan: object; readonly marks: object }): void {
  localStorage.setItem(planKey(classId), JSON.stringify(held));
}

export function forgetHeldPlan(classId: string): void {
  localStorage.removeItem(planKey(classId));
}

/** Of rehearsals that were left in the middle nothing is kept. */
export function forgetRehearsals(): void {
  for (const name of Object.keys(localStorage)) if (/^leiter-run-(?:edits-)?rehearsal /.test(name)) localStorage.removeItem(name);
}

export function forgetRun(classId: string): void {
  localStorage.removeItem(key(classId));
  localStorage.removeItem(editsKey(classId));
}
