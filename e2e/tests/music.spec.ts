import type { Page } from '@playwright/test';
import { expect, freshClass, signIn, test } from './leiter.js';
import { startTeaching, storePlan, timedItem } from './teach-page.js';
import { soundFile } from './sound-file.js';

/** A file of beats: a short burst on each, a soft tone under all of it. */
function beats(bpm: number, seconds: number): Buffer {
  return soundFile(22_050, seconds, (t) => {
    const since = t % (60 / bpm);
    return 0.75 * Math.exp(-since * 30) * Math.sin(2 * Math.PI * 80 * since) + 0.15 * Math.sin(2 * Math.PI * 440 * t);
  });
}

/** How loud it is now, of what goes to the sound card. */
const level = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const { ear } = window as unknown as { ear?: AnalyserNode };
    if (!ear) return 0;
    const samples = new Float32Array(ear.fftSize);
    ear.getFloatTimeDomainData(samples);
    return Math.sqrt(samples.reduce((sum, sample) => sum + sample * sample, 0) / samples.length);
  });
/** The loudest within a second: a beat has silence between its strokes. */
async function loudest(page: Page): Promise<number> {
  let most = 0;
  for (let times = 0; times < 12; times += 1) {
    most = Math.max(most, await level(page));
    await page.waitForTimeout(80);
  }
  return most;
}
/** Where the tone of 440 Hz is now, in Hz. */
const pitch = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const { ear } = window as unknown as { ear: AnalyserNode };
    const bins = new Float32Array(ear.frequencyBinCount);
    ear.getFloatFrequencyData(bins);
    const hertz = ear.context.sampleRate / ear.fftSize;
    let best = Math.ceil(250 / hertz);
    for (let bin = best; bin * hertz < 900; bin += 1) if ((bins[bin] ?? -Infinity) > (bins[best] ?? -Infinity)) best = bin;
    return best * hertz;
  });

test('A file of one’s own is taken in with its beat, named in a plan and played in Teach: paused, slower at its pitch, under a beat, stopped', async ({
  page,
  leiter,
}) => {
  test.setTimeout(180_000);
  await page.addInitScript(() => {
    // oxlint-disable-next-line typescript/unbound-method -- it is called on the node below
    const connect = AudioNode.prototype.connect as (this: AudioNode, target: AudioNode, ...rest: number[]) => AudioNode;
    AudioNode.prototype.connect = function (this: AudioNode, target: AudioNode, ...rest: number[]) {
      if (target instanceof AudioDestinationNode && target.context instanceof AudioContext) {
        const all = window as unknown as { ear?: AnalyserNode };
        if (all.ear?.context !== target.context) {
          all.ear = target.context.createAnalyser();
          all.ear.fftSize = 8192;
        }
        connect.call(this, all.ear);
      }
      return connect.call(this, target, ...rest);
    } as typeof AudioNode.prototype.connect;
  });
  await signIn(page, leiter, 'owner');
  await page.goto(`${leiter.url}/me`);
  const music = page.getByRole('region', { name: 'Music' });
  await music.locator('input[type=file]').setInputFiles([
    { name: 'Harbour song.wav', mimeType: 'audio/wav', buffer: beats(120, 40) },
    { name: 'No song.mp3', mimeType: 'audio/mpeg', buffer: Buffer.from('this is a letter') },
  ]);
  await expect(music.getByRole('listitem')).toHaveCount(1);
  await expect(music.getByRole('listitem')).toContainText('Harbour song 0:40');
  await expect(music.getByLabel('bpm of Harbour song')).toHaveValue('120');
  await expect(music.getByRole('alert')).toContainText('“No song.mp3” is no music that this browser can play');
  // taken away by mistake, it comes back with its file: what follows plays it
  await music.getByRole('button', { name: 'Remove' }).click();
  await expect(music.getByRole('listitem')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(music.getByRole('listitem')).toHaveCount(1);

  const id = await freshClass(page, 'gymnastics');
  const song = { name: 'harbour song', seconds: 40, bpm: 120 };
  const items = [
    timedItem('jog', 'jog-on-the-spot', 240, { music: song }),
    timedItem('hop', 'straight-jump', 240, { music: { name: 'Not here', seconds: 60, bpm: 100 } }),
    timedItem('freeze', 'bear-walk', 240, { stopsWithMusic: true }),
  ];
  await storePlan(page, leiter, id, { items });
  await startTeaching(page, leiter, id);
  await page.keyboard.press('v');
  await page.keyboard.press('g');

  await page.keyboard.press('b');
  const panel = page.getByRole('dialog', { name: 'Music' });
  await expect(panel.getByRole('status')).toHaveText('Now: “harbour song”');
  await expect.poll(() => loudest(page)).toBeGreaterThan(0.05);
  expect(Math.abs((await pitch(page)) - 440)).toBeLessThan(12);
  // a quarter slower, the tone stays where it is
  await panel.getByRole('button', { name: '70 %' }).click();
  await page.waitForTimeout(1500);
  await expect.poll(() => loudest(page)).toBeGreaterThan(0.03);
  expect(Math.abs((await pitch(page)) - 440)).toBeLessThan(12);
  await panel.getByRole('button', { name: '100 %' }).click();
  await panel.getByRole('button', { name: 'eight counts from here' }).click();
  await expect.poll(() => loudest(page)).toBeGreaterThan(0.05);

  await page.keyboard.press('Space');
  await expect.poll(() => level(page)).toBeLessThan(0.001);
  await page.keyboard.press('Space');
  await expect.poll(() => loudest(page)).toBeGreaterThan(0.05);

  // what is not here is said, and a beat of its tempo stands for it
  await page.keyboard.press('PageDown');
  await page.keyboard.press('g');
  await expect(panel.getByRole('status')).toContainText('“Not here” is not in this browser');
  await expect.poll(() => loudest(page)).toBeGreaterThan(0.02);

  // music that stops: heard, then still for five seconds, then heard
  await page.keyboard.press('PageDown');
  await page.keyboard.press('g');
  await expect.poll(() => loudest(page)).toBeGreaterThan(0.02);
  await expect.poll(() => loudest(page), { timeout: 30_000 }).toBeLessThan(0.001);
  await expect.poll(() => loudest(page), { timeout: 15_000 }).toBeGreaterThan(0.02);

  // on the spot, in an item without music: it plays, stops, and something is called then; no key of it marks a child
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('k');
  await page.getByRole('button', { name: 'when the music stops' }).click();
  await page.keyboard.press('1');
  await expect.poll(() => loudest(page), { timeout: 15_000 }).toBeGreaterThan(0.02);
  await expect.poll(() => loudest(page), { timeout: 30_000 }).toBeLessThan(0.001);
  const kept = await page.request.get(`${leiter.url}/api/classes/${id}`);
  expect(((await kept.json()) as { readonly observations: readonly object[] }).observations).toEqual([]);
});
