import { describe, expect, it } from 'vitest';
import { chanceOf } from '../values/chance.js';
import { ClapListener } from './claps.js';

const rate = 16_000;

type Sound = (t: number) => number;
const chance = chanceOf(7);
const noise = (): number => chance() * 2 - 1;
/** Hiss of a room, as an amplitude. */
const room =
  (amplitude: number): Sound =>
  () =>
    noise() * amplitude;
const clap =
  (at: number, amplitude = 0.5): Sound =>
  (t) =>
    t < at || t > at + 0.15 ? 0 : noise() * amplitude * Math.exp(-(t - at) * 45);
/** A foot on the floor: deep, with little above it. */
const thud =
  (at: number): Sound =>
  (t) =>
    t < at || t > at + 0.2
      ? 0
      : 0.8 * Math.sin(2 * Math.PI * 75 * (t - at)) * Math.exp(-(t - at) * 18) + noise() * 0.02 * Math.exp(-(t - at) * 60);
/** A hissing sound as in speech: it comes and goes slowly. */
const hiss =
  (at: number): Sound =>
  (t) =>
    t < at || t > at + 0.3 ? 0 : noise() * 0.4 * Math.sin(((t - at) / 0.3) * Math.PI);

function heard(seconds: number, ...sounds: readonly Sound[]): readonly number[] {
  const listener = new ClapListener(rate);
  const found: number[] = [];
  const block = new Float32Array(1000);
  for (let from = 0; from < seconds * rate; from += block.length) {
    for (let index = 0; index < block.length; index += 1)
      block[index] = sounds.reduce((sum, sound) => sum + sound((from + index) / rate), 0);
    const second = listener.hear(block);
    if (second !== null) found.push(second);
  }
  return found;
}

describe('two claps', () => {
  it('are heard, near or far, quick or slow, where the second fell', () => {
    for (const [gap, amplitude] of [
      [0.22, 0.8],
      [0.35, 0.3],
      [0.58, 0.1],
    ] as const) {
      const found = heard(7, room(0.002), clap(4, amplitude), clap(4 + gap, amplitude));
      expect(found).toHaveLength(1);
      expect(Math.abs((found[0] ?? 0) - 4 - gap)).toBeLessThan(0.02);
    }
  });

  it('are not one, not three, not two that are far apart, and not those before the room was measured', () => {
    expect(heard(7, room(0.002), clap(4))).toEqual([]);
    expect(heard(8, room(0.002), clap(4), clap(4.4), clap(4.8))).toEqual([]);
    expect(heard(8, room(0.002), clap(4), clap(5))).toEqual([]);
    expect(heard(7, room(0.002), clap(1), clap(1.4))).toEqual([]);
  });

  it('are heard again the next time', () => {
    expect(heard(12, room(0.002), clap(4), clap(4.4), clap(8), clap(8.3))).toHaveLength(2);
  });

  it('are no feet on the floor, no hissing, no drum that goes on', () => {
    expect(heard(8, room(0.002), thud(4), thud(4.4))).toEqual([]);
    expect(heard(8, room(0.002), hiss(4), hiss(4.45))).toEqual([]);
    expect(heard(14, room(0.002), ...Array.from({ length: 24 }, (_, beat) => clap(1 + beat * 0.5, 0.3)))).toEqual([]);
  });

  it('stand out of a loud room, and of music that is not as loud', () => {
    const music = Array.from({ length: 30 }, (_, beat) => clap(0.3 + beat * 0.4, 0.06));
    expect(heard(12, room(0.01), ...music, clap(6.1, 0.7), clap(6.47, 0.6))).toHaveLength(1);
  });
});
