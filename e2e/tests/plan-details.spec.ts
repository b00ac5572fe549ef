import { ask, expect, freshClass, signIn, test } from './leiter.js';
import { items, minutes, names, startPlan, stored } from './plan-page.js';

test('Items become a circuit by a key, are gone round as often as one types, and are single again', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  const id = await startPlan(page, leiter, 'gymnastics');
  const before = await minutes(page);
  // the second and third item of the warm-up
  await items(page).nth(3).click();
  await page.keyboard.press('c');
  await expect(page.getByRole('button', { name: /^Round 2 of 2/ })).toBeVisible();
  await page.getByLabel('Rounds').fill('3');
  await page.getByLabel('Rest between, s').fill('20');
  await expect(page.getByRole('button', { name: /^Round 3 of 3.*20 s rest/ })).toBeVisible();
  expect(await minutes(page)).not.toBe(before);
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  const { stored: kept } = await ask<{ stored: { plan: { circuits: { rounds: number; restSeconds: number }[] } } }>(page, `classes/${id}`);
  expect(kept.plan.circuits).toMatchObject([{ rounds: 3, restSeconds: 20 }]);
  await page.getByRole('button', { name: 'Take it apart' }).click();
  await expect(page.getByRole('button', { name: /^Round/ })).toHaveCount(0);
  expect(await minutes(page)).toBe(before);
});

test('A warm-up is fitted to its song: the gap is shown, and a click closes it', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  await startPlan(page, leiter, 'gymnastics');
  await page.getByRole('button', { name: 'Warm-up', exact: true }).click();
  const section = page.getByRole('region', { name: 'Section Warm-up' });
  await section.getByRole('button', { name: 'Do it to a piece of music' }).click();
  await section.getByLabel('Its name').fill('The tide song');
  await section.getByLabel('Length').fill('9:30');
  await section.getByLabel('bpm').fill('104');
  await section.getByLabel('Its name').focus();
  await expect(section.getByRole('status')).toContainText(/music ends .+ too early|music are left over/);
  await section.getByRole('button', { name: 'Fit it to the music' }).click();
  await expect(section.getByRole('status')).toContainText('it ends with the music');
  await page.keyboard.press('Control+z');
  await page.locator('body').click({ position: { x: 5, y: 500 } });
  await page.keyboard.press('Control+z');
  await expect(section.getByRole('status')).not.toContainText('it ends with the music');
  // Esc leads back to the class, and so does the section pressed again
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Fit to the clock' })).toBeVisible();
  for (const isThere of [true, false]) {
    await page.getByTitle('Put what is added at the end of “Warm-up”').click();
    await expect(section).toBeVisible({ visible: isThere });
  }
});

test('What comes here is written where one stands, with its dose, line after line', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  await startPlan(page, leiter, 'gymnastics');
  const place = 3;
  await items(page).nth(place).click();
  const begun = await items(page).count();
  await page.keyboard.press('n');
  await page.keyboard.type('hip circles 2x6');
  await page.keyboard.press('Enter');
  await expect(items(page)).toHaveCount(begun + 1);
  await page.keyboard.type('cat and cow');
  await page.keyboard.press('Enter');
  await expect(items(page)).toHaveCount(begun + 2);
  await page.keyboard.press('Escape');
  const after = (await names(page)).slice(place + 1, place + 3);
  expect(after[0]).toMatch(/Hip circles, 2 × 6/);
  expect(after[1]).toMatch(/Cat and cow/);
  // the keys of the page are keys again
  await page.keyboard.press('Delete');
  await expect(items(page)).toHaveCount(begun + 1);
});

test('A movement is dragged from the library to its place', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  await startPlan(page, leiter, 'gymnastics');
  await page.keyboard.press('/');
  await page.keyboard.type('hip circles');
  const card = await page.getByRole('option', { name: /Hip circles/ }).boundingBox();
  const place = 3;
  const target = await items(page).nth(place).boundingBox();
  if (!card || !target) throw new Error('nothing to drag');
  await page.mouse.move(card.x + 60, card.y + 20);
  await page.mouse.down();
  await page.mouse.move(card.x + 90, card.y + 30, { steps: 4 });
  await page.mouse.move(target.x + 150, target.y + target.height - 5, { steps: 10 });
  await page.mouse.up();
  await expect.poll(async () => (await names(page))[place + 1]).toMatch(/Hip circles/);
});

test('Undo and redo reach over a reload, back to the beginning', async ({ page, leiter }) => {
  await signIn(page, leiter, 'dance');
  const id = await startPlan(page, leiter, 'dance');
  const begun = await names(page);
  await items(page).nth(2).click();
  for (const key of ['d', '+', 'Alt+ArrowDown', 'Delete']) await page.keyboard.press(key);
  const ended = await names(page);
  await expect.poll(() => stored(page, id)).toHaveLength(ended.length);
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(items(page)).toHaveCount(ended.length);
  for (let press = 0; press < 4; press++) await page.keyboard.press('Control+z');
  await expect.poll(() => names(page)).toEqual(begun);
  await page.reload();
  await expect(items(page)).toHaveCount(begun.length);
  for (let press = 0; press < 4; press++) await page.keyboard.press('Control+Shift+z');
  await expect.poll(() => names(page)).toEqual(ended);
});

