import type { Page } from '@playwright/test';
import { ask, expect, freshClass, signIn, test, type Leiter } from './leiter.js';

interface ClassPage {
  readonly children: readonly { readonly id: string; readonly name: string }[];
  readonly observations: readonly {
    readonly childId: string;
    readonly mark: string;
    readonly side: string;
    readonly faults: readonly string[];
  }[];
}

/** The last class taught of the Kittiwakes, with its sheet of marks open. */
async function openMarks(page: Page, leiter: Leiter): Promise<string> {
  const groups = await ask<readonly { id: string; name: string }[]>(page, 'groups');
  const group = groups.find(({ name }) => name === 'Kittiwakes');
  const classes = await ask<readonly { id: string; taughtAt: string | null }[]>(page, `groups/${group?.id ?? ''}/classes`);
  const id = classes.find(({ taughtAt }) => taughtAt !== null)?.id ?? '';
  await page.goto(`${leiter.url}/classes/${id}/marks`);
  await expect(page.getByRole('grid', { name: 'Marks of the class' })).toBeVisible();
  return id;
}

const cell = (page: Page, row: number, column: number) => page.locator(`[data-cell="${String(row)}-${String(column)}"]`);

test('A row of children is marked by keys alone: mark, help, fault, attendance, next child', async ({ page, leiter }) => {
  await signIn(page, leiter, 'assistant');
  const id = await openMarks(page, leiter);
  await cell(page, 0, 0).click();
  await page.keyboard.press('3');
  await page.keyboard.press('Tab');
  await expect(cell(page, 1, 0)).toBeFocused();
  await page.keyboard.press('h');
  await page.keyboard.press('Tab');
  await page.keyboard.press('4');
  await expect(cell(page, 0, 0)).toHaveAttribute('aria-label', /alone$/);
  await expect(cell(page, 1, 0)).toHaveAttribute('aria-label', /with help$/);
  await expect(cell(page, 2, 0)).toHaveAttribute('aria-label', /clean$/);
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('f');
  await expect(cell(page, 0, 0)).toHaveAttribute('aria-label', /alone$/);
  await page.reload();
  await expect(cell(page, 2, 0)).toHaveAttribute('aria-label', /clean$/);
  // the last mark may have been on its way when the page was left: what was kept here is sent by the next
  await expect(async () => {
    const { children, observations } = await ask<ClassPage>(page, `classes/${id}`);
    const ofFirst = observations.filter(({ childId }) => childId === children[0]?.id).at(-1);
    expect(ofFirst).toMatchObject({ mark: 'alone' });
    expect(ofFirst?.faults).toHaveLength(1);
  }).toPass({ timeout: 15_000 });
});

test('Marks given while the database is away are kept, over a reload too, and arrive once each when it is back', async ({
  page,
  leiter,
}) => {
  test.setTimeout(180_000);
  await signIn(page, leiter, 'gymnastics');
  const id = await openMarks(page, leiter);
  const before = (await ask<ClassPage>(page, `classes/${id}`)).observations.length;
  leiter.takeDatabaseAway();
  try {
    for (const row of [3, 4, 5]) {
      await cell(page, row, 0).click();
      await page.keyboard.press('2');
    }
    await expect(page.getByText('No connection.')).toBeVisible({ timeout: 20_000 });
    await expect(page.getByText(/3 entries are kept here/)).toBeVisible();
    await expect(cell(page, 3, 0)).toHaveAttribute('aria-label', /with help$/);
  } finally {
    leiter.bringDatabaseBack();
  }
  await expect(page.getByText('No connection.')).toBeHidden({ timeout: 30_000 });
  await expect.poll(async () => (await ask<ClassPage>(page, `classes/${id}`)).observations.length, { timeout: 20_000 }).toBe(before + 3);
  await page.reload();
  await expect(cell(page, 3, 0)).toHaveAttribute('aria-label', /with help$/);
  expect((await ask<ClassPage>(page, `classes/${id}`)).observations).toHaveLength(before + 3);
});

