import { openToday, test } from '../tests/leiter.js';
import { tell } from './tell.js';

const eights = [
  '1 R fwd / arms opposition / say walk, 2 L fwd / say walk, 3 R kick / arms low v, & R back, 4 L place, 5 R cross, 6 L back, 7 R side, 8 L close',
  '1 R side / look R / say slide, 2 L touch close, 3 L behind, & R side, 4 L cross, 5 R fwd, 6 R turn left 180, 7 L fwd, 8 R touch side / say touch',
];
const text = Array.from({ length: 8 }, (_, index) => `# Eight ${String(index + 1)}\n${eights[index % 2] ?? ''}`).join('\n');

test('A phrase of 64 counts while it is written, and while the figure walks it', async ({ page, leiter }) => {
  await openToday(page, leiter, 'owner');
  await page.goto(`${leiter.url}/library/rhythm-clap/steps`);
  const steps = page.getByLabel('The steps');
  await steps.fill(text);
  await steps.press('Control+End');
  await page.waitForTimeout(1000);
  const keys: number[] = [];
  for (let press = 0; press < 60; press += 1) {
    await page.evaluate(() => {
      const all = window as unknown as { painted: Promise<number> };
      all.painted = new Promise((resolve) => {
        addEventListener(
          'keydown',
          ({ timeStamp }) => {
            requestAnimationFrame(() => {
              // painted when the frame after is begun
              requestAnimationFrame(() => {
                resolve(performance.now() - timeStamp);
              });
            });
          },
          { once: true, capture: true },
        );
      });
    });
    // an arm is named in the last row, letter by letter, and taken away again
    await page.keyboard.press(press % 2 === 0 ? 'x' : 'Backspace');
    keys.push(await page.evaluate(() => (window as unknown as { painted: Promise<number> }).painted));
    await page.waitForTimeout(60);
  }
  tell('phrase of 64 counts: a key in the steps to two frames later', keys, 40);

  await page.getByRole('button', { name: 'Say it aloud' }).click();
  await page.waitForTimeout(3000);
  const frames = await page.evaluate(
    () =>
      new Promise<number[]>((resolve) => {
        const kept: number[] = [];
        let before = performance.now();
        const next = (now: number): void => {
          kept.push(now - before);
          before = now;
          if (kept.length < 600) requestAnimationFrame(next);
          else resolve(kept);
        };
        requestAnimationFrame(next);
      }),
  );
  tell('phrase of 64 counts: from picture to picture while the figure walks it (median ≤ 16.7 ms)', frames, null);
});
