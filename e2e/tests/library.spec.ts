import { readFileSync, writeFileSync } from 'node:fs';
import { ask, expect, signIn, test } from './leiter.js';

test('The library answers as one types, is narrowed by what it asks, and is walked from movement to movement', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  await page.goto(`${leiter.url}/library`);
  const list = page.getByRole('region', { name: 'Movements' });
  await expect(list.getByRole('link').first()).toBeVisible();
  await page.getByLabel('Find a movement').fill('bakward rol');
  await expect(list.getByRole('link', { name: 'Backward roll', exact: true })).toBeVisible();
  await page.getByLabel('Find a movement').fill('');
  await page.getByLabel('At home it needs').click();
  await page.getByRole('option', { name: /a partner/ }).click();
  await expect(page.getByText(/^\d movements?$/)).toBeVisible();
  await page.getByRole('button', { name: 'Take all filters away' }).click();
  await page.getByRole('button', { name: 'Figures' }).click();
  await page.getByLabel('Find a movement').fill('cartwheel');
  await list.getByRole('link', { name: 'Cartwheel', exact: true }).click();
  await expect(page.getByRole('img', { name: 'Wheel sideways over your hands with long legs' })).toBeVisible();
  const way = page.getByRole('region', { name: 'The way' });
  await way.getByRole('link').first().click();
  await expect(page.getByRole('heading', { name: 'Lever kick', level: 1 })).toBeVisible();
});

test('A large figure moves, and stands still for whoever asked for less motion', async ({ page, leiter }) => {
  await page.emulateMedia({ reducedMotion: 'no-preference' });
  await signIn(page, leiter, 'dance');
  await page.goto(`${leiter.url}/library/demi-plie`);
  const figure = page.getByRole('img', { name: 'Bend both knees over the toes, heels down' });
  const seen = new Set<string>();
  for (let look = 0; look < 8; look++) {
    seen.add(await figure.innerHTML());
    await page.waitForTimeout(250);
  }
  expect(seen.size).toBeGreaterThan(2);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.reload();
  const still = await figure.innerHTML();
  await page.waitForTimeout(900);
  expect(await figure.innerHTML()).toBe(still);
});

