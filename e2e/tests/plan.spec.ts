import { ask, expect, freshClass, signIn, test } from './leiter.js';
import { items, minutes, names, startPlan, stored } from './plan-page.js';

test('A plan is written without the mouse, and every step can be taken back', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  const id = await startPlan(page, leiter, 'gymnastics');
  const begun = await names(page);
  const time = await minutes(page);

  await page.keyboard.press('/');
  await page.keyboard.type('wrist wake');
  await page.keyboard.press('Enter');
  await expect(items(page)).toHaveCount(begun.length + 1);
  await page.keyboard.press('Escape');
  const chosen = page.locator('[aria-current="true"]');
  await expect(chosen).toHaveAttribute('aria-label', /Wrist wake-up/);
  const dose = await chosen.getAttribute('aria-label');
  await page.keyboard.press('+');
  await expect(chosen).not.toHaveAttribute('aria-label', dose ?? '');
  await page.keyboard.press('-');
  await expect(chosen).toHaveAttribute('aria-label', dose ?? '');
  await page.keyboard.press('d');
  await expect(items(page)).toHaveCount(begun.length + 2);
  await page.keyboard.press('Alt+ArrowUp');
  await page.keyboard.press('Alt+ArrowUp');
  await page.keyboard.press('Delete');
  await expect(items(page)).toHaveCount(begun.length + 1);
  const ended = await names(page);

  for (let press = 0; press < 12; press++) await page.keyboard.press('Control+z');
  await expect(items(page)).toHaveCount(begun.length);
  expect(await names(page)).toEqual(begun);
  expect(await minutes(page)).toBe(time);
  for (let press = 0; press < 12; press++) await page.keyboard.press('Control+Shift+z');
  await expect(items(page)).toHaveCount(ended.length);
  expect(await names(page)).toEqual(ended);
  await expect.poll(() => stored(page, id)).toHaveLength(ended.length);
});

test('What is unsafe is said at once, mended by one click and taken back by one key', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  await startPlan(page, leiter, 'gymnastics');
  const findings = page.getByRole('group', { name: 'Findings' });
  const before = await findings.getByRole('listitem').count();
  // a split on one side only
  await page.keyboard.press('/');
  await page.keyboard.type('split slide');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.keyboard.press('s');
  await expect(findings.getByText('One side only')).toBeVisible();
  const button = findings
    .getByRole('listitem')
    .filter({ hasText: 'One side only' })
    .getByRole('button', { name: /^(Add the|Do both)/ });
  await button.click();
  await expect(findings.getByText('One side only')).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(findings.getByText('One side only')).toBeVisible();
  expect(await findings.getByRole('listitem').count()).toBeGreaterThan(before);
});

test('An item is dragged to another place, and its time goes with it', async ({ page, leiter }) => {
  await signIn(page, leiter, 'dance');
  await startPlan(page, leiter, 'dance');
  const [first, second, third] = await names(page);
  const from = await items(page).nth(0).boundingBox();
  const to = await items(page).nth(2).boundingBox();
  if (!from || !to) throw new Error('nothing to drag');
  await page.mouse.move(from.x + 200, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + 200, from.y + from.height / 2 + 12, { steps: 3 });
  await page.mouse.move(to.x + 200, to.y + to.height / 2 + 2, { steps: 8 });
  await page.mouse.up();
  // the time it starts and the time it takes to get there change with its place
  const bare = (name: string | undefined): string => name?.replace(/^\d\d:\d\d /, '').replace(/, takes .*/, '') ?? '';
  await expect.poll(async () => (await names(page)).slice(0, 3).map(bare)).toEqual([second, third, first].map(bare));
});

test('Two people on one plan: the second is shown both, and nothing is lost whichever is taken', async ({ page, leiter, browser }) => {
  await signIn(page, leiter, 'martial-arts');
  // the change of the other is not seen before one's own is saved
  await page.route(/\/api\/events$|\/plan\/version$/, (route) => route.abort());
  const id = await startPlan(page, leiter, 'martial-arts');
  await items(page).first().click();
  await page.keyboard.press('d');
  await expect.poll(async () => (await stored(page, id)).length).toBeGreaterThan(0);

  const other = await browser.newPage();
  await signIn(other, leiter, 'owner');
  await other.goto(`${leiter.url}/classes/${id}/plan`);
  await expect(items(other).first()).toBeVisible();
  await items(other).first().click();
  await other.keyboard.press('Delete');
  const count = await items(other).count();
  await expect.poll(async () => (await stored(page, id)).length).toBe(count);

  await items(page).nth(1).click();
  await page.keyboard.press('d');
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('Solveig Aune saved this plan meanwhile')).toBeVisible();
  await dialog.getByRole('button', { name: 'Keep mine' }).click();
  const mine = await items(page).count();
  await expect.poll(async () => (await stored(page, id)).length).toBe(mine);
  expect(mine).toBe(count + 2);
  await other.close();
});

test('A plan written while the database is away is kept over a reload and saved when it is back', async ({ page, leiter }) => {
  test.setTimeout(120_000);
  await signIn(page, leiter, 'gymnastics');
  const id = await startPlan(page, leiter, 'gymnastics');
  await items(page).first().click();
  await page.keyboard.press('d');
  const count = await items(page).count();
  await expect.poll(async () => (await stored(page, id)).length).toBe(count);
  // an API that answers as it does while its database is away
  await page.route('**/api/**', (route) =>
    route.fulfill({
      status: 503,
      contentType: 'application/problem+json',
      body: JSON.stringify({ status: 503, title: 'The database does not answer' }),
    }),
  );
  await page.keyboard.press('d');
  await expect(page.getByText('kept here, saved when there is an answer')).toBeVisible();
  page.once('dialog', (dialog) => void dialog.accept());
  await page.unroute('**/api/**');
  await page.reload();
  await expect(items(page)).toHaveCount(count + 1);
  await expect.poll(async () => (await stored(page, id)).length).toBe(count + 1);
});

