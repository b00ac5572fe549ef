import { expect, signIn, test } from '../tests/leiter.js';

/** Prints one row of the bench as a JSON line. */
function tell(name: string, taken: readonly number[], limit: number | null): void {
  const sorted = taken.toSorted((a, b) => a - b);
  const at = (share: number): number => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;
  console.log(`\n${JSON.stringify({ name, medianMs: at(0.5), p95Ms: at(0.95), limit, runs: sorted.length })}`);
}

test('The library with 400 entries while it is scrolled', async ({ page, leiter }) => {
  await signIn(page, leiter, 'owner');
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
  for (let step = 0; step < 120; step++) {
    await page.mouse.wheel(0, step < 60 ? 260 : -260);
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
  const longTasks = await page.evaluate(() => (window as unknown as { longTasks: readonly number[] }).longTasks);
  tell(`library with ${String(movements.length + more.length)} figures: two frames while it is scrolled`, frames, null);
  tell(
    `library with ${String(movements.length + more.length)} figures: longest task over 50 ms while it is scrolled (0: none)`,
    longTasks.length === 0 ? [0] : longTasks,
    50,
  );
});
