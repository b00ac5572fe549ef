import { clipsWanted, countsOf, playPhrase, wholeGroups, type Phrase, type PhrasePractice } from '@leiter/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { loadClips } from '../voice/load-clips';
import { VoicePlayer } from '../voice/voice-player';

/** Enough for a quarter of an hour of an eight; nobody practises longer without a word. */
const mostRows = 2000;
const tickMilliseconds = 40;

export interface Practice {
  readonly isOn: boolean;
  /** The row that is done now; null in the count-in and when nothing is played. */
  readonly row: number | null;
  /** Where there is no sound to be had. */
  readonly isSilent: boolean;
  /** Where in the phrase the sound is, in counts from its beginning, below 0 in the count-in; null when nothing is played. */
  readonly countNow: () => number | null;
  readonly start: (what: Omit<PhrasePractice, 'passes'>) => void;
  readonly stop: () => void;
}

/** Says a phrase with its words and counts again and again, on the clock of the sound card, and which row it is at. */
export function usePractice(phrase: Phrase | null): Practice {
  const [isOn, setOn] = useState(false);
  const [row, setRow] = useState<number | null>(null);
  const [isSilent, setSilent] = useState(false);
  const ending = useRef<(() => void) | null>(null);
  const clock = useRef<(() => number) | null>(null);

  const stop = useCallback(() => {
    ending.current?.();
    ending.current = null;
    clock.current = null;
    setOn(false);
    setRow(null);
  }, []);
  // another phrase, or the same to the other side, begins anew
  useEffect(() => stop, [phrase, stop]);

  const start = ({ bpm, segment, voice }: Omit<PhrasePractice, 'passes'>): void => {
    stop();
    if (!phrase) return;
    const chosen = segment === null ? null : phrase.segments[segment];
    const rows = chosen ? chosen.to - chosen.from : phrase.rows.length;
    const play = playPhrase(phrase, {
      bpm,
      segment,
      ...(voice ? { voice } : {}),
      passes: Math.max(1, Math.floor(mostRows / Math.max(1, rows))),
    });
    const gone = new AbortController();
    const context = newContext();
    setSilent(context === null);
    if (!context) return;
    setOn(true);
    ending.current = () => {
      gone.abort();
      void context.close();
    };
    const clips = new Map<string, AudioBuffer>();
    const player = new VoicePlayer(context, clips, (said) => {
      window.dispatchEvent(new CustomEvent('leiter-said', { detail: said }));
    });
    const begin = async (): Promise<void> => {
      await loadClips(
        clipsWanted([play.utterances]),
        (file) => context.decodeAudioData(file),
        (key, clip) => {
          clips.set(key, clip);
        },
        () => undefined,
        gone.signal,
      );
      if (gone.signal.aborted) return;
      await context.resume();
      const zero = context.currentTime + 0.15;
      const some = phrase.rows.slice(chosen?.from ?? 0, chosen?.to ?? phrase.rows.length);
      const begins = Math.floor(some[0]?.at ?? 0);
      const passCounts = wholeGroups(countsOf(some) - begins, phrase.beats);
      clock.current = () => {
        const counts = ((context.currentTime - zero) * bpm) / 60 - phrase.countIn;
        return counts < 0 ? begins + counts : begins + (counts % passCounts);
      };
      let at = -1;
      const timer = setInterval(() => {
        const now = context.currentTime - zero;
        player.look([{ name: 'phrase', zero, utterances: play.utterances }]);
        while ((play.rows[at + 1]?.at ?? Infinity) <= now) at += 1;
        setRow(play.rows[at]?.row ?? null);
        if (now > play.seconds) stop();
      }, tickMilliseconds);
      gone.signal.addEventListener('abort', () => {
        clearInterval(timer);
      });
    };
    void begin();
  };
  const countNow = useCallback(() => clock.current?.() ?? null, []);
  return { isOn, row, isSilent, countNow, start, stop };
}

function newContext(): AudioContext | null {
  try {
    return new AudioContext({ latencyHint: 'interactive' });
  } catch {
    return null;
  }
}
