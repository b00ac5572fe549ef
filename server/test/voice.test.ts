import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { clipsWanted, utterancesOf, usualVoice } from '@leiter/core';
import { readSound, secondsOf, trimmed, writeSound } from '../src/voice/sound.js';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let tomasz: Agent;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  tomasz = await club.as('gymnastics');
});
afterAll(() => club.close());

const even = (text: string, language = 'en') => ({ text, language, isQuick: false });
const ask = async (agent: Agent, ...clips: readonly object[]) => (await agent.post('/api/voice/clips').send({ clips }).expect(200)).body;
const soundOf = async (key: string) => {
  const answer = await tomasz
    .get(`/api/voice/clips/${key}`)
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => {
        done(null, Buffer.concat(parts));
      });
    });
  return { headers: answer.headers, file: answer.body as Buffer };
};

describe('clips', () => {
  it('are spoken once, are sounds without silence before them, and never change', async () => {
    const { isInstalled, clips } = await ask(tomasz, even('seven'), even('left'), { text: 'seven', language: 'en', isQuick: true });
    expect(isInstalled).toBe(true);
    const [seven, left, quick] = clips;
    expect(new Set([seven.key, left.key, quick.key]).size).toBe(3);
    expect(quick.seconds).toBeLessThan(seven.seconds * 0.8);
    const { headers, file } = await soundOf(seven.key);
    expect(headers['content-type']).toBe('audio/wav');
    expect(headers['cache-control']).toBe('private, max-age=31536000, immutable');
    const sound = readSound(file);
    expect(secondsOf(sound)).toBeCloseTo(seven.seconds, 3);
    // it is heard within 15 ms: later is off the beat
    expect(sound.samples.findIndex((sample) => Math.abs(sample) > 330) / sound.rate).toBeLessThan(0.015);
    expect((await ask(await club.as('assistant'), even('seven'))).clips).toEqual([seven]);
    const [{ count }] = await club.source.query("SELECT count(*)::int FROM voice_clip WHERE text = 'seven'");
    expect(count).toBe(2);
  });

  it('count in Japanese, Korean and French as well', async () => {
    const { clips } = await ask(tomasz, even('しち', 'ja'), even('일곱', 'ko'), even('quatre-vingt-dix-neuf', 'fr'));
    for (const clip of clips) expect(clip.seconds).toBeGreaterThan(0.2);
  });

  it('take words as words: no option, no file and no second line gets to what speaks', async () => {
    const { clips } = await ask(tomasz, even('-f /etc/passwd'), even('--help; $(reboot) `id` | cat'), even('“Rock” & <roll>'));
    for (const clip of clips) expect(clip.seconds).toBeLessThan(12);
    for (const text of ['', ' ', 'one\ntwo', '\u0000', '…', 'x'.repeat(241)])
      await tomasz
        .post('/api/voice/clips')
        .send({ clips: [even(text)] })
        .expect(400);
    await tomasz
      .post('/api/voice/clips')
      .send({ clips: [even('one', 'xx')] })
      .expect(400);
    await tomasz
      .post('/api/voice/clips')
      .send({ clips: Array.from({ length: 61 }, () => even('one')) })
      .expect(400);
  });

  it('are for who is signed in, and unknown keys have none', async () => {
    await club.visitor().post('/api/voice/clips').send({ clips: [] }).expect(401);
    await tomasz.get(`/api/voice/clips/${'0'.repeat(64)}`).expect(404);
    await tomasz.get('/api/voice/clips/%27%20OR%201%3D1').expect(404);
  });
});

describe('without a voice beside the server', () => {
  it('what was spoken before is there all the same, and the answer says that the rest is not', async () => {
    await ask(tomasz, even('eight'));
    const { PATH } = process.env;
    process.env['PATH'] = '/nowhere';
    try {
      const { isInstalled, clips } = await ask(tomasz, even('eight'), even('nowhere to be heard'), even('nor this'));
      expect(isInstalled).toBe(false);
      expect(clips.map((clip: object | null) => clip !== null)).toEqual([true, false, false]);
    } finally {
      process.env['PATH'] = PATH;
    }
    expect((await ask(tomasz, even('nor this'))).clips).not.toContain(null);
  });
});

describe('how one leads', () => {
  it('is as usual until it is chosen, and kept for the person alone', async () => {
    expect((await tomasz.get('/api/session')).body.voice).toEqual(usualVoice);
    const chosen = { ...usualVoice, counting: 'down', countLanguage: 'ko', go: 'on-signal', stance: 'turned', loudness: 0.4 };
    expect((await tomasz.put('/api/session/voice').send(chosen).expect(200)).body.voice).toEqual(chosen);
    expect((await tomasz.get('/api/session')).body.voice).toEqual(chosen);
    expect((await (await club.as('dance')).get('/api/session')).body.voice).toEqual(usualVoice);
    await tomasz
      .put('/api/session/voice')
      .send({ ...chosen, loudness: 1.1 })
      .expect(400);
    await tomasz.put('/api/session/voice').send({ counts: true }).expect(400);
  });
});

describe('a sound', () => {
  const rate = 22_050;
  const sound = (...values: readonly number[]) => ({ rate, samples: Int16Array.from(values) });

  it('is read as it was written', () => {
    const some = sound(0, 5, -32_768, 32_767, 9);
    expect(readSound(writeSound(some))).toEqual(some);
    expect(() => readSound(Buffer.from('no sound at all, but long enough to be one, is it not'))).toThrow(/no WAV/);
  });

  it('loses the silence around it and nothing else; silence alone is none', () => {
    const quiet = Array.from({ length: rate }, () => 3);
    const loud = Array.from({ length: 1000 }, (_, index) => (index % 2 === 0 ? 9000 : -9000));
    const cut = trimmed(sound(...quiet, ...loud, ...quiet));
    expect(secondsOf(cut)).toBeCloseTo(1000 / rate + 0.012 + 0.04, 3);
    expect([...cut.samples].filter((sample) => Math.abs(sample) === 9000)).toHaveLength(1000);
    expect(() => trimmed(sound(...quiet))).toThrow(/Nothing was spoken/);
  });
});

describe('a class of the demo', () => {
  it('has every clip it needs spoken', async () => {
    const { evaluatePlan } = await import('@leiter/core');
    const coming = (await tomasz.get('/api/coming-classes').expect(200)).body;
    const planned = coming.find((one: { class: { hasPlan: boolean } | null }) => one.class?.hasPlan);
    const page = (await tomasz.get(`/api/classes/${planned.class.id}`).expect(200)).body;
    const library = new Map((await tomasz.get('/api/library')).body.map((movement: { slug: string }) => [movement.slug, movement]));
    const { evaluationContextOf } = await import('@leiter/contract/evaluation-context');
    const { timeline } = evaluatePlan(page.stored.plan, library as never, evaluationContextOf(page));
    const wanted = clipsWanted(utterancesOf(timeline.items, usualVoice));
    expect(wanted.length).toBeGreaterThan(30);
    for (let from = 0; from < wanted.length; from += 60) {
      const { clips } = await ask(tomasz, ...wanted.slice(from, from + 60));
      expect(clips).not.toContain(null);
    }
  });
});
