import { ask, expect, freshClass, signIn, test } from './leiter.js';
import { storePlan, timedItem } from './teach-page.js';

// what moves is what this is about
test.use({ contextOptions: { reducedMotion: 'no-preference' } });

interface Kept {
  readonly class: { readonly taughtAt: string | null; readonly rehearsedAt: string | null };
  readonly observations: readonly object[];
  readonly pace: object;
  readonly children: readonly { readonly id: string; readonly name: string }[];
}

test('A class is rehearsed to drawn children, who move; marks and looks are set beside what was shown, and nothing of it is kept', async ({
  page,
  leiter,
}) => {
  test.setTimeout(120_000);
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'gymnastics');
  const items = [timedItem('land', 'landing-position', 60), timedItem('jog', 'jog-on-the-spot', 60)];
  await storePlan(page, leiter, id, { items, focus: ['landing-position'] });
  const before = await ask<Kept>(page, `classes/${id}`);
  const sent: string[] = [];
  page.on('request', (request) => {
    if (request.method() !== 'GET' && !request.url().includes('/voice/clips')) sent.push(`${request.method()} ${request.url()}`);
  });

  await page.goto(`${leiter.url}/classes/${id}`);
  await page.getByRole('link', { name: 'Rehearse' }).click();
  // the roll first: what a name does not tell is asked, and the child says who it is
  await page.getByRole('button', { name: 'Take the roll' }).click();
  const roll = page.getByRole('dialog', { name: 'Who is there, from the call' });
  const lines = roll.getByRole('list', { name: 'Names read' }).getByRole('listitem');
  // one of them comes late
  const here = before.children.length - 1;
  await expect(lines).toHaveCount(here);
  for (const line of await lines.all()) {
    const ask = line.getByRole('button', { name: /^Ask / });
    if (!(await ask.isVisible())) continue;
    await ask.press('Space');
    const said = /^“I’m (.*)!”$/.exec(await line.getByRole('status').innerText())?.[1] ?? '';
    await line.getByRole('combobox').selectOption(said);
  }
  await roll.getByRole('button', { name: `${String(here)} children are there` }).click();
  await page.getByRole('button', { name: 'Begin the rehearsal' }).click();
  const pictures = page.getByRole('list', { name: 'The group' }).getByRole('listitem');
  await expect(pictures).toHaveCount(here);
  // below the pictures stand the names of the club now
  const labels = await pictures.getByRole('button').evaluateAll((all) => all.map((one) => one.getAttribute('aria-label') ?? ''));
  const own = new Set(before.children.map(({ name }) => name));
  expect(labels.filter((label) => !own.has(label))).toEqual([]);
  await page.keyboard.press('g');
  // the children move: a picture is another one a moment later
  const picture = () => page.evaluate(() => [...document.querySelectorAll('canvas')].map((canvas) => canvas.toDataURL()).join());
  const first = await picture();
  await expect.poll(async () => (await picture()) !== first).toBe(true);

  await page.keyboard.press('Tab');
  await page.keyboard.press('4');
  await pictures.nth(1).getByRole('button').first().click();
  await pictures
    .nth(1)
    .getByRole('button', { name: /: alone$/ })
    .click();
  const looked = await pictures.nth(2).getByRole('button').first().getAttribute('aria-label');
  await pictures.nth(2).getByRole('button').first().click();
  await page.getByRole('button', { name: 'End the rehearsal' }).click();

  await expect(page.getByRole('region', { name: `Roll right: ${String(here + 1)} of ${String(here + 1)}` })).toContainText('Everybody');
  const seen = page.getByRole('region', { name: `Looked at: 3 of ${String(here)}` });
  await expect(seen).toContainText('Nobody looked at:');
  await expect(seen).not.toContainText(looked ?? '');
  // two marks: each is as shown, kinder or stricter
  const marks = page.getByRole('region', { name: /^Marks as shown: / });
  const agreed = Number(/: (\d) of 2$/.exec((await marks.getAttribute('aria-label')) ?? '')?.[1]);
  expect((await marks.getByText(/ – (kinder|stricter)\.$/).count()) + agreed).toBe(2);
  await expect(marks).toContainText('Not marked, Landing position:');

  const after = await ask<Kept>(page, `classes/${id}`);
  expect(after).toEqual(before);
  expect(sent).toEqual([]);
  const { items: taught } = await ask<{ readonly items: readonly object[] }>(page, `classes/${id}/taught`);
  expect(taught).toEqual([]);
  // the class itself is still to begin
  await page.goto(`${leiter.url}/classes/${id}/teach`);
  await expect(page.getByRole('button', { name: /start/i })).toBeVisible();
});
