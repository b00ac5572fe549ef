import { clipKey, clipOf, type Utterance } from '@leiter/core';

/** What is needed of an audio context: the sound card, or one that a test counts by hand. */
export type SoundOut = Pick<
  BaseAudioContext,
  'currentTime' | 'createBufferSource' | 'createGain' | 'createBuffer' | 'sampleRate' | 'destination'
>;

/** Something that will be said, told as it is put on the sound card's clock. */
export interface Said {
  readonly kind: Utterance['kind'];
  readonly text: string;
  /** When it should be heard, and when it will be, in seconds of the sound card's clock. */
  readonly nominal: number;
  readonly at: number;
  readonly seconds: number;
}

/** What is said in one item, and when that item's clock stood at nought, in seconds of the sound card's clock. */
export interface Part {
  /** Another name is another pass: what was said of the one is not yet said of the other. */
  readonly name: string;
  readonly zero: number;
  readonly utterances: readonly Utterance[];
}

/** Looked so far ahead: a page that is busy or kept waiting for two thirds of a second makes nothing late. What is on the clock can be taken off. */
const aheadSeconds = 0.7;
/** Moved by less, the item's clock is the same: readings of two clocks differ by some milliseconds. */
const sameSeconds = 0.03;
/** A hair of silence between two: a beat bends by less where the clocks move against each other. */
const gapSeconds = 0.02;
/** A clip that is a little too long is played so much faster at most. */
const mostRate = 1.3;

/** A voice of the computer, for what is not on a beat. */
export interface OtherVoice {
  /** @returns false where it says nothing: then a clip is played */
  readonly say: (text: string, inSeconds: number) => boolean;
  readonly hush: () => void;
}

interface Planned {
  readonly source: AudioBufferSourceNode;
  readonly at: number;
  readonly end: number;
}

/** Puts what is said on the clock of the sound card, a moment ahead; never two at once. */
export class VoicePlayer {
  private readonly loudness: GainNode;
  private readonly beat: AudioBuffer;
  private readonly call: AudioBuffer;
  /** Of each part: when its clock stood at nought, and until when, on that clock, all was said. */
  private places = new Map<string, { readonly zero: number; readonly until: number }>();
  private planned: Planned[] = [];
  private other: OtherVoice | null = null;

  constructor(
    private readonly out: SoundOut,
    private readonly clips: ReadonlyMap<string, AudioBuffer>,
    private readonly onSaid: (said: Said) => void = () => undefined,
  ) {
    this.loudness = out.createGain();
    this.loudness.connect(out.destination);
    this.beat = tone(out, [1100], 0.05);
    this.call = tone(out, [620, 880], 0.22);
  }

  setLoudness(loudness: number): void {
    this.loudness.gain.value = loudness;
  }

  /** Lets another voice say names and cues; null for none. */
  setOther(other: OtherVoice | null): void {
    this.other?.hush();
    this.other = other;
  }

  /** Puts on the clock what begins within the next moment; called again and again. */
  look(parts: readonly Part[]): void {
    const now = this.out.currentTime;
    this.planned = this.planned.filter(({ end }) => end > now);
    for (const { name, zero, utterances } of parts) {
      const kept = this.places.get(name);
      const isSame = kept !== undefined && Math.abs(kept.zero - zero) <= sameSeconds;
      // the item began anew, went on after a pause, or its work began by hand
      if (kept && !isSame) this.hush();
      // by time, not by place in the list: the plan may be changed while it is taught
      let until = isSame ? kept.until : -Infinity;
      for (const one of utterances) {
        const nominal = zero + one.at;
        if (nominal > now + aheadSeconds) break;
        if (one.at <= until) continue;
        until = one.at;
        if (now - nominal <= one.keepFor) this.say(one, nominal, Math.max(now, nominal));
      }
      // the two clocks drift apart by a hair: that is followed
      this.places.set(name, { zero, until });
    }
    const known = new Set(parts.map(({ name }) => name));
    for (const name of this.places.keys()) if (!known.has(name)) this.places.delete(name);
  }

  /** Says nothing more of what is on the clock already, and stops what is being said. */
  hush(): void {
    for (const { source } of this.planned) source.stop();
    this.other?.hush();
    this.planned = [];
    this.places = new Map();
  }

  private say(one: Utterance, nominal: number, at: number): void {
    const clip = one.text === '' ? this.beat : (this.clips.get(clipKey(clipOf(one))) ?? (one.kind === 'count' ? this.beat : this.call));
    const canWait = one.kind === 'cue' || one.kind === 'name' || one.kind === 'next' || one.kind === 'half';
    const isBusy = this.planned.some((other) => other.end > at + 0.005);
    // what came late is still being said: what can wait gives way
    if (isBusy && canWait) return;
    if (canWait && this.other?.say(one.text, at - this.out.currentTime)) {
      this.onSaid({ kind: one.kind, text: one.text, nominal, at, seconds: one.most });
      return;
    }
    // a cue gives way to a count
    if (!canWait) this.other?.hush();
    for (const other of this.planned) if (other.end > at) other.source.stop(at);
    this.planned = this.planned.map((other) => ({ ...other, end: Math.min(other.end, at) }));
    const room = Math.max(0.03, nominal + one.most - at - gapSeconds);
    const rate = Math.min(mostRate, Math.max(1, clip.duration / room));
    const source = this.out.createBufferSource();
    source.buffer = clip;
    source.playbackRate.value = rate;
    source.connect(this.loudness);
    source.start(at);
    const seconds = Math.min(room, clip.duration / rate);
    source.stop(at + seconds);
    this.planned.push({ source, at, end: at + seconds });
    this.onSaid({ kind: one.kind, text: one.text, nominal, at, seconds });
  }
}

/** Tones one after the other, faded at both ends. */
function tone(out: SoundOut, hertz: readonly number[], seconds: number): AudioBuffer {
  const buffer = out.createBuffer(1, Math.ceil(out.sampleRate * seconds), out.sampleRate);
  const samples = buffer.getChannelData(0);
  samples.forEach((_, index) => {
    const share = index / samples.length;
    const pitch = hertz[Math.floor(share * hertz.length)] ?? 0;
    samples[index] = 0.5 * Math.sin((2 * Math.PI * pitch * index) / out.sampleRate) * Math.min(1, share * 20, (1 - share) * 4);
  });
  return buffer;
}
