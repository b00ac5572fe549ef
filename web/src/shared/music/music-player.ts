import { strokesBetween, type Drum, type Metre } from '@leiter/core';
import type { StretchNode } from 'signalsmith-stretch';

/** What is played: a file, or a beat of our own. */
export type MusicSource =
  | { readonly kind: 'file'; readonly id: string; readonly sound: AudioBuffer; readonly bpm: number | null; readonly firstBeat: number }
  | { readonly kind: 'beat'; readonly bpm: number; readonly metre: Metre };

/** How it is to be now. */
export interface MusicWanted {
  /** Another key begins it anew. */
  readonly key: string;
  readonly source: MusicSource;
  /** Where it should be, in seconds of the music at its own pace, when it begins. */
  readonly second: number;
  /** 1 is its own pace; slower and quicker at the same pitch. */
  readonly rate: number;
  /** Only these seconds again and again; null for all of it. */
  readonly loop: { readonly from: number; readonly to: number } | null;
}

/** Strokes are put on the clock so far ahead: the timers of a page in the background come once a second. */
const aheadSeconds = 1.3;
const fadeSeconds = 0.06;
/** While something is said the music is this loud. */
const underVoice = 0.28;

interface Playing {
  readonly wanted: MusicWanted;
  /** Of the sound card's clock, when it was at `second`. */
  readonly since: number;
  readonly second: number;
  readonly stop: () => void;
}

/** Plays the music of a class on the sound card's clock, beneath the voice. */
export class MusicPlayer {
  private readonly loudness: GainNode;
  private readonly under: GainNode;
  private readonly drums: Readonly<Record<Drum, AudioBuffer>>;
  private playing: Playing | null = null;
  private strokesUntil = 0;
  private strokes: AudioBufferSourceNode[] = [];
  private stretch: { readonly id: string; readonly node: Promise<StretchNode> } | null = null;

  constructor(private readonly context: AudioContext) {
    this.loudness = context.createGain();
    this.under = context.createGain();
    this.under.connect(this.loudness).connect(context.destination);
    this.drums = makeDrums(context);
  }

  setLoudness(loudness: number): void {
    this.loudness.gain.setTargetAtTime(loudness, this.context.currentTime, 0.02);
  }

  /** Where the music is, in seconds of the music; null while nothing plays. */
  get second(): number | null {
    const { playing } = this;
    if (!playing) return null;
    const { wanted, since, second } = playing;
    const at = second + Math.max(0, this.context.currentTime - since) * wanted.rate;
    return wanted.source.kind === 'file' ? inside(at, wanted.loop ?? { from: 0, to: wanted.source.sound.duration }) : at;
  }

  /** Something is said: the music gives way. Moments of the sound card's clock. */
  giveWay(at: number, seconds: number): void {
    const { gain } = this.under;
    gain.setTargetAtTime(underVoice, Math.max(0, at - 0.08), 0.03);
    gain.setTargetAtTime(1, at + seconds + 0.1, 0.15);
  }

  /** Called again and again: what is wanted plays, and nothing else. Null for silence. */
  look(wanted: MusicWanted | null): void {
    if (!wanted) {
      this.stop();
      return;
    }
    const { playing } = this;
    const isSame = playing?.wanted.key === wanted.key && isSameSource(playing.wanted.source, wanted.source);
    if (!isSame) {
      this.stop();
      this.begin(wanted, wanted.second);
    } else if (playing.wanted.rate !== wanted.rate || !isSameLoop(playing.wanted.loop, wanted.loop)) {
      // goes on where it is, in another way
      const at = this.second ?? wanted.second;
      this.stop();
      this.begin(wanted, at);
    }
    if (wanted.source.kind === 'beat') this.beat(wanted.source, wanted.rate);
  }

  stop(): void {
    this.playing?.stop();
    this.playing = null;
    for (const stroke of this.strokes) stroke.stop();
    this.strokes = [];
  }

  private begin(wanted: MusicWanted, second: number): void {
    const since = this.context.currentTime + 0.02;
    const { source } = wanted;
    if (source.kind === 'beat') {
      this.strokesUntil = second;
      this.playing = { wanted, since, second, stop: () => undefined };
      return;
    }
    const loop = wanted.loop ?? { from: 0, to: source.sound.duration };
    const from = inside(second, loop);
    const stop = wanted.rate === 1 ? this.plain(source, since, from, loop) : this.stretched(source, since, from, loop, wanted.rate);
    this.playing = { wanted, since, second: from, stop };
  }

  /** At its own pace nothing is done to the sound. */
  private plain(source: FileSource, since: number, from: number, loop: Loop): () => void {
    const node = this.context.createBufferSource();
    const fade = this.context.createGain();
    node.buffer = source.sound;
    node.loop = true;
    node.loopStart = loop.from;
    node.loopEnd = loop.to;
    node.connect(fade).connect(this.under);
    node.start(since, from);
    return () => {
      const now = this.context.currentTime;
      fade.gain.setTargetAtTime(0, now, fadeSeconds / 4);
      node.stop(now + fadeSeconds);
    };
  }

