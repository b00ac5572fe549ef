import type { Browser, Page } from '@playwright/test';
import { ask, expect, freshClass, signIn, test, type Leiter } from './leiter.js';
import { startTeaching, storePlan, timedItem } from './teach-page.js';

/** A class with three items that is being taught. */
async function teach(page: Page, leiter: Leiter): Promise<string> {
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'gymnastics');
  const items = [timedItem('land', 'landing-position', 300), timedItem('bear', 'bear-walk', 300), timedItem('jog', 'jog-on-the-spot', 300)];
  await storePlan(page, leiter, id, { items, focus: ['landing-position'] });
  await startTeaching(page, leiter, id);
  return id;
}

/** A phone of its own: another browser, nobody signed in. */
async function phone(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 780 }, hasTouch: true, isMobile: true, locale: 'en-GB' });
  return context.newPage();
}

/** Both show it within a second of the press. */
const within = { timeout: 1000 };

interface Observed {
  readonly observations: readonly { readonly childId: string; readonly mark: string; readonly recordedBy: string | null }[];
}

test('A phone scans the code, drives the class and marks; both show the same within a second; it ends with the class', async ({
  page,
  leiter,
  browser,
}) => {
  test.setTimeout(120_000);
  const id = await teach(page, leiter);
  const made = page.waitForResponse((answer) => answer.url().endsWith(`/api/classes/${id}/remote`));
  await page.getByRole('button', { name: 'Phone' }).click();
  const { token } = (await (await made).json()) as { readonly token: string };
  await expect(page.getByRole('dialog', { name: 'A phone as remote' }).locator('svg')).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  // whatever the page reads anew, and however often the code is looked at: it is the same
  await page.waitForTimeout(500);
  await page.getByRole('button', { name: 'Phone' }).click();
  await page.getByRole('button', { name: 'Close' }).click();

  const remote = await phone(browser);
  await remote.goto(`${leiter.url}/remote#${token}`);
  const title = (of: Page) => of.getByRole('heading', { level: 1 });
  await expect(title(remote)).toHaveText('Landing position');
  const fits = await remote.evaluate(() => document.documentElement.scrollWidth <= innerWidth);
  expect(fits).toBe(true);

  const first = remote.getByRole('listitem').first();
  const name = ((await first.locator('span').first().textContent()) ?? '').trim();
  await first.getByRole('button', { name: `${name}: alone` }).tap();
  const row = page.getByRole('region', { name: 'Marks of this class' }).getByRole('listitem').filter({ hasText: name });
  await expect(row).toContainText('alone', within);
  await expect(remote.getByRole('listitem').filter({ hasText: name })).toContainText('alone', within);
  await expect.poll(async () => (await ask<Observed>(page, `classes/${id}`)).observations.map(({ mark }) => mark)).toEqual(['alone']);

  await remote.getByRole('button', { name: 'Next' }).tap();
  await expect(title(page)).toHaveText('Bear walk', within);
  await expect(title(remote)).toHaveText('Bear walk', within);
  await remote.getByRole('button', { name: 'Pause' }).tap();
  await expect(page.getByText('Paused – space goes on')).toBeVisible(within);
  await expect(remote.getByText('Paused')).toBeVisible(within);
  await page.keyboard.press('Space');
  await expect(remote.getByRole('button', { name: 'Next' })).toBeVisible(within);
  await remote.getByRole('button', { name: 'Put off' }).tap();
  await expect(title(page)).toHaveText('Jog on the spot', within);
  await remote.getByRole('button', { name: 'Undo' }).tap();
  await expect(title(page)).toHaveText('Bear walk', within);

  // the phone was locked and comes back: the link still leads there
  await remote.reload();
  await expect(title(remote)).toHaveText('Bear walk');
  for (let presses = 0; presses < 2; presses += 1) await page.keyboard.press('PageDown');
  await page.getByRole('button', { name: /mark what was seen/ }).click();
  // a try is no class: it was told to be one, and the link is over
  await expect(title(remote)).toHaveText('This is over', { timeout: 3000 });
  await remote.reload();
  await expect(title(remote)).toHaveText('This is over');
});

test('Who helps marks on an own device under an own name, and goes on', async ({ page, leiter, browser }) => {
  const id = await teach(page, leiter);
  const helper = await phone(browser);
  await signIn(helper, leiter, 'assistant');
  await helper.goto(`${leiter.url}/classes/${id}`);
  await helper.getByRole('link', { name: 'Beside it' }).tap();
  await expect(helper.getByRole('heading', { level: 1 })).toHaveText('Landing position');
  const first = helper.getByRole('listitem').first();
  const name = ((await first.locator('span').first().textContent()) ?? '').trim();
  await first.getByRole('button', { name: `${name}: clean` }).tap();
  const row = page.getByRole('region', { name: 'Marks of this class' }).getByRole('listitem').filter({ hasText: name });
  await expect(row).toContainText('clean', within);
  await helper.getByRole('button', { name: 'Next' }).tap();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Bear walk', within);
  const { person } = await ask<{ readonly person: { readonly id: string; readonly name: string } }>(helper, 'session');
  const seen = (await ask<Observed>(page, `classes/${id}`)).observations;
  expect(seen.map(({ mark, recordedBy }) => [mark, recordedBy])).toEqual([['clean', person.id]]);
});
