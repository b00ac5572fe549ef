import { ask, expect, freshClass, signIn, test } from './leiter.js';
import { startTeaching, storePlan } from './teach-page.js';

test('An eight is written by keys, what cannot be danced is named at its count, it goes over the floor to both sides, and stays', async ({
  page,
  browser,
  leiter,
}) => {
  await signIn(page, leiter, 'dance');
  await page.goto(`${leiter.url}/library/harbour-phrase`);
  await page.getByRole('link', { name: 'Step by step' }).click();
  await expect(page.getByRole('region', { name: 'Score' }).getByRole('region').first()).toBeVisible();

  // on paper: both sides, and nothing of the screen
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByText('As it is written', { exact: true })).toBeVisible();
  await expect(page.getByText('The other side', { exact: true }).last()).toBeVisible();
  await expect(page.getByLabel('The steps')).toBeHidden();
  await page.emulateMedia({ media: 'screen' });

  // a combination that nobody has written yet
  await page.goto(`${leiter.url}/library/rhythm-clap/steps`);
  await expect(page.getByText('Nothing to show yet')).toBeVisible();
  const eight = '1 R fwd, 2 L fwd, 3 R kick, & R back, 4 R side, 5 R cross, 6 L back, 7 R side, 8 L close';
  expect(eight.length).toBeLessThanOrEqual(120);
  await page.getByLabel('The steps').focus();
  await page.keyboard.type(eight);
  // on 4 the weight is on the right foot: the score says so beside the count, and the way out
  const mend = page.getByRole('list', { name: 'To mend' });
  await expect(mend.getByRole('listitem')).toHaveText([
    /^4: The weight is on the right foot: it cannot move\. Take the other foot/,
    /^5: The weight is on the right foot/,
  ]);
  await page.getByLabel('The steps').fill(eight.replace('4 R side', '4 L side'));
  await expect(mend).toHaveCount(0);
  const counts = page.getByRole('region', { name: 'Score' }).getByRole('listitem');
  await expect(counts).toHaveCount(9);
  await expect(counts.nth(0)).toHaveAccessibleName('count 1: right forward');
  await expect(page.getByRole('img', { name: /^The way over the floor, / })).toBeVisible();

  await page.getByRole('button', { name: 'The other side' }).click();
  await expect(counts.nth(0)).toHaveAccessibleName('count 1: left forward');
  await page.getByRole('button', { name: 'As it is written' }).click();

  // said aloud: counted in, then each count while its row is shown
  await page.evaluate(() => {
    const said: string[] = [];
    Object.assign(window, { said });
    addEventListener('leiter-said', (event) => said.push((event as CustomEvent<{ readonly text: string }>).detail.text));
  });
  for (let times = 0; times < 30; times += 1) await page.getByRole('button', { name: 'Quicker' }).click();
  await expect(page.getByLabel('Counts a minute')).toHaveText('204 a minute');
  await page.getByRole('button', { name: 'Say it aloud' }).click();
  await expect(counts.and(page.locator('[aria-current]'))).toHaveAccessibleName('count 5: right crosses in front');
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.locator('li[aria-current]')).toHaveCount(0);
  const said = await page.evaluate(() => (window as unknown as { readonly said: readonly string[] }).said);
  expect(said.slice(0, 11).join(' ')).toBe('one two three four five six seven eight one two three');
  // too quick for an “and” between three and four
  expect(said[11]).toBe('four');

  // a line that cannot be read is named, and nobody else is shown it
  const field = page.getByLabel('The steps');
  const saved = page.getByRole('status').filter({ hasText: /^saved$/ });
  const right = eight.replace('4 R', '4 L');
  await field.fill(right);
  await expect(saved).toBeVisible();
  await field.fill(`${right}\n1 R tuch`);
  await expect(page.getByRole('alert')).toContainText('Line 2: “tuch” is not known beside a foot');
  await expect(page.getByText('not saved: kept in this browser until every line can be read')).toBeVisible();
  const stored = async () =>
    (await ask<{ readonly phrase: { readonly text: string } | null }>(page, 'library/rhythm-clap/phrase')).phrase?.text;
  expect(await stored()).toBe(right);
  // what was written and not saved is there again after a reload, and undo reaches back over it
  page.once('dialog', (dialog) => void dialog.accept());
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('“tuch”');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(field).toHaveValue(right);
  await page.getByRole('button', { name: 'Do again' }).click();
  await expect(page.getByRole('alert')).toContainText('“tuch”');
  await field.press('Control+z');
  await expect(field).toHaveValue(right);
  await expect(saved).toBeVisible();

  // somebody else sees it as it is written; where both write, one decides and both are shown
  const second = await browser.newContext();
  const other = await second.newPage();
  await signIn(other, leiter, 'owner');
  await other.goto(page.url());
  await expect(other.getByLabel('The steps')).toHaveValue(right);
  await field.fill('1 R side, 2 L close');
  await expect(other.getByLabel('The steps')).toHaveValue('1 R side, 2 L close');
  await expect(other.getByRole('status').filter({ hasText: 'changed it: shown' })).toBeVisible();
  await second.setOffline(true);
  await other.getByLabel('The steps').fill('1 L side, 2 R close');
  await expect(other.getByRole('status').filter({ hasText: 'kept here, saved when there is an answer' })).toBeVisible();
  await field.fill('1 R side, 2 L close, 3 R fwd');
  await expect(saved).toBeVisible();
  await second.setOffline(false);
  await expect(other.getByText(/ saved other steps meanwhile\.$/)).toBeVisible({ timeout: 15_000 });
  await expect(other.getByLabel('What is stored')).toHaveText('1 R side, 2 L close, 3 R fwd');
  await other.getByRole('button', { name: 'Go on with mine' }).click();
  await expect(field).toHaveValue('1 L side, 2 R close');
  await second.close();
  await field.fill('');
  await expect(page.getByText('Nothing to show yet')).toBeVisible();
  await expect.poll(stored).toBeUndefined();
});

