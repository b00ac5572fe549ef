import {
  caughtUp,
  moved,
  positionOf,
  startRun,
  type Position,
  type Run,
  type RunMove,
  type TimedItem,
  withGo,
  type GoWay,
} from '@leiter/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { forgetRun, keepRun, keptRun } from './run-store';
import { monotonicNow } from './monotonic-clock';

const tickMilliseconds = 200;

export interface LiveRun {
  readonly run: Run | null;
  readonly position: Position | null;
  /** The page's clock as it was looked at last, in milliseconds. */
  readonly now: number;
  readonly start: (go: GoWay) => void;
  /** Changes whether work begins by itself or on a signal. */
  readonly setGo: (go: GoWay) => void;
  readonly move: (move: RunMove) => void;
  /** Puts another run in the place of this one: an earlier one, or one on a changed plan. */
  readonly put: (run: Run) => void;
  readonly forget: () => void;
}

/** A class being taught: goes on by itself, kept over a reload. The ticks only look at the clock; they never count time. */
export function useRun(classId: string, items: readonly TimedItem[]): LiveRun {
  const [run, setRun] = useState<Run | null>(() => keptRun(classId));
  const [now, setNow] = useState(monotonicNow);
  const current = useRef(run);

  const put = useCallback(
    (next: Run): void => {
      if (next === current.current) return;
      current.current = next;
      keepRun(classId, next);
      setRun(next);
    },
    [classId],
  );
  useEffect(() => {
    const tick = (): void => {
      const moment = monotonicNow();
      if (current.current) put(caughtUp(current.current, items, moment));
      setNow(moment);
    };
    tick();
    const timer = setInterval(tick, tickMilliseconds);
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [items, put]);

  return {
    run,
    now,
    position: run && positionOf(run, items, Math.max(now, run.itemStartedAt)),
    start: (go) => {
      put(startRun(monotonicNow(), go));
    },
    setGo: (go) => {
      if (current.current) put(withGo(current.current, go, items, monotonicNow()));
    },
    move: (move) => {
      if (current.current) put(moved(current.current, move, items, monotonicNow()));
    },
    put,
    forget: () => {
      forgetRun(classId);
      current.current = null;
      setRun(null);
    },
  };
}
