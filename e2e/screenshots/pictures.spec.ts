import { execFileSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { ask, expect, freshClass, openClass, root, settled, openToday, test, type Leiter } from '../tests/leiter.js';
import { startTeaching, storePlan } from '../tests/teach-page.js';

const folder = `${root}docs/screenshots`;

async function shoot(page: Page, name: string): Promise<void> {
  await settled(page);
  await page.mouse.move(1, 799);
  await page.screenshot({ path: `${folder}/${name}.png` });
}

async function open(page: Page, leiter: Leiter, address: string): Promise<void> {
  await page.goto(leiter.url + address);
  await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
}

test('The main views of the demo club', async ({ page, leiter }) => {
  await page.clock.install();
  await openToday(page, leiter, 'gymnastics');
  await shoot(page, 'today');
  await open(page, leiter, '/week');
  await shoot(page, 'week');

  const { id, group } = await openClass(page, 'Kittiwakes');
  await open(page, leiter, `/classes/${id}/plan`).catch(() => undefined);
  await page
    .getByRole('button', { name: /^Start from/ })
    .first()
    .click();
  const items = page.getByRole('list', { name: 'Items' }).getByRole('button');
  await expect(items.first()).toBeVisible();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await shoot(page, 'plan');
  await page.emulateMedia({ media: 'print' });
  await page.setViewportSize({ width: 794, height: 1123 });
  // a screen has no margins of a sheet
  const margins = await page.addStyleTag({ content: '.on-paper { padding: 12mm }' });
  const printed = await page.screenshot({ fullPage: true });
  await margins.evaluate((element: Element) => {
    element.remove();
  });
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.emulateMedia({ media: 'screen' });
  // what a hurried evening leaves behind: a split on one side, straight after the talk
  await items.nth(2).click();
  await page.keyboard.press('/');
  await page.keyboard.type('split slide');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.keyboard.press('s');
  await page.keyboard.press('Escape');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await shoot(page, 'plan-with-findings');
  for (let press = 0; press < 4; press++) await page.keyboard.press('Control+z');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();

  await open(page, leiter, `/classes/${id}/teach`);
  await page.getByRole('button', { name: /start/i }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  // to the moment at which the children work on one side of something that is marked
  for (let wait = 0; wait < 400; wait++) {
    if ((await page.getByText(/^you:/).isVisible()) && (await page.getByRole('region', { name: 'Marks of this class' }).isVisible())) break;
    await page.clock.fastForward(8000);
    await page.waitForTimeout(30);
  }
  await shoot(page, 'teach');
  const remote = await besidePhone(page, leiter, id);
  await open(page, leiter, `/classes/${id}/rehearse`);
  await page.getByRole('button', { name: 'Begin the rehearsal' }).click();
  // to something in focus, which the group works at
  for (let wait = 0; wait < 60; wait++) {
    if (await page.getByText(/^Watch: /).isVisible()) break;
    await page.keyboard.press('PageDown');
    await page.waitForTimeout(60);
  }
  await page.keyboard.press('g');
  await page.waitForTimeout(6500);
  for (const key of ['3', '2', '4']) {
    await page.keyboard.press('Tab');
    await page.keyboard.press(key);
  }
  await shoot(page, 'rehearsal');

  const classes = await ask<readonly { id: string; taughtAt: string | null }[]>(page, `groups/${group.id}/classes`);
  const taught = classes.find((one) => one.taughtAt !== null && one.id !== id);
  await open(page, leiter, `/classes/${taught?.id ?? ''}`);
  await shoot(page, 'class');
  await open(page, leiter, `/classes/${taught?.id ?? ''}/marks`);
  await shoot(page, 'marks');
  await open(page, leiter, `/groups/${group.id}`);
  await shoot(page, 'board');
  await open(page, leiter, '/children');
  await shoot(page, 'children');
  const board = await ask<{ rows: readonly { childId: string; metCount: number; isEarned: boolean }[] }>(page, `groups/${group.id}/board`);
  const near = board.rows.filter(({ isEarned }) => !isEarned).toSorted((a, b) => b.metCount - a.metCount)[0];
  await open(page, leiter, `/children/${near?.childId ?? ''}`);
  await shoot(page, 'child');
  await open(page, leiter, '/library');
  await shoot(page, 'library');
  await figures(page, leiter);
  await open(page, leiter, '/library/cartwheel');
  await expect(page.getByRole('region', { name: 'The way' }).getByRole('link').first()).toBeAttached();
  await shoot(page, 'movement');
  await phrase(page, leiter);
  await gradingDay(page, leiter);
  await family(page, leiter, near?.childId ?? '');
  await onPaper(page, leiter, printed);
  await phone(page, leiter, taught?.id ?? '', remote);
});

/** A combination as it is written, one for two with its way, in class, and on paper. */
async function phrase(page: Page, leiter: Leiter): Promise<void> {
  const pictures: Buffer[] = [];
  const take = async (): Promise<void> => {
    await settled(page);
    await page.mouse.move(1, 799);
    pictures.push(await page.screenshot());
  };
  await open(page, leiter, '/library/harbour-phrase/steps');
  await expect(page.getByRole('region', { name: 'Walks' })).toBeVisible();
  await take();
  await page.emulateMedia({ media: 'print' });
  await page.setViewportSize({ width: 1050, height: 656 });
  const sheet = await page.screenshot();
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.emulateMedia({ media: 'screen' });
  await open(page, leiter, '/library/block-counter/steps');
  await expect(page.getByText('Floor of both')).toBeVisible();
  await take();
  const id = await freshClass(page, 'gymnastics');
  const dose = { kind: 'counts', eights: 1, bpm: 60, repeats: 4, countIn: 4 };
  await storePlan(page, leiter, id, {
    items: [{ id: 'canon', movement: 'canon', dose, sides: 'none', tiers: ['core'], familiarity: 'routine', way: 'flow' }],
  });
  await startTeaching(page, leiter, id);
  for (let wait = 0; wait < 60 && !(await page.getByText(/^the partner: right to the side/).isVisible()); wait += 1) {
    await page.clock.fastForward(500);
    await page.waitForTimeout(30);
  }
  await take();
  const images = [...pictures, sheet]
    .map((picture) => `<img width="960" src="data:image/png;base64,${picture.toString('base64')}">`)
    .join('');
  const other = await page.context().newPage();
  await other.setViewportSize({ width: 1944, height: 1224 });
  await other.setContent(
    `<body style="margin:0;display:flex;flex-wrap:wrap;gap:24px;align-items:start;background:#ddd5c5">${images}</body>`,
  );
  await other.screenshot({ path: `${folder}/phrase.png` });
  await other.close();
}

/** The timetable of a grading day to which nearly everybody comes. */
async function gradingDay(page: Page, leiter: Leiter): Promise<void> {
  const [grading] = await ask<readonly { readonly id: string; readonly examinerIds: readonly string[] }[]>(page, 'gradings');
  const path = `${leiter.url}/api/gradings/${grading?.id ?? ''}`;
  const { children } = await ask<{ readonly children: readonly { readonly childId: string; readonly gradeId: string | null }[] }>(
    page,
    `gradings/${grading?.id ?? ''}`,
  );
  for (const { childId, gradeId } of children.slice(0, 14))
    if (gradeId !== null) await page.request.put(`${path}/children/${childId}`, { data: { size: '' } });
  await page.request.post(`${path}/timetable`);
  await open(page, leiter, `/gradings/${grading?.id ?? ''}?step=when`);
  await expect(page.getByRole('table', { name: 'Timetable' })).toBeVisible();
  await shoot(page, 'grading-day');
}

/** What a family sees on its phone: what comes, the counter while it practises, and how far the child is. */
async function family(page: Page, leiter: Leiter, childId: string): Promise<void> {
  const made = await page.request.post(`${leiter.url}/api/children/${childId}/home`);
  const { token } = (await made.json()) as { readonly token: string }; // what the contract promises for the path
  const other = await page.context().newPage();
  await other.setViewportSize({ width: 390, height: 800 });
  await other.goto(`${leiter.url}/home#${token}`);
  await expect(other.getByRole('region', { name: 'To practise' }).locator('svg').first()).toBeVisible();
  const pictures = [await other.screenshot()];
  await other.getByRole('button', { name: 'Start' }).first().click();
  const dialog = other.getByRole('dialog');
  await expect(dialog.getByRole('status')).toHaveText(/^Go/, { timeout: 20_000 });
  pictures.push(await other.screenshot());
  await dialog.getByRole('button', { name: 'Stop' }).click();
  await other.getByRole('list', { name: /^Asked for/ }).scrollIntoViewIfNeeded();
  await other.getByRole('region', { name: 'Words to know' }).scrollIntoViewIfNeeded();
  pictures.push(await other.screenshot());
  await other.close();
  await beside(
    page,
    pictures.map((picture) => picture.toString('base64')),
    'family',
  );
}

/** The certificate of a grade, and where the code on it leads. */
/** What goes on paper, beside each other: a plan, a certificate, and the page that says whether it is genuine. */
async function onPaper(page: Page, leiter: Leiter, printed: Buffer): Promise<void> {
  const children = await ask<
    readonly { readonly id: string; readonly grades: readonly { readonly programme: string; readonly gradeId: string }[] }[]
  >(page, 'children');
  // one whom Tomasz teaches
  const child = children.findLast(({ grades }) => grades.some(({ programme }) => programme === 'gymnastics'));
  const path = `${leiter.url}/api/children/${child?.id ?? ''}`;
  const gradeId = child?.grades.find(({ programme }) => programme === 'gymnastics')?.gradeId ?? '';
  await page.request.post(`${path}/consents`, { data: { kind: 'badges', isGiven: true } });
  const pdf = await (await page.request.get(`${path}/certificates/${gradeId}`)).body();
  const paper = execFileSync('pdftoppm', ['-png', '-singlefile', '-scale-to-x', '1130', '-scale-to-y', '800', '-'], { input: pdf });
  const { id } = (await (await page.request.get(`${path}/badges/${gradeId}`)).json()) as { readonly id: string }; // what the contract promises
  const other = await page.context().newPage();
  await other.setViewportSize({ width: 390, height: 800 });
  await other.goto(`${leiter.url}/verify/${id}`);
  await expect(other.getByRole('heading', { name: 'Genuine' })).toBeVisible();
  await settled(other);
  const verified = await other.screenshot();
  await other.close();
  const sheet = Math.round((800 * printed.readUInt32BE(16)) / printed.readUInt32BE(20)); // width and height of a PNG
  await page.setViewportSize({ width: sheet + 24 + 1130 + 24 + 390, height: 800 });
  const images = [printed, paper, verified]
    .map((picture) => `<img height="800" src="data:image/png;base64,${picture.toString('base64')}">`)
    .join('');
  await page.setContent(`<body style="margin:0;display:flex;gap:24px;background:#ddd5c5">${images}</body>`);
  await page.screenshot({ path: `${folder}/on-paper.png` });
}

/** The figures of all programmes, as the library shows them, in one. */
async function figures(page: Page, leiter: Leiter): Promise<void> {
  await page.setViewportSize({ width: 2140, height: 2300 });
  await open(page, leiter, '/library');
  await page.getByRole('button', { name: 'Figures', exact: true }).click();
  const grids: string[] = [];
  for (const programme of ['General', 'Dance', 'Gymnastics', 'Martial arts']) {
    await page.getByRole('button', { name: new RegExp(`^${programme} \\d+$`) }).click();
    await settled(page);
    const list = page.getByRole('region', { name: 'Movements' }).getByRole('list');
    const box = await list.boundingBox();
    if (!box) throw new Error('no list of movements');
    grids.push((await page.screenshot({ clip: { ...box, height: Math.min(box.height, 2300 - box.y) } })).toString('base64'));
  }
  const images = grids.map((data) => `<img width="940" src="data:image/png;base64,${data}">`).join('');
  await page.setViewportSize({ width: 1904, height: 800 });
  await page.setContent(
    `<body style="margin:0;display:flex;flex-wrap:wrap;gap:24px;align-items:start;background:#fbf8f1">${images}</body>`,
  );
  await page.screenshot({ path: `${folder}/figures.png`, fullPage: true });
  await page.setViewportSize({ width: 1280, height: 800 });
}

/** Pictures of phones beside each other in one. */
async function beside(page: Page, pictures: readonly string[], name: string): Promise<void> {
  await page.setViewportSize({ width: pictures.length * 390 + (pictures.length - 1) * 24, height: 800 });
  const images = pictures.map((data) => `<img width="390" src="data:image/png;base64,${data}">`).join('');
  await page.setContent(`<body style="margin:0;display:flex;gap:24px;background:#ddd5c5">${images}</body>`);
  await page.screenshot({ path: `${folder}/${name}.png` });
}

/** The phone of somebody who helps, beside a class that is taught. @returns its picture */
async function besidePhone(page: Page, leiter: Leiter, classId: string): Promise<string> {
  const other = await page.context().newPage();
  await other.setViewportSize({ width: 390, height: 800 });
  await open(other, leiter, `/classes/${classId}/beside`);
  await expect(other.getByRole('button', { name: 'Put off' })).toBeVisible();
  const picture = (await other.screenshot()).toString('base64');
  await other.close();
  return picture;
}

/** Four pages on a phone, beside each other in one picture. */
async function phone(page: Page, leiter: Leiter, classId: string, remote: string): Promise<void> {
  await page.setViewportSize({ width: 390, height: 800 });
  const pictures: string[] = [];
  for (const address of ['/week', `/classes/${classId}/marks`, '/children']) {
    await open(page, leiter, address);
    await settled(page);
    pictures.push((await page.screenshot()).toString('base64'));
  }
  pictures.push(remote);
  await beside(page, pictures, 'phone');
}
