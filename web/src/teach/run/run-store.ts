import { openRun, type Run } from '@leiter/core';

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

export function forgetRun(classId: string): void {
  localStorage.removeItem(key(classId));
}
