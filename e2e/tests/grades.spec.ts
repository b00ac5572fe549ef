import { ask, expect, signIn, test } from './leiter.js';

interface Group {
  readonly id: string;
  readonly name: string;
}
interface Board {
  readonly rows: readonly {
    readonly childId: string;
    readonly name: string;
    readonly forecast: { readonly kind: string } | null;
    readonly cells: readonly { readonly requirementId: string }[];
  }[];
}

test('From marks to a grade: whom to look at, when it will be there and what it hangs on, what was measured, and the paper to take home', async ({
  page,
  leiter,
}) => {
  await signIn(page, leiter, 'gymnastics');
  const group = (await ask<readonly Group[]>(page, 'groups')).find(({ name }) => name === 'Kittiwakes');
  const classes = await ask<readonly { id: string; taughtAt: string | null }[]>(page, `groups/${group?.id ?? ''}/classes`);
  const taught = classes.find(({ taughtAt }) => taughtAt !== null);

  // above the marks of a class stands at whom to look, and one press goes there
  await page.goto(`${leiter.url}/classes/${taught?.id ?? ''}/marks`);
  const list = page.getByRole('list', { name: 'Whom to look at' });
  const first = list.getByRole('listitem').first();
  await expect(first).toContainText(/–\s+\S/);
  const name = (await first.locator('strong').textContent()) ?? '';
  await first.getByRole('button').click();
  await expect(page.getByRole('region', { name: 'What to see' })).toContainText(name);

  // the board says when, in words that promise no day
  const board = await ask<Board>(page, `groups/${group?.id ?? ''}/board`);
  const on = board.rows.find(({ forecast }) => forecast?.kind === 'span');
  await page.goto(`${leiter.url}/groups/${group?.id ?? ''}`);
  const row = page.getByRole('row').filter({ hasText: on?.name ?? '' });
  await expect(row.getByRole('cell').first()).toHaveText(/^[A-Z][a-z]{2,3}( –|$)/);
  await page.goto(`${leiter.url}/children/${on?.childId ?? ''}`);
  await expect(page.getByText(/^Likely (in|between) /)).toBeVisible();

  // what was measured, with its best; another is chosen and drawn
  const bests = page.getByRole('region', { name: 'Bests' });
  await expect(bests.getByRole('button').first()).toBeVisible();
  await bests.getByRole('button').last().click();
  await expect(bests.getByRole('button').last()).toHaveAttribute('aria-pressed', 'true');

  // the certificates of a group come as one file
  await page.goto(`${leiter.url}/groups/${group?.id ?? ''}`);
  await page.getByRole('button', { name: 'Certificates' }).click();
  const since = page.getByLabel('Given from this day on');
  await since.fill('2190-01-01');
  await page.getByRole('button', { name: 'Make the file' }).click();
  await expect(page.getByText('Nobody of this group was given a grade since then.')).toBeVisible();
  await since.fill('2020-01-01');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Make the file' }).click();
  expect((await download).suggestedFilename()).toBe('certificates-Kittiwakes-2020-01-01.pdf');
  await expect(page.getByRole('dialog')).toBeHidden();

  // the term as a report, and as tables
  await page.goto(`${leiter.url}/club`);
  await page.getByRole('link', { name: 'Reports' }).click();
  const report = page.getByRole('region', { name: 'Kittiwakes' });
  await expect(report.getByRole('img', { name: /^Children by grade, today: / })).toBeVisible();
  await expect(report.getByText(/^\d+ classes$/)).toBeVisible();
  await page.getByLabel('How far back').selectOption('6');
  await page.getByRole('button', { name: 'Export' }).click();
  const table = await page.getByRole('menuitem', { name: 'Attendance' }).getAttribute('href');
  expect(table).toContain('weeks=6');
});

test('A calendar follows the classes by a link that is shown once, and holidays come in from a calendar file', async ({ page, leiter }) => {
  await signIn(page, leiter, 'owner');
  await page.goto(`${leiter.url}/me`);
  const calendar = page.getByRole('region', { name: 'Your calendar' });
  await calendar.getByRole('button', { name: 'Make a link' }).click();
  const address = await calendar.getByLabel('Address to subscribe to').inputValue();
  const feed = await page.request.get(address);
  expect(await feed.text()).toMatch(/^BEGIN:VCALENDAR\r\n/);
  await page.reload();
  await expect(calendar.getByText(/it is not shown again/)).toBeVisible();
  await calendar.getByRole('button', { name: 'End the link' }).click();
  await expect(calendar.getByRole('button', { name: 'Make a link' })).toBeVisible();
  expect((await page.request.get(address)).status()).toBe(404);

  await page.goto(`${leiter.url}/week`);
  await page.getByRole('button', { name: /holidays/i }).click();
  const dialog = page.getByRole('dialog');
  const file = dialog.getByLabel('Holidays as a calendar file');
  await file.setInputFiles({ name: 'x.ics', mimeType: 'text/calendar', buffer: Buffer.from('no calendar') });
  await expect(dialog.getByRole('alert')).toContainText('no calendar file');
  const { today } = await ask<{ today: string }>(page, 'session');
  const year = Number(today.slice(0, 4)) + 1;
  const text = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Farholm//school//EN']
    .concat(
      ['Harbour day', 'Inset day'].flatMap((summary, index) => [
        'BEGIN:VEVENT',
        `UID:${String(index)}@farholm`,
        `DTSTART;VALUE=DATE:${String(year)}05${index === 0 ? '06' : '20'}`,
        `SUMMARY:${summary}`,
        'END:VEVENT',
      ]),
      ['END:VCALENDAR', ''],
    )
    .join('\r\n');
  await file.setInputFiles({ name: 'school.ics', mimeType: 'text/calendar', buffer: Buffer.from(text) });
  const found = dialog.getByRole('list', { name: 'Found in the file' });
  await expect(found.getByRole('checkbox')).toHaveCount(2);
  await found.getByLabel(/Inset day/).uncheck();
  await dialog.getByRole('button', { name: 'Take 1 holiday in' }).click();
  await expect(dialog).toBeHidden();
  const holidays = await ask<readonly { name: string; fromDay: string; toDay: string }[]>(page, 'holidays');
  expect(holidays.filter(({ name }) => name === 'Harbour day' || name === 'Inset day')).toMatchObject([
    { name: 'Harbour day', fromDay: `${String(year)}-05-06`, toDay: `${String(year)}-05-06` },
  ]);
});
