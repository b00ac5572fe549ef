import { ask, expect, signIn, test } from './leiter.js';

interface GradingPage {
  readonly grading: { readonly id: string };
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly marks: readonly {
    readonly examinerId: string;
    readonly childId: string;
    readonly requirementId: string;
    readonly side: string | null;
    readonly mark: string;
    readonly givenAt: string;
  }[];
  readonly children: readonly {
    readonly childId: string;
    readonly name: string;
    readonly gradeId: string | null;
    readonly entry: { readonly decision: string | null; readonly result: { readonly isEarned: boolean } } | null;
  }[];
}

test('A grading day from the timetable to the grade: two examiners, one of them without a connection, and all of it taken back', async ({
  page,
  browser,
  leiter,
}) => {
  await signIn(page, leiter, 'owner');
  const today = (await ask<{ readonly today: string }>(page, 'session')).today;
  await page.goto(`${leiter.url}/`);
  await page.getByRole('region', { name: 'Grading days' }).getByRole('link', { name: 'Gymnastics' }).click();

  // whoever can be ready comes; the day is today, and a size is noted
  await expect(page.getByRole('checkbox', { name: 'Jamal D. comes' })).toBeChecked();
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  const read = () => ask<GradingPage>(page, `gradings/${id}`);
  await expect(page.getByRole('region', { name: 'For Clove' })).toContainText('ready: all of it was seen');
  await page.getByLabel('Day', { exact: true }).fill(today);
  await page.getByLabel('Day', { exact: true }).press('Enter');
  await page.getByLabel('Size of belt or badge for Jamal D.').fill('120 cm');
  await page.getByLabel('Size of belt or badge for Jamal D.').press('Enter');
  await page.getByRole('checkbox', { name: 'Runa Petrie' }).click();
  await expect(page.getByRole('checkbox', { name: 'Runa Petrie' })).toBeChecked();

  await page.getByRole('button', { name: 'Timetable', exact: true }).click();
  await page.getByRole('button', { name: 'Make the timetable' }).click();
  await expect(page.getByText(/Nobody waits, and (none without waiting|with these examiners no timetable) is over earlier/)).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'Jamal D.' })).toContainText('Warm-up');

  // one examiner marks everything by key
  await page.getByRole('button', { name: 'Mark sheets' }).click();
  const sheets = page.getByRole('region', { name: 'Sheets' });
  await sheets.getByRole('button', { name: /^Ilse/ }).click();
  const cells = page.getByRole('gridcell');
  const count = await cells.count();
  await cells.first().click();
  for (let line = 0; line < count; line += 1) {
    await page.keyboard.press('4');
    const field = page.getByRole('region', { name: 'Chosen mark' }).getByRole('textbox');
    if ((await field.count()) > 0) {
      await page.keyboard.press('n');
      await field.fill('20');
      await field.press('Enter');
    }
    await expect(page.getByRole('gridcell', { selected: true })).toContainText('clean');
    await page.keyboard.press('ArrowDown');
  }
  await expect(sheets.getByRole('button', { name: /^Ilse/ })).toContainText(`${String(count)} of ${String(count)}`);

  // the other one loses the connection, marks one cell otherwise, and is told that they differ only then
  const second = await browser.newContext();
  const other = await second.newPage();
  await signIn(other, leiter, 'assistant');
  await other.goto(`${leiter.url}/gradings/${id}?step=marks`);
  await other.getByRole('region', { name: 'Sheets' }).getByRole('button', { name: /^Ilse/ }).click();
  await expect(other.getByRole('gridcell').first()).toContainText('the other has marked');
  await second.setOffline(true);
  await other.getByRole('gridcell').first().click();
  await other.keyboard.press('2');
  await expect(other.getByRole('gridcell').first()).toContainText('you differ');
  await expect(other.getByText('No connection.')).toBeVisible();
  await second.setOffline(false);
  await expect.poll(async () => (await read()).marks.length, { timeout: 30_000 }).toBeGreaterThan(count);
  // the first sees it without a reload, and they settle it
  await cells.first().click();
  await expect(page.getByRole('heading', { name: 'You differ' })).toBeVisible();
  await page.getByRole('region', { name: 'Examiners' }).getByRole('button', { name: 'clean' }).click();
  await expect(page.getByText('Settled: clean')).toBeVisible();
  await second.close();

  // grades: who earned it is proposed, who did not needs a reason; all at once
  await page.getByRole('button', { name: 'Grades', exact: true }).click();
  await expect(page.getByText(/The examiners agree on 0 of 1/)).toBeVisible();
  const granted = page.getByRole('row').filter({ hasText: 'Ilse R.' }).getByRole('button', { name: 'given' });
  await expect(granted).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('row').filter({ hasText: 'Fern A.' }).getByRole('button', { name: 'given' }).click();
  await page.getByRole('button', { name: 'Give the grades and close the day' }).click();
  await page.getByRole('button', { name: 'Yes, close the day' }).click();
  await expect(page.getByText(/Why is Fern A. given the grade/)).toBeVisible();
  await page.getByLabel('Why is it given although not all was seen?').fill('Shown in the hall');
  await page.getByRole('button', { name: 'Give the grades and close the day' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Ilse R. (Figure Eight)' })).toBeVisible();
  await page.getByRole('button', { name: 'Yes, close the day' }).click();
  await expect(page.getByText('3 grades were given.')).toBeVisible();
  const closed = await read();
  expect(closed.children.filter(({ entry }) => entry?.decision === 'granted')).toHaveLength(3);
  const certificates = await page.request.get(`${leiter.url}/api/gradings/${id}/certificates`);
  expect([certificates.status(), certificates.headers()['content-type']]).toEqual([200, 'application/pdf']);
  const ilse = closed.children.find(({ name }) => name === 'Ilse R.');
  await page.getByRole('link', { name: 'Ilse R.' }).click();
  await expect(page.getByRole('link', { name: 'Certificate of Figure Eight' })).toBeVisible();

  // it was the wrong list: taken back with a reason, nothing of it is left in the record
  await page.goto(`${leiter.url}/gradings/${id}`);
  await page.getByRole('button', { name: /take this day back/ }).click();
  await page.getByLabel('Why its grades and marks are taken back').fill('The wrong list');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('button', { name: 'Give the grades and close the day' })).toBeVisible();
  const child = await ask<{ readonly ladders: readonly { readonly earned: readonly { readonly grade: { readonly id: string } }[] }[] }>(
    page,
    `children/${ilse?.childId ?? ''}`,
  );
  expect(child.ladders[0]?.earned.some(({ grade }) => grade.id === ilse?.gradeId)).toBe(false);
});

