import { ask, expect, signIn, test } from './leiter.js';
import { startPlan } from './plan-page.js';

interface ClassPage {
  readonly children: readonly { readonly id: string; readonly name: string }[];
}

test('What a family tells of a sprained wrist is seen by who teaches the child, and the plan spares the wrist', async ({
  page,
  leiter,
}) => {
  await signIn(page, leiter, 'gymnastics');
  const classId = await startPlan(page, leiter, 'gymnastics');
  const { children } = await ask<ClassPage>(page, `classes/${classId}`);
  const child = children[0];
  await page.goto(`${leiter.url}/children/${child?.id ?? ''}`);
  const health = page.getByRole('region', { name: 'Health' });
  await health.getByRole('button', { name: 'Add a note' }).click();
  await health.getByLabel('What the family told').fill('Sprained the left wrist on Sunday');
  await health.getByLabel('What to avoid').fill('wrist');
  await page.getByRole('option', { name: 'wrists' }).click();
  await health.getByRole('button', { name: 'Keep it' }).click();
  await expect(health.getByText('Plans spare wrists, until it is taken back')).toBeVisible();

  await page.goto(`${leiter.url}/classes/${classId}/plan`);
  await page.keyboard.press('/');
  await page.keyboard.type('bear walk');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Who does what' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.locator('td button[title*="has to spare the wrists for now"]').first()).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();

  // who does not teach the child reads nothing of it
  await page.request.delete(`${leiter.url}/api/session`);
  await signIn(page, leiter, 'dance');
  await page.goto(`${leiter.url}/children/${child?.id ?? ''}`);
  await expect(page.getByRole('region', { name: 'Health' }).getByText('For those who teach its groups only.')).toBeVisible();
  await expect(page.getByText('Sprained')).toHaveCount(0);

  // healed: the note is taken back, and nothing of it stays
  await page.request.delete(`${leiter.url}/api/session`);
  await signIn(page, leiter, 'gymnastics');
  await page.goto(`${leiter.url}/children/${child?.id ?? ''}`);
  await health.getByRole('button', { name: 'No longer applies' }).click();
  await expect(health.getByText('Nothing to mind.')).toBeVisible();
});
