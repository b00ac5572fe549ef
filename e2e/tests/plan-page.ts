import type { Locator, Page } from '@playwright/test';
import { ask, expect, freshClass, type Leiter } from './leiter.js';

interface Plan {
  readonly sections: readonly { readonly items: readonly { readonly id: string; readonly movement: string; readonly sides: string }[] }[];
}

/** The rungs of the running order. */
export const items = (page: Page): Locator => page.getByRole('list', { name: 'Items' }).getByRole('button');
/** What each rung says. */
export const names = async (page: Page): Promise<readonly string[]> =>
  (await items(page).all()).length === 0
    ? []
    : Promise.all((await items(page).all()).map(async (one) => (await one.getAttribute('aria-label')) ?? ''));
export const minutes = (page: Page): Promise<string | null> => page.getByRole('status', { name: 'Time of the plan' }).textContent();
/** The movements of the plan as the server has it. */
export const stored = async (page: Page, id: string): Promise<readonly string[]> =>
  ((await ask<{ stored: { plan: Plan } | null }>(page, `classes/${id}`)).stored?.plan.sections ?? []).flatMap((section) =>
    section.items.map((item) => item.movement),
  );

/** A class of a programme, started from the template that fits best. */
export async function startPlan(page: Page, leiter: Leiter, programme: string): Promise<string> {
  const id = await freshClass(page, programme);
  await page.goto(`${leiter.url}/classes/${id}/plan`);
  await page
    .getByRole('button', { name: /^Start from/ })
    .first()
    .click();
  await expect(items(page).first()).toBeVisible();
  return id;
}
