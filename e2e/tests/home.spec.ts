import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { ask, expect, signIn, test } from './leiter.js';

// what the phone keeps is part of what this is about
test.use({ serviceWorkers: 'allow' });

interface AboutHome {
  readonly practice: readonly { readonly movement: string; readonly feeling: string }[];
  readonly consents: readonly { readonly kind: string; readonly isGiven: boolean }[];
}

/** A phone of a family, with nothing of the club on it. */
const kept = (page: Page): Promise<boolean> =>
  page.evaluate(async () => {
    const registration = await navigator.serviceWorker.getRegistration('/home');
    return registration?.active?.state === 'activated';
  });

test('A family’s phone: opened by its link, practised without a connection with the counter, an absence told, all of it at the club afterwards', async ({
  page,
  browser,
  leiter,
}) => {
  await signIn(page, leiter, 'owner');
  const children = await ask<readonly { readonly id: string; readonly givenName: string }[]>(page, 'children');
  const id = children.find(({ givenName }) => givenName === 'Mei')?.id ?? '';
  await page.goto(`${leiter.url}/children/${id}`);
  const about = page.getByRole('region', { name: 'The family’s page' });
  await about.getByRole('button', { name: 'Make the link' }).click();
  const link = await about.getByLabel('Link for the family').inputValue();
  expect(link).toMatch(/\/home#[\w-]{43}$/);

  const family = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    serviceWorkers: 'allow',
  });
  const phone = await family.newPage();
  await phone.goto(link);
  await expect(phone.getByRole('heading', { name: 'Mei', level: 1 })).toBeVisible();
  await expect(phone.getByRole('region', { name: 'Next class' })).toContainText('Lanterns');
  await expect(phone.getByRole('list', { name: 'To lay out' })).toContainText('Something to drink.');
  const { violations } = await new AxeBuilder({ page: phone })
    .exclude('svg *')
    .options({ resultTypes: ['violations'], preload: false })
    .analyze();
  expect(violations.map(({ id: rule, nodes }) => `${rule} at ${nodes.map(({ target }) => String(target)).join(' | ')}`)).toEqual([]);
  // nothing runs over the edge of a phone
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  await expect.poll(() => kept(phone), { timeout: 30_000 }).toBe(true);

  // in the cellar there is no connection: the page opens, and the task is practised with the counter
  await family.setOffline(true);
  await phone.reload();
  await expect(phone.getByText('No connection. What you see was kept here')).toBeVisible();
  const task = phone.getByRole('region', { name: 'To practise' });
  await task.getByRole('button', { name: 'Start' }).first().click();
  const counter = phone.getByRole('dialog', { name: /^Practise / });
  await expect(counter.getByRole('status')).toHaveText(/^Get ready/);
  await expect(counter.getByRole('status')).toHaveText(/^Go/, { timeout: 10_000 });
  await expect(counter.locator('svg')).toBeVisible();
  await expect(counter.getByText('Done! How was it?')).toBeVisible({ timeout: 60_000 });
  await counter.getByRole('button', { name: 'it hurt' }).click();
  await expect(task.getByText('done today: it hurt')).toBeVisible();
  await phone
    .getByRole('button', { name: /^Cannot come on / })
    .first()
    .click();
  await expect(phone.getByText('You told: Mei does not come.')).toBeVisible();
  await phone.getByRole('group', { name: 'Clips that we send may be kept to be looked at' }).getByRole('button', { name: 'yes' }).click();
  await expect.poll(async () => (await ask<AboutHome>(page, `children/${id}/home`)).practice.length).toBe(0);

  // with a connection it arrives, once
  await family.setOffline(false);
  await expect
    .poll(async () => (await ask<AboutHome>(page, `children/${id}/home`)).consents, { timeout: 30_000 })
    .toMatchObject([{ kind: 'clips', isGiven: true }]);
  expect((await ask<AboutHome>(page, `children/${id}/home`)).practice).toMatchObject([{ feeling: 'hurt' }]);
  await phone.reload();
  await expect(phone.getByText('You told: Mei does not come.')).toBeVisible();

  // the club sees it: what hurt stands on the first page
  await page.goto(`${leiter.url}/`);
  await expect(page.getByRole('region', { name: 'It hurt at home' })).toContainText('Mei H.');

  // asked about its words: what is said at the end is what was said of each answer
  await phone.getByRole('button', { name: 'Ask me' }).click();
  const words = phone.getByRole('region', { name: 'Words to know' });
  let asked = 0;
  let right = 0;
  for (const result = words.getByRole('group', { name: 'Result' }); !(await result.isVisible()); asked += 1) {
    await words.locator('.answers button').first().click();
    await expect(words.locator('.answers .right')).toHaveCount(1);
    if (await words.locator('.answers .right').and(words.locator('.answers button').first()).isVisible()) right += 1;
    await words.getByRole('button', { name: /^(Next question|How many were right\?)$/ }).click();
  }
  expect(asked).toBeGreaterThan(2);
  await expect(words.getByText(`${String(right)} of ${String(asked)} right`)).toBeVisible();
  await expect(words.getByRole('listitem')).toHaveCount(asked - right);
  await words.getByRole('button', { name: 'To the words' }).click();
  await expect(words.getByRole('button', { name: 'Turn it over' })).toBeVisible();

  // ended, the link opens nothing, and the phone keeps nothing of it
  await page.goto(`${leiter.url}/children/${id}`);
  await about.getByRole('button', { name: 'End the link' }).click();
  await expect(about.getByRole('button', { name: 'Make the link' })).toBeVisible();
  await phone.reload();
  await expect(phone.getByText('This link is not good any more. Ask the club for a new one.')).toBeVisible();
  await family.setOffline(true);
  await phone.reload();
  await expect(phone.getByRole('heading', { name: 'Mei', level: 1 })).toHaveCount(0);
  await family.close();
});
