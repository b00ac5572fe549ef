import { expect, signIn, test } from './leiter.js';

test('The terms of a programme are read by grade, heard, and asked in a quiz by key; what was missed is named', async ({
  page,
  leiter,
}) => {
  await signIn(page, leiter, 'dance');
  await page.goto(`${leiter.url}/library`);
  await page.getByRole('link', { name: 'Terms and quiz' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Terms of Dance' })).toBeVisible();
  const first = page.getByRole('region', { name: 'First Light' });
  await expect(first).toContainText('demi-plié');
  await expect(first).toContainText('duh-MEE plee-AY');
  // the clip comes from the voice of Leiter, French by a French voice
  const clips = page.waitForRequest((request) => request.url().endsWith('/api/voice/clips'));
  await first.getByRole('button', { name: 'Say demi-plié' }).click();
  expect((await clips).postDataJSON()).toMatchObject({ clips: [{ text: 'demi-plié', language: 'fr' }] });
  await expect(page.getByRole('region', { name: 'Counting' })).toContainText('いち · に · さん');

  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation')).toBeHidden();
  await expect(page.getByText('demi-plié').last()).toBeVisible();
  await page.emulateMedia({ media: 'screen' });

  await page.getByRole('link', { name: 'Quiz of ten' }).click();
  await page.getByLabel('What is asked').selectOption('what it means');
  const answers = page.getByRole('list', { name: 'Answers' }).getByRole('listitem');
  let right = 0;
  for (let number = 1; number <= 10; number += 1) {
    await expect(page.getByText(`${String(number)} of 10 · What does it mean?`)).toBeVisible();
    await expect(answers).toHaveCount(4);
    await page.keyboard.press('2');
    // one of the four is shown as right
    await expect(answers.filter({ hasText: /right$/ })).toHaveCount(1);
    if ((await answers.nth(1).innerText()).endsWith('right')) right += 1;
    await page.keyboard.press('Space');
  }
  const result = page.getByRole('region', { name: 'Result' });
  await expect(result).toContainText(`${String(right)} of 10 right`);
  await expect(result.getByRole('listitem')).toHaveCount(10 - right);
  await result.getByRole('button', { name: 'Ten others' }).click();
  await expect(page.getByText(/^1 of 10 · /)).toBeVisible();
});
