import { AxeBuilder } from '@axe-core/playwright';
import type { Browser, Page } from '@playwright/test';
import { ask, expect, openClass, signIn, test, type Leiter } from './leiter.js';

const fixtures = new URL('../../server/test/fixtures/clips/', import.meta.url).pathname;

interface Child {
  readonly id: string;
  readonly givenName: string;
  readonly groupIds: readonly string[];
}

const send = (page: Page, leiter: Leiter, method: 'patch' | 'post', path: string, data: object = {}) =>
  page.request[method](`${leiter.url}/api/${path}`, { data });

/** A phone with the link of a family, made anew. */
async function phoneOf(browser: Browser, page: Page, leiter: Leiter, childId: string, locale = 'en-GB'): Promise<Page> {
  const { token } = (await (await send(page, leiter, 'post', `children/${childId}/home`)).json()) as { token: string };
  const family = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, locale });
  const phone = await family.newPage();
  await phone.goto(`${leiter.url}/home#${token}`);
  return phone;
}

async function expectNothingInTheWay(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .exclude('svg *')
    .options({ resultTypes: ['violations'], preload: false })
    .analyze();
  expect(violations.map(({ id, nodes }) => `${id} at ${nodes.map(({ target }) => String(target)).join(' | ')}`)).toEqual([]);
}

test('A letter is made from the class in the language of the family, read and changed, and then stands in the mailbox as it was', async ({
  page,
  leiter,
}) => {
  await signIn(page, leiter, 'owner');
  const { id: classId, group } = await openClass(page, 'gymnastics');
  const children = await ask<readonly Child[]>(page, 'children');
  const [first, second] = children.filter(({ groupIds, givenName }) => groupIds.includes(group.id) && givenName !== 'Ilse');
  await send(page, leiter, 'patch', `children/${first?.id ?? ''}`, {
    contacts: [{ name: 'Ida', email: 'ida@home.example' }],
    familyLanguage: 'de',
  });
  await send(page, leiter, 'patch', `children/${second?.id ?? ''}`, { contacts: [] });
  await page.goto(`${leiter.url}/classes/${classId}`);
  await page.getByRole('link', { name: 'Letters' }).click();
  await page.getByRole('button', { name: new RegExp(`^${second?.givenName ?? ''} .*no address`) }).click();
  await expect(page.getByRole('button', { name: /^Send it/ })).toHaveCount(0);
  await page.getByRole('button', { name: new RegExp(`^${first?.givenName ?? ''} `) }).click();
  await expect(page.getByLabel('Subject')).toHaveValue(new RegExp(`^${group.name} am .*: was ${first?.givenName ?? ''} braucht$`));
  const text = page.getByLabel('Text', { exact: true });
  await expect(text).toHaveValue(/^Guten Tag!/);
  const changed = `${await text.inputValue()}\n\nBitte eine Decke mitbringen.`;
  await text.fill(changed);
  await page.getByRole('button', { name: `Send it to the family of ${first?.givenName ?? ''}` }).click();
  await expect(page.getByText(/kept in Leiter’s mailbox/).first()).toBeVisible();
  await page.getByRole('link', { name: 'All letters' }).click();
  await expect(page.getByText('No mail server is set')).toBeVisible();
  await expect(page.getByText('Bitte eine Decke mitbringen.')).toBeVisible();
  const { letters } = await ask<{ letters: readonly { body: string; to: readonly string[] }[] }>(page, 'letters');
  expect(letters[0]).toMatchObject({ body: changed, to: ['ida@home.example'] });
});

test('The page of a family is in the language of its phone, and in the one that it chooses from then on', async ({
  page,
  browser,
  leiter,
}) => {
  await signIn(page, leiter, 'owner');
  const children = await ask<readonly Child[]>(page, 'children');
  const child = children.find(({ givenName }) => givenName === 'Noor');
  const phone = await phoneOf(browser, page, leiter, child?.id ?? '', 'fr-CH');
  await expect(phone.getByRole('heading', { name: 'Prochain cours' })).toBeVisible();
  await expect(
    phone
      .getByRole('list', { name: 'À préparer' })
      .or(phone.getByText(/une fois le cours planifié/))
      .first(),
  ).toBeVisible();
  expect(await phone.evaluate(() => document.documentElement.lang)).toBe('fr');
  await phone.getByRole('button', { name: 'Deutsch' }).tap();
  await expect(phone.getByRole('heading', { name: 'Nächste Stunde' })).toBeVisible();
  await phone.reload();
  await expect(phone.getByRole('heading', { name: 'Nächste Stunde' })).toBeVisible();
  // nothing of the other language is left where words were translated, and nothing runs over the edge
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  await expectNothingInTheWay(phone);
  await expect
    .poll(async () => (await ask<{ child: { familyLanguage: string } }>(page, `children/${child?.id ?? ''}`)).child.familyLanguage)
    .toBe('de');
  await phone.context().close();
});

