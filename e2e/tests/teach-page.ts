import type { Page } from '@playwright/test';
import { expect, type Leiter } from './leiter.js';

/** An item of a plan that goes by the clock and is known: the work begins after its name. */
export const timedItem = (id: string, movement: string, seconds: number, more: object = {}) => ({
  id,
  movement,
  dose: { kind: 'timed', seconds },
  sides: 'none',
  tiers: ['core'],
  familiarity: 'routine',
  ...more,
});

interface Plan {
  readonly items: readonly object[];
  readonly focus?: readonly string[];
  readonly story?: string;
  /** The version it is made on; 0 for the first. */
  readonly version?: number;
}

/** Puts a plan of one section into a class. */
export async function storePlan(
  page: Page,
  leiter: Leiter,
  classId: string,
  { items, focus = [], story, version = 0 }: Plan,
): Promise<void> {
  const plan = { v: 1, focus, ...(story === undefined ? {} : { story }), sections: [{ id: 'skill', kind: 'skill', items }] };
  const saved = await page.request.put(`${leiter.url}/api/classes/${classId}/plan`, {
    data: { version, plan },
    headers: { origin: leiter.url },
  });
  expect(saved.status(), await saved.text()).toBe(200);
}

/** Opens Teach and starts the class, whatever has to be dealt with before. */
export async function startTeaching(page: Page, leiter: Leiter, classId: string): Promise<void> {
  await page.goto(`${leiter.url}/classes/${classId}/teach`);
  await expect(page.getByText(/coming$/)).toBeVisible();
  const note = page.getByLabel('How have you dealt with this?');
  if (await note.isVisible()) await note.fill('They know it well.');
  await page.getByRole('button', { name: /start/i }).click();
  await expect(page.getByRole('timer')).toBeVisible();
}
