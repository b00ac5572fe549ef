import type { Page } from '@playwright/test';
import { ask, dayText, expect, openToday, test, type Coming, type DemoPerson } from './leiter.js';
import { items } from './plan-page.js';

/** A hand that presses one key a second, slowly enough to read: five minutes of it. */
const mostKeys = 300;

/** Counts what is pressed, and never touches the mouse. */
class Keys {
  pressed = 0;

  constructor(private readonly page: Page) {}

  async press(...keys: readonly string[]): Promise<void> {
    for (const key of keys) {
      this.pressed += 1;
      await this.page.keyboard.press(key);
    }
  }

  async type(text: string): Promise<void> {
    this.pressed += text.length;
    await this.page.keyboard.type(text);
  }

  /** Goes on with Tab until what has the focus is named so. */
  async tabTo(name: RegExp): Promise<void> {
    for (let step = 0; step < 120; step += 1) {
      const focused = await this.page.evaluate(() => {
        const element = document.activeElement;
        return element?.getAttribute('aria-label') ?? element?.textContent ?? '';
      });
      if (name.test(focused)) return;
      await this.press('Tab');
    }
    throw new Error(`no way by Tab to ${String(name)}`);
  }
}

const groups: readonly (readonly [string, DemoPerson, string])[] = [
  ['Puffins', 'gymnastics', 'tuck hug'],
  ['Kittiwakes', 'gymnastics', 'hip circles'],
  ['Tide Pool', 'dance', 'hip circles'],
  ['Undertow', 'dance', 'hip circles'],
  ['Lanterns', 'martial-arts', 'hip circles'],
];

for (const [group, person, extra] of groups)
  test(`The coming class of the ${group} is planned without the mouse, in fewer keys than five minutes have seconds`, async ({
    page,
    leiter,
  }) => {
    await openToday(page, leiter, person);
    const keys = new Keys(page);
    await keys.tabTo(/^Week$/);
    await keys.press('Enter');
    await expect(page.getByRole('heading', { name: 'Week', level: 1 })).toBeVisible();
    const coming = await ask<readonly Coming[]>(page, 'coming-classes');
    const day = coming.find((one) => one.group.name === group)?.day ?? '';
    await keys.tabTo(new RegExp(`^Plan of ${group}, ${dayText(day)}`));
    await keys.press('Enter');
    await expect(page.getByRole('heading', { name: group, level: 1 })).toBeVisible();
    if ((await items(page).count()) === 0) {
      await keys.tabTo(/^Start from/);
      await keys.press('Enter');
    }
    await expect(items(page).first()).toBeVisible();
    const begun = await items(page).count();
    // something is written at its place, found in the library, given more and less, moved, doubled and removed again
    await keys.press('ArrowDown', 'ArrowDown', 'ArrowDown', 'n');
    await keys.type(extra);
    await keys.press('Enter', 'Escape');
    await expect(items(page)).toHaveCount(begun + 1);
    await keys.press('+', 'Alt+ArrowDown', 'd', 'Delete', '/');
    await keys.type('drink');
    await keys.press('Enter', 'Escape');
    await expect(items(page)).toHaveCount(begun + 2);
    // and what the checks still say is mended, and the whole fitted to the clock
    await keys.press('Escape');
    await keys.tabTo(/^Fit to the clock$/);
    await keys.press('Enter');
    const dialog = page.getByRole('dialog');
    await expect(dialog).toBeVisible();
    if (await dialog.getByRole('button', { name: /^Take/ }).isVisible()) {
      await keys.tabTo(/^Take (all|\d+)$/);
      await keys.press('Enter');
    } else await keys.press('Escape');
    await expect(dialog).toBeHidden();
    await expect(page.getByRole('status', { name: 'Time of the plan' })).toContainText('in hand');
    await expect(page.getByText('saved', { exact: true })).toBeVisible();
    await expect(page.getByRole('group', { name: 'Findings' }).getByText(/^Stop/)).toHaveCount(0);
    const after = await ask<readonly Coming[]>(page, 'coming-classes');
    expect(after.find((one) => one.group.name === group)?.class?.hasPlan).toBe(true);
    expect(keys.pressed).toBeLessThan(mostKeys);
  });
