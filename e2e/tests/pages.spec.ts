import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { ask, expect, openClass, signIn, test, settled, type Coming, type Leiter } from './leiter.js';

// a page is like another: each worker takes the next
test.describe.configure({ mode: 'parallel' });

const pageNames = [
  'Today',
  'the week',
  'a class',
  'a class without a plan',
  'a plan',
  'the beginning of a class',
  'the beginning of a rehearsal',
  'beside a class',
  'a remote without a link',
  'the marks of a class',
  'the board of a group',
  'children',
  'a child',
  'syllabus',
  'library',
  'a movement',
  'a phrase',
  'words',
  'a quiz',
  'club',
  'checks',
  'reports',
  'grading days',
  'who comes to a grading day',
  'the timetable of a grading day',
  'the mark sheets of a grading day',
  'the grades of a grading day',
  'the bests of a group',
  'letters of a class',
  'letters of a grading day',
  'all letters',
  'one’s own page',
] as const;

/** Every page, by the name a user would give it. */
async function addresses(page: Page, leiter: Leiter): Promise<Readonly<Record<(typeof pageNames)[number], string>>> {
  const coming = await ask<readonly Coming[]>(page, 'coming-classes');
  const planned = coming.find((one) => one.class?.hasPlan);
  const { id: open, group } = await openClass(page, 'gymnastics');
  const [grading] = await ask<readonly { readonly id: string }[]>(page, 'gradings');
  // with a timetable its page has something to show; two workers who make it at once make one
  await page.request.post(`${leiter.url}/api/gradings/${grading?.id ?? ''}/timetable`);
  const board = await ask<{ rows: readonly { childId: string }[] }>(page, `groups/${group.id}/board`);
  const taught = (await ask<readonly { id: string; taughtAt: string | null }[]>(page, `groups/${group.id}/classes`)).find(
    (one) => one.taughtAt,
  );
  return {
    Today: '/',
    'the week': '/week',
    'a class': `/classes/${taught?.id ?? ''}`,
    'a class without a plan': `/classes/${open}/plan`,
    'a plan': `/classes/${planned?.class?.id ?? taught?.id ?? ''}/plan`,
    'the beginning of a class': `/classes/${planned?.class?.id ?? taught?.id ?? ''}/teach`,
    'the beginning of a rehearsal': `/classes/${planned?.class?.id ?? taught?.id ?? ''}/rehearse`,
    'beside a class': `/classes/${planned?.class?.id ?? taught?.id ?? ''}/beside`,
    'a remote without a link': '/remote',
    'the marks of a class': `/classes/${taught?.id ?? ''}/marks`,
    'the board of a group': `/groups/${group.id}`,
    children: '/children',
    'a child': `/children/${board.rows[0]?.childId ?? ''}`,
    syllabus: '/syllabus',
    library: '/library',
    'a movement': '/library/cartwheel',
    'a phrase': '/library/harbour-phrase/steps',
    words: '/terms/dance',
    'a quiz': '/terms/martial-arts/quiz',
    club: '/club',
    checks: '/club/checks',
    reports: '/reports',
    'grading days': '/gradings',
    'who comes to a grading day': `/gradings/${grading?.id ?? ''}?step=who`,
    'the timetable of a grading day': `/gradings/${grading?.id ?? ''}?step=when`,
    'the mark sheets of a grading day': `/gradings/${grading?.id ?? ''}?step=marks`,
    'the grades of a grading day': `/gradings/${grading?.id ?? ''}?step=grades`,
    'the bests of a group': `/groups/${group.id}/bests`,
    'letters of a class': `/classes/${taught?.id ?? ''}/letters`,
    'letters of a grading day': `/gradings/${grading?.id ?? ''}/letters`,
    'all letters': '/letters',
    'one’s own page': '/me',
  };
}

async function expectNothingFound(page: Page, what: string, place = 'html'): Promise<void> {
  // the strokes of a figure are one picture, which has its name
  const axe = new AxeBuilder({ page }).include(place).exclude('svg *');
  const { violations } = await axe.options({ resultTypes: ['violations'], preload: false }).analyze();
  expect(violations.map(({ id, nodes }) => `${what}: ${id} at ${nodes.map(({ target }) => String(target)).join(' | ')}`)).toEqual([]);
}

