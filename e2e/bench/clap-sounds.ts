import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync } from 'node:fs';

/** What a room sounds like while one teaches. */
export const noises = ['quiet', 'speech', 'music', 'jumping'] as const;
export type Noise = (typeof noises)[number];
/** How loud it is in the mean, in decibels below the loudest that a microphone takes; the claps reach to between 2 and 7 below it. */
export const levels: Readonly<Record<Noise, readonly number[]>> = {
  quiet: [-70, -60, -50],
  speech: [-44, -36, -28],
  music: [-44, -36, -28],
  jumping: [-44, -36, -28],
};
export const rate = 48_000;

const sox = (...args: readonly string[]): void => void execFileSync('sox', ['-q', '-R', ...args], { stdio: 'ignore' });

/** Sounds made by sox and espeak-ng, always the same, in a folder. */
export class ClapSounds {
  private made = 0;

  constructor(private readonly folder: string) {
    mkdirSync(folder, { recursive: true });
  }

  path(name: string): string {
    return `${this.folder}/${name}.wav`;
  }

  private fresh(): string {
    this.made += 1;
    return this.path(`part-${String(this.made)}`);
  }

  /** Half a minute or so of a noise at a level. */
  noise(noise: Noise, level: number, seconds: number): string {
    const once = this.loop(noise);
    const file = this.fresh();
    sox(once, '-r', String(rate), '-c', '1', file, 'repeat', '40', 'trim', '0', String(seconds), 'gain', '-n', '-3');
    const rms = meanOf(samplesOf(file));
    const out = this.fresh();
    sox(file, out, 'gain', String(level - 20 * Math.log10(rms)));
    return out;
  }

  /** A sound made of nothing. @param how what sox does, as one would type it */
  private synth(how: string): string {
    const file = this.fresh();
    sox('-n', '-r', String(rate), '-c', '1', file, ...how.split(' '));
    return file;
  }

  /** Several sounds at once, and what is done to all of them. */
  private mixed(files: readonly string[], how = ''): string {
    const file = this.fresh();
    sox('-m', ...files, file, ...how.split(' ').filter(Boolean));
    return file;
  }

  private loop(noise: Noise): string {
    const file = this.fresh();
    switch (noise) {
      case 'quiet':
        return this.synth('synth 20 pinknoise gain -30');
      case 'speech': {
        const spoken = this.fresh();
        const text =
          'Step back until you see your feet. Good, Kaia! Tuck your knees, push the floor away, and stop. Peter, take two steps to the left. Now everybody: lift the arms, look at your hands, kick up and hold. One, two, three, four, rest. What did you feel? Shake it out.';
        execFileSync('espeak-ng', ['-v', 'en-gb', '-s', '165', '-w', spoken, text]);
        sox(spoken, '-r', String(rate), '-c', '1', file);
        return file;
      }
      case 'music': {
        // a bar of four at 116 a minute: drums with a snare, a bass and plucked strings
        const half = String(60 / 116 / 2);
        const eighths = Array.from({ length: 8 }, (_, eighth) => {
          const drum = eighth % 4 === 0 ? 'sine 62' : eighth % 4 === 2 ? 'whitenoise' : 'brownnoise';
          const length = eighth % 4 === 2 ? '0.12' : '0.09';
          const note = ['A3', 'C4', 'E4', 'A4'][eighth % 4] ?? 'A3';
          return this.mixed(
            [
              this.synth(`synth ${length} ${drum} fade l 0 ${length} 0.08 pad 0 0.3 trim 0 ${half}`),
              this.synth(`synth ${half} pluck ${note} gain -4`),
              this.synth(`synth 0.03 whitenoise highpass 6000 fade l 0 0.03 0.028 pad 0 0.3 trim 0 ${half} gain -10`),
            ],
            'gain -n -3',
          );
        });
        sox(...eighths, file);
        return file;
      }
      case 'jumping': {
        // two feet, one a moment after the other, every second or so
        const jumps = Array.from({ length: 12 }, (_, jump) => {
          const feet = [0, 0.03 + (jump % 4) * 0.02].map((later, foot) => {
            const begin = String(later + 0.01);
            return this.mixed([
              this.synth(`synth 0.16 sine ${String(70 + 9 * ((jump + foot) % 3))} fade l 0 0.16 0.15 pad ${begin}`),
              this.synth(`synth 0.09 pinknoise lowpass 900 fade l 0 0.09 0.085 gain -5 pad ${begin}`),
            ]);
          });
          return this.mixed(feet, `pad 0 2 trim 0 ${String(0.55 + ((jump * 7) % 5) * 0.17)}`);
        });
        sox(...jumps, file);
        return file;
      }
    }
  }

  /** One double clap of a kind: palms differ, rooms echo. */
  private doubleClap(kind: number): string {
    const gap = 0.24 + (kind % 7) * 0.05;
    const claps = [0, gap].map((later, hand) => {
      const length = 0.07 + ((kind + hand) % 4) * 0.015;
      const band = `highpass ${String(500 + (kind % 5) * 200)} lowpass ${String(6500 + (kind % 3) * 1500)}`;
      const fade = `fade l 0 ${String(length)} ${String(length - 0.004)}`;
      const loud = `gain -n ${String(-5 - (kind % 3) * 2 - hand)}`;
      return this.synth(`synth ${String(length)} whitenoise ${band} ${fade} ${loud} pad ${String(later + 0.001)} 0.3`);
    });
    const both = this.mixed(claps, 'gain 8');
    if (kind % 2 === 0) return both;
    const echoing = this.fresh();
    sox(both, echoing, 'reverb', '18', '60', '40');
    return echoing;
  }

  /** Several files one after the other. */
  joined(files: readonly string[]): string {
    const file = this.path('joined');
    sox(...files, '-b', '16', file);
    return file;
  }

  /** A noise with double claps in it. @param kinds which kinds of claps: another number is other claps @returns the file, and when the second clap of each falls */
  withClaps(noise: Noise, level: number, count: number, kinds = 0): { readonly file: string; readonly at: readonly number[] } {
    const every = 5.3;
    const begins = Array.from({ length: count }, (_, index) => 4.5 + index * every + (index % 3) * 0.21);
    const at = begins.map((begin, index) => begin + 0.24 + ((index + kinds) % 7) * 0.05);
    const background = this.noise(noise, level, 4.5 + count * every + 1);
    const claps = begins.map((begin, index) => {
      const placed = this.fresh();
      sox(this.doubleClap(index + kinds), placed, 'pad', String(begin));
      return placed;
    });
    const file = this.path(`${noise}-${String(level)}-claps-${String(kinds)}`);
    sox('-m', background, ...claps, file, 'gain', String(20 * Math.log10(1 + claps.length)));
    return { file, at };
  }
}

/** The samples of a file of one channel with sixteen bits, from -1 to 1. */
export function samplesOf(file: string): Float32Array {
  const bytes = readFileSync(file);
  const data = bytes.indexOf('data', 12, 'latin1') + 8;
  const isWide = bytes.readUInt16LE(34) === 32;
  const step = isWide ? 4 : 2;
  const samples = new Float32Array(Math.floor((bytes.length - data) / step));
  for (let index = 0; index < samples.length; index += 1)
    samples[index] = isWide ? bytes.readInt32LE(data + index * 4) / 2_147_483_648 : bytes.readInt16LE(data + index * 2) / 32_768;
  return samples;
}

const meanOf = (samples: Float32Array): number => Math.sqrt(samples.reduce((sum, sample) => sum + sample * sample, 0) / samples.length);
