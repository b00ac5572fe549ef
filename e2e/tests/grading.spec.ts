import { ask, expect, signIn, test } from './leiter.js';

interface GradingPage {
  readonly marks: readonly { readonly examinerId: string; readonly childId: string }[];
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
  await page.getByRole('checkbox', { name: 'Runa Petrie' }).check();

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
