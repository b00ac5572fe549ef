import { movementCopies, type NamingEntry } from '@leiter/core/testing/movement-copies';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import { expect, openToday, settled, signIn, test, ask } from '../tests/leiter.js';
import { tell } from './tell.js';

interface TaughtClass {
  readonly id: string;
  readonly taughtAt: string | null;
}

/** The last class of a group that was taught. */
async function taught(page: Page, name: string): Promise<{ readonly classId: string; readonly groupId: string }> {
  const groups = await ask<readonly { readonly id: string; readonly name: string }[]>(page, 'groups');
  const groupId = groups.find((group) => group.name === name)?.id ?? '';
  const classes = await ask<readonly TaughtClass[]>(page, `groups/${groupId}/classes`);
  return { groupId, classId: classes.find(({ taughtAt }) => taughtAt !== null)?.id ?? '' };
}

/**
 * Notes in the page itself when it can be used: its heading is there, nothing is being fetched, the letters are those of Leiter, and that
 * was painted. Looked at with every frame: asking from outside would come up to a second late.
 */
function noteUsable(): void {
  const look = (): void => {
    const isThere = document.querySelector('h1') !== null && !document.body.innerText.includes('Fetching the ');
    if (!isThere || document.fonts.status !== 'loaded') {
      requestAnimationFrame(look);
      return;
    }
    requestAnimationFrame(() => {
      setTimeout(() => Object.assign(window, { usable: performance.now() }));
    });
  };
  requestAnimationFrame(look);
}

type Session = Awaited<ReturnType<BrowserContext['storageState']>>;

/** How long a page takes to open in a browser that has never been there, eight times after one that does not count. */
async function openings(browser: Browser, session: Session, url: string): Promise<readonly number[]> {
  const taken: number[] = [];
  for (let run = 0; run < 9; run += 1) {
    // a context of its own has nothing in its cache
    const context = await browser.newContext({ storageState: session });
    const fresh = await context.newPage();
    await fresh.addInitScript(noteUsable);
    await fresh.goto(url, { waitUntil: 'commit' });
    // nothing is asked of the page meanwhile: that would be measured too
    await fresh.waitForTimeout(2500);
    taken.push(await fresh.evaluate(() => (window as unknown as { usable: number }).usable));
    await context.close();
  }
  return taken.slice(1);
}

test('Every page, opened by a browser that has never been there', async ({ browser, page, leiter }) => {
  test.setTimeout(600_000);
  await signIn(page, leiter, 'owner');
  const { classId, groupId } = await taught(page, 'Kittiwakes');
  const { rows } = await ask<{ readonly rows: readonly { readonly childId: string }[] }>(page, `groups/${groupId}/board`);
  const addresses: Readonly<Record<string, string>> = {
    Today: '/',
    'the week': '/week',
    'a class': `/classes/${classId}`,
    'a plan': `/classes/${classId}/plan`,
    'the marks of a class': `/classes/${classId}/marks`,
    'the board': `/groups/${groupId}`,
    children: '/children',
    'a child': `/children/${rows[0]?.childId ?? ''}`,
    syllabus: '/syllabus',
    library: '/library',
    'a movement': '/library/cartwheel',
    club: '/club',
  };
  const session = await page.context().storageState();
  for (const [name, address] of Object.entries(addresses)) {
    tell(`${name}: from nothing to what one can use`, await openings(browser, session, leiter.url + address), 800);
  }
});

test('The library with 3,000 entries', async ({ browser, page, leiter }) => {
  test.setTimeout(300_000);
  await signIn(page, leiter, 'owner');
  const { format, movements } = await ask<{ readonly format: string; readonly movements: readonly NamingEntry[] }>(page, 'library/export');
  const data = { format, movements: movementCopies(movements, 3000 - movements.length) };
  const headers = { origin: leiter.url };
  const taken = await page.request.post(`${leiter.url}/api/library/import`, { data, headers });
  expect(taken.status()).toBe(200);
  const all = movements.length + data.movements.length;
  const session = await page.context().storageState();
  tell(
    `library with ${all.toLocaleString('en-GB')} entries: from nothing to what one can use`,
    await openings(browser, session, `${leiter.url}/library`),
    700,
  );
  const { importId } = (await taken.json()) as { readonly importId: string };
  expect((await page.request.delete(`${leiter.url}/api/library/imports/${importId}`, { headers })).status()).toBe(204);
});

/** From now on the page keeps how long it takes from an event to what it paints. */
async function timePainting(page: Page, event: 'keydown' | 'click'): Promise<void> {
  await page.evaluate((kind) => {
    const kept: number[] = [];
    Object.assign(window, { painted: kept });
    addEventListener(
      kind,
      ({ timeStamp }) => {
        requestAnimationFrame(() => {
          setTimeout(() => kept.push(performance.now() - timeStamp));
        });
      },
      { capture: true },
    );
  }, event);
}

const painted = (page: Page): Promise<readonly number[]> =>
  page.evaluate(() => (window as unknown as { painted: readonly number[] }).painted);

test('A mark by key and a filter of the wall', async ({ page, leiter }) => {
  await openToday(page, leiter, 'gymnastics');
  const { classId } = await taught(page, 'Kittiwakes');
  await page.goto(`${leiter.url}/classes/${classId}/marks`);
  await expect(page.getByRole('grid', { name: 'Marks of the class' })).toBeVisible();
  await timePainting(page, 'keydown');
  for (let press = 0; press < 60; press += 1) {
    await page.keyboard.press(press % 2 === 0 ? String(1 + ((press / 2) % 4)) : 'ArrowDown');
    await page.waitForTimeout(120);
  }
  tell('marks of a class: from key to painted', (await painted(page)).slice(10), 40);
  await page.goto(`${leiter.url}/children`);
  const filters = page.getByRole('group', { name: 'Who is shown' });
  await expect(filters).toBeVisible();
  await settled(page);
  await timePainting(page, 'click');
  for (let press = 0; press < 60; press += 1) {
    await filters.getByRole('button', { name: press % 2 === 0 ? 'close' : 'everybody' }).click();
    await page.waitForTimeout(120);
  }
  tell('the wall of 44 children: from a filter to painted', (await painted(page)).slice(10), 40);
});
