import type { Page } from '@playwright/test';
import { ask, expect, freshClass, signIn, test, type Coming, type Leiter } from './leiter.js';

const timer = (page: Page) => page.getByRole('timer', { name: 'left of this item' });

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
  await expect(timer(page)).toBeVisible();
  return id;
}

const title = (page: Page): Promise<string | null> => page.getByRole('heading', { level: 1 }).textContent();
const left = async (page: Page): Promise<number> => {
  const text = (await timer(page).textContent()) ?? '';
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
  expect(await size(timer(page))).toBeGreaterThanOrEqual(48);
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

interface Heard {
  readonly kind: string;
  readonly text: string;
  readonly nominal: number;
  readonly at: number;
  readonly seconds: number;
}

/** From now on the page keeps what it says, as it is put on the clock of the sound card. */
async function listen(page: Page): Promise<() => Promise<readonly Heard[]>> {
  await page.addInitScript(() => {
    const heard: unknown[] = [];
    Object.assign(window, { heard });
    addEventListener('leiter-said', (event) => heard.push((event as CustomEvent).detail));
  });
  return () => page.evaluate(() => (window as unknown as { heard: Heard[] }).heard);
}

/** An open class with one item that is done on both sides. */
async function planWithSides(page: Page, leiter: Leiter): Promise<string> {
  const id = await freshClass(page, 'gymnastics');
  const dose = { kind: 'reps', sets: 1, reps: 4, secondsPerRep: 1, restSeconds: 0 };
  const item = { id: 'lunge', movement: 'low-lunge-stretch', dose, sides: 'both', tiers: ['core'], familiarity: 'routine', way: 'flow' };
  const plan = { v: 1, focus: [], sections: [{ id: 'drills', kind: 'drills', items: [item] }] };
  const saved = await page.request.put(`${leiter.url}/api/classes/${id}/plan`, {
    data: { version: 0, plan },
    headers: { origin: leiter.url },
  });
  expect(saved.status(), await saved.text()).toBe(200);
  return id;
}

test('The voice says the name, the sides and the count on their beat; V silences it', async ({ page, leiter }) => {
  const heard = await listen(page);
  await signIn(page, leiter, 'owner');
  const id = await planWithSides(page, leiter);
  await page.goto(`${leiter.url}/classes/${id}/teach`);
  await expect(page.getByText(/^The voice has all \d+ words of this class/)).toBeVisible();
  const note = page.getByLabel('How have you dealt with this?');
  if (await note.isVisible()) await note.fill('They know it well.');
  await page.getByRole('button', { name: /start/i }).click();
  await expect.poll(async () => (await heard()).filter(({ text }) => text === 'four').length, { timeout: 40_000 }).toBe(2);
  const said = await heard();
  const words = said.map(({ text }) => text).filter((text) => text !== 'ready');
  expect(words).toEqual(['Low lunge stretch', 'left', 'two', 'three', 'four', 'change', 'right', 'two', 'three', 'four']);
  for (const { nominal, at } of said.slice(1)) expect(Math.abs(at - nominal)).toBeLessThan(0.015);
  said.forEach(({ at, seconds }, index) => {
    expect(at + seconds).toBeLessThanOrEqual((said[index + 1]?.at ?? Infinity) + 0.001);
  });
  const between = said.filter(({ text }) => text === 'two' || text === 'three').map(({ at }) => at);
  expect(Math.abs((between[1] ?? 0) - (between[0] ?? 0) - ((between[3] ?? 0) - (between[2] ?? 0)))).toBeLessThan(0.015);

  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('v');
  await expect(page.getByRole('button', { name: 'Voice off' })).toBeVisible();
  const before = (await heard()).length;
  await page.waitForTimeout(6000);
  expect((await heard()).length).toBe(before);
});

test('On a signal the explaining runs over until a key begins the work, and the choice is one press away', async ({ page, leiter }) => {
  await page.clock.install();
  await signIn(page, leiter, 'owner');
  await startClass(page, leiter);
  await page.keyboard.press('s');
  await expect(page.getByRole('button', { name: 'On my signal' })).toBeVisible();
  await expect(async () => {
    await page.clock.runFor(400);
    await expect(page.getByText('space begins the work')).toBeVisible({ timeout: 500 });
  }).toPass({ timeout: 10_000 });
  const item = await title(page);
  await page.clock.fastForward(400_000);
  await page.clock.runFor(400);
  await expect(page.getByText(/^\+6:\d\d$/)).toBeVisible();
  expect(await title(page)).toBe(item);
  await page.keyboard.press('Space');
  await page.clock.runFor(400);
  await expect(page.getByText(/^\+6:/)).toBeHidden();
  expect(await title(page)).toBe(item);
  await expect(page.getByText(/behind$/)).toBeVisible();
});

test('How one leads is chosen once, and the screen shows the side that way', async ({ page, leiter }) => {
  await signIn(page, leiter, 'owner');
  await page.goto(`${leiter.url}/me`);
  const form = page.getByRole('region', { name: 'The voice in Teach' });
  const saved = page.waitForResponse((response) => response.url().endsWith('/api/session/voice'));
  await form.getByRole('button', { name: 'back to them, same side' }).click();
  await saved;
  const id = await planWithSides(page, leiter);
  await page.goto(`${leiter.url}/classes/${id}/teach`);
  const note = page.getByLabel('How have you dealt with this?');
  await expect(page.getByText(/coming$/)).toBeVisible();
  if (await note.isVisible()) await note.fill('They know it well.');
  await page.getByRole('button', { name: /start/i }).click();
  await expect(page.getByText('LEFT')).toBeVisible();
  await expect(page.getByText('you: left')).toBeVisible();
  await expect(page.getByRole('img', { name: 'seen on the left' })).toBeVisible();
});

test('Late, the least harmful way to end on time is taken by one press and taken back by another; an item is put off', async ({
  page,
  leiter,
}) => {
  test.setTimeout(120_000);
  await page.clock.install();
  await signIn(page, leiter, 'owner');
  await startClass(page, leiter);
  const ends = async (): Promise<string> => (await page.getByText(/^ends /).textContent()) ?? '';
  await page.keyboard.press('Space');
  await page.clock.fastForward(360_000);
  await page.keyboard.press('Space');
  await page.clock.runFor(1000);
  const offer = page.getByRole('region', { name: 'To end on time' });
  await expect(offer).toBeVisible();
  const late = await ends();
  await page.keyboard.press('t');
  await page.clock.runFor(1000);
  await expect.poll(ends).not.toBe(late);
  await page.keyboard.press('z');
  await page.clock.runFor(1000);
  await expect(offer).toBeVisible();

  const next = async (): Promise<string | null> => page.locator('span', { hasText: /^Next/ }).first().textContent();
  for (let item = 0; item < 3; item += 1) await page.keyboard.press('PageDown');
  await page.clock.runFor(400);
  await expect(page.getByRole('button', { name: 'Put off' })).toBeVisible();
  const [first, then] = [await title(page), await next()];
  await page.keyboard.press('p');
  await page.clock.runFor(400);
  expect(then).toContain(await title(page));
  expect(await next()).toContain(first);
});

test('Something is called out on the spot, by one key and another, on the screen as it is heard', async ({ page, leiter }) => {
  const heard = await listen(page);
  await signIn(page, leiter, 'owner');
  await startClass(page, leiter);
  await page.keyboard.press('k');
  const panel = page.getByRole('dialog', { name: 'Call out' });
  await panel.getByRole('button', { name: 'quick', exact: true }).click();
  await panel.getByRole('button', { name: /Left and right$/ }).click();
  const calls = page.getByRole('region', { name: 'Calls' });
  await expect(calls.getByText('Get ready')).toBeVisible();
  const called = async (): Promise<readonly string[]> =>
    (await heard()).filter(({ kind, text }) => kind === 'call' && /^(left|right) (hand|foot|knee)$/.test(text)).map(({ text }) => text);
  await expect.poll(async () => (await called()).length, { timeout: 30_000 }).toBeGreaterThanOrEqual(6);
  const first = (await called()).slice(0, 6);
  expect(new Set(first).size).toBe(6);
  await expect(calls.getByText(/^(left|right) (hand|foot|knee)$/)).toBeVisible();
  await page.keyboard.press('k');
  await expect(calls).toBeHidden();
  const until = (await called()).length;
  await page.waitForTimeout(4000);
  expect((await called()).length).toBe(until);
});
