import { devices, expect, test, type Page } from '@playwright/test';
import { Leiter } from './leiter.js';

interface Week {
  readonly entries: readonly { readonly day: string; readonly class: { readonly id: string } | null }[];
}

/** A first week: an empty club, children, a plan, a class taught and marked on a phone, a first grade; nothing is ever lost. */
test('From an empty club to the first grade, with a phone in the middle', async ({ browser, page }) => {
  test.setTimeout(120_000);
  page.setDefaultTimeout(15_000);
  const leiter = await Leiter.at('first-week');
  await leiter.start('--empty');
  try {
    await page.goto(leiter.url);
    const founding = page.getByRole('form', { name: 'Make your club' });
    await founding.getByLabel('Name of the club').fill('The Boat House');
    await founding.getByLabel('Your name').fill('Ida Holm');
    await founding.getByLabel('E-mail address').fill('ida@boat-house.example');
    await founding.getByLabel('Password').fill('long enough for me');
    await founding.getByRole('button').click();

    // an empty page says what to do next
    await page.getByRole('link', { name: 'Make a group' }).click();
    await page.getByRole('button', { name: 'Make a group' }).click();
    const group = page.getByRole('dialog');
    await group.getByLabel('Name').fill('Cormorants');
    await choose(page, group.getByLabel('Programme'), 'Gymnastics');
    await choose(page, group.getByLabel('Day', { exact: true }), 'Wednesday');
    await group.getByLabel('Starts at').fill('9.30');
    await choose(page, group.getByLabel('Taught by'), 'Ida Holm');
    await group.getByRole('button', { name: 'Make the group' }).click();
    await expect(page.getByText('Wednesday 09:30, 45 minutes')).toBeVisible();

    // a list from a spreadsheet, and one by hand who begins higher
    await page.getByRole('link', { name: 'Children', exact: true }).click();
    await page.getByRole('button', { name: 'Import a list' }).first().click();
    const list = [
      'Name;Birth date;Group',
      'Zoë A.;2018-03-01;Cormorants',
      'Änne B.;2017-05-02;Cormorants',
      'Łucja C.;2018-09-03;Cormorants',
    ];
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'children.csv', mimeType: 'text/csv', buffer: Buffer.from(list.join('\n')) });
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /^Import/ })
      .click();
    await expect(page.getByRole('dialog').getByRole('button', { name: 'Undo' })).toBeVisible();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Add a child' }).click();
    const child = page.getByRole('dialog');
    await child.getByLabel('Given name').fill('Maximiliana-Konstantina Aurelia Theodora');
    await child.getByLabel('Family initial').fill('D.');
    await child.getByLabel('Birth date').fill('2016-02-03');
    // the only group is chosen already
    await expect(child.getByRole('checkbox', { name: 'Cormorants' })).toBeChecked();
    await choose(page, child.getByLabel('Grade it has already'), /./, 1);
    await child.getByRole('button', { name: 'Add the child' }).click();
    await expect(child).toBeHidden();
    const wall = page.getByRole('region', { name: 'Cormorants' }).getByRole('listitem');
    await expect(wall).toHaveCount(4);
    // by the alphabet as one says it; and nobody told what they have at home
    expect((await wall.allInnerTexts()).map((text) => text.trim().split(/\s/)[0])).toEqual([
      'Änne',
      'Łucja',
      'Maximiliana-Konstantina',
      'Zoë',
    ]);
    await expect(wall.getByText('home not told')).toHaveCount(4);

    // plan
    await page.getByRole('link', { name: 'Week', exact: true }).click();
    await page
      .getByRole('button', { name: /^Plan of Cormorants/ })
      .first()
      .click();
    await page
      .getByRole('button', { name: /^Start from/ })
      .first()
      .click();
    await expect(page.getByText('saved', { exact: true })).toBeVisible();
    const id = /classes\/([^/]+)/.exec(page.url())?.[1] ?? '';

    // the phone in the middle, signed in as the same person
    const phone = await browser.newContext({
      ...devices['Pixel 7'],
      viewport: { width: 390, height: 844 },
      storageState: await page.context().storageState(),
    });
    const hand = await phone.newPage();
    await hand.goto(leiter.url);
    await hand.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Week' }).tap();
    await hand
      .getByRole('article', { name: /^Cormorants/ })
      .first()
      .getByRole('link', { name: 'Cormorants' })
      .tap();
    await hand.getByRole('button', { name: 'All there' }).tap();
    await expect(hand.getByText('4 of 4 there')).toBeVisible();
    await hand.getByLabel('Note of this class').fill('Łucja was proud of her roll');
    await expect(hand.getByText('saved', { exact: true })).toBeVisible();
    await hand.getByRole('link', { name: 'Marks', exact: true }).tap();
    await hand.getByRole('button', { name: 'alone' }).first().tap();
    await expect(hand.getByText(/1 mark given/)).toBeVisible();
    await phone.close();

    // what was done on the phone is here
    await page.goto(`${leiter.url}/classes/${id}`);
    await expect(page.getByText('4 of 4 there')).toBeVisible();
    await expect(page.getByLabel('Note of this class')).toHaveValue('Łucja was proud of her roll');

    // moved to the next day, cancelled, and it takes place after all: its plan stays with it
    await page.getByRole('button', { name: 'Move or cancel' }).click();
    const sheet = page.getByRole('dialog');
    const [entry] = (
      (await (await page.request.get(`${leiter.url}/api/weeks/${await today(page, leiter)}`)).json()) as Week
    ).entries.filter((one) => one.class?.id === id);
    const next = new Date(Date.parse(entry?.day ?? '') + 86_400_000).toISOString().slice(0, 10);
    await sheet.getByLabel('Day', { exact: true }).fill(next);
    await sheet.getByRole('button', { name: 'Move the class' }).click();
    await expect(page.getByText('It stands for')).toBeVisible();
    await page.getByRole('button', { name: 'Move or cancel' }).click();
    await sheet.getByLabel('Why').fill('no ferry');
    await sheet.getByRole('button', { name: 'Cancel the class' }).click();
    await expect(page.getByText('It does not take place:')).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(page.getByText('Still to be taught.')).toBeVisible();
    await expect(page.getByRole('link', { name: 'Plan', exact: true })).toBeVisible();

    // the first grade, with its reason; by a slip, and once more
    await page.getByRole('link', { name: 'Children', exact: true }).click();
    await wall.getByRole('link', { name: /^Änne/ }).click();
    for (const isKept of [false, true]) {
      await page.getByRole('button', { name: 'Give a grade' }).click();
      await sheet.getByLabel('Why, although not all of it was seen here').fill('shown at its club before');
      await sheet.getByRole('button', { name: 'Give the grade' }).click();
      await expect(page.getByRole('button', { name: /^Take .* back$/ })).toBeVisible();
      if (isKept) break;
      await page.getByRole('button', { name: 'Undo', exact: true }).click();
      await expect(page.getByRole('button', { name: /^Take .* back$/ })).toBeHidden();
    }
    await page.reload();
    await expect(page.getByRole('button', { name: /^Take .* back$/ })).toBeVisible();
  } finally {
    await leiter.remove();
  }
});

/** Opens a choice and takes one of it. */
async function choose(page: Page, field: ReturnType<Page['getByLabel']>, option: string | RegExp, nth = 0): Promise<void> {
  await field.click();
  await page.getByRole('option', { name: option }).nth(nth).click();
}

async function today(page: Page, leiter: Leiter): Promise<string> {
  return ((await (await page.request.get(`${leiter.url}/api/session`)).json()) as { readonly today: string }).today;
}
