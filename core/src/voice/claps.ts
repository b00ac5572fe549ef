import type { Seconds } from '../values/unit.js';

export const clapSettings = {
  /** One value of loudness for so many seconds of sound. */
  hopSeconds: 0.005,
  /** Two claps are so far apart. */
  gap: { least: 0.2, most: 0.6 },
  /** Before the first and after the second nothing like a clap is heard: what goes on and on is music. */
  quietBefore: 0.7,
  quietAfter: 0.62,
  /** A clap is so much louder than the room, in decibels, … */
  overRoom: 11,
  /** … comes so suddenly, … */
  rise: 12,
  /** … is over as soon, … */
  decay: 9,
  decayAfter: { from: 0.07, to: 0.13 },
  /** … and has at most so much more of low tones than of high ones: a foot on the floor has more. */
  lowOverHigh: 4,
  /** The two are about as loud as one another. */
  alike: 8,
  /** What is so much less loud than they are stands in nobody's way. */
  besides: 3,
  /** Quieter than this, in decibels below the loudest that a microphone takes, nothing is a clap. */
  least: -42,
  /** The room is what was heard in so many seconds. */
  roomSeconds: 3,
  /** Above this tone sound is high, below the other it is low, in hertz. */
  highFrom: 1800,
  lowTo: 350,
} as const;

const { hopSeconds, gap, quietBefore, quietAfter, overRoom, rise, decay, decayAfter, lowOverHigh, alike, besides, least, roomSeconds } =
  clapSettings;

/** Two onsets so near to each other are one sound. */
const sameSeconds = 0.09;

const decibels = (power: number): number => 10 * Math.log10(power + 1e-12);

/** One stage of a filter of the second order (R. Bristow-Johnson, Cookbook formulae for audio EQ biquad filter coefficients; Q = 1/√2). */
class Filter {
  private readonly b: readonly [number, number, number];
  private readonly a: readonly [number, number];
  private x1 = 0;
  private x2 = 0;
  private y1 = 0;
  private y2 = 0;

  constructor(kind: 'high' | 'low', hertz: number, rate: number) {
    const w = (2 * Math.PI * hertz) / rate;
    const alpha = Math.sin(w) / Math.SQRT2;
    const c = Math.cos(w);
    const side = kind === 'high' ? 1 + c : 1 - c;
    const a0 = 1 + alpha;
    this.b = [side / 2 / a0, ((kind === 'high' ? -1 : 1) * side) / a0, side / 2 / a0];
    this.a = [(-2 * c) / a0, (1 - alpha) / a0];
  }

  next(x: number): number {
    const y = this.b[0] * x + this.b[1] * this.x1 + this.b[2] * this.x2 - this.a[0] * this.y1 - this.a[1] * this.y2;
    this.x2 = this.x1;
    this.x1 = x;
    this.y2 = this.y1;
    this.y1 = y;
    return y;
  }
}

interface Onset {
  readonly at: Seconds;
  readonly level: number;
  /** False for what is as sudden and as loud, and no clap: it stands in the way of a pair. */
  readonly isClap: boolean;
}

/**
 * Hears two claps in what a microphone takes, and nothing else: not speech, not music, not feet. Sound goes in as it comes; nothing of it is
 * kept but its loudness, hop by hop. The room is measured in the first seconds and from then on.
 */
export class ClapListener {
  private readonly high: Filter;
  private readonly low: Filter;
  private readonly hop: number;
  private highSum = 0;
  private lowSum = 0;
  private count = 0;
  /** Loudness in decibels, the last hops: as many as the room is measured in. */
  private readonly highs: number[] = [];
  private readonly lows: number[] = [];
  private hops = 0;
  private room = 0;
  private onsets: Onset[] = [];
  /** The last onset of which is known whether it ends a pair. */
  private judged: Seconds = -1;

  /** @param rate samples a second */
  constructor(rate: number) {
    this.high = new Filter('high', clapSettings.highFrom, rate);
    this.low = new Filter('low', clapSettings.lowTo, rate);
    this.hop = Math.round(rate * hopSeconds);
  }

