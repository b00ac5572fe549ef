import type { Page } from '@playwright/test';
import { ask, expect, signIn, test, type Coming, type Leiter } from './leiter.js';

/** A class that is planned and not taught. */
async function startClass(page: Page, leiter: Leiter): Promise<string> {
  const coming = await ask<readonly Coming[]>(page, 'coming-classes');
  let id = coming.find((one) => one.class?.hasPlan)?.class?.id;
  if (id === undefined) {
    id = coming.find((one) => one.class)?.class?.id ?? '';
    await page.goto(`${leiter.url}/classes/${id}/plan`);
    await page
      .getByRole('button', { name: /^Start from/ })
      .first()
      .click();
    await expect(page.getByText('saved', { exact: true })).toBeVisible();
  }
  await page.goto(`${leiter.url}/classes/${id}/teach`);
  const note = page.getByLabel('How have you dealt with this?');
  await expect(page.getByText(/coming$/)).toBeVisible();
  if (await note.isVisible()) await note.fill('An adult is beside each of them.');
  await page.getByRole('button', { name: /start/i }).click();
  await expect(page.getByText('left of this item')).toBeVisible();
  return id;
}

const title = (page: Page): Promise<string | null> => page.getByRole('heading', { level: 1 }).textContent();
const left = async (page: Page): Promise<number> => {
  const text = (await page.getByText('left of this item').locator('xpath=preceding-sibling::*').textContent()) ?? '';
  const [minutes = 0, seconds = 0] = text.split(':').map(Number);
  return minutes * 60 + seconds;
};

test('A class goes on by itself, pauses by space, and is where it was after the page is loaded anew', async ({ page, leiter }) => {
  test.setTimeout(120_000);
  await page.clock.install();
  await signIn(page, leiter, 'owner');
  await startClass(page, leiter);
  const first = await title(page);
  await page.clock.fastForward((await left(page)) * 1000 + 1500);
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(first ?? '');
  const second = await title(page);

  await page.keyboard.press('Space');
  await expect(page.getByText('Paused – space goes on')).toBeVisible();
  const paused = await left(page);
  await page.clock.fastForward(45_000);
  expect(await left(page)).toBe(paused);
  await page.keyboard.press('Space');
  await expect(page.getByText(/behind$/)).toBeVisible();

  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(second ?? '');
  expect(Math.abs((await left(page)) - paused)).toBeLessThan(20);

  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(second ?? '');
  await page.keyboard.press('PageUp');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(second ?? '');
});

test('The name of the movement, what is left and the side can be read from three metres away', async ({ page, leiter }) => {
  await signIn(page, leiter, 'owner');
  await startClass(page, leiter);
  const size = async (locator: ReturnType<Page['locator']>): Promise<number> =>
    locator.evaluate((element) => Number.parseFloat(getComputedStyle(element).fontSize));
  expect(await size(page.getByRole('heading', { level: 1 }))).toBeGreaterThanOrEqual(64);
  expect(await size(page.getByText('left of this item').locator('xpath=preceding-sibling::*'))).toBeGreaterThanOrEqual(48);
  const overlap = await page.evaluate(() => document.documentElement.scrollHeight - document.documentElement.clientHeight);
  expect(overlap).toBe(0);
});

test('The work begins when somebody says so, and so much less is left of the item', async ({ page, leiter }) => {
  await page.clock.install();
  await signIn(page, leiter, 'owner');
  await startClass(page, leiter);
  // time stands still from here, and goes on when told
  await page.clock.pauseAt(await page.evaluate(() => Date.now() + 1000));
  const begin = page.getByRole('button', { name: 'Begin the work' });
  await expect(async () => {
    await page.keyboard.press('PageDown');
    await page.clock.runFor(400);
    await expect(begin).toBeVisible({ timeout: 500 });
    await expect(page.getByText('Explain and show')).toBeVisible({ timeout: 500 });
  }).toPass({ timeout: 30_000 });
  const [item, before] = [await title(page), await left(page)];
  await page.keyboard.press('g');
  await page.clock.runFor(400);
  await expect(begin).toBeHidden();
  expect(await title(page)).toBe(item);
  expect(await left(page)).toBeLessThan(before);
});