test('Two do it: the partner stands where it is said, is seen beside the child, goes to the other side with it, and two do not stand in each other', async ({
  page,
  leiter,
}) => {
  await signIn(page, leiter, 'martial-arts');
  await page.goto(`${leiter.url}/library/block-counter/steps`);
  const counts = page.getByRole('region', { name: 'Score' }).getByRole('listitem');
  await expect(counts.first()).toHaveAccessibleName('count 1: right back; the partner: left forward without touching, lunge punch L');
  await expect(page.getByText('Floor of both')).toBeVisible();
  // both are drawn, one paler, and one sees them from the side, since the partner stands ahead
  await expect(page.getByRole('button', { name: 'from the side' })).toHaveAttribute('aria-pressed', 'true');
  const tones = page.getByRole('img', { name: 'The figure on count 1' }).locator('polyline, circle');
  const inks = new Set(await tones.evaluateAll((shapes) => shapes.map((one) => one.getAttribute('stroke') ?? one.getAttribute('fill'))));
  expect(inks.size).toBeGreaterThanOrEqual(4);
  await page.getByRole('button', { name: 'The other side' }).click();
  await expect(counts.first()).toHaveAccessibleName('count 1: left back; the partner: right forward without touching, lunge punch R');
  await page.getByRole('button', { name: 'As it is written' }).click();
  const field = page.getByLabel('The steps');
  await field.fill('partner ahead 0.5\n1 R fwd\npartner: 1 L fwd');
  await expect(page.getByRole('list', { name: 'To mend' })).toContainText('1: The child and the partner would stand in each other');
  await field.fill('partner nearby\n1 R fwd');
  await expect(page.getByRole('alert')).toContainText('Line 1: “nearby” is no place for a partner: partner ahead 1.2');

  // in Teach whoever holds against it reads what to do on this count
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'dance');
  const dose = { kind: 'counts', eights: 1, bpm: 60, repeats: 2, countIn: 4 };
  const item = { id: 'canon', movement: 'canon', dose, sides: 'none', tiers: ['core'], familiarity: 'routine', way: 'flow' };
  await storePlan(page, leiter, id, { items: [item] });
  await startTeaching(page, leiter, id);
  await expect(page.getByRole('region', { name: 'On this count' })).toContainText('the partner: right to the side, open');
});

test('Teach shows what is done on a count and what comes next, to the side that works', async ({ page, leiter }) => {
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'dance');
  const dose = { kind: 'counts', eights: 1, bpm: 60, repeats: 2, countIn: 4 };
  const item = { id: 'box', movement: 'jazz-box', dose, sides: 'left', tiers: ['core'], familiarity: 'routine', way: 'flow' };
  await storePlan(page, leiter, id, { items: [item] });
  await startTeaching(page, leiter, id);
  const now = page.getByRole('region', { name: 'On this count' });
  await expect(now).toHaveText('then left crosses in front');
  // written with the right foot first: to the left it is the mirror image
  await expect(now).toContainText('right back · “back”');
  await expect(now).toContainText('then left to the side');
  await expect(now).toContainText('left to the side · “side”');
});

const run = '1 R fwd, 2 R fwd, 3 R fwd, 4 L leap fwd, 5-8 R close';

