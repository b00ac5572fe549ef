import type { PlanConflict, StoredPlan } from '@leiter/contract';
import type { ClassPlan } from '@leiter/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ApiError } from '../shared/api';
import { useConnection } from '../shared/connection';
import { noteStoredPlan, savePlan } from './class.queries';

export type SaveState =
  | { readonly kind: 'saved'; readonly plan: ClassPlan | null }
  | { readonly kind: 'saving' }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'refused'; readonly why: string }
  | ({ readonly kind: 'conflict' } & PlanConflict);

const pauseMilliseconds = 700;

interface Draft {
  readonly version: number;
  readonly plan: ClassPlan;
}

const draftKey = (classId: string): string => `leiter-plan-${classId}`;

/**
 * What was written and did not reach the server, from before a reload. Where somebody saved meanwhile, its version is old,
 * and saving it ends in the conflict that shows both.
 */
export function draftOf(classId: string): Draft | null {
  const kept = localStorage.getItem(draftKey(classId));
  return kept === null ? null : (JSON.parse(kept) as Draft); // written by this file alone
}

/**
 * Saves a plan by itself a moment after each change. Until it has arrived, it is kept in the browser; two saves never run
 * at once; a save on an old version ends in `conflict` with both plans at hand.
 */
export function useAutosave(classId: string, plan: ClassPlan, stored: StoredPlan | null) {
  const [begun] = useState(() => draftOf(classId)?.version ?? stored?.version ?? 0);
  const version = useRef(begun);
  const arrived = useRef<ClassPlan | null>(stored?.plan ?? null);
  const isRunning = useRef(false);
  const latest = useRef(plan);
  const [state, setState] = useState<SaveState>({ kind: 'saved', plan: stored?.plan ?? null });

  const save = useCallback(async (): Promise<void> => {
    if (isRunning.current) return;
    isRunning.current = true;
    try {
      while (latest.current !== arrived.current) {
        const sent = latest.current;
        setState({ kind: 'saving' });
        const answer = await savePlan(classId, version.current, sent);
        version.current = answer.version;
        arrived.current = sent;
        noteStoredPlan(classId, { ...answer, plan: sent });
        setState({ kind: 'saved', plan: sent });
      }
      localStorage.removeItem(draftKey(classId));
    } catch (error) {
      setState(stateAfter(error));
    } finally {
      isRunning.current = false;
    }
  }, [classId]);

  useEffect(() => {
    latest.current = plan;
    if (plan === arrived.current || state.kind === 'conflict') return;
    localStorage.setItem(draftKey(classId), JSON.stringify({ version: version.current, plan } satisfies Draft));
    const timer = setTimeout(() => void save(), pauseMilliseconds);
    return () => {
      clearTimeout(timer);
    };
  }, [classId, plan, save, state.kind]);

  useEffect(
    () =>
      useConnection.subscribe((connection) => {
        if (connection.state === 'there' && latest.current !== arrived.current) void save();
      }),
    [save],
  );

  useEffect(() => {
    const ask = (event: BeforeUnloadEvent): void => {
      if (latest.current !== arrived.current) event.preventDefault();
    };
    window.addEventListener('beforeunload', ask);
    return () => {
      window.removeEventListener('beforeunload', ask);
      // leaving the page within the app: what is not saved yet is sent now
      if (latest.current !== arrived.current) void save();
    };
  }, [save]);

  /** Settles a conflict: either plan becomes the newest; the other one is what the answer was, so nothing is lost unseen. */
  const settle = useCallback(
    (chosen: ClassPlan, current: StoredPlan): void => {
      version.current = current.version;
      arrived.current = chosen === current.plan ? chosen : null;
      latest.current = chosen;
      setState({ kind: 'saved', plan: arrived.current });
      if (chosen !== current.plan) void save();
    },
    [save],
  );

  /** Whether somebody else saved since, and nothing of one's own is on its way: then theirs can simply be shown. */
  const isNews = useCallback(
    (saved: number): boolean => saved > version.current && latest.current === arrived.current && !isRunning.current,
    [],
  );

  /** Goes on from what somebody else saved. @returns false when something of one's own came in between. */
  const goOnFrom = useCallback(
    (stored: StoredPlan): boolean => {
      if (!isNews(stored.version)) return false;
      version.current = stored.version;
      arrived.current = stored.plan;
      latest.current = stored.plan;
      setState({ kind: 'saved', plan: stored.plan });
      return true;
    },
    [isNews],
  );

  // a change that waits for its moment is not saved yet, and nothing says that it is
  const shown: SaveState = state.kind === 'saved' && state.plan !== plan ? { kind: 'saving' } : state;
  return { state: shown, settle, isNews, goOnFrom };
}

function stateAfter(error: unknown): SaveState {
  if (!(error instanceof ApiError)) throw error;
  if (error.isAway) return { kind: 'waiting' };
  // a 409 of this route carries both plans: see PlanConflict
  if (error.status === 409) return { kind: 'conflict', ...(error.problem as unknown as PlanConflict) };
  return { kind: 'refused', why: error.problem?.errors?.[0]?.message ?? error.message };
}
