import { ask, expect, openToday, signIn, test } from './leiter.js';

test('Somebody unknown and a wrong password are told the same, and what was typed stays', async ({ page, leiter }) => {
  await page.goto(`${leiter.url}/sign-in`);
  const form = page.getByRole('form', { name: 'Sign in' });
  const tell = async (email: string): Promise<string | null> => {
    await form.getByLabel('E-mail address').fill(email);
    await form.getByLabel('Password').fill('not the password');
    await form.getByRole('button', { name: 'Sign in' }).click();
    await expect(form.getByRole('alert')).toBeVisible();
    await expect(form.getByLabel('E-mail address')).toHaveValue(email);
    return form.getByRole('alert').textContent();
  };
  expect(await tell('nobody@sail-loft.example')).toBe(await tell('owner@sail-loft.example'));
});

test('Who is not signed in comes back, after signing in, to the page that was wanted', async ({ page, leiter }) => {
  await page.goto(`${leiter.url}/library/cartwheel`);
  await page.getByRole('button', { name: 'Amara Osei-Lund' }).click();
  await expect(page.getByRole('heading', { name: 'Cartwheel', level: 1 })).toBeVisible();
});

test('A child is added; what is wrong is said at its field, and what was typed stays', async ({ page, leiter }) => {
  await signIn(page, leiter, 'owner');
  await page.goto(`${leiter.url}/children`);
  await page.getByRole('button', { name: 'Add a child' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Given name').fill('Una');
  await dialog.getByLabel('Family initial').fill('P.');
  await dialog.getByLabel('Birth date').fill('2150-02-03');
  // what it has at home is asked only where somebody told
  await dialog.getByRole('button', { name: 'told', exact: true }).click();
  await dialog.getByLabel('Clear length').fill('0.1');
  await dialog.getByRole('button', { name: /^(Add|Save)/ }).click();
  await expect(dialog.getByText('At least half a metre.')).toBeVisible();
  await expect(dialog.getByLabel('Given name')).toHaveValue('Una');
  await dialog.getByLabel('Clear length').fill('2.5');
  await dialog.getByRole('button', { name: /^(Add|Save)/ }).click();
  await expect(dialog.getByText('This day has not come yet.')).toBeVisible();
  await dialog.getByLabel('Birth date').fill('2018-02-03');
  await dialog.getByRole('button', { name: /^(Add|Save)/ }).click();
  await expect(dialog).toBeHidden();
  await page.getByLabel('Find a child').fill('Una');
  await expect(page.getByRole('link', { name: /Una P\./ })).toBeVisible();
});

test('A group with a name that is taken is refused at the field', async ({ page, leiter }) => {
  await signIn(page, leiter, 'owner');
  await page.goto(`${leiter.url}/club`);
  await page.getByRole('button', { name: 'Make a group' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('puffins');
  await dialog.getByLabel('Starts at').fill('16:00');
  await dialog.getByRole('button', { name: /^(Add|Save|Make)/ }).click();
  await expect(dialog.getByText('Another group has this name.')).toBeVisible();
  await expect(dialog.getByLabel('Name')).toHaveValue('puffins');
});

test('A grade that is earned is given, and the ladder shows the next one', async ({ page, leiter }) => {
  await openToday(page, leiter, 'owner');
  await page.getByRole('region', { name: 'Earned' }).getByRole('link').first().click();
  const give = page.getByRole('button', { name: /^Give/ });
  await expect(give).toBeVisible();
  const grade = ((await give.textContent()) ?? '').replace(/^Give /, '');
  await give.click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Given on').fill('2150-01-01');
  await dialog.getByRole('button', { name: 'Give the grade' }).click();
  await expect(dialog.getByText(/today at the latest/)).toBeVisible();
  const { today } = await ask<{ today: string }>(page, 'session');
  await dialog.getByLabel('Given on').fill(today);
  await dialog.getByRole('button', { name: 'Give the grade' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByText(new RegExp(`Take ${grade} back`))).toBeVisible();
  // a slip is taken back by a key
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: `Give ${grade}` })).toBeVisible();
});

test('Leaving a form with something typed asks first; what is done on the wall to several is taken back', async ({ page, leiter }) => {
  await signIn(page, leiter, 'owner');
  await page.goto(`${leiter.url}/children`);
  await page.getByRole('button', { name: 'Add a child' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Given name').fill('Una');
  await page.keyboard.press('Escape');
  await expect(dialog.getByText('What you typed is not saved yet.')).toBeVisible();
  await expect(dialog.getByLabel('Given name')).toHaveValue('Una');
  await dialog.getByRole('button', { name: 'Leave without saving' }).click();
  await expect(dialog).toBeHidden();

  await page.getByRole('button', { name: 'Several at once' }).click();
  const puffins = page.getByRole('region', { name: 'Puffins' });
  const before = await puffins.getByRole('button', { name: /of \d+ to/ }).count();
  await puffins.getByRole('button', { name: 'All of Puffins' }).click();
  await page.getByRole('button', { name: 'Archive' }).click();
  await expect(puffins).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(puffins.getByRole('link', { name: /of \d+ to/ })).toHaveCount(before);
});
