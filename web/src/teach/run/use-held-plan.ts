import type { StoredPlan } from '@leiter/contract';
import { openPlan, writePlan, type ClassPlan } from '@leiter/core';
import { useEffect, useState } from 'react';
import { readClassPage } from '../../queries/class.queries';
import { onLiveEvent } from '../../shared/live/live-events';
import { forgetHeldPlan, heldPlan, holdPlan } from './run-store';

interface Held {
  readonly version: number;
  readonly plan: ClassPlan;
}

export interface HeldPlan {
  /** What is taught. */
  readonly plan: ClassPlan;
  /** What somebody stored meanwhile; null where nothing is to be asked. */
  readonly newer: StoredPlan | null;
  /** The class begins: from now on it goes by the plan that is stored now. */
  readonly hold: () => void;
  readonly takeNewer: () => void;
  readonly refuseNewer: () => void;
  readonly letGo: () => void;
}

/** A class that has begun goes on by the plan it began with, whatever is stored meanwhile, also over a reload. */
export function useHeldPlan(classId: string, stored: StoredPlan): HeldPlan {
  const [held, setHeld] = useState<Held | null>(() => readHeld(classId));
  const put = (next: Held): void => {
    holdPlan(classId, { version: next.version, plan: writePlan(next.plan) });
    setHeld(next);
  };
  useEffect(
    () =>
      onLiveEvent((event) => {
        if (event.topic === 'plan' && event.classId === classId) void readClassPage(classId).catch(() => undefined);
      }),
    [classId],
  );
  return {
    plan: held?.plan ?? stored.plan,
    newer: held && stored.version > held.version ? stored : null,
    hold: () => {
      put(stored);
    },
    takeNewer: () => {
      put(stored);
    },
    refuseNewer: () => {
      if (held) put({ ...held, version: stored.version });
    },
    letGo: () => {
      forgetHeldPlan(classId);
      setHeld(null);
    },
  };
}

function readHeld(classId: string): Held | null {
  const kept = heldPlan(classId);
  const plan = kept && openPlan(kept.plan);
  return kept && plan?.ok ? { version: kept.version, plan: plan.value } : null;
}
