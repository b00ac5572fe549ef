import {
  evaluatePlan,
  putOff,
  type ClassPlan,
  type EvaluationContext,
  type Library,
  type PlanEdit,
  type Run,
  type RunMove,
} from '@leiter/core';
import { useCallback, useMemo, useState } from 'react';
import { livePlan, onceMoreEdits, plannedItem, putOffEdit } from './live-plan';
import { monotonicNow } from './monotonic-clock';
import { keepEdits, keptEdits } from './run-store';
import { useRun, type LiveRun } from './use-run';

/** As many presses as can be taken back. */
const mostPast = 30;

/** What a press is taken back to: the run and the plan as they were, or whatever takes back a press of another kind. */
type Before =
  { readonly kind: 'run'; readonly run: Run; readonly edits: readonly PlanEdit[] } | { readonly kind: 'other'; readonly undo: () => void };

export interface Teaching extends LiveRun {
  /** The plan as it is taught, and reckoned. */
  readonly plan: ClassPlan;
  readonly evaluation: ReturnType<typeof evaluatePlan>;
  readonly canPutOff: boolean;
  readonly putOff: () => void;
  /** The item comes once more, behind itself. */
  readonly onceMore: () => void;
  /** The item of the stored plan that an item of this one is. */
  readonly plannedItem: (itemId: string) => string;
  /** Changes what is still to come. */
  readonly take: (edits: readonly PlanEdit[]) => void;
  readonly canUndo: boolean;
  /** Takes back the last press: of on, back, begin, put off, take, a mark. Time that passed meanwhile has passed. */
  readonly undo: () => void;
  /** Takes a press that changed nothing of the run among those that can be taken back: a mark. */
  readonly pressed: (undo: () => void) => void;
}

/** A class that is taught on a plan that may be changed meanwhile: put off, fitted to the clock, taken back. */
export function useTeaching(classId: string, stored: ClassPlan, library: Library, context: EvaluationContext): Teaching {
  const [edits, setEdits] = useState(() => keptEdits(classId));
  const [past, setPast] = useState<readonly Before[]>([]);
  const plan = useMemo(() => livePlan(stored, edits), [stored, edits]);
  const evaluation = useMemo(() => evaluatePlan(plan, library, context), [plan, library, context]);
  const { items } = evaluation.timeline;
  const live = useRun(classId, items);
  const { run, move, put, forget } = live;

  const note = (): void => {
    if (run) setPast([...past.slice(1 - mostPast), { kind: 'run', run, edits }]);
  };
  const change = useCallback(
    (next: readonly PlanEdit[]): void => {
      keepEdits(classId, next);
      setEdits(next);
    },
    [classId],
  );
  const timed = run ? items[run.itemIndex] : undefined;
  const off = timed ? putOffEdit(plan, timed.item.id) : null;
  const last = past.at(-1);
  return {
    ...live,
    plan,
    evaluation,
    move: (what: RunMove) => {
      if (what !== 'pause' && what !== 'resume') note();
      move(what);
    },
    canPutOff: off !== null,
    putOff: () => {
      if (!run || !off) return;
      note();
      const next = [...edits, off];
      const later = evaluatePlan(livePlan(stored, next), library, context).timeline.items;
      put(putOff(run, items, later, monotonicNow()));
      change(next);
    },
    onceMore: () => {
      if (!timed || timed.item.circuit !== undefined) return;
      note();
      change([...edits, ...onceMoreEdits(timed.item.id, edits)]);
    },
    plannedItem: (itemId) => plannedItem(itemId, edits),
    take: (taken) => {
      note();
      change([...edits, ...taken]);
    },
    canUndo: last !== undefined,
    undo: () => {
      if (!last) return;
      setPast(past.slice(0, -1));
      if (last.kind === 'other') {
        last.undo();
        return;
      }
      put(last.run);
      change(last.edits);
    },
    pressed: (undo) => {
      setPast([...past.slice(1 - mostPast), { kind: 'other', undo }]);
    },
    forget: () => {
      forget();
      setPast([]);
      setEdits([]);
    },
  };
}