test('A class that runs over is fitted to the clock, and taken back with one key', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  await startPlan(page, leiter, 'gymnastics');
  await page
    .getByRole('button', { name: /Fog and lighthouse/ })
    .first()
    .click();
  await page.getByLabel('Dose', { exact: true }).fill('9 min');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/over ·/)).toBeVisible();
  const over = await minutes(page);
  await page.keyboard.press('Escape');
  await page.locator('body').click({ position: { x: 5, y: 500 } });
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Fit to the clock' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('list', { name: 'Edits' }).getByRole('listitem').first()).toBeVisible();
  await dialog.getByRole('button', { name: /^Take/ }).click();
  await expect(page.getByText(/in hand/)).toBeVisible();
  await page.keyboard.press('Control+z');
  for (let press = 0; press < 12 && (await minutes(page)) !== over; press++) await page.keyboard.press('Control+z');
  expect(await minutes(page)).toBe(over);
});

test('What a child does is set by hand, with the reason beside it, and each family is told what it needs', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  const id = await startPlan(page, leiter, 'gymnastics');
  await page.getByRole('button', { name: 'Who does what' }).click();
  const dialog = page.getByRole('dialog');
  const instead = dialog.locator('td button[data-does=instead]').first();
  await instead.click();
  // the cell itself names what the child does instead
  const other = (await instead.textContent()) ?? '';
  await expect(dialog.getByRole('status')).toContainText(`instead ${other}: `);
  await dialog.getByRole('status').getByRole('button', { name: 'easier', exact: true }).click();
  await expect(dialog.getByRole('status')).toContainText('easier: set by hand');
  await dialog.getByRole('button', { name: 'For the parents' }).click();
  await expect(
    dialog
      .getByRole('list', { name: 'Families' })
      .getByText(/Clear \d\.\d × \d\.\d m of floor/)
      .first(),
  ).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  const { stored: plan } = await ask<{ stored: { plan: { sections: { items: { tierByHand?: object }[] }[] } } }>(page, `classes/${id}`);
  expect(plan.plan.sections.flatMap(({ items: all }) => all).filter(({ tierByHand }) => tierByHand)).toHaveLength(1);
});

test('A finding is let stand with a reason, kept over a reload, and opened again', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  await startPlan(page, leiter, 'gymnastics');
  await page
    .getByRole('button', { name: /Straight jump/ })
    .first()
    .click();
  await page.keyboard.press('/');
  await page.keyboard.type('split slide');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.keyboard.press('s');
  const open = page.getByRole('group', { name: 'Findings' }).getByRole('listitem').filter({ hasText: 'One side only' });
  await open.getByRole('button', { name: 'Let it stand' }).click();
  await page.getByLabel('Why it stands').fill('the other side comes on Friday');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(open).toBeHidden();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.reload();
  const looked = page.getByRole('list', { name: 'Looked at' });
  await expect(looked.getByText(/the other side comes on Friday/)).toBeVisible();
  await looked.getByRole('button', { name: 'Open again' }).click();
  await expect(open).toBeVisible();
});

test('The next class is the last one, one step further; and it goes on paper and into a file', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  const id = await freshClass(page, 'gymnastics');
  await page.goto(`${leiter.url}/classes/${id}/plan`);
  const earlier = page.getByRole('region', { name: 'From an earlier class' });
  await expect(earlier.getByText(/was shown, so .+ comes next|stays: not enough children/)).toBeVisible();
  await earlier.getByRole('button', { name: 'Again, one step further' }).click();
  await expect(items(page).first()).toBeVisible();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Export' }).click();
  const paper = await page.getByRole('menuitem', { name: 'On paper (PDF)' }).getAttribute('href');
  const pdf = await page.request.get(new URL(paper ?? '', page.url()).href);
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  const file = await page.getByRole('menuitem', { name: 'As a plan file' }).getAttribute('href');
  expect(await (await page.request.get(new URL(file ?? '', page.url()).href)).json()).toMatchObject({ format: 'leiter-plan/1' });
});

test('A restless order is made calmer in one step, and one key takes it back', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  await startPlan(page, leiter, 'gymnastics');
  await page
    .getByRole('button', { name: /Deep squat/ })
    .first()
    .click();
  for (const name of ['cat and cow', 'hip circles', 'shell rest']) {
    await page.keyboard.press('/');
    await page.keyboard.type(name);
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
  }
  const before = await names(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Calmer order' }).click();
  await expect(page.getByText(/Standing ↔ floor \d+ → \d+\./)).toBeVisible();
  expect(await names(page)).not.toEqual(before);
  await page.keyboard.press('Control+z');
  await expect.poll(() => names(page)).toEqual(before);
});

test('A plan is kept as a template, and another class starts from it', async ({ page, leiter }) => {
  await signIn(page, leiter, 'dance');
  await startPlan(page, leiter, 'dance');
  const kept = await items(page).count();
  await page.getByRole('button', { name: 'Keep as a template' }).click();
  await page.getByRole('dialog').getByLabel('Name').fill('Windy day');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('“Windy day” is kept')).toBeVisible();
  const other = await freshClass(page, 'dance');
  await page.goto(`${leiter.url}/classes/${other}/plan`);
  await page.getByRole('button', { name: 'Start from Windy day' }).click();
  await expect(items(page)).toHaveCount(kept);
});
