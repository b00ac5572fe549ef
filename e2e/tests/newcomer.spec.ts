import { expect, test } from '@playwright/test';
import { Leiter, ask, openClass, dayText } from './leiter.js';

let leiter: Leiter;
test.beforeAll(async () => {
  test.setTimeout(180_000);
  leiter = await Leiter.at('newcomer');
  await leiter.start();
});
test.afterAll(() => leiter.remove());

interface Page {
  readonly stored: { readonly plan: { readonly focus: readonly string[] } } | null;
}

interface Board {
  readonly rows: readonly {
    readonly childId: string;
    readonly name: string;
    readonly nextGradeId: string;
    readonly cells: readonly { readonly requirementId: string; readonly standing: string }[];
  }[];
  readonly columns: readonly {
    readonly gradeId: string;
    readonly requirements: readonly { readonly id: string; readonly movement: string }[];
  }[];
}

test('A newcomer plans the open class, teaches it, marks three children, sees a ladder change, and after a restart all is there', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await page.goto(leiter.url);
  await page.getByRole('button', { name: 'Tomasz Bielik' }).click();
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();

  // plan
  const { id, group, day } = await openClass(page, 'gymnastics');
  await page.getByRole('link', { name: 'Week', exact: true }).click();
  await page.getByRole('button', { name: new RegExp(`^Plan of ${group.name}, ${dayText(day)}`) }).click();
  await expect(page).toHaveURL(new RegExp(id));
  await page
    .getByRole('button', { name: /^Start from/ })
    .first()
    .click();
  const items = page.getByRole('list', { name: 'Items' }).getByRole('button');
  await expect(items.first()).toBeVisible();
  const before = await items.count();
  const length = page.getByRole('status', { name: 'Time of the plan' });
  const lengthBefore = await length.textContent();
  await page.keyboard.press('/');
  await page.keyboard.type('cartwheel');
  await page.keyboard.press('Enter');
  await expect(items).toHaveCount(before + 1);
  await expect(length).not.toHaveText(lengthBefore ?? '');
  await page.getByRole('button', { name: 'Put in focus' }).click();
  await expect.poll(async () => (await ask<Page>(page, `classes/${id}`)).stored?.plan.focus).toContain('cartwheel');

  // what the focus asks of whom
  const board = await ask<Board>(page, `groups/${group.id}/board`);
  const focus = (await ask<Page>(page, `classes/${id}`)).stored?.plan.focus ?? [];

  // teach
  await page.getByRole('link', { name: 'Teach this class' }).click();
  const note = page.getByLabel('How have you dealt with this?');
  if (await note.isVisible()) await note.fill('Looked at each of them.');
  await page.getByRole('button', { name: /start/i }).click();
  for (let item = 0; item <= before; item++) {
    await expect(page.getByRole('timer', { name: 'left of this item' })).toBeVisible();
    await page.keyboard.press('ArrowRight');
  }
  // gone through in seconds, it could have been a try: it is asked
  await expect(page.getByRole('heading', { name: 'That was a try' })).toBeVisible();
  await page.getByRole('button', { name: 'It was the class: mark what was seen' }).click();

  // mark three children
  const grid = page.getByRole('grid', { name: 'Marks of the class' });
  await expect(grid).toBeVisible();
  const column =
    focus.indexOf('cartwheel') === 0
      ? 0
      : (await grid.getByRole('columnheader').allTextContents()).findIndex((text) => text.startsWith('Cartwheel')) - 2;
  for (const row of [0, 1, 2]) {
    await grid.locator(`[data-cell="${String(row)}-${String(column)}"]`).click();
    await page.keyboard.press('4');
  }
  await expect(page.getByText(/· 3 marks given/)).toBeVisible();

  // a ladder changed
  const rowNames = await grid.getByRole('row').getByRole('link').allTextContents();
  const marked = rowNames.slice(0, 3);
  await expect
    .poll(async () => {
      const after = await ask<Board>(page, `groups/${group.id}/board`);
      return after.rows.filter(
        (row) => marked.includes(row.name) && JSON.stringify(row) !== JSON.stringify(board.rows.find((one) => one.childId === row.childId)),
      ).length;
    })
    .toBeGreaterThan(0);
  await grid.getByRole('link', { name: marked[0] ?? '' }).click();
  await expect(page.getByRole('heading', { name: marked[0] ?? '', level: 1 })).toBeVisible();
  const childUrl = page.url();
  const childId = childUrl.split('/').at(-1) ?? '';
  const facts = async () => ({
    plan: (await ask<Page>(page, `classes/${id}`)).stored?.plan,
    board: await ask<Board>(page, `groups/${group.id}/board`),
    child: await ask<{ observations: readonly { id: string }[] }>(page, `children/${childId}`),
  });
  const known = await facts();
  expect(known.child.observations.length).toBeGreaterThan(0);

  // restart
  expect(await leiter.stop('SIGTERM')).toBe(0);
  const begun = Date.now();
  await leiter.start();
  console.log(`second start: ${String(Date.now() - begun)} ms`);
  await page.goto(childUrl);
  await expect(page.getByRole('heading', { name: marked[0] ?? '', level: 1 })).toBeVisible();
  expect(await facts()).toEqual(known);
});

test('After the server or PostgreSQL was killed, the next start recovers by itself', async ({ page }) => {
  test.setTimeout(180_000);
  await page.goto(`${leiter.url}/sign-in`);
  await page.getByRole('button', { name: 'Amara Osei-Lund' }).click();
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();
  const before = await ask<readonly unknown[]>(page, 'children');
  leiter.killServer();
  await leiter.stop();
  await leiter.start();
  expect(await ask(page, 'children')).toEqual(before);

  leiter.cluster('kill');
  await leiter.stop('SIGKILL');
  // the server of the killed start still holds the port until it is gone
  await expect
    .poll(() =>
      fetch(`${leiter.url}/api/health`).then(
        () => 'there',
        () => 'gone',
      ),
    )
    .toBe('gone');
  await leiter.start();
  expect(await ask(page, 'children')).toEqual(before);
});
