import { writeFileSync } from 'node:fs';
import { expect, signIn, test } from './leiter.js';

test('A ladder is changed: a grade renamed, its order by key, a thing asked more, undone and done, saved as the next version', async ({
  page,
  leiter,
}) => {
  await signIn(page, leiter, 'dance');
  await page.goto(`${leiter.url}/syllabus`);
  await expect(page.getByText(/version 1/)).toBeVisible();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  const grades = page.getByRole('list', { name: 'Grades, highest first' }).getByRole('listitem');
  const second = (await grades.nth(-2).innerText()).split('\n').at(1) ?? '';
  await grades.nth(-2).getByRole('button').last().click();
  await page.getByLabel('Name of the grade').fill('Half tide');
  await page.getByLabel('Ask for one more movement').fill('march in ti');
  await page.getByRole('option', { name: 'March in time' }).click();
  const asked = page.getByRole('list', { name: 'Requirements of Half tide' }).getByRole('listitem');
  const count = await asked.count();
  await expect(asked.last()).toContainText('March in time');

  await page.getByRole('button', { name: 'Move March in time: Alt and arrow up or down' }).focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(asked.nth(count - 2)).toContainText('March in time');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(asked.last()).toContainText('March in time');

  await asked.first().getByRole('button', { name: 'Put away' }).click();
  await expect(asked.first()).toContainText('put away');
  await page.getByRole('button', { name: 'Save as version 2' }).click();
  await expect(page.getByText(/Version 2 is saved. Grades that were earned stay earned/)).toBeVisible();
  await expect(page.getByRole('button', { name: /Half tide/ })).toBeVisible();
  expect(second).not.toBe('');
});

test('A grade is dragged to another place', async ({ page, leiter }) => {
  await signIn(page, leiter, 'martial-arts');
  await page.goto(`${leiter.url}/syllabus`);
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  const lines = page.getByRole('list', { name: 'Grades, highest first' }).getByRole('listitem');
  const top = await lines.first().innerText();
  const [from, to] = [await lines.first().getByRole('button').first().boundingBox(), await lines.nth(2).boundingBox()];
  if (!from || !to) throw new Error('no grades');
  await page.mouse.move(from.x + 8, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x + 10, from.y + 30, { steps: 3 });
  await page.mouse.move(to.x + 10, to.y + to.height / 2 + 4, { steps: 6 });
  await page.mouse.up();
  await expect(lines.nth(2)).toHaveText(top, { useInnerText: true });
  await expect(page.getByText('1 change, kept here, not saved')).toBeVisible();
  await page.getByRole('button', { name: 'Drop the changes' }).click();
  await expect(page.getByText(/version 1/)).toBeVisible();
});

test('A ladder comes from a spreadsheet: errors by row, a preview, taken in and undone', async ({ page, leiter }, info) => {
  await signIn(page, leiter, 'owner');
  await page.goto(`${leiter.url}/syllabus`);
  await page.getByRole('button', { name: 'Gymnastics' }).click();
  const about = await page.getByText(/version \d/).innerText();
  await page.getByRole('button', { name: 'Import', exact: true }).click();
  const dialog = page.getByRole('dialog');
  const bad = info.outputPath('bad.csv');
  writeFileSync(bad, 'grade;movement;seconds\nFirst;cartwheel;soon\n');
  await dialog.getByLabel('File').setInputFiles(bad);
  await expect(dialog.getByText('row 2, seconds')).toBeVisible();
  const good = info.outputPath('good.csv');
  writeFileSync(good, Buffer.from('grade;movement\nGr\xf6\xdfe 1;cartwheel\n', 'latin1'));
  await dialog.getByLabel('File').setInputFiles(good);
  await expect(dialog.getByText('grosse-1: cartwheel is added')).toBeVisible();
  await dialog.getByRole('button', { name: 'Import it' }).click();
  await expect(dialog.getByText(/Imported: 2 added/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Undo' }).click();
  await expect(dialog.getByText('It is all as it was before.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByText(about)).toBeVisible();
});

test('A list of children comes from a spreadsheet', async ({ page, leiter }, info) => {
  await signIn(page, leiter, 'owner');
  await page.goto(`${leiter.url}/children`);
  await page.getByRole('button', { name: 'Import a list' }).click();
  const dialog = page.getByRole('dialog');
  const list = info.outputPath('list.csv');
  writeFileSync(list, 'name,birth date,group\n"Zoë Quist",3.4.2019,Kittiwakes\n');
  await dialog.getByLabel('File').setInputFiles(list);
  await expect(dialog.getByText('row 2: Zoë Q. added')).toBeVisible();
  await dialog.getByRole('button', { name: 'Import it' }).click();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('link', { name: 'Zoë Q.' })).toBeVisible();
});
