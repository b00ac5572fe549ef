import type { Page } from '@playwright/test';
import { expect, freshClass, signIn, test } from './leiter.js';
import { startTeaching, storePlan } from './teach-page.js';
import { soundFile } from './sound-file.js';

let state = 1;
const noise = (): number => {
  state = (state * 48_271) % 2_147_483_647;
  return (state / 2_147_483_647) * 2 - 1;
};
const clap = (t: number, at: number): number => (t < at || t > at + 0.1 ? 0 : 0.6 * Math.exp(-(t - at) * 45));

/** A room in which somebody claps: once at 6 s, twice at 9 s, again and again. */
const room = soundFile(48_000, 14, (t) => noise() * (0.001 + clap(t, 6) + clap(t, 9) + clap(t, 9.35)));

/** The browser of the tests knows no microphone: in its place is the room, or somebody who says no. */
async function putMicrophone(page: Page): Promise<void> {
  await page.addInitScript((base64) => {
    const all = window as unknown as { claps: number; saysNo: boolean };
    Object.assign(all, { claps: 0, saysNo: true });
    addEventListener('leiter-claps', () => (all.claps += 1));
    navigator.mediaDevices.getUserMedia = async () => {
      if (all.saysNo) throw new DOMException('Permission denied', 'NotAllowedError');
      const context = new AudioContext();
      const bytes = Uint8Array.from(atob(base64), (letter) => letter.codePointAt(0) ?? 0);
      const source = context.createBufferSource();
      source.buffer = await context.decodeAudioData(bytes.buffer);
      source.loop = true;
      const out = context.createMediaStreamDestination();
      source.connect(out);
      source.start();
      return out.stream;
    };
  }, room.toString('base64'));
}

test('Two claps begin the work that waits for a signal, one does nothing; a microphone that is refused is said', async ({
  page,
  leiter,
}) => {
  await putMicrophone(page);
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'gymnastics');
  const items = [
    { id: 'hop', movement: 'straight-jump', dose: { kind: 'timed', seconds: 120 }, sides: 'none', tiers: ['core'], familiarity: 'new' },
  ];
  await storePlan(page, leiter, id, { items });
  await startTeaching(page, leiter, id);
  await page.keyboard.press('s');

  await page.getByRole('button', { name: 'No claps' }).click();
  await expect(page.getByText('The microphone is refused: a key or a clicker does the same.')).toBeVisible();
  await page.getByRole('button', { name: 'Two claps' }).click();

  await page.evaluate(() => ((window as unknown as { saysNo: boolean }).saysNo = false));
  await page.getByRole('button', { name: 'No claps' }).click();
  await expect(page.getByText('Listening to the room …')).toBeVisible();
  const waiting = page.getByText('Explain and show – space begins the work');
  await expect(waiting).toBeVisible();
  await expect(waiting).toBeHidden({ timeout: 40_000 });
  await expect(page.getByText('Go', { exact: true })).toBeVisible();
  expect(await page.evaluate(() => (window as unknown as { claps: number }).claps)).toBe(1);
});
