import { practiceAt, practiceCues, practiceSeconds, practiceSteps, type PracticeStep, type Side } from '@leiter/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { i18n } from '../shared/texts';
import { computerVoice } from '../shared/voice/computer-voice';

/** Where a practice is; no step where it is over. */
export interface PracticeRun {
  readonly step: PracticeStep | null;
  /** Whole seconds that are left of the step. */
  readonly left: number;
  readonly isPaused: boolean;
  readonly pause: () => void;
  readonly goOn: () => void;
}

const tickMilliseconds = 100;

/** Goes through the steps by the clock, and says what is counted. @param say the words with which a step begins; null says nothing */
export function usePracticeRun(
  dose: Parameters<typeof practiceSteps>[0],
  sides: Parameters<typeof practiceSteps>[1],
  leadSide: Side,
  say: (step: PracticeStep | 'over') => string | null,
): PracticeRun {
  const steps = useMemo(() => practiceSteps(dose, sides, leadSide), [dose, sides, leadSide]);
  const [at, setAt] = useState(0);
  const [isPaused, setPaused] = useState(false);
  const total = practiceSeconds(steps);
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
  const cues = useMemo(() => practiceCues(steps), [steps]);
  useEffect(() => {
    const due = cues.findLastIndex((cue) => cue.at <= at);
    const cue = cues[due];
    if (!cue || due <= said.current || isPaused) return;
    said.current = due;
    const words = cue.number === null ? latest.current(cue.step) : String(cue.number);
    if (words === null) return;
    const voice = computerVoice(1, i18n.locale);
    voice?.hush();
    voice?.say(words, 0);
  }, [at, cues, isPaused]);
  useEffect(
    () => () => {
      computerVoice(1, i18n.locale)?.hush();
    },
    [],
  );
  const now = practiceAt(steps, at);
  return {
    step: now?.step ?? null,
    left: now?.left ?? 0,
    isPaused,
    pause: () => {
      setPaused(true);
      computerVoice(1, i18n.locale)?.hush();
    },
    goOn: () => {
      setPaused(false);
    },
  };
}