  /** Whether the room has been measured. */
  get isReady(): boolean {
    return this.hops * hopSeconds >= roomSeconds;
  }

  /** @returns the seconds of sound, from its beginning, at which the second of two claps fell; null where there are none */
  hear(samples: Float32Array): Seconds | null {
    let heard: Seconds | null = null;
    for (const sample of samples) {
      const high = this.high.next(sample);
      const low = this.low.next(sample);
      this.highSum += high * high;
      this.lowSum += low * low;
      this.count += 1;
      if (this.count < this.hop) continue;
      heard = this.ended(decibels(this.highSum / this.count), decibels(this.lowSum / this.count)) ?? heard;
      this.highSum = this.lowSum = this.count = 0;
    }
    return heard;
  }

  private ended(high: number, low: number): Seconds | null {
    const most = Math.round(roomSeconds / hopSeconds);
    this.highs.push(high);
    this.lows.push(low);
    if (this.highs.length > most) {
      this.highs.shift();
      this.lows.shift();
    }
    this.hops += 1;
    if (this.hops % 20 === 0) this.room = quantile(this.highs, 0.9);
    if (!this.isReady) return null;
    this.look();
    return this.pair();
  }

  /** Looks at the hop whose end can be seen by now: did something begin there? */
  private look(): void {
    const until = Math.round(decayAfter.to / hopSeconds);
    const at = this.highs.length - 1 - until;
    const level = this.highs[at] ?? -Infinity;
    const isPeak = [1, 2, 3].every((by) => (this.highs[at - by] ?? -Infinity) < level && (this.highs[at + by] ?? -Infinity) <= level);
    if (!isPeak || level < least) return;
    const before = Math.max(...this.highs.slice(Math.max(0, at - 10), at - 3));
    // as loud as a clap, or nearly: too slow, too long or too deep it stands in the way
    if (level - this.room < overRoom - 4 || level - before < rise - 5) return;
    const after = this.highs.slice(at + Math.round(decayAfter.from / hopSeconds), at + until + 1);
    const mean = after.reduce((sum, value) => sum + value, 0) / after.length;
    const lowest = Math.max(...this.lows.slice(at - 1, at + 3));
    const isClap = level - this.room >= overRoom && level - before >= rise && level - mean >= decay && lowest - level <= lowOverHigh;
    const second = (this.hops - 1 - until) * hopSeconds;
    // the rest of one clap is no other; what is much louder than what began a moment ago is what counts
    const last = this.onsets.at(-1);
    if (last && second - last.at < sameSeconds) {
      if (level > last.level + besides) this.onsets[this.onsets.length - 1] = { at: second, level, isClap };
      return;
    }
    this.onsets.push({ at: second, level, isClap });
  }

  /** Two that belong together, once it is known that no third follows. */
  private pair(): Seconds | null {
    const now = (this.hops - 1) * hopSeconds - decayAfter.to;
    this.onsets = this.onsets.filter(({ at }) => now - at < 3);
    const second = this.onsets.find(({ at, isClap }) => isClap && at > this.judged && now - at >= quietAfter);
    if (!second) return null;
    this.judged = second.at;
    // what is much less loud than the two is the room: music goes on while one claps
    const loud = this.onsets.filter(({ level }) => level > second.level - besides);
    const index = loud.indexOf(second);
    const [third, first, next] = [loud[index - 2], loud[index - 1], loud[index + 1]];
    if (!first) return null;
    const apart = second.at - first.at;
    const isAlone = (!third || first.at - third.at >= quietBefore) && (!next || next.at - second.at >= quietAfter);
    const isPair = first.isClap && apart >= gap.least && apart <= gap.most && Math.abs(first.level - second.level) <= alike && isAlone;
    return isPair ? second.at : null;
  }
}

function quantile(values: readonly number[], share: number): number {
  const sorted = values.toSorted((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? -120;
}
