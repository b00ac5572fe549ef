import { ask, expect, freshClass, signIn, test } from '../tests/leiter.js';
import { storePlan } from '../tests/teach-page.js';
import { tell } from './tell.js';

/** How long is measured, each time. */
const seconds = 15;
const movements = ['jog-on-the-spot', 'cartwheel', 'bridge', 'straight-jump', 'bear-walk', 'forward-roll'] as const;

/** The wall of a rehearsal beside Teach, without a graphics card: how far its pictures are apart, in milliseconds. */
test('A rehearsal with twelve figures that move', async ({ page, leiter }) => {
  test.setTimeout(300_000);
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'gymnastics');
  const { children } = await ask<{ readonly children: readonly { readonly id: string }[] }>(page, `classes/${id}`);
  // twelve, whoever is in the group: the same child several times is several pictures
  await page.route(`**/api/classes/${id}`, async (route) => {
    const answer = await route.fetch();
    const body = (await answer.json()) as { children: { id: string; name: string }[] };
    const own = body.children;
    body.children = Array.from({ length: 12 }, (_, index) => {
      const one = own[index % own.length];
      return {
        ...one,
        id: index < own.length ? (one?.id ?? '') : `00000000-0000-4000-8000-0000000000${String(10 + index)}`,
        name: `${one?.name ?? ''} ${String(index)}`,
      };
    });
    await route.fulfill({ response: answer, json: body });
  });
  expect(children.length).toBeGreaterThan(0);
  const items = movements.map((movement, index) => ({
    id: `i${String(index)}`,
    movement,
    dose: { kind: 'timed', seconds: 120 },
    sides: 'none',
    tiers: ['core'],
    familiarity: 'routine',
  }));
  await storePlan(page, leiter, id, { items, focus: ['cartwheel'] });
  await page.goto(`${leiter.url}/classes/${id}/rehearse`);
  await page.getByRole('button', { name: 'Begin the rehearsal' }).click();
  await expect(page.getByRole('list', { name: 'The group' }).getByRole('listitem')).toHaveCount(12);
  const gaps: number[] = [];
  for (const { id: item } of items) {
    await page.keyboard.press('g');
    gaps.push(
      ...(await page.evaluate(
        (milliseconds) =>
          new Promise<number[]>((resolve) => {
            const found: number[] = [];
            const begun = performance.now();
            let last = begun;
            const look = (now: number): void => {
              found.push(now - last);
              last = now;
              if (now - begun < milliseconds) requestAnimationFrame(look);
              else resolve(found.slice(1));
            };
            requestAnimationFrame(look);
          }),
        (seconds * 1000) / movements.length,
      )),
    );
    await page.keyboard.press('PageDown');
    expect(item).not.toBe('');
  }
  tell('a rehearsal: twelve figures beside Teach, from picture to picture', gaps, 20);
});
