import type { Page } from '@playwright/test';
import { ask, expect, freshClass, signIn, test } from './leiter.js';
import { storePlan } from './teach-page.js';

// what the browser keeps is what this is about
test.use({ serviceWorkers: 'allow' });

const movements = [
  'jog-on-the-spot',
  'landing-position',
  'bear-walk',
  'cat-and-cow',
  'tuck-rock',
  'straight-jump',
  'deep-squat',
  'wrist-wake-up',
  'landing-position',
  'bear-walk',
  'slow-breathing',
  'wave-goodbye',
];

interface Stored {
  readonly class: { readonly taughtAt: string | null; readonly endedAt: string | null; readonly note: string | null };
  readonly children: readonly { readonly id: string; readonly attendance: string | null }[];
  readonly observations: readonly { readonly childId: string; readonly mark: string }[];
}

const title = (page: Page) => page.getByRole('heading', { level: 1 });
const said = (page: Page): Promise<number> => page.evaluate(() => (window as unknown as { heard: number }).heard);

test('A class goes on without a connection after its plan was opened once: sound, figures, marks, a reload; then all is stored once', async ({
  page,
  context,
  leiter,
}) => {
  test.setTimeout(240_000);
  await page.addInitScript(() => {
    Object.assign(window, { heard: 0 });
    addEventListener('leiter-said', () => ((window as unknown as { heard: number }).heard += 1));
  });
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'gymnastics');
  const dose = { kind: 'reps', sets: 1, reps: 40, secondsPerRep: 1, restSeconds: 0 };
  const items = movements.map((movement, index) => ({
    id: `i${String(index)}`,
    movement,
    dose,
    sides: 'none',
    tiers: ['core'],
    familiarity: 'routine',
  }));
  await storePlan(page, leiter, id, { items, focus: ['landing-position'] });

  await page.goto(`${leiter.url}/classes/${id}/plan`);
  await expect(title(page)).toBeVisible();
  // the browser keeps what it needs while one looks at the plan
  await expect
    .poll(
      () =>
        page.evaluate(async (classId) => {
          const answers = await (await caches.open('leiter-answers')).keys();
          const clips = await (await caches.open('leiter-clips')).keys();
          return [
            answers.some(({ url }) => url.endsWith(`/api/classes/${classId}`)),
            answers.some(({ url }) => url.endsWith('/board')),
            clips.length > 40,
          ];
        }, id),
      { timeout: 90_000 },
    )
    .toEqual([true, true, true]);

  await context.setOffline(true);
  await page.goto(`${leiter.url}/classes/${id}/teach`);
  await expect(page.getByText(/^The voice has all \d+ words of this class/)).toBeVisible({ timeout: 30_000 });
  const note = page.getByLabel('How have you dealt with this?');
  if (await note.isVisible()) await note.fill('They know it well.');
  await page.getByRole('button', { name: /start/i }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await expect(page.getByText('No connection.')).toBeVisible();
  await expect.poll(() => said(page), { timeout: 20_000 }).toBeGreaterThan(3);

  const marked = new Set<string>();
  for (let index = 1; index < movements.length; index += 1) {
    await page.keyboard.press('PageDown');
    await expect(page.getByRole('img').first()).toBeVisible();
    if (index === 1) {
      const next = page.getByRole('region', { name: 'Marks of this class' }).getByText(/^watch next: /);
      for (const key of ['1', '2', '3', '4', '3']) {
        const name = (await next.textContent()) ?? '';
        marked.add(name);
        await page.keyboard.press(key);
        await expect(next).not.toHaveText(name);
      }
      expect(marked.size).toBe(5);
    }
    if (index === 6) {
      const before = await title(page).textContent();
      await page.reload();
      await expect(title(page)).toHaveText(before ?? '');
      // the first key after a reload gives the browser leave to speak
      await page.keyboard.press('v');
      await page.keyboard.press('v');
      await expect.poll(() => said(page), { timeout: 20_000 }).toBeGreaterThan(1);
    }
  }
  await expect(title(page)).toHaveText('Wave goodbye');
  await page.keyboard.press('PageDown');
  await page.getByRole('button', { name: 'All there' }).click();
  await page.getByRole('button', { name: /mark what was seen/i }).click();
  await expect(page.getByRole('heading', { name: /^Marks · / })).toBeVisible();
  await expect(page.getByText(/entries are kept here and sent then/)).toBeVisible();

  await context.setOffline(false);
  const arrived = async (): Promise<unknown> => {
    const { observations, class: session } = await ask<Stored>(page, `classes/${id}`);
    return [observations.length, session.endedAt !== null];
  };
  await expect.poll(arrived, { timeout: 30_000 }).toEqual([5, true]);
  await expect(page.getByText('No connection.')).toBeHidden();
  const stored = await ask<Stored>(page, `classes/${id}`);
  expect(new Set(stored.observations.map(({ childId }) => childId)).size).toBe(5);
  expect(stored.observations.map(({ mark }) => mark).toSorted()).toEqual(['alone', 'alone', 'clean', 'not-yet', 'with-help']);
  expect(stored.class.taughtAt).not.toBeNull();
  expect(stored.class.endedAt).not.toBeNull();
  expect(stored.children.every(({ attendance }) => attendance === 'present')).toBe(true);
  const taught = await ask<{ readonly items: readonly object[]; readonly visits: readonly object[] }>(page, `classes/${id}/taught`);
  expect(taught.items).toHaveLength(12);
  expect(taught.visits).toHaveLength(12);
  // nothing waits any more, nothing is sent again
  await page.reload();
  await expect(page.getByRole('heading', { name: /^Marks · / })).toBeVisible();
  expect((await ask<Stored>(page, `classes/${id}`)).observations).toHaveLength(5);

  // who signs out leaves nothing of the children behind
  await page.goto(`${leiter.url}/me`);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  expect(await page.evaluate(async () => (await (await caches.open('leiter-answers')).keys()).length)).toBe(0);
});