test('Two examiners who both lose the connection mark on, and every mark of both arrives once', async ({ page, browser, leiter }) => {
  await signIn(page, leiter, 'owner');
  const { today, person } = await ask<{ readonly today: string; readonly person: { readonly id: string } }>(page, 'session');
  const send = async (method: 'post' | 'put' | 'patch', path: string, data: object): Promise<GradingPage> => {
    const answer = await page.request[method](`${leiter.url}/api/gradings${path}`, { data, headers: { origin: leiter.url } });
    expect(answer.ok(), await answer.text()).toBe(true);
    return (await answer.json()) as GradingPage;
  };
  const made = await send('post', '', { programme: 'gymnastics', day: today, startsAt: '15:00' });
  const { id } = made.grading;
  const ilse = made.children.find(({ name }) => name === 'Ilse R.');
  const runa = made.people.find(({ name }) => name.startsWith('Runa'));
  await send('put', `/${id}/children/${ilse?.childId ?? ''}`, { size: '' });
  await send('patch', `/${id}`, { examinerIds: [person.id, runa?.id] });
  const second = await browser.newContext();
  const other = await second.newPage();
  await signIn(other, leiter, 'assistant');
  const both = [
    { sheet: page, keys: ['4', '3', '2'] },
    { sheet: other, keys: ['2', '2', '4'] },
  ];
  for (const { sheet } of both) {
    await sheet.goto(`${leiter.url}/gradings/${id}?step=marks`);
    await sheet.getByRole('region', { name: 'Sheets' }).getByRole('button', { name: /^Ilse/ }).click();
    await expect(sheet.getByRole('gridcell').nth(2)).toBeVisible();
    await sheet.context().setOffline(true);
  }
  for (const { sheet, keys } of both) {
    await sheet.getByRole('gridcell').first().click();
    for (const key of keys) {
      await sheet.keyboard.press(key);
      await sheet.keyboard.press('ArrowDown');
    }
    await expect(sheet.getByText('No connection.')).toBeVisible();
  }
  // one changes a mark while it is still in the browser
  await other.getByRole('gridcell').nth(1).click();
  await other.keyboard.press('3');
  await Promise.all(both.map(({ sheet }) => sheet.context().setOffline(false)));

  // every press is a mark of its own, once; of a place the last one counts
  const marksOf = async (examiner: string | undefined): Promise<GradingPage['marks']> =>
    (await ask<GradingPage>(page, `gradings/${id}`)).marks.filter(({ examinerId }) => examinerId === examiner);
  await expect.poll(async () => [(await marksOf(person.id)).length, (await marksOf(runa?.id)).length], { timeout: 30_000 }).toEqual([3, 4]);
  const words = async (examiner: string | undefined): Promise<readonly string[]> => {
    const marks = (await marksOf(examiner)).toSorted((one, other) => one.givenAt.localeCompare(other.givenAt));
    return [...new Map(marks.map(({ requirementId, side, mark }) => [`${requirementId} ${side ?? ''}`, mark])).values()];
  };
  expect([await words(person.id), await words(runa?.id)]).toEqual([
    ['clean', 'alone', 'with-help'],
    ['with-help', 'alone', 'clean'],
  ]);
  // each sees what the other wrote meanwhile
  for (const { sheet } of both) await expect(sheet.getByText('you differ')).toHaveCount(2);
  await second.close();
});
