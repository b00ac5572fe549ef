import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, freshClass, signIn, test } from '../tests/leiter.js';
import { startTeaching, storePlan } from '../tests/teach-page.js';
import { ClapSounds, levels, noises, rate, samplesOf } from './clap-sounds.js';
import { tellCount } from './tell.js';

const sounds = new ClapSounds(join(tmpdir(), `leiter-microphone-${String(process.pid)}`));
const clapsEach = 5;

// a browser with a microphone: the headless shell of the tests has none
const whole = '/usr/bin/chromium';
const rooms = noises.map((noise) => sounds.withClaps(noise, levels[noise][1] ?? -40, clapsEach, 3));
const file = sounds.joined(rooms.map((room) => room.file));
test.use({
  launchOptions: async ({ launchOptions }, use) => {
    const microphone = [
      '--headless=new',
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${file}%noloop`,
    ];
    await use({ ...launchOptions, headless: false, executablePath: whole, args: [...(launchOptions.args ?? []), ...microphone] });
  },
});

test('double claps arrive in Teach', async ({ page, leiter }) => {
  test.setTimeout(300_000);
  await page.addInitScript(() => {
    const all = window as unknown as { claps: number };
    all.claps = 0;
    addEventListener('leiter-claps', () => (all.claps += 1));
  });
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'gymnastics');
  const items = [
    { id: 'hop', movement: 'straight-jump', dose: { kind: 'timed', seconds: 900 }, sides: 'none', tiers: ['core'], familiarity: 'new' },
  ];
  await storePlan(page, leiter, id, { items });
  await startTeaching(page, leiter, id);
  await page.keyboard.press('v');
  await page.getByRole('button', { name: 'No claps' }).click();
  await expect(page.getByText('Listening to the room …')).toBeVisible();
  await page.waitForTimeout((samplesOf(file).length / rate) * 1000 + 3000);
  const heard = await page.evaluate(() => (window as unknown as { claps: number }).claps);
  tellCount('double claps heard by the microphone of a real Chromium', heard, rooms.length * clapsEach, 'at least 18');
  expect(heard).toBeGreaterThan(0);
});