  /** Slower or quicker at the same pitch (signalsmith-stretch, on the sound card's own thread). */
  private stretched(source: FileSource, since: number, from: number, loop: Loop, rate: number): () => void {
    let isOver = false;
    void this.stretchFor(source).then(
      (node) => {
        if (isOver) return;
        // it takes a moment to be made: what has passed meanwhile has passed
        const late = Math.max(0, this.context.currentTime + 0.05 - since);
        void node.schedule({
          output: since + late,
          active: true,
          input: inside(from + late * rate, loop),
          rate,
          loopStart: loop.from,
          loopEnd: loop.to,
        });
      },
      // a browser that cannot stretch plays it as it is
      () => {
        if (!isOver && this.playing) this.playing = { ...this.playing, stop: this.plain(source, this.context.currentTime, from, loop) };
      },
    );
    return () => {
      isOver = true;
      void this.stretch?.node.then(
        (node) => node.schedule({ output: this.context.currentTime, active: false }),
        () => undefined,
      );
    };
  }

  private stretchFor({ id, sound }: FileSource): Promise<StretchNode> {
    if (this.stretch?.id !== id) {
      const make = async (): Promise<StretchNode> => {
        const [{ default: Stretch }, { default: url }] = await Promise.all([
          import('signalsmith-stretch'),
          import('signalsmith-stretch?url'),
        ]);
        Stretch.moduleUrl = url;
        const node = await Stretch(this.context, { outputChannelCount: [2] });
        const left = sound.getChannelData(0).slice();
        await node.addBuffers([left, sound.numberOfChannels > 1 ? sound.getChannelData(1).slice() : left.slice()]);
        node.connect(this.under);
        return node;
      };
      void this.stretch?.node.then(
        (node) => {
          node.disconnect();
        },
        () => undefined,
      );
      this.stretch = { id, node: make() };
    }
    return this.stretch.node;
  }

  private beat({ bpm, metre }: BeatSource, rate: number): void {
    const { playing, context } = this;
    if (!playing) return;
    const { since, second } = playing;
    const until = second + (context.currentTime + aheadSeconds - since) * rate;
    for (const { at, drum } of strokesBetween(bpm, metre, this.strokesUntil, until)) {
      const moment = since + (at - second) / rate;
      if (moment < context.currentTime - 0.02) continue;
      const node = context.createBufferSource();
      node.buffer = this.drums[drum];
      node.connect(this.under);
      node.start(Math.max(context.currentTime, moment));
      node.onended = () => {
        this.strokes = this.strokes.filter((one) => one !== node);
      };
      this.strokes.push(node);
    }
    this.strokesUntil = Math.max(this.strokesUntil, until);
  }
}

type FileSource = Extract<MusicSource, { kind: 'file' }>;
type BeatSource = Extract<MusicSource, { kind: 'beat' }>;
interface Loop {
  readonly from: number;
  readonly to: number;
}

/** A moment of music that goes round: the one it is, within what is played. */
function inside(second: number, { from, to }: Loop): number {
  const length = to - from;
  if (second < from || length <= 0) return from;
  return second < to ? second : from + ((second - from) % length);
}

function isSameSource(a: MusicSource, b: MusicSource): boolean {
  if (a.kind === 'file') return b.kind === 'file' && a.id === b.id;
  return b.kind === 'beat' && a.bpm === b.bpm && a.metre === b.metre;
}

const isSameLoop = (a: Loop | null, b: Loop | null): boolean => a?.from === b?.from && a?.to === b?.to;

/** Eight beats of a file from the one that plays now; where no beat is known, eight at 120 a minute. */
export function eightAt({ sound, bpm, firstBeat }: FileSource, second: number): Loop {
  const beat = 60 / (bpm ?? 120);
  const from = Math.max(0, firstBeat + Math.floor((second - firstBeat) / (8 * beat)) * 8 * beat);
  return { from, to: Math.min(sound.duration, from + 8 * beat) };
}

/** A low drum, a high one and a tick, made and not recorded. */
function makeDrums(context: Pick<BaseAudioContext, 'createBuffer' | 'sampleRate'>): Readonly<Record<Drum, AudioBuffer>> {
  const make = (seconds: number, sample: (t: number, noise: number) => number): AudioBuffer => {
    const buffer = context.createBuffer(1, Math.ceil(seconds * context.sampleRate), context.sampleRate);
    const samples = buffer.getChannelData(0);
    // the same noise every time: a drum sounds alike at each stroke
    let state = 1;
    samples.forEach((_, index) => {
      state = (state * 48_271) % 2_147_483_647;
      const t = index / context.sampleRate;
      samples[index] = sample(t, (state / 2_147_483_647) * 2 - 1) * Math.min(1, (seconds - t) * 200);
    });
    return buffer;
  };
  return {
    low: make(0.28, (t) => 0.9 * Math.sin(2 * Math.PI * (48 * t + 9 * (1 - Math.exp(-t * 28)))) * Math.exp(-t * 14)),
    high: make(0.16, (t, noise) => (0.4 * noise + 0.3 * Math.sin(2 * Math.PI * 190 * t)) * Math.exp(-t * 26)),
    tick: make(0.05, (t, noise) => 0.22 * noise * Math.exp(-t * 90)),
  };
}
