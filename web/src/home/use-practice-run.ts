import { practiceSteps, type PracticeStep } from '@leiter/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { computerVoice } from '../shared/voice/computer-voice';

/** Where a practice is. */
export interface PracticeRun {
  readonly step: PracticeStep | null;
  /** Whole seconds that are left of the step. */
  readonly left: number;
  readonly isPaused: boolean;
  readonly isOver: boolean;
  readonly pause: () => void;
  readonly goOn: () => void;
}

const tickMilliseconds = 100;

/** Goes through the steps by the clock, and says what is counted. @param say the words with which a step begins; null says nothing */
export function usePracticeRun(
  dose: Parameters<typeof practiceSteps>[0],
  sides: Parameters<typeof practiceSteps>[1],
  leadSide: 'left' | 'right',
  say: (step: PracticeStep | 'over') => string | null,
): PracticeRun {
  const steps = useMemo(() => practiceSteps(dose, sides, leadSide), [dose, sides, leadSide]);
  const [at, setAt] = useState(0);
  const [isPaused, setPaused] = useState(false);
  const total = steps.reduce((sum, { seconds }) => sum + seconds, 0);
  const said = useRef(-1);
  const latest = useRef(say);
  useEffect(() => {
    latest.current = say;
  });
  useEffect(() => {
    if (isPaused) return;
    // what has gone since the last tick, by the clock: a page that sleeps does not count
    let before = performance.now();
    const timer = setInterval(() => {
      const now = performance.now();
      const gone = Math.min(1, (now - before) / 1000);
      before = now;
      setAt((seconds) => Math.min(total, seconds + gone));
    }, tickMilliseconds);
    return () => {
      clearInterval(timer);
    };
  }, [isPaused, total]);
  const cues = useMemo(() => {
    let from = 0;
    const all = steps.flatMap((step) => {
      const start = from;
      from += step.seconds;
      return [{ at: start, step, number: null }, ...step.counts.map((count) => ({ at: start + count.at, step, number: count.number }))];
    });
    return [...all, { at: from, step: 'over' as const, number: null }];
  }, [steps]);
  useEffect(() => {
    const due = cues.findLastIndex((cue) => cue.at <= at);
    if (due <= said.current || isPaused) return;
    said.current = due;
    const cue = cues[due];
    if (!cue) return;
    // where a step begins with a count, its words are said in place of the number
    const opening = cues.slice(0, due + 1).findLast(({ number }) => number === null);
    const isOpening = opening !== undefined && cue.at === opening.at;
    const words = isOpening ? latest.current(opening.step) : String(cue.number);
    if (words === null) return;
    const voice = computerVoice(1);
    voice?.hush();
    voice?.say(words, 0);
  }, [at, cues, isPaused]);
  useEffect(
    () => () => {
      computerVoice(1)?.hush();
    },
    [],
  );
  let start = 0;
  const step = steps.find(({ seconds }) => {
    const isHere = at < start + seconds;
    if (!isHere) start += seconds;
    return isHere;
  });
  return {
    step: step ?? null,
    left: step ? Math.max(1, Math.ceil(start + step.seconds - at)) : 0,
    isPaused,
    isOver: !step,
    pause: () => {
      setPaused(true);
      computerVoice(1)?.hush();
    },
    goOn: () => {
      setPaused(false);
    },
  };
}
