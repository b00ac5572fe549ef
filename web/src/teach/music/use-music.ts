import { musicNow, type MusicStop, type Run, type TimedItem, type Track } from '@leiter/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { MusicPlayer, eightAt, type MusicSource, type MusicWanted } from '../../shared/music/music-player';
import { bytesOf, trackFor, type OwnTrack } from '../../shared/music/music-store';
import { useOwnTracks } from '../../shared/music/use-own-tracks';
import type { Said } from '../../shared/voice/voice-player';
import { monotonicNow } from '../run/monotonic-clock';

const tickMilliseconds = 250;
/** Where nobody says a tempo: brisk walking. */
const usualBpm = 112;
export const rates = [0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.1, 1.2] as const;

/** What plays on the spot, whatever the plan says. */
export type Chosen =
  { readonly kind: 'file'; readonly id: string } | { readonly kind: 'beat'; readonly bpm: number; readonly metre: 2 | 3 | 4 | 6 };

export interface Music {
  readonly tracks: readonly OwnTrack[];
  /** What plays, in words of the plan or the file; null in silence. */
  readonly playing: string | null;
  /** What the plan wants and this browser has not: a beat stands for it where its tempo is known. */
  readonly missing: Track | null;
  readonly isOn: boolean;
  readonly switchOn: (isOn: boolean) => void;
  readonly rate: number;
  readonly setRate: (rate: number) => void;
  readonly loudness: number;
  readonly setLoudness: (loudness: number) => void;
  readonly isEight: boolean;
  /** Eight beats again and again from where it is, or all of it. */
  readonly setEight: (isEight: boolean) => void;
  readonly chosen: Chosen | null;
  readonly choose: (chosen: Chosen | null) => void;
}

/** A round in which the music stops: when it began, and when it stops. */
export interface StoppingMusic {
  /** In milliseconds of the page’s clock. */
  readonly startsAt: number;
  readonly stops: readonly MusicStop[];
}

/** The music of a class: that of the plan where the class is, or what is chosen on the spot. */
export function useMusic(
  context: AudioContext | null,
  run: Run | null,
  items: readonly TimedItem[],
  stopping: StoppingMusic | null,
): Music {
  const tracks = useOwnTracks();
  const [sounds, setSounds] = useState<ReadonlyMap<string, AudioBuffer>>(new Map());
  const [isOn, switchOn] = useState(true);
  const [rate, setRate] = useState(1);
  const [loudness, setLoudness] = useState(0.7);
  const [loop, setLoop] = useState<MusicWanted['loop']>(null);
  const [chosen, setChosen] = useState<(Chosen & { readonly since: number }) | null>(null);
  const [playing, setPlaying] = useState<string | null>(null);
  const player = useMemo(() => (context ? new MusicPlayer(context) : null), [context]);

  // what the plan plays is decoded before it is needed, one after the other
  const planned = useMemo(() => {
    const wanted = items.flatMap(({ item, section }) => [item.music, section.music]).filter((track) => track !== undefined);
    return [...new Set(wanted.map((track) => trackFor(track, tracks)?.id))].filter((id) => id !== undefined);
  }, [items, tracks]);
  const chosenId = chosen?.kind === 'file' ? chosen.id : null;
  const needed = useMemo(() => [...(chosenId === null ? [] : [chosenId]), ...planned], [chosenId, planned]);
  const known = useRef(new Set<string>());
  useEffect(() => {
    if (!context) return;
    let isOver = false;
    const load = async (): Promise<void> => {
      for (const id of needed) {
        if (isOver || known.current.has(id)) continue;
        const bytes = await bytesOf(id);
        const sound = bytes && (await context.decodeAudioData(bytes).catch(() => null));
        if (!sound) continue;
        known.current.add(id);
        setSounds((before) => new Map([...before, [id, sound]]));
      }
    };
    void load();
    return () => {
      isOver = true;
    };
  }, [context, needed]);

  useEffect(() => {
    player?.setLoudness(loudness);
  }, [player, loudness]);
  useEffect(() => {
    if (!player) return;
    const giveWay = (event: Event): void => {
      const { at, seconds } = (event as CustomEvent<Said>).detail; // our own event
      player.giveWay(at, seconds);
    };
    window.addEventListener('leiter-said', giveWay);
    return () => {
      window.removeEventListener('leiter-said', giveWay);
      player.stop();
    };
  }, [player]);

  const timed = run ? items[run.itemIndex] : undefined;
  const track = timed?.item.music ?? timed?.section.music ?? null;
  const own = track && trackFor(track, tracks);
  const latest = useRef({ run, items, tracks, sounds, isOn, rate, loop, chosen, stopping });
  useEffect(() => {
    latest.current = { run, items, tracks, sounds, isOn, rate, loop, chosen, stopping };
  });
  const isRunning = player !== null && (run !== null || chosen !== null);
  useEffect(() => {
    if (!isRunning) return;
    const ticker = new Worker(new URL('../voice/ticker.worker.ts', import.meta.url), { type: 'module' });
    let last = 0;
    const tick = (): void => {
      const now = monotonicNow();
      if (now - last < tickMilliseconds) return;
      last = now;
      const wanted = wantedNow(latest.current, now);
      player.look(wanted?.music ?? null);
      setPlaying(wanted?.name ?? null);
    };
    ticker.onmessage = tick;
    return () => {
      ticker.terminate();
      player.stop();
    };
  }, [player, isRunning]);

  const sourceNow = (): MusicSource | null => wantedNow(latest.current, monotonicNow())?.music.source ?? null;
  return {
    tracks,
    playing,
    missing: track && !own && track.name !== '' && isOn && !chosen ? track : null,
    isOn,
    switchOn,
    rate,
    setRate,
    loudness,
    setLoudness,
    isEight: loop !== null,
    setEight: (isEight) => {
      const source = isEight ? sourceNow() : null;
      setLoop(source?.kind === 'file' ? eightAt(source, player?.second ?? 0) : null);
    },
    chosen,
    choose: (next) => {
      setLoop(null);
      setChosen(next && { ...next, since: monotonicNow() });
    },
  };
}

