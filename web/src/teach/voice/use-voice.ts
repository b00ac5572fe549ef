import { clipKey, clipsWanted, utterancesOf, type Call, type Run, type TeachingVoice, type TimedItem } from '@leiter/core';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { partsNow, type Aside } from './parts-now';
import { monotonicNow } from '../run/monotonic-clock';
import { AudioClock } from '../../shared/voice/audio-clock';
import { loadClips, type ClipsProgress } from '../../shared/voice/load-clips';
import { computerVoice } from '../../shared/voice/computer-voice';
import { VoicePlayer } from '../../shared/voice/voice-player';

/**
 * `silent`: not wanted now; `loading`: clips are on their way, those that are there are said; `speaking`: all is there; `beeps`: no voice is
 * installed, or clips are missing; `blocked`: the browser gives no sound before a key or a click; `no-sound`: there is no sound device.
 */
export type VoiceState = 'silent' | 'loading' | 'speaking' | 'beeps' | 'blocked' | 'no-sound';

export interface Voice {
  readonly state: VoiceState;
  readonly progress: ClipsProgress;
  readonly isOn: boolean;
  readonly switchOn: (isOn: boolean) => void;
  /** To be called in answer to a key or a click: a browser gives no sound before. Over when there is sound, or soon. */
  readonly wake: () => Promise<void>;
  /** The sound card, where there is one: music plays on it as well. */
  readonly context: AudioContext | null;
}

const retryMilliseconds = 15_000;
/** A sound card that takes longer is not waited for. */
const mostWakeMilliseconds = 600;

interface Machine {
  readonly context: AudioContext;
  readonly clips: Map<string, AudioBuffer>;
  readonly player: VoicePlayer;
  readonly clock: AudioClock;
}

/** Speaks a class that is being taught: on the clock of the sound card, also in the background. */
export function useVoice(
  run: Run | null,
  items: readonly TimedItem[],
  settings: TeachingVoice,
  { callsOf, aside }: { readonly callsOf: (timed: TimedItem) => readonly Call[] | null; readonly aside: Aside | null },
): Voice {
  const lists = useMemo(() => utterancesOf(items, settings, callsOf), [items, settings, callsOf]);
  const wanted = useMemo(() => clipsWanted(aside ? [aside.utterances, ...lists] : lists), [lists, aside]);
  const [machine, setMachine] = useState<Machine | null>(null);
  const [isRunning, setRunning] = useState(false);
  const [isOn, switchOn] = useState(true);
  const [progress, setProgress] = useState<ClipsProgress>({ there: 0, of: wanted.length });
  const [loaded, setLoaded] = useState<Awaited<ReturnType<typeof loadClips>> | null>(null);

  useEffect(() => {
    const made = makeMachine();
    if (!made) return;
    const { context, clock, player } = made;
    const follow = (): void => {
      setRunning(context.state === 'running');
      clock.forget();
      player.hush();
    };
    context.addEventListener('statechange', follow);
    // oxlint-disable-next-line react/set-state-in-effect -- a sound card is opened once, when the page is there
    setMachine(made);
    follow();
    return () => {
      context.removeEventListener('statechange', follow);
      void context.close();
    };
  }, []);

  useEffect(() => {
    if (!machine) return;
    const stop = new AbortController();
    let again: ReturnType<typeof setTimeout> | undefined;
    const load = async (): Promise<void> => {
      const missing = wanted.filter((clip) => !machine.clips.has(clipKey(clip)));
      const found = await loadClips(
        missing,
        (file) => machine.context.decodeAudioData(file),
        (key, clip) => {
          machine.clips.set(key, clip);
        },
        ({ there }) => {
          if (!stop.signal.aborted) setProgress({ there: wanted.length - missing.length + there, of: wanted.length });
        },
        stop.signal,
      );
      if (stop.signal.aborted) return;
      setLoaded(found);
      // no answer just now: what is missing is asked for again, also while the class goes on
      if (found.isInstalled && found.missing > 0) again = setTimeout(() => void load(), retryMilliseconds);
    };
    void load();
    return () => {
      stop.abort();
      clearTimeout(again);
      setLoaded(null);
    };
  }, [machine, wanted]);

  useEffect(() => {
    machine?.player.setLoudness(settings.loudness);
  }, [machine, settings.loudness]);

  useEffect(() => {
    machine?.player.setOther(settings.nameSource === 'computer' ? computerVoice(settings.loudness) : null);
  }, [machine, settings.nameSource, settings.loudness]);

  // what the ticks look at is always the newest
  const now = useRef({ run, items, lists, aside });
  useEffect(() => {
    now.current = { run, items, lists, aside };
  });
  const isSpeaking = isOn && run !== null;
  useEffect(() => {
    if (!machine || !isSpeaking || !isRunning) return;
    const { clock, context, player } = machine;
    const ticker = new Worker(new URL('./ticker.worker.ts', import.meta.url), { type: 'module' });
    let taught = now.current.run?.itemIndex;
    const tick = (): void => {
      const moment = monotonicNow();
      clock.read(moment, context.currentTime);
      // from one item to the next nobody is on a beat
      if (now.current.run?.itemIndex !== taught) clock.settle();
      taught = now.current.run?.itemIndex;
      const parts = partsNow(now.current, (wall) => clock.audioAt(wall) ?? 0);
      if (parts) player.look(parts);
      else player.hush();
    };
    ticker.onmessage = tick;
    tick();
    return () => {
      ticker.terminate();
      player.hush();
    };
  }, [machine, isSpeaking, isRunning]);

  const wake = useCallback(async () => {
    const woken = machine?.context.resume().catch(() => undefined);
    await Promise.race([woken, new Promise((resolve) => setTimeout(resolve, mostWakeMilliseconds))]);
  }, [machine]);
  return { state: stateOf(), progress, isOn, switchOn, wake, context: machine?.context ?? null };

  function stateOf(): VoiceState {
    if (!machine) return 'no-sound';
    if (!isOn) return 'silent';
    if (run !== null && !isRunning) return 'blocked';
    if (!loaded) return 'loading';
    return loaded.isInstalled && loaded.missing === 0 ? 'speaking' : 'beeps';
  }
}

/** Null where there is no sound at all. */
function makeMachine(): Machine | null {
  try {
    const context = new AudioContext({ latencyHint: 'interactive' });
    const clips = new Map<string, AudioBuffer>();
    const player = new VoicePlayer(context, clips, (said) => {
      window.dispatchEvent(new CustomEvent('leiter-said', { detail: said }));
    });
    return { context, clips, player, clock: new AudioClock() };
  } catch {
    return null;
  }
}