test('Keys are for the cell that looks chosen from the first press on, a number is written by key, and every step is undone', async ({
  page,
  leiter,
}) => {
  await signIn(page, leiter, 'gymnastics');
  await openMarks(page, leiter);
  // nothing has the focus yet
  const before = await cell(page, 0, 0).getAttribute('aria-label');
  await page.keyboard.press('1');
  await expect(cell(page, 0, 0)).toHaveAttribute('aria-label', /not yet$/);
  await page.keyboard.press('h');
  await expect(page.getByLabel('Help (H: the next)')).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(cell(page, 0, 0)).toHaveAttribute('aria-label', before ?? '');
  // a number that is asked has its key, and Enter goes back to the cell
  await page.keyboard.press('m');
  const measured = page.locator('section[aria-label="Chosen mark"] input[inputmode]');
  for (let step = 0; step < 30 && (await measured.count()) === 0; step += 1)
    await page.keyboard.press(step % 6 === 5 ? 'ArrowDown' : 'ArrowRight');
  await page.keyboard.press('3');
  await page.keyboard.press('n');
  await expect(measured).toBeFocused();
  const sent: string[] = [];
  const answers: number[] = [];
  page.on('response', (answer) => {
    if (!answer.url().includes('/api/observations/')) return;
    answers.push(answer.status());
    sent.push(answer.request().postData() ?? '');
  });
  // it takes the place of the number that stood there, and is sent once
  await page.keyboard.type('2');
  await page.keyboard.press('Enter');
  await expect(page.locator('[role=gridcell][aria-selected=true]')).toBeFocused();
  await expect(page.locator('[role=gridcell][aria-selected=true]')).toContainText(/(^|\D)2 (s|times|of)/);
  const numbers = () => sent.filter((body) => /"measure":\{"(seconds|reps|correct)":2[,}]/.test(body));
  await expect.poll(numbers).toHaveLength(1);
  // better than ever: said while it is written, and when it is stored
  await page.keyboard.press('n');
  await page.keyboard.type('900');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^A new best/)).toBeVisible();
  await page.waitForTimeout(1500);
  await expect(page.getByText(/^A new best/)).toBeVisible();
  expect(numbers()).toHaveLength(1);
  expect(answers.filter((status) => status !== 200)).toEqual([]);
});

test('On a phone a class is marked with one thumb, child by child and skill by skill, and the roll is said', async ({
  browser,
  leiter,
}) => {
  const context = await browser.newContext({
    viewport: { width: 360, height: 740 },
    hasTouch: true,
    isMobile: true,
    timezoneId: 'Europe/London',
    locale: 'en-GB',
  });
  const page = await context.newPage();
  await signIn(page, leiter, 'gymnastics');
  const id = await freshClass(page, 'gymnastics');
  await page.goto(`${leiter.url}/classes/${id}/plan`);
  await page
    .getByRole('button', { name: /^Start from/ })
    .first()
    .tap();
  await expect.poll(async () => (await ask<{ stored: object | null }>(page, `classes/${id}`)).stored).not.toBeNull();
  await page.goto(`${leiter.url}/classes/${id}/marks`);
  const { children } = await ask<ClassPage>(page, `classes/${id}`);
  const [first, second] = children;
  const marks = page.getByRole('list', { name: `Marks of ${first?.name ?? ''}` });
  await marks.getByRole('button', { name: 'alone' }).first().tap();
  await page
    .getByRole('group', { name: `Was ${first?.name ?? ''} there?` })
    .getByRole('button', { name: 'late' })
    .tap();
  await page.getByRole('button', { name: 'The next child' }).tap();
  await expect(page.getByRole('list', { name: `Marks of ${second?.name ?? ''}` })).toBeVisible();
  await page.getByRole('button', { name: 'skill by skill' }).tap();
  await page
    .getByRole('group', { name: `Mark of ${second?.name ?? ''}` })
    .getByRole('button', { name: 'with help' })
    .tap();
  await expect
    .poll(async () => (await ask<ClassPage>(page, `classes/${id}`)).observations.map(({ childId, mark }) => `${childId} ${mark}`))
    .toEqual([`${first?.id ?? ''} alone`, `${second?.id ?? ''} with-help`]);
  await page.getByRole('button', { name: 'All others there' }).tap();
  await expect
    .poll(async () =>
      (await ask<{ children: { attendance: string | null }[] }>(page, `classes/${id}`)).children.map(({ attendance }) => attendance),
    )
    .toEqual(['late', ...children.slice(1).map(() => 'present')]);
  // what was said by one press is taken back by one
  await page.getByRole('button', { name: 'Undo', exact: true }).tap();
  await expect
    .poll(async () =>
      (await ask<{ children: { attendance: string | null }[] }>(page, `classes/${id}`)).children.filter(
        ({ attendance }) => attendance === null,
      ),
    )
    .toHaveLength(children.length - 1);
  // everything that is pressed is as high as a thumb needs, and nothing scrolls sideways
  const small = await page
    .getByRole('main')
    .getByRole('button')
    .evaluateAll((all) => all.filter((one) => one.getBoundingClientRect().height < 43).map((one) => one.textContent));
  expect(small).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBe(0);
  await context.close();
});

