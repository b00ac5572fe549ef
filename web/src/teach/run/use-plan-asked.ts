import type { StoredPlan } from '@leiter/contract';
import { useState } from 'react';

/** Whether it is time to ask about a plan that somebody stored: what came in the middle of an item waits until the next one begins, or a pause. */
export function usePlanAsked(newer: StoredPlan | null, itemIndex: number, isPaused: boolean): boolean {
  const [cameAt, setCameAt] = useState<{ readonly version: number; readonly itemIndex: number } | null>(null);
  if (newer && cameAt?.version !== newer.version) setCameAt({ version: newer.version, itemIndex });
  return newer !== null && cameAt !== null && (itemIndex !== cameAt.itemIndex || isPaused);
}
