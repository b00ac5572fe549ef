import { expect, openToday, test } from '../tests/leiter.js';
import { tell } from './tell.js';

test('The library with 400 entries while it is scrolled', async ({ page, leiter }) => {
  await openToday(page, leiter, 'owner');
  const { format, movements } = (await (await page.request.get(`${leiter.url}/api/library/export`)).json()) as {
    readonly format: string;
    readonly movements: readonly { readonly slug: string; readonly name: string }[];
  };
  const more = movements.slice(0, 400 - movements.length).map((one) => ({ ...one, slug: `${one.slug}-again`, name: `${one.name} again` }));
  expect((await page.request.post(`${leiter.url}/api/library/import`, { data: { format, movements: more } })).status()).toBe(200);
  await page.goto(`${leiter.url}/library`);
  await page.getByRole('button', { name: 'Figures' }).click();
  const list = page.getByRole('region', { name: 'Movements' });
  await expect(list.getByRole('link').first()).toBeVisible();
  await page.waitForTimeout(1000);
  await page.evaluate(() => {
    const kept: number[] = [];
    Object.assign(window, { longTasks: kept });
    new PerformanceObserver((entries) => {
      for (const { duration } of entries.getEntries()) kept.push(duration);
    }).observe({ type: 'longtask', buffered: false });
  });
  const box = await list.boundingBox();
  await page.mouse.move((box?.x ?? 0) + 100, (box?.y ?? 0) + 200);
  const frames: number[] = [];
  const longest: number[] = [];
  for (let run = 0; run < 10; run += 1) {
    for (let step = 0; step < 60; step++) {
      await page.mouse.wheel(0, step < 30 ? 520 : -520);
      frames.push(
        await page.evaluate(
          () =>
            new Promise<number>((resolve) => {
              const begun = performance.now();
              requestAnimationFrame(() => {
                requestAnimationFrame(() => {
                  resolve(performance.now() - begun);
                });
              });
            }),
        ),
      );
    }
    longest.push(
      await page.evaluate(async () => {
        await new Promise((resolve) => setTimeout(resolve, 200));
        return Math.max(0, ...(window as unknown as { longTasks: number[] }).longTasks.splice(0));
      }),
    );
  }
  const figures = `library with ${String(movements.length + more.length)} figures`;
  tell(`${figures}: two frames while it is scrolled`, frames, null);
  tell(`${figures}: longest task over 50 ms of each run of scrolling (0: none)`, longest, 50);
});

test('The plan of 45 items and 30 children while it is written', async ({ page, leiter }) => {
  await openToday(page, leiter, 'owner');
  const ask = async <Answer>(path: string): Promise<Answer> =>
    (await (await page.request.get(`${leiter.url}/api/${path}`)).json()) as Answer;
  const groups = await ask<readonly { readonly id: string; readonly name: string }[]>('groups');
  const groupId = groups.find(({ name }) => name === 'Kittiwakes')?.id ?? '';
  const list = Array.from(
    { length: 20 },
    (_, index) => `Child ${String(index)} Z,201${String(6 + (index % 3))}-0${String(1 + (index % 9))}-1${String(index % 10)},Kittiwakes`,
  );
  const text = ['name,birth date,group', ...list.map((line, index) => line.replace('Child ', `Child${String(index)} `))].join('\n');
  expect((await page.request.post(`${leiter.url}/api/children/table`, { data: { text } })).status()).toBe(200);
  const day = new Date(Date.now() + 300 * 86_400_000).toISOString().slice(0, 10);
  const made = (await (await page.request.post(`${leiter.url}/api/classes`, { data: { groupId, day } })).json()) as { readonly id: string };
  const movements = (await ask<{ readonly movements: readonly { readonly slug: string }[] }>('library/export')).movements;
  const sections = (['warm-up', 'drills', 'cool-down'] as const).map((kind, section) => ({
    kind,
    items: Array.from({ length: 15 }, (_, index) => ({ movement: movements[((section * 15 + index) * 7) % movements.length]?.slug ?? '' })),
  }));
  const file = { format: 'leiter-plan/1', programme: 'gymnastics', lengthMinutes: 45, sections };
  expect((await page.request.post(`${leiter.url}/api/classes/${made.id}/plan/import`, { data: { version: 0, file } })).status()).toBe(200);
  await page.goto(`${leiter.url}/classes/${made.id}/plan`);
  const items = page.getByRole('list', { name: 'Items' }).getByRole('button');
  await expect(items).toHaveCount(45);
  await items.nth(10).click();
  await page.evaluate(() => {
    const kept: number[] = [];
    Object.assign(window, { keyTimes: kept });
    addEventListener(
      'keydown',
      ({ timeStamp }) => {
        // painted: after the next frame has begun and its work is done
        requestAnimationFrame(() => {
          setTimeout(() => kept.push(performance.now() - timeStamp));
        });
      },
      { capture: true },
    );
  });
  for (let press = 0; press < 60; press++) {
    await page.keyboard.press(press % 2 === 0 ? '+' : '-');
    await page.waitForTimeout(120);
  }
  const taken = await page.evaluate(() => (window as unknown as { keyTimes: readonly number[] }).keyTimes);
  tell('plan of 45 items and 30 children: from key to painted', taken.slice(10), 40);
});
