import { ask, expect, openClass, signIn, test } from './leiter.js';
import { items, startPlan } from './plan-page.js';

test('An owner invites by a link, the invited joins with a password that is not common, and is out at once when put away', async ({
  page,
  leiter,
  browser,
}) => {
  await signIn(page, leiter, 'owner');
  await page.goto(`${leiter.url}/club`);
  await page.getByRole('button', { name: 'Invite a person' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Marit Solheim');
  await dialog.getByLabel('E-mail address').fill('marit@sail-loft.example');
  await dialog.getByRole('button', { name: 'Make the link' }).click();
  const link = await dialog.getByLabel('Link').inputValue();
  await dialog.getByRole('button', { name: 'Done' }).click();
  const guest = await browser.newPage();
  await guest.goto(link);
  await expect(guest.getByRole('heading', { name: 'Join The Sail Loft' })).toBeVisible();
  const password = guest.getByLabel('Password, at least 10 characters');
  await password.fill('Password123');
  await guest.getByRole('button', { name: 'Join the club' }).click();
  await expect(guest.getByText('This is one of the passwords that are tried first.')).toBeVisible();
  await password.fill('seal under the pier');
  await guest.getByRole('button', { name: 'Join the club' }).click();
  await expect(guest.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();
  // the link was for once
  const second = await browser.newPage();
  await second.goto(link);
  await expect(second.getByText('This link is not good any more')).toBeVisible();
  await second.close();
  await page.reload();
  await page.getByRole('button', { name: 'Change Marit Solheim' }).click();
  await page.getByRole('button', { name: 'Put away: works here no more' }).click();
  await expect(page.getByText('Show those put away (1)')).toBeVisible();
  await guest.getByRole('link', { name: 'Children' }).click();
  await expect(guest.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await guest.close();
});

test('Two on one plan see within a second who is on which item, and what the other changes', async ({ page, leiter, browser }) => {
  await signIn(page, leiter, 'martial-arts');
  const id = await startPlan(page, leiter, 'martial-arts');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  const other = await browser.newPage();
  await signIn(other, leiter, 'owner');
  await other.goto(`${leiter.url}/classes/${id}/plan`);
  await expect(page.getByRole('status', { name: /Also here: Solveig Aune/ })).toBeVisible();
  await items(other).nth(3).click();
  const name = (await items(other).nth(3).innerText()).split('\n')[0] ?? '';
  await expect(page.getByRole('status', { name: `Also here: Solveig Aune, on ${name}` })).toBeVisible();
  const count = await items(page).count();
  const begun = Date.now();
  await other.keyboard.press('d');
  await expect(items(page)).toHaveCount(count + 1);
  test.info().annotations.push({ type: 'seen by the other after', description: `${String(Date.now() - begun)} ms` });
  await other.goto('about:blank');
  await expect(page.getByRole('status', { name: 'Nobody else is here' })).toBeAttached();
  await other.close();
});

test('A mark shows on the board that somebody else has open, and is gone when it is taken back', async ({ page, leiter, browser }) => {
  await signIn(page, leiter, 'gymnastics');
  const { group } = await openClass(page, 'gymnastics');
  const board = await ask<{ readonly rows: readonly { readonly childId: string }[] }>(page, `groups/${group.id}/board`);
  const childId = board.rows[0]?.childId ?? '';
  const other = await browser.newPage();
  await signIn(other, leiter, 'owner');
  await other.goto(`${leiter.url}/children/${childId}`);
  await expect(other.getByRole('heading', { level: 1 })).toBeVisible();
  const id = crypto.randomUUID();
  const given = await page.request.put(`${leiter.url}/api/observations/${id}`, {
    data: {
      childId,
      movement: 'candle',
      side: 'none',
      mark: 'alone',
      measure: {},
      faults: [],
      note: 'straight as a mast today',
      seenOn: new Date().toISOString().slice(0, 10),
      source: 'class',
    },
  });
  expect(given.ok(), await given.text()).toBe(true);
  await expect(other.getByText('straight as a mast today').first()).toBeVisible();
  await other.close();
});

test('What the owner sets of the checks holds in a plan that is open, is told there, and is taken back', async ({
  page,
  leiter,
  browser,
}) => {
  await signIn(page, leiter, 'martial-arts');
  await startPlan(page, leiter, 'martial-arts');
  await items(page).filter({ hasText: 'Safety and space talk' }).click();
  await page.keyboard.press('Delete');
  const findings = page.getByRole('list', { name: 'Findings: Bodies' });
  await expect(findings.getByText('No safety and space talk')).toBeVisible();
  const other = await browser.newPage();
  await signIn(other, leiter, 'owner');
  await other.goto(`${leiter.url}/club`);
  await other.getByRole('link', { name: 'Checks' }).click();
  const dialog = other.getByRole('dialog');
  await other.getByRole('button', { name: 'Change Safety and space talk' }).click();
  await dialog.getByRole('button', { name: 'Not in this club' }).click();
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(dialog.getByText('This check can stop a class. Say why your club does not make it.')).toBeVisible();
  await dialog.getByLabel('Why not').fill('Told by the host before every call');
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(other.getByText('Not looked for in this club: Told by the host before every call')).toBeVisible();
  await expect(page.getByText('Not looked for in your club: Safety and space talk.')).toBeVisible();
  await expect(findings.getByText('No safety and space talk')).toBeHidden();
  await other.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(findings.getByText('No safety and space talk')).toBeVisible();
  // a number by age: what cannot be is said at the field, and nothing is stored
  await other.getByRole('button', { name: 'Change A drink' }).click();
  await dialog.getByRole('textbox', { name: 'at most' }).first().fill('90');
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(dialog.getByText('From 5 to 60 minutes.')).toBeVisible();
  await dialog.getByRole('textbox', { name: 'at most' }).first().fill('12');
  // an age that is not filled in is told at its own field
  await dialog.getByRole('button', { name: 'One age more' }).click();
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(dialog.getByRole('textbox', { name: 'up to' }).nth(1)).toHaveAttribute('aria-invalid', 'true');
  await expect(dialog.getByRole('textbox', { name: 'at most' }).first()).toHaveAttribute('aria-invalid', 'false');
  await dialog.getByRole('button', { name: 'One age less' }).click();
  await dialog.getByRole('button', { name: 'Keep' }).click();
  await expect(other.getByRole('listitem', { name: 'A drink' })).toContainText(
    '12 minutes up to 6 years, 20 when older (usual: 15 minutes',
  );
  await expect(other.getByRole('region', { name: 'What was changed' })).toContainText('Without a drink at most: 12 minutes up to 6 years');
  await other.close();
});
