import type { Utterance } from '@leiter/core';
import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { AudioClock } from './audio-clock';
import { VoicePlayer, type Said } from './voice-player';

/** A sound card whose clock is turned by hand; it notes from when to when each source sounds. */
class HandTurned {
  currentTime = 0;
  readonly sampleRate = 8000;
  readonly destination = {} as AudioDestinationNode;
  readonly sounds: { start: number; end: number; clip: AudioBuffer | null }[] = [];
  createGain = (): GainNode => ({ connect: () => undefined, gain: { value: 1 } }) as unknown as GainNode;
  createBuffer = (_channels: number, length: number, rate: number): AudioBuffer =>
    ({ duration: length / rate, getChannelData: () => new Float32Array(length) }) as unknown as AudioBuffer;
  createBufferSource = (): AudioBufferSourceNode => {
    const sound = { start: Infinity, end: Infinity, clip: null as AudioBuffer | null };
    this.sounds.push(sound);
    return {
      set buffer(clip: AudioBuffer) {
        sound.clip = clip;
      },
      playbackRate: { value: 1 },
      connect: () => undefined,
      start: (at: number) => {
        sound.start = at;
      },
      stop: (at = this.currentTime) => {
        sound.end = Math.min(sound.end, at);
      },
    } as unknown as AudioBufferSourceNode;
  };
}

const count = (text: string, at: number, said: Partial<Utterance> = {}): Utterance => ({
  kind: 'count',
  text,
  language: 'en',
  at,
  most: 1,
  keepFor: 0.1,
  ...said,
});
const clip = (seconds: number): AudioBuffer => ({ duration: seconds }) as unknown as AudioBuffer;

let out: HandTurned;
let said: Said[];
let player: VoicePlayer;
beforeEach(() => {
  out = new HandTurned();
  said = [];
  player = new VoicePlayer(
    out,
    new Map([
      ['en even one', clip(0.4)],
      ['en even two', clip(0.4)],
      ['en even left', clip(0.4)],
      ['en even Knees over feet', clip(1.2)],
    ]),
    (one) => said.push(one),
  );
});
const turn = (to: number, parts: Parameters<VoicePlayer['look']>[0], step = 0.05): void => {
  for (; out.currentTime < to; out.currentTime += step) player.look(parts);
};