test('A clip from a phone: sent once it is allowed, watched picture by picture, marked with a key, taken back', async ({
  page,
  browser,
  leiter,
}) => {
  await signIn(page, leiter, 'gymnastics');
  const children = await ask<readonly Child[]>(page, 'children');
  const child = children.find(({ givenName }) => givenName === 'Ilse');
  const phone = await phoneOf(browser, page, leiter, child?.id ?? '');
  const clips = phone.getByRole('region', { name: 'Show it in a clip' });
  await expect(clips).toContainText('First allow it');
  await phone.getByRole('group', { name: 'Clips that we send may be kept to be looked at' }).getByRole('button', { name: 'yes' }).tap();
  await clips.getByLabel('Film or picture').setInputFiles(`${fixtures}long.mp4`);
  await expect(clips.getByRole('alert')).toContainText(/minute|60 seconds/);
  await clips.getByLabel('Film or picture').setInputFiles(`${fixtures}browser.webm`);
  await expect(clips.getByText('Sent. The instructor looks at it.')).toBeVisible();
  await expectNothingInTheWay(phone);

  await page.goto(leiter.url);
  await page.getByRole('region', { name: 'Clips from home' }).getByRole('link').first().click();
  const video = page.locator('video');
  const at = (): Promise<number> => video.evaluate((one: HTMLVideoElement) => one.currentTime);
  await expect.poll(() => video.evaluate((one: HTMLVideoElement) => one.readyState)).toBeGreaterThan(1);
  await page.keyboard.press('ArrowRight');
  await expect.poll(at).toBeCloseTo(1.5 / 15, 2);
  await page.keyboard.press('ArrowRight');
  await expect.poll(at).toBeCloseTo(2.5 / 15, 2);
  await page.keyboard.press('ArrowLeft');
  await expect.poll(at).toBeCloseTo(1.5 / 15, 2);
  await page.keyboard.press('ArrowDown');
  expect(await video.evaluate((one: HTMLVideoElement) => one.playbackRate)).toBe(0.5);
  await page.getByLabel('Word to the family, with the mark').fill('Straight arms: good');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('3');
  await expect(page.getByRole('list', { name: 'Marks given from clips' })).toContainText(/alone.*Straight arms: good/);
  await expectNothingInTheWay(page);

  // erasing it asks for the name first
  await page.getByRole('button', { name: 'Erase the clip now' }).click();
  const asked = page.getByRole('dialog', { name: 'Erase this clip for good?' });
  await expect(asked.getByRole('button', { name: 'Erase for good' })).toBeDisabled();
  await asked.getByRole('button', { name: 'Cancel' }).click();

  // the family sees that it was looked at, and what was written; taken back it is gone for the club as well
  await phone.reload();
  await expect(clips).toContainText('looked at on');
  await expect(phone.getByRole('region', { name: 'Written by the instructor' })).toContainText('Straight arms: good');
  await clips.getByRole('button', { name: /^Take back the clip/ }).tap();
  await expect.poll(async () => (await ask<readonly unknown[]>(page, 'clips')).length).toBe(0);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'No clips' })).toBeVisible();
  await phone.context().close();
});

test('A grade is verified by whoever is shown it: with the name while the family allows it, without it else, and not once it is taken back', async ({
  page,
  browser,
  leiter,
}) => {
  await signIn(page, leiter, 'owner');
  const children = await ask<readonly (Child & { readonly grades: readonly { readonly gradeId: string; readonly gradeName: string }[] })[]>(
    page,
    'children',
  );
  const child = children.find(
    ({ givenName, grades }) => grades.length > 0 && givenName !== 'Ilse' && givenName !== 'Noor' && givenName !== 'Mei',
  );
  const grade = child?.grades[0];
  const phone = await phoneOf(browser, page, leiter, child?.id ?? '');
  await expect(phone.getByRole('button', { name: 'certificate' }).first()).toBeVisible();
  await expect(phone.getByRole('button', { name: /^Badge of / })).toHaveCount(0);
  await phone
    .getByRole('group', { name: 'A badge that our child earned may be verified by others' })
    .getByRole('button', { name: 'yes' })
    .tap();
  await phone.getByRole('button', { name: `Badge of ${grade?.gradeName ?? ''}` }).tap();
  await expect(phone.getByRole('heading', { name: 'Genuine' })).toBeVisible();
  await expect(phone.getByText(new RegExp(`${child?.givenName ?? ''} .*was given the grade ${grade?.gradeName ?? ''}`))).toBeVisible();
  const picture = phone.getByRole('img', { name: `The badge of ${grade?.gradeName ?? ''}` });
  await expect.poll(() => picture.evaluate((one: HTMLImageElement) => one.naturalWidth)).toBe(480);
  await expectNothingInTheWay(phone);

  // somebody else, who has the address alone
  const other = await browser.newContext();
  const stranger = await other.newPage();
  await stranger.goto(phone.url());
  await expect(stranger.getByRole('heading', { name: 'Genuine' })).toBeVisible();
  await send(page, leiter, 'post', `children/${child?.id ?? ''}/consents`, { kind: 'badges', isGiven: false });
  await stranger.reload();
  await expect(stranger.getByText('The name is not shown')).toBeVisible();
  await expect(stranger.locator('main')).not.toContainText(child?.givenName ?? 'nobody');
  await send(page, leiter, 'post', `children/${child?.id ?? ''}/grades/${grade?.gradeId ?? ''}/take-back`, {
    reason: 'Given to the wrong child',
  });
  await stranger.reload();
  await expect(stranger.getByRole('heading', { name: 'Not valid any more' })).toBeVisible();
  await other.close();
  await phone.context().close();
});