test('The roll is taken from the names that a call shows: who is beyond doubt at once, the others asked, all of it taken back', async ({
  page,
  leiter,
}) => {
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'gymnastics');
  const { children } = await ask<ClassPage>(page, `classes/${id}`);
  const [first, second, third] = children.map(({ name }) => name.replace(/ \S+$/, ''));
  const statuses = async (): Promise<readonly (string | null)[]> =>
    (await ask<{ readonly children: readonly { readonly attendance: string | null }[] }>(page, `classes/${id}`)).children
      .map(({ attendance }) => attendance)
      .slice(0, 3);
  const before = await statuses();
  await page.goto(`${leiter.url}/classes/${id}`);
  await page.getByRole('button', { name: 'From the call' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(/one a line/).fill(`Mum of ${first ?? ''}\n${(second ?? '').toLowerCase()} Zwick\ntablet 3`);
  await expect(dialog.getByText('1 of ')).toBeVisible();
  await dialog.getByRole('combobox', { name: `Who is ${(second ?? '').toLowerCase()} Zwick?` }).selectOption({ index: 1 });
  await dialog.getByRole('combobox', { name: 'Who is tablet 3?' }).selectOption({ label: children[2]?.name ?? third ?? '' });
  await dialog.getByRole('button', { name: '3 children are there' }).click();
  await expect(dialog).toBeHidden();
  expect(await statuses()).toEqual(['present', 'present', 'present']);
  await page.keyboard.press('Control+z');
  await expect.poll(statuses).toEqual(before);

  // what was answered once is known the next time, from a file as well; who comes in the middle came late, who is gone is named
  await page.request.patch(`${leiter.url}/api/classes/${id}`, {
    data: { teaching: 'started', at: new Date(Date.now() - 20 * 60_000).toISOString() },
    headers: { origin: leiter.url },
  });
  await page.request.put(`${leiter.url}/api/classes/${id}/attendance/${children[0]?.id ?? ''}`, {
    data: { status: 'present' },
    headers: { origin: leiter.url },
  });
  await page.reload();
  await page.getByRole('button', { name: 'From the call' }).click();
  await dialog.getByLabel('File of names').setInputFiles({
    name: 'call.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('TABLET 3,16:34,16:58\n'),
  });
  await expect(dialog.getByRole('combobox')).toHaveCount(0);
  await expect(dialog.getByText('who is new in the list came late')).toBeVisible();
  await expect(dialog.getByText(`There before, and not in this list: ${children[0]?.name ?? ''}`)).toBeVisible();
  await dialog.getByRole('button', { name: '1 child is there' }).click();
  await expect(dialog).toBeHidden();
  expect(await statuses()).toEqual(['present', before[1], 'late']);
});