describe('the voice', () => {
  it('puts each word on its beat, once, a moment before it is due', () => {
    turn(4, [{ name: 'a', zero: 1, utterances: [count('one', 0), count('two', 1), count('', 2)] }]);
    expect(said.map(({ text, at }) => [text, at])).toEqual([
      ['one', 1],
      ['two', 2],
      ['', 3],
    ]);
  });

  it('is on the beat though its turn comes unevenly, and says nothing on a wrong one', () => {
    const utterances = Array.from({ length: 40 }, (_, nth) => count(nth % 2 === 0 ? 'one' : 'two', nth * 0.5, { most: 0.5 }));
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.01, max: 0.4, noNaN: true }), { minLength: 40, maxLength: 80 }), (steps) => {
        out = new HandTurned();
        said = [];
        player = new VoicePlayer(out, new Map(), (one) => said.push(one));
        for (const step of steps) {
          player.look([{ name: 'a', zero: 0.3, utterances }]);
          out.currentTime += step;
        }
        for (const { at, nominal } of said) expect(at - nominal).toBeLessThanOrEqual(0.1 + 1e-9);
        const sounding = out.sounds.toSorted((a, b) => a.start - b.start);
        sounding.forEach(({ end }, index) => {
          expect(end).toBeLessThanOrEqual((sounding[index + 1]?.start ?? Infinity) + 1e-9);
        });
        expect(new Set(said.map(({ nominal }) => nominal)).size).toBe(said.length);
      }),
    );
  });

  it('keeps the beat of the wall for an hour though the sound card is slower, and says nothing twice', () => {
    const clock = new AudioClock();
    const slower = 1 - 150e-6;
    const utterances = Array.from({ length: 5760 }, (_, nth) => count(nth % 2 === 0 ? 'one' : 'two', nth * 0.625, { most: 0.625 }));
    for (let wall = 0; wall < 3_600_000; wall += 50) {
      // read late and in steps, as a sound card is
      out.currentTime = Math.floor(((wall - (wall % 7)) / 1000) * slower * 344.5) / 344.5;
      clock.read(wall, out.currentTime);
      player.look([{ name: 'a', zero: clock.audioAt(1000) ?? 0, utterances }]);
    }
    expect(said.length).toBeGreaterThan(5740);
    said.forEach(({ at }, nth) => {
      const wallOfBeat = 1000 + nth * 625;
      expect(Math.abs(at - (wallOfBeat / 1000) * slower)).toBeLessThan(0.01);
    });
  });

  it('says a side late rather than never, and no late count', () => {
    const utterances = [count('left', 0, { kind: 'side', keepFor: 0.8 }), count('one', 0.2), count('two', 1)];
    out.currentTime = 0.5;
    turn(2, [{ name: 'a', zero: 0, utterances }]);
    expect(said.map(({ text }) => text)).toEqual(['left', 'two']);
  });

  it('leaves out a cue while something else is said', () => {
    const utterances = [
      count('left', 0, { kind: 'side', keepFor: 0.8 }),
      count('Knees over feet', 0.55, { kind: 'cue', most: 2, keepFor: 0.5 }),
    ];
    out.currentTime = 0.5;
    turn(0.6, [{ name: 'a', zero: 0, utterances }]);
    expect(said.map(({ text }) => text)).toEqual(['left']);
  });

  it('stops at a pause, and goes on where the item goes on', () => {
    const utterances = [count('one', 0), count('two', 1), count('one', 2)];
    turn(0.65, [{ name: 'a', zero: 0, utterances }]);
    player.hush();
    expect(out.sounds.at(-1)?.end).toBeLessThan(1);
    out.currentTime = 10;
    // two was on the clock already and not yet heard: it comes after the pause
    turn(12.2, [{ name: 'a', zero: 9.1, utterances }]);
    expect(said.slice(-2).map(({ text, at }) => [text, Number(at.toFixed(3))])).toEqual([
      ['two', 10.1],
      ['one', 11.1],
    ]);
  });

  it('goes on where it was when the plan is changed in the middle of an item', () => {
    const before = [count('one', 0), count('two', 1), count('left', 2, { kind: 'side' })];
    turn(1.1, [{ name: 'a', zero: 0, utterances: before }]);
    turn(3, [{ name: 'a', zero: 0, utterances: [count('one', 0.5), ...before] }]);
    expect(said.map(({ text }) => text)).toEqual(['one', 'two', 'left']);
  });

  it('begins an item anew that is gone back to', () => {
    const utterances = [count('one', 0), count('two', 1)];
    turn(1.5, [{ name: 'a', zero: 0, utterances }]);
    turn(3, [{ name: 'a', zero: 1.6, utterances }]);
    expect(said.map(({ text }) => text)).toEqual(['one', 'two', 'one', 'two']);
  });

  it('beeps for a clip that is not there, and cuts what is too long before the next', () => {
    turn(3, [
      { name: 'a', zero: 0, utterances: [count('nine', 0), count('Knees over feet', 1, { kind: 'call', most: 0.5 }), count('two', 1.5)] },
    ]);
    expect(out.sounds[0]?.clip?.duration).toBeCloseTo(0.05, 3);
    const [, long, next] = out.sounds;
    expect(long?.end).toBeLessThanOrEqual(next?.start ?? 0);
  });

  it('lets another voice say names and cues, and hushes it for a count', () => {
    const heard: string[] = [];
    player.setOther({ say: (text) => heard.push(text) > 0, hush: () => heard.push('–') });
    turn(2, [{ name: 'a', zero: 0, utterances: [count('Knees over feet', 0, { kind: 'cue', keepFor: 1 }), count('one', 1)] }]);
    expect(heard).toEqual(['Knees over feet', '–']);
    expect(out.sounds).toHaveLength(1);
  });
});
