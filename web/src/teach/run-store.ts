import type { Run } from '@leiter/core';

const key = (classId: string): string => `leiter-run-${classId}`;

/** The run of a class from before a reload; null where there is none. */
export function keptRun(classId: string): Run | null {
  const kept = localStorage.getItem(key(classId));
  return kept === null ? null : (JSON.parse(kept) as Run); // written by keepRun alone
}

export function keepRun(classId: string, run: Run): void {
  localStorage.setItem(key(classId), JSON.stringify(run));
}

export function forgetRun(classId: string): void {
  localStorage.removeItem(key(classId));
}