test('Who has the plan open sees within seconds what somebody else changed, and whose change it was', async ({ page, leiter, browser }) => {
  await signIn(page, leiter, 'martial-arts');
  const id = await startPlan(page, leiter, 'martial-arts');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  const count = await items(page).count();
  const other = await browser.newPage();
  await signIn(other, leiter, 'owner');
  await other.goto(`${leiter.url}/classes/${id}/plan`);
  await items(other).nth(1).click();
  await other.keyboard.press('d');
  await expect(items(page)).toHaveCount(count + 1, { timeout: 15_000 });
  await expect(page.getByText('Solveig Aune changed it: shown')).toBeVisible();
  // it is one step, like one's own
  await page.keyboard.press('Control+z');
  await expect(items(page)).toHaveCount(count);
  await expect(page.getByText('changed it: shown')).toHaveCount(0);
  await expect(items(other)).toHaveCount(count, { timeout: 15_000 });
  await other.close();
});

test('A plan goes into a file and comes out of it into another class; a file that is none says so', async ({ page, leiter }) => {
  await signIn(page, leiter, 'dance');
  const from = await startPlan(page, leiter, 'dance');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  const given = await ask<object>(page, `classes/${from}/plan/export`);
  const count = await items(page).count();
  const other = await freshClass(page, 'dance');
  await page.goto(`${leiter.url}/classes/${other}/plan`);
  await page
    .getByRole('button', { name: /^Start from/ })
    .nth(1)
    .click();
  await items(page).first().click();
  await page.keyboard.press('d');
  await page.keyboard.press('Escape');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Import a plan file' }).click();
  const dialog = page.getByRole('dialog');
  const choose = (text: string) =>
    dialog.locator('input[type=file]').setInputFiles({ name: 'plan.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await choose('{"format":"other"}');
  await expect(dialog.getByText('This is not a leiter-plan/1 file.')).toBeVisible();
  await choose(JSON.stringify({ ...given, focus: ['moon-walk'] }));
  await expect(dialog.getByText('There is no movement “moon-walk”.')).toBeVisible();
  await choose(JSON.stringify(given));
  await expect(dialog.getByText(new RegExp(`running order of ${String(count)} items`))).toBeVisible();
  await dialog.getByRole('button', { name: 'Import it' }).click();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(items(page)).toHaveCount(count);
});

test('Each figure of the class opens to what it is made of, and the safety talk is read on the screen', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  await startPlan(page, leiter, 'gymnastics');
  const open = page.getByRole('button', { name: /^Standing ↔ floor/ });
  const changes = Number(/(\d+) change/.exec((await open.textContent()) ?? '')?.[1]);
  await open.click();
  await expect(open).toHaveAttribute('aria-expanded', 'true');
  await expect(open.locator('xpath=ancestor::dt/following-sibling::dd/div')).toHaveCount(changes);
  await page.getByRole('button', { name: 'What the time is made of' }).click();
  await expect(page.getByRole('dialog').getByText('Explaining')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Safety talk' }).click();
  await expect(page.getByRole('list', { name: 'Safety talk' }).getByText('Stop when it hurts, and tell me.')).toBeVisible();
});

test('Printed by the browser, the page is the running order and the talk, and nothing of the screen', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  await startPlan(page, leiter, 'gymnastics');
  const paper = page.locator('.plan-on-paper');
  await expect(paper).toBeHidden();
  const count = await items(page).count();
  await page.emulateMedia({ media: 'print' });
  await expect(paper).toBeVisible();
  await expect(paper.locator('tr')).toHaveCount(count);
  await expect(page.getByRole('region', { name: 'Library' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Teach this class' })).toBeHidden();
  await expect(paper.getByText('Stop when it hurts, and tell me.')).toBeVisible();
  // what the families need is a paper of its own
  await page.emulateMedia({ media: 'screen' });
  await page.getByRole('button', { name: 'Who does what' }).click();
  await page.getByRole('button', { name: 'For the parents' }).click();
  const families = await page.getByRole('list', { name: 'Families' }).getByRole('listitem').count();
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('.families-on-paper > div')).toHaveCount(families);
  await expect(page.locator('.plan-on-paper')).toBeHidden();
});

test('A class stands beside those before it: what was planned, what it took, how hard it was', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  const coming = await ask<readonly { group: { name: string }; class: { id: string } | null }[]>(page, 'coming-classes');
  const id = coming.find(({ group }) => group.name === 'Kittiwakes')?.class?.id ?? '';
  await page.goto(`${leiter.url}/classes/${id}/compare`);
  const sections = page.getByRole('table', { name: 'Planned and real time by section' });
  await expect(sections.getByRole('row', { name: /Warm-up \d+:\d\d \d+:\d\d/ })).toBeVisible();
  // one row for each class before; this one has its own where it is planned
  await expect(page.getByRole('table', { name: 'Peaks and lengths' }).getByRole('row', { name: /^\w{3} \d/ })).toHaveCount(8);
  await expect(page.locator('canvas')).toHaveCount(2);
});
