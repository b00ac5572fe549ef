import type { Page } from '@playwright/test';
import { ask, expect, signIn, test, type Leiter } from './leiter.js';

interface ClassPage {
  readonly children: readonly { readonly id: string; readonly name: string }[];
  readonly observations: readonly {
    readonly childId: string;
    readonly mark: string;
    readonly side: string;
    readonly faults: readonly string[];
  }[];
}

/** The last class taught of the Kittiwakes, with its sheet of marks open. */
async function openMarks(page: Page, leiter: Leiter): Promise<string> {
  const groups = await ask<readonly { id: string; name: string }[]>(page, 'groups');
  const group = groups.find(({ name }) => name === 'Kittiwakes');
  const classes = await ask<readonly { id: string; taughtAt: string | null }[]>(page, `groups/${group?.id ?? ''}/classes`);
  const id = classes.find(({ taughtAt }) => taughtAt !== null)?.id ?? '';
  await page.goto(`${leiter.url}/classes/${id}/marks`);
  await expect(page.getByRole('grid', { name: 'Marks of the class' })).toBeVisible();
  return id;
}

const cell = (page: Page, row: number, column: number) => page.locator(`[data-cell="${String(row)}-${String(column)}"]`);

test('A row of children is marked by keys alone: mark, help, fault, attendance, next child', async ({ page, leiter }) => {
  await signIn(page, leiter, 'assistant');
  const id = await openMarks(page, leiter);
  await cell(page, 0, 0).click();
  await page.keyboard.press('3');
  await page.keyboard.press('Tab');
  await expect(cell(page, 1, 0)).toBeFocused();
  await page.keyboard.press('h');
  await page.keyboard.press('Tab');
  await page.keyboard.press('4');
  await expect(cell(page, 0, 0)).toHaveAttribute('aria-label', /alone$/);
  await expect(cell(page, 1, 0)).toHaveAttribute('aria-label', /with help$/);
  await expect(cell(page, 2, 0)).toHaveAttribute('aria-label', /clean$/);
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('f');
  await expect(cell(page, 0, 0)).toHaveAttribute('aria-label', /alone$/);
  await page.reload();
  await expect(cell(page, 2, 0)).toHaveAttribute('aria-label', /clean$/);
  // the last mark may have been on its way when the page was left: what was kept here is sent by the next
  await expect(async () => {
    const { children, observations } = await ask<ClassPage>(page, `classes/${id}`);
    const ofFirst = observations.filter(({ childId }) => childId === children[0]?.id).at(-1);
    expect(ofFirst).toMatchObject({ mark: 'alone' });
    expect(ofFirst?.faults).toHaveLength(1);
  }).toPass({ timeout: 15_000 });
});

test('Marks given while the database is away are kept, over a reload too, and arrive once each when it is back', async ({
  page,
  leiter,
}) => {
  test.setTimeout(180_000);
  await signIn(page, leiter, 'gymnastics');
  const id = await openMarks(page, leiter);
  const before = (await ask<ClassPage>(page, `classes/${id}`)).observations.length;
  leiter.takeDatabaseAway();
  try {
    for (const row of [3, 4, 5]) {
      await cell(page, row, 0).click();
      await page.keyboard.press('2');
    }
    await expect(page.getByText('The database does not answer.')).toBeVisible({ timeout: 20_000 });
    await expect(page.getByText(/3 marks are kept here/)).toBeVisible();
    await expect(cell(page, 3, 0)).toHaveAttribute('aria-label', /with help$/);
  } finally {
    leiter.bringDatabaseBack();
  }
  await expect(page.getByText('The database does not answer.')).toBeHidden({ timeout: 30_000 });
  await expect.poll(async () => (await ask<ClassPage>(page, `classes/${id}`)).observations.length, { timeout: 20_000 }).toBe(before + 3);
  await page.reload();
  await expect(cell(page, 3, 0)).toHaveAttribute('aria-label', /with help$/);
  expect((await ask<ClassPage>(page, `classes/${id}`)).observations).toHaveLength(before + 3);
});