test('A step on the wrong foot is mended by one press, the figure walks it, and it is made to fit the smallest room', async ({
  page,
  leiter,
}) => {
  await signIn(page, leiter, 'dance');
  await page.goto(`${leiter.url}/library/off-beats/steps`);
  await page.getByLabel('The steps').fill(run);
  const mend = page.getByRole('list', { name: 'To mend' });
  await expect(mend.getByRole('listitem')).toHaveCount(2);
  await mend.getByRole('listitem').first().getByRole('button', { name: 'The other foot' }).click();
  await expect(page.getByLabel('The steps')).toHaveValue(run.replace('2 R', '2 L'));
  await expect(mend).toHaveCount(0);

  // a room of two metres is left by the leap
  const status = page.getByRole('status', { name: 'How it fits' });
  await page.getByLabel('Room').selectOption('2 × 2 m');
  await expect(status).toContainText('It leaves this room on 3.');
  await page.getByLabel('made to fit').check();
  await expect(status).toContainText(/steps of 65 %; on the spot on 4/);
  await page.getByLabel('Room').selectOption('4 × 3 m');
  await expect(status).toContainText('It leaves this room on 4.');

  // what stands in for the leap is another version
  await page.getByLabel('The steps').fill(`${run.replace('2 R', '2 L')}\neasier: 4 L fwd / long step / say over`);
  await page.getByLabel('Version').selectOption('easier');
  const counts = page.getByRole('region', { name: 'Score' }).getByRole('listitem');
  await expect(counts.nth(3)).toHaveAccessibleName('count 4: left forward long step');
  await expect(status).toContainText('It fits.');
  await page.getByLabel('Version').selectOption('');

  // count by count: the figure goes forward, toward the camera
  const figure = page.getByRole('img', { name: /^The figure on count/ });
  const drawn = (): Promise<string> => figure.locator('g').innerHTML();
  const before = await drawn();
  const slider = page.getByRole('slider', { name: 'Count by count' });
  await slider.focus();
  for (let press = 0; press < 4; press += 1) await slider.press('ArrowRight');
  await expect.poll(drawn).not.toBe(before);
  const front = await drawn();
  await page.getByRole('button', { name: 'from behind' }).click();
  await expect.poll(drawn).not.toBe(front);

  // to a file and back; a file that is none says so
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As a file' }).click();
  const path = await (await download).path();
  const written = await page.getByLabel('The steps').inputValue();
  const file = page.getByLabel('A phrase as a file');
  await file.setInputFiles({ name: 'by-hand.txt', mimeType: 'text/plain', buffer: Buffer.from('5-8 R cross, 1 L back') });
  await expect(page.getByLabel('The steps')).toHaveValue('5-8 R cross, 1 L back');
  await file.setInputFiles({ name: 'plan.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"leiter-plan/1"}') });
  await expect(page.getByRole('alert')).toContainText('It is no leiter-phrase/1');
  await file.setInputFiles(path);
  await expect(page.getByLabel('The steps')).toHaveValue(written);

  // which foot begins a run-up of a step, a step and a hurdle that ends on the left
  await page.getByText('Which foot begins a run-up?').click();
  await expect(page.getByText('The left foot begins.')).toBeVisible();
  await page.getByRole('button', { name: 'ends on the right' }).click();
  await expect(page.getByText('The right foot begins.')).toBeVisible();
  await page.getByLabel('The steps').fill('');
  await page.getByRole('button', { name: 'Write it into the steps' }).click();
  await expect(page.getByLabel('The steps')).toHaveValue('1 R fwd, 2 L fwd, 3 L hop, & R fwd');
  await expect(mend).toHaveCount(0);
});

test('A phrase is built up part by part in the time it has, and an eight is done again and again while the class waits', async ({
  page,
  leiter,
}) => {
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'dance');
  const dose = { kind: 'counts', eights: 4, bpm: 100, repeats: 2, countIn: 8 };
  const item = { id: 'harbour', movement: 'harbour-phrase', dose, sides: 'none', tiers: ['core'], familiarity: 'routine', way: 'flow' };
  await storePlan(page, leiter, id, { items: [item] });
  await page.goto(`${leiter.url}/classes/${id}/plan`);
  await page
    .getByRole('option', { name: /harbour/i })
    .or(page.getByText('Harbour phrase').first())
    .first()
    .click();
  const built = page.getByRole('region', { name: 'Built up' });
  await built.getByRole('group', { name: 'Walks' }).getByRole('button', { name: 'known' }).click();
  await built.getByRole('group', { name: 'Box' }).getByRole('button', { name: 'new' }).click();
  await expect(built.getByRole('listitem').first()).toContainText(/^slowly, with its words: \d times|slowly, with its words: once/);
  await expect(built.getByRole('listitem').filter({ hasText: 'joined to what they know' })).toHaveCount(1);
  await expect(page.getByText('new 2, known 1').first()).toBeVisible();
  const planned = () => ask<{ stored: { plan: { sections: { items: { parts?: unknown }[] }[] } } }>(page, `classes/${id}`);
  await expect.poll(async () => (await planned()).stored.plan.sections[0]?.items[0]?.parts).toEqual({ new: [1], known: [0] });

  await startTeaching(page, leiter, id);
  const now = page.getByRole('region', { name: 'On this count' });
  await expect(now).toContainText('Box · slowly, with its words');
  await page.keyboard.press('e');
  const again = page.getByRole('region', { name: 'Again and again' });
  await expect(again.getByRole('button', { name: 'Box (2)' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('+');
  await page.keyboard.press('1');
  await expect(again.getByRole('button', { name: 'Walks (1)' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('x');
  await expect(again.getByText(/left forward/)).toBeVisible({ timeout: 20_000 });
  await page.keyboard.press('e');
  await expect(again).toBeHidden();
  await expect(page.getByText('Paused')).toHaveCount(0);
  await expect(now).toBeVisible({ timeout: 20_000 });
});
