import type { StoredPlan } from '@leiter/contract';
import { openPlan, writePlan, type ClassPlan, type KnownMark } from '@leiter/core';
import { useEffect, useState } from 'react';
import { readClassPage } from '../../queries/class.queries';
import { onLiveEvent } from '../../shared/live/live-events';
import { forgetHeldPlan, heldPlan, holdPlan } from './run-store';

/** What was known of each child when the class began. */
export type MarksBefore = ReadonlyMap<string, readonly KnownMark[]>;

interface Held {
  readonly version: number;
  readonly plan: ClassPlan;
  readonly before: MarksBefore;
}

export interface HeldPlan {
  /** What is taught. */
  readonly plan: ClassPlan;
  /** What somebody stored meanwhile; null where nothing is to be asked. */
  readonly newer: StoredPlan | null;
  /** The class begins: from now on it goes by the plan that is stored now. */
  readonly hold: (before: MarksBefore) => void;
  readonly before: MarksBefore;
  readonly takeNewer: () => void;
  readonly refuseNewer: () => void;
  readonly letGo: () => void;
}

/** A class that has begun goes on by the plan it began with, whatever is stored meanwhile, also over a reload. */
export function useHeldPlan(classId: string, stored: StoredPlan): HeldPlan {
  const [held, setHeld] = useState<Held | null>(() => readHeld(classId));
  const put = (next: Held): void => {
    holdPlan(classId, { version: next.version, plan: writePlan(next.plan), marks: Object.fromEntries(next.before) });
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
    before: held?.before ?? nothing,
    hold: (before) => {
      put({ version: stored.version, plan: stored.plan, before });
    },
    takeNewer: () => {
      put({ version: stored.version, plan: stored.plan, before: held?.before ?? nothing });
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

const nothing: MarksBefore = new Map();

function readHeld(classId: string): Held | null {
  const kept = heldPlan(classId);
  const plan = kept && openPlan(kept.plan);
  if (!kept || !plan?.ok) return null;
  // only we write there; what is no list says nothing
  const marks = Object.entries((kept.marks ?? {}) as Record<string, unknown>).filter(([, own]) => Array.isArray(own));
  return { version: kept.version, plan: plan.value, before: new Map(marks as [string, readonly KnownMark[]][]) };
}
