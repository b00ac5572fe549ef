import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ClapListener } from '@leiter/core';
import { expect, test } from '../tests/leiter.js';
import { ClapSounds, levels, noises, rate, samplesOf } from './clap-sounds.js';
import { tellCount } from './tell.js';

const sounds = new ClapSounds(join(tmpdir(), `leiter-claps-${String(process.pid)}`));
const clapsEach = 5;
/** Heard where it was clapped: so near to the second clap. */
const nearSeconds = 0.15;

/** What a listener hears in a file, in seconds of it. */
function heardIn(file: string): readonly number[] {
  const listener = new ClapListener(rate);
  const samples = samplesOf(file);
  const heard: number[] = [];
  for (let at = 0; at < samples.length; at += 1024) {
    const second = listener.hear(samples.subarray(at, at + 1024));
    if (second !== null) heard.push(second);
  }
  return heard;
}

test('Two claps are heard in a room, and nothing else is', () => {
  test.setTimeout(600_000);
  for (const kinds of [0, 31]) {
    let [hits, extra] = [0, 0];
    for (const noise of noises)
      for (const level of levels[noise]) {
        const { file, at } = sounds.withClaps(noise, level, clapsEach, kinds);
        const heard = heardIn(file);
        const isNear =
          (a: number) =>
          (b: number): boolean =>
            Math.abs(a - b) < nearSeconds;
        hits += at.filter((second) => heard.some(isNear(second))).length;
        extra += heard.filter((second) => !at.some(isNear(second))).length;
      }
    const all = noises.length * 3 * clapsEach;
    tellCount(
      kinds === 0 ? 'double claps heard, in four rooms at three levels each' : 'double claps heard, of other hands',
      hits,
      all,
      'at least 57',
    );
    tellCount(kinds === 0 ? 'heard beside them' : 'heard beside them, of other hands', extra, all, 'none');
    expect(hits).toBeGreaterThan(all / 2);
  }
  let wrong = 0;
  for (const noise of noises) for (const level of levels[noise]) wrong += heardIn(sounds.noise(noise, level, 150)).length;
  tellCount('heard in thirty minutes of the same rooms without a clap', wrong, 0, 'at most 1');
});
