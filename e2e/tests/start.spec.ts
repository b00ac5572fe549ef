import { spawnSync } from 'node:child_process';
import { createServer, type Server } from 'node:net';
import { test, expect } from '@playwright/test';
import { Leiter, root } from './leiter.js';

/** What npm start says when it cannot. */
function refusal(leiter: Leiter, environment: NodeJS.ProcessEnv): { readonly code: number | null; readonly said: string } {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['tools/start.mjs'], {
    cwd: root,
    env: { ...leiter.environment, ...environment },
    encoding: 'utf8',
    timeout: 60_000,
  });
  return { code: status, said: (stdout + stderr).trim() };
}

test('What stands in the way of a start is said in one sentence', async () => {
  const leiter = await Leiter.at('refused');
  const blocker: Server = createServer();
  await new Promise<void>((resolve) => blocker.listen(leiter.port, '127.0.0.1', resolve));
  expect(refusal(leiter, {})).toEqual({
    code: 1,
    said: `Port ${String(leiter.port)} is in use: stop what uses it, or start with PORT=4700 npm start.`,
  });
  await new Promise((resolve) => blocker.close(resolve));
  expect(refusal(leiter, { PORT: 'many' })).toEqual({ code: 1, said: 'PORT is many, which is no port: a number from 1 to 65535.' });
  const unreadable = refusal(leiter, { LEITER_FOLDER: '/dev/null/data' });
  expect(unreadable.code).toBe(1);
  expect(unreadable.said).toMatch(/^The folder \/dev\/null\/data cannot be read and written \(\w+\); make it yours, then start again\.$/);
  await leiter.remove();
});

test('Without demo data the first visitor makes the club and is its owner', async ({ page }) => {
  test.setTimeout(180_000);
  const leiter = await Leiter.at('empty');
  await leiter.start('--empty');
  try {
    await expect.poll(() => leiter.output).toContain('The first visitor makes the club and is its owner.');
    await page.goto(leiter.url);
    const form = page.getByRole('form', { name: 'Make your club' });
    await form.getByLabel('Name of the club').fill('The Boat House');
    await form.getByLabel('Your name').fill('Ida Holm');
    await form.getByLabel('E-mail address').fill('ida@boat-house.example');
    await form.getByLabel('Password').fill('short');
    await form.getByRole('button').click();
    await expect(form.getByText('A password has at least 10 characters.')).toBeVisible();
    await form.getByLabel('Password').fill('long enough for me');
    await form.getByRole('button').click();
    await expect(page.getByText('Nobody to teach yet')).toBeVisible();
    await page.goto(`${leiter.url}/club`);
    await expect(page.getByText('The Boat House').first()).toBeVisible();
    await expect(page.getByText('Ida Holm').first()).toBeVisible();
    const again = await page.request.post(`${leiter.url}/api/club`, {
      data: { clubName: 'X', ownerName: 'Y', email: 'a@b.example', password: 'long enough it is', timeZone: 'UTC' },
    });
    expect(again.status()).toBe(409);
    expect(await leiter.stop('SIGINT')).toBe(0);
  } finally {
    await leiter.remove();
  }
});