async function open(page: Page, leiter: Leiter, address: string): Promise<void> {
  await page.goto(leiter.url + address);
  await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
  await settled(page);
}

test('Nothing on the page to sign in keeps somebody out', async ({ page, leiter }) => {
  await page.goto(`${leiter.url}/sign-in`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expectNothingFound(page, 'sign in');
});

const partsOfPages = [0, 1, 2].map((part) => pageNames.filter((_, index) => index % 3 === part));
for (const part of partsOfPages)
  test(`Nothing keeps somebody out: axe finds nothing, nothing scrolls sideways, no page is longer than the window – ${part.join(', ')}`, async ({
    page,
    leiter,
  }) => {
    test.setTimeout(120_000);
    await signIn(page, leiter, 'owner');
    const complaints: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error') complaints.push(message.text());
    });
    page.on('pageerror', (error) => complaints.push(error.message));
    const all = await addresses(page, leiter);
    for (const what of part) {
      await open(page, leiter, all[what]);
      await expectNothingFound(page, what);
      const room = await page.evaluate(() => {
        const { scrollWidth, clientWidth, scrollHeight, clientHeight } = document.documentElement;
        return { sideways: scrollWidth - clientWidth, down: scrollHeight - clientHeight };
      });
      expect({ what, ...room }).toEqual({ what, sideways: 0, down: 0 });
    }
    expect(complaints).toEqual([]);
  });

/** A dialog has opened, and axe finds nothing in it; the page behind it has been looked at without it. */
async function expectDialogForEverybody(page: Page, what: string): Promise<void> {
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectNothingFound(page, what, '[role=dialog]');
}

test('Nothing in any dialog keeps somebody out', async ({ page, leiter }) => {
  test.setTimeout(120_000);
  await signIn(page, leiter, 'owner');
  await open(page, leiter, '/children');
  await page.getByRole('button', { name: 'Add a child' }).click();
  await expectDialogForEverybody(page, 'add a child');
  await open(page, leiter, '/library');
  await page.getByRole('button', { name: 'Figures' }).click();
  await expectNothingFound(page, 'the figures');
  await page.getByRole('button', { name: 'Import a file' }).click();
  await expectDialogForEverybody(page, 'take in a file');
  await open(page, leiter, '/library/cartwheel');
  await page.getByRole('button', { name: 'Change' }).click();
  await expectDialogForEverybody(page, 'change a movement');
  await open(page, leiter, '/club');
  for (const button of ['Make a group', 'Invite a person']) {
    await page.getByRole('button', { name: button }).click();
    await expectDialogForEverybody(page, button);
    await page.getByRole('button', { name: 'Cancel' }).click();
    await expect(page.getByRole('dialog')).toBeHidden();
  }
  const coming = await ask<readonly Coming[]>(page, 'coming-classes');
  const planned = coming.find((one) => one.class?.hasPlan)?.class?.id ?? '';
  await open(page, leiter, `/classes/${planned}/marks`);
  await page.keyboard.press('?');
  await expectDialogForEverybody(page, 'the keys');
});

test('Every page can be used without a mouse: Tab reaches what can be pressed, and shows where it is', async ({ page, leiter }) => {
  await signIn(page, leiter, 'gymnastics');
  for (const address of ['/', '/children', '/library', '/syllabus', '/club']) {
    await open(page, leiter, address);
    const seen = new Set<string>();
    for (let press = 0; press < 25; press++) {
      await page.keyboard.press('Tab');
      const focus = await page.evaluate(() => {
        const element = document.activeElement;
        if (!(element instanceof HTMLElement) || element === document.body) return null;
        const { outlineStyle, outlineWidth, boxShadow } = getComputedStyle(element);
        const around = element.closest('.MuiInputBase-root');
        const isShown = (outlineStyle !== 'none' && outlineWidth !== '0px') || boxShadow !== 'none' || around !== null;
        return { name: element.getAttribute('aria-label') ?? element.textContent, isShown };
      });
      if (!focus) continue;
      expect(focus, `${address}: ${focus.name}`).toMatchObject({ isShown: true });
      seen.add(focus.name);
    }
    // where a page begins in its search field, the rail is behind it
    if (address === '/') for (const place of ['Today', 'Week', 'Children', 'Syllabus', 'Library']) expect([...seen]).toContain(place);
    expect(seen.size).toBeGreaterThan(7);
  }
});