test('A library file is looked at, taken in whole, and undone; a broken one is refused with the place', async ({ page, leiter }, info) => {
  await signIn(page, leiter, 'owner');
  await page.goto(`${leiter.url}/library`);
  const downloading = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export as a file' }).click();
  const given = info.outputPath('library.json');
  await (await downloading).saveAs(given);
  const file = JSON.parse(readFileSync(given, 'utf8')) as {
    movements: { slug: string; name: string; plainMeaning: string; effort: number }[];
  };
  const count = file.movements.length;
  const [first] = file.movements;
  if (!first) throw new Error('an empty library');

  const broken = info.outputPath('broken.json');
  writeFileSync(broken, JSON.stringify({ ...file, movements: [{ ...first, effort: 9 }] }));
  await page.getByRole('button', { name: 'Import a file' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('File').setInputFiles(broken);
  await expect(dialog.getByText(`${first.slug}.effort`)).toBeVisible();

  const good = info.outputPath('good.json');
  writeFileSync(
    good,
    JSON.stringify({
      ...file,
      movements: [
        { ...first, slug: 'quay-hop', name: 'Quay hop' },
        { ...first, plainMeaning: 'As we say it' },
      ],
    }),
  );
  await dialog.getByLabel('File').setInputFiles(good);
  await expect(dialog.getByText('quay-hop: added')).toBeVisible();
  await expect(dialog.getByText(`${first.slug}: plainMeaning changed`)).toBeVisible();
  await dialog.getByRole('button', { name: 'Import it' }).click();
  await expect(dialog.getByText(/Imported: 1 added, 1 changed/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Undo' }).click();
  await expect(dialog.getByText('It is all as it was before.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByText(`${String(count)} movements`, { exact: true })).toBeVisible();
});

test('The library scrolls without holding up the page', async ({ page, leiter }) => {
  await signIn(page, leiter, 'owner');
  await page.goto(`${leiter.url}/library`);
  const list = page.getByRole('region', { name: 'Movements' });
  await expect(list.getByRole('link').first()).toBeVisible();
  for (let step = 0; step < 20; step++)
    await list.evaluate((element) => {
      element.scrollBy(0, 900);
    });
  await expect(list.getByRole('link').first()).toBeVisible();
  // only what can be seen is drawn
  expect(await list.getByRole('listitem').count()).toBeLessThan(60);
});

test('The club says a cue of its own, kept over a reload', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  await page.goto(`${leiter.url}/library/candle`);
  await page.getByLabel('What we say ourselves').fill('Toes to the lamp');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Toes to the lamp', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('What we say ourselves')).toHaveValue('Toes to the lamp');
});

test('The club writes its own: a copy with other words and another dose, put away and put back', async ({ page, leiter }) => {
  await signIn(page, leiter, 'martial-arts');
  await page.goto(`${leiter.url}/library/push-kick`);
  await page.getByRole('button', { name: 'Make a copy' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name', { exact: true }).fill('Push kick at the sail');
  await dialog.getByLabel('Dose, 7-9 years').fill('lots');
  await dialog.getByRole('button', { name: 'Add the movement' }).click();
  await expect(dialog.getByText('Write 3x8, 2x20s, 4 min or 8x8 @ 96; empty: not for this age.')).toBeVisible();
  await dialog.getByLabel('Dose, 7-9 years').fill('4x5');
  await dialog.getByLabel('Cues, one a line').fill('Push the sail away');
  await dialog.getByRole('button', { name: 'Add the movement' }).click();
  await expect(page.getByRole('heading', { name: 'Push kick at the sail', level: 1 })).toBeVisible();
  await expect(page.getByText('4 × 5')).toBeVisible();
  await expect(page.getByText('Push the sail away')).toBeVisible();
  await expect(page.getByText(/of the club/)).toBeVisible();
  await page.getByRole('button', { name: 'Put away' }).click();
  await expect(page.getByRole('button', { name: 'Put back' })).toBeVisible();
  await page.goto(`${leiter.url}/library`);
  await page.getByLabel('Find a movement').fill('push kick');
  await expect(page.getByRole('link', { name: 'Push kick', exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Push kick at the sail' })).toBeHidden();
  await page.getByLabel('Of the club').click();
  await page.getByRole('option', { name: /put away/ }).click();
  await expect(page.getByRole('link', { name: 'Push kick at the sail' })).toBeVisible();
});

test('A movement is made from nothing: what a child’s safety rests on is asked, and it is found and planned with', async ({
  page,
  leiter,
}) => {
  await signIn(page, leiter, 'gymnastics');
  await page.goto(`${leiter.url}/library`);
  await page.getByRole('button', { name: 'New movement' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Name').fill('Limpet hold');
  await sheet.getByRole('button', { name: 'Add the movement' }).click();
  for (const asked of [
    'From how many years on may it be done?',
    'On which floors may it be done?',
    'Does an adult have to be there?',
    'May a child do it alone at home?',
  ])
    await expect(sheet.getByText(asked)).toBeVisible();
  await sheet.getByLabel('What it is, for a child').fill('Hold on to the floor with hands and feet');
  await sheet.getByLabel('From how many years').fill('5');
  await sheet.getByLabel('Dose, 7-9 years').fill('2x15s');
  await sheet.getByLabel('Version: core').fill('Flat to the floor');
  await sheet.getByLabel('Cues, one a line').fill('Stick');
  const pick = async (label: string, option: string): Promise<void> => {
    await sheet.getByLabel(label, { exact: true }).click();
    await page.getByRole('option', { name: option, exact: true }).click();
  };
  await pick('Floor', 'any dry floor');
  await pick('Who has to be there', 'nobody');
  await pick('Alone at home', 'yes');
  await sheet.getByLabel('Length', { exact: true }).fill('1,8');
  await sheet.getByLabel('Width', { exact: true }).fill('1');
  await sheet.getByLabel('Height', { exact: true }).fill('2');
  await pick('Loads', 'wrists: some');
  await sheet.getByRole('button', { name: 'Add the movement' }).click();
  await expect(page.getByRole('heading', { name: 'Limpet hold', level: 1 })).toBeVisible();
  const made = await ask<{ needs: { footprint: object }; leastAge: number; loads: object }>(page, 'library/limpet-hold');
  expect(made).toMatchObject({ leastAge: 5, needs: { footprint: { lengthM: 1.8, widthM: 1 } }, loads: [{ region: 'wrists', amount: 2 }] });
});

test('A figure is put together by keys: a pose more, its arms and how it is taken, another order, and the picture follows', async ({
  page,
  leiter,
}) => {
  await signIn(page, leiter, 'gymnastics');
  await page.goto(`${leiter.url}/library/straight-stand`);
  await page.getByRole('button', { name: 'Change' }).click();
  const sheet = page.getByRole('dialog');
  const steps = sheet.getByRole('list', { name: 'Poses' });
  const before = await steps.getByRole('listitem').count();
  await sheet.getByRole('button', { name: 'Add a pose' }).click();
  const added = String(before + 1);
  const pose = sheet.getByLabel(`Pose ${added}`, { exact: true });
  await pose.fill('squat deep');
  await pose.press('ArrowDown');
  await pose.press('Enter');
  const words = sheet.getByLabel(`With pose ${added}`, { exact: true });
  for (const word of ['arms side', 'held']) {
    await words.fill(word);
    await words.press('ArrowDown');
    await words.press('Enter');
  }
  // one place up, as grades and requirements are put in order
  await steps
    .getByRole('button', { name: new RegExp(`Pose ${added}`) })
    .first()
    .press('Alt+ArrowUp');
  await sheet.getByRole('button', { name: 'Save the changes' }).click();
  await expect(sheet).toBeHidden();
  const { figure } = await ask<{ figure: readonly string[] }>(page, 'library/straight-stand');
  expect(figure).toHaveLength(before + 1);
  expect(figure.at(-2)).toBe('squat-deep arms-side held');
  // drawn as a child of five it has the larger head
  const head = async (): Promise<number> =>
    Number(
      await page
        .getByRole('group', { name: /Arrow keys turn/ })
        .locator('circle')
        .first()
        .getAttribute('r'),
    );
  const ofEight = await head();
  await page.getByRole('button', { name: 'Drawn as a child of 5 years' }).click();
  await expect.poll(head).toBeGreaterThan(ofEight * 1.05);
});