interface State {
  readonly run: Run | null;
  readonly items: readonly TimedItem[];
  readonly tracks: readonly OwnTrack[];
  readonly sounds: ReadonlyMap<string, AudioBuffer>;
  readonly isOn: boolean;
  readonly rate: number;
  readonly loop: MusicWanted['loop'];
  readonly chosen: (Chosen & { readonly since: number }) | null;
  readonly stopping: StoppingMusic | null;
}

/** What is to sound at a moment; null in silence: paused, stopped, not loaded yet, or none is wanted. */
function wantedNow(
  { run, items, tracks, sounds, isOn, rate, loop, chosen, stopping }: State,
  now: number,
): { readonly music: MusicWanted; readonly name: string | null } | null {
  if (!isOn || (run !== null && run.pausedAt !== null)) return null;
  const fileOf = (track: OwnTrack | null | undefined): MusicSource | null => {
    const sound = track && sounds.get(track.id);
    return sound ? { kind: 'file', id: track.id, sound, bpm: track.bpm, firstBeat: track.firstBeat } : null;
  };
  const round = stopping && (now - stopping.startsAt) / 1000;
  if (round !== null && (round < 0 || stopping?.stops.some(({ at, until }) => round >= at && round < until))) return null;
  if (chosen) {
    const file = chosen.kind === 'file' ? tracks.find(({ id }) => id === chosen.id) : null;
    const source: MusicSource | null = chosen.kind === 'beat' ? { kind: 'beat', bpm: chosen.bpm, metre: chosen.metre } : fileOf(file);
    return (
      source && {
        music: { key: `own ${String(chosen.since)}`, source, second: ((now - chosen.since) / 1000) * rate, rate, loop },
        name: file?.name ?? null,
      }
    );
  }
  if (!run) return null;
  const planned = musicNow(run, items, now);
  if (round !== null && stopping && !planned) {
    const source: MusicSource = { kind: 'beat', bpm: usualBpm, metre: 4 };
    return { music: { key: `round ${String(stopping.startsAt)}`, source, second: round * rate, rate, loop: null }, name: null };
  }
  if (!planned || planned.isStill) return null;
  const { key, track, second } = planned;
  const own = track && trackFor(track, tracks);
  const bpm = track ? track.bpm : usualBpm;
  const beat: MusicSource | null = bpm === null ? null : { kind: 'beat', bpm, metre: 4 };
  // a file that is still being read is waited for; one that is not there has a beat in its place
  const source = own ? fileOf(own) : beat;
  return source && { music: { key, source, second: second * rate, rate, loop }, name: track && track.name !== '' ? track.name : null };
}
