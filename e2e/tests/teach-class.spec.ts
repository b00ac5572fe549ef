import type { Page } from '@playwright/test';
import { ask, expect, freshClass, signIn, test } from './leiter.js';
import { startTeaching, storePlan, timedItem } from './teach-page.js';

/** The line that says what comes after the item. */
const comesNext = (page: Page) => page.locator('span', { hasText: /^Next\S/ });

interface ClassPage {
  readonly class: { readonly note: string | null; readonly endedAt: string | null };
  readonly observations: readonly {
    readonly id: string;
    readonly mark: string;
    readonly supersedes: string | null;
    readonly isWithdrawal: boolean;
  }[];
}

test('A class is marked by one key each, an item comes once more, and after it all is kept with chapters', async ({ page, leiter }) => {
  await page.clock.install();
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'gymnastics');
  await storePlan(page, leiter, id, {
    version: 0,
    items: [timedItem('jog', 'jog-on-the-spot', 420), timedItem('land', 'landing-position', 420)],
    focus: ['landing-position'],
  });
  await startTeaching(page, leiter, id);
  const marks = page.getByRole('region', { name: 'Marks of this class' });
  await expect(marks).toBeHidden();
  await page.clock.fastForward(430_000);
  await expect(page.getByRole('heading', { level: 1, name: 'Landing position' })).toBeVisible();

  const next = marks.getByText(/^watch next: /);
  const first = ((await next.textContent()) ?? '').replace('watch next: ', '');
  await page.keyboard.press('3');
  await expect(next).not.toHaveText(`watch next: ${first}`);
  const row = marks.getByRole('listitem').filter({ hasText: first });
  await expect(row).toContainText('alone');
  const stored = async () => (await ask<ClassPage>(page, `classes/${id}`)).observations;
  await expect.poll(async () => (await stored()).map(({ mark }) => mark)).toEqual(['alone']);
  await page.keyboard.press('z');
  await expect(next).toHaveText(`watch next: ${first}`);
  await expect.poll(async () => (await stored()).map(({ isWithdrawal }) => isWithdrawal)).toEqual([undefined, true]);
  await page.keyboard.press('4');
  await expect(next).not.toHaveText(`watch next: ${first}`);
  await expect(row).toContainText('clean');

  await page.keyboard.press('o');
  await expect(comesNext(page)).toContainText('Landing position');
  await page.clock.fastForward(430_000);
  await expect(comesNext(page)).toContainText('the end');
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { name: 'The class is over' })).toBeVisible();
  const open = page.getByRole('region', { name: 'Not looked at yet' });
  await expect(open).toContainText('Landing position:');
  await expect(open).not.toContainText(first);
  await page.getByLabel('Note of this class').fill('Soft landings at last.');
  await page.getByRole('button', { name: 'To the page of the class' }).click();
  const chapters = page.getByRole('region', { name: 'Chapters' });
  // what was done once more follows at once: one chapter
  await expect(chapters.locator('pre')).toHaveText(/^0:00 Jog on the spot\n7:\d\d Landing position$/);
  await chapters.getByLabel('The recording began at').fill('-1:00');
  await expect(chapters.locator('pre')).toHaveText(/^1:00 Jog on the spot\n8:\d\d Landing position$/);
  const kept = await ask<ClassPage>(page, `classes/${id}`);
  expect(kept.class.note).toBe('Soft landings at last.');
  expect(kept.class.endedAt).not.toBeNull();
});

test('A plan that somebody changes while it is taught is asked about when the next item begins', async ({ page, leiter }) => {
  await page.clock.install();
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'gymnastics');
  const [jog, land, bear] = [
    timedItem('jog', 'jog-on-the-spot', 420),
    timedItem('land', 'landing-position', 420),
    timedItem('bear', 'bear-walk', 300),
  ];
  await storePlan(page, leiter, id, { version: 0, items: [jog, land], focus: [] });
  await startTeaching(page, leiter, id);
  const told = page.waitForResponse(
    async (answer) =>
      answer.request().method() === 'GET' &&
      answer.url().endsWith(`/api/classes/${id}`) &&
      ((await answer.json()) as { readonly stored: { readonly version: number } }).stored.version === 2,
  );
  await storePlan(page, leiter, id, { version: 1, items: [jog, land, bear], focus: [] });
  await told;
  const asked = page.getByRole('region', { name: 'The plan was changed' });
  await page.clock.fastForward(60_000);
  await expect(comesNext(page)).toContainText('Landing position');
  await expect(asked).toBeHidden();
  await page.keyboard.press('PageDown');
  await expect(asked).toContainText('new: Bear walk');
  await expect(comesNext(page)).toContainText('the end');
  // what was begun with holds over a reload
  await page.reload();
  await expect(comesNext(page)).toContainText('the end');
  await page.keyboard.press('Space');
  await asked.getByRole('button', { name: 'Teach the new one' }).click();
  await expect(comesNext(page)).toContainText('Bear walk');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Landing position');
});

test('The door says what to lay out and who is here, and becomes the class at its hour; at the end it waves goodbye', async ({
  page,
  leiter,
}) => {
  test.setTimeout(120_000);
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'gymnastics');
  const items = [timedItem('jog', 'jog-on-the-spot', 420), timedItem('land', 'landing-position', 420)];
  await storePlan(page, leiter, id, { items, focus: ['landing-position'], story: 'Sailors in a storm' });
  const { class: session, children } = await ask<{
    readonly class: { readonly day: string; readonly startsAt: string };
    readonly children: readonly { readonly id: string; readonly name: string }[];
  }>(page, `classes/${id}`);
  // five minutes before the hour, in the zone of the club
  await page.clock.install({ time: new Date(Date.parse(`${session.day}T${session.startsAt}:00Z`) - 5 * 60_000) });
  await page.goto(`${leiter.url}/classes/${id}/teach`);
  await expect(page.getByText(/coming$/)).toBeVisible();
  const note = page.getByLabel('How have you dealt with this?');
  const isStopped = await note.isVisible();
  await page.getByRole('button', { name: 'Open the door' }).click();
  const until = page.getByRole('timer', { name: 'until the class begins' });
  // the zone may be an hour from this one in summer
  await expect(until).toContainText(/we begin/);
  await expect(page.getByText('Sailors in a storm')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Lay out' })).toContainText('m of clear floor');
  const first = children[0];
  await page.request.put(`${leiter.url}/api/classes/${id}/attendance/${first?.id ?? ''}`, {
    data: { status: 'present' },
    headers: { origin: leiter.url },
  });
  await expect(page.getByRole('region', { name: 'Here' })).toContainText(first?.name ?? '');
  if (isStopped) {
    await expect(page.getByRole('button', { name: 'Start now' })).toBeDisabled();
    await page.getByRole('button', { name: 'Close the door' }).click();
    await note.fill('They know it well.');
    await page.getByRole('button', { name: /start/i }).click();
  } else {
    await page.clock.fastForward(5 * 60_000 + 1000);
    if (await until.isVisible()) await page.clock.fastForward(3_600_000);
  }
  await expect(page.getByRole('heading', { level: 1, name: 'Jog on the spot' })).toBeVisible();
  await page.clock.fastForward(430_000);
  const next = page.getByRole('region', { name: 'Marks of this class' }).getByText(/^watch next: /);
  const name = ((await next.textContent()) ?? '').replace('watch next: ', '');
  await page.keyboard.press('4');
  await expect(next).not.toHaveText(`watch next: ${name}`);
  await page.keyboard.press('PageDown');
  await page.getByRole('button', { name: 'Wave goodbye' }).click();
  const goodbye = page.getByRole('dialog', { name: 'Goodbye' });
  await expect(goodbye).toBeVisible();
  // the next slot of the group lies in this week or the one after
  await expect(goodbye.getByRole('region', { name: 'We meet again' })).toContainText(session.startsAt);
});

test('Pictures that families sent are shown once at the door, where they agreed, and are nowhere afterwards', async ({ page, leiter }) => {
  await signIn(page, leiter, 'owner');
  const id = await freshClass(page, 'gymnastics');
  await storePlan(page, leiter, id, { items: [timedItem('jog', 'jog-on-the-spot', 420)] });
  const { class: session } = await ask<{ readonly class: { readonly day: string; readonly startsAt: string } }>(page, `classes/${id}`);
  await page.clock.install({ time: new Date(Date.parse(`${session.day}T${session.startsAt}:00Z`) - 70 * 60_000) });
  const sent: string[] = [];
  page.on('request', (request) => {
    if (request.method() !== 'GET' && !request.url().includes('/voice/clips')) sent.push(request.url());
  });
  await page.goto(`${leiter.url}/classes/${id}/teach`);
  await page.getByRole('button', { name: 'Pictures for the door' }).click();
  const dialog = page.getByRole('dialog', { name: 'Pictures for the door' });
  const drawn = await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 2000, height: 1000 });
    const ink = canvas.getContext('2d');
    if (ink) {
      ink.fillStyle = 'rgb(30, 120, 90)';
      ink.fillRect(0, 0, 2000, 1000);
    }
    return canvas.toDataURL('image/png').split(',')[1] ?? '';
  });
  const picture = (name: string) => ({ name, mimeType: 'image/png', buffer: Buffer.from(drawn, 'base64') });
  await dialog
    .getByLabel('Pictures that families sent')
    .setInputFiles([
      picture('sailor.png'),
      { name: 'letter.png', mimeType: 'image/png', buffer: Buffer.from('no picture') },
      picture('mast.png'),
    ]);
  await expect(dialog.getByRole('alert')).toContainText('letter.png is no picture');
  await expect(dialog.getByRole('listitem')).toHaveCount(2);
  await dialog.getByRole('button', { name: 'Close: none is shown yet' }).click();
  // nobody agreed: the door has nothing to show
  await page.getByRole('button', { name: 'Open the door' }).click();
  await expect(page.getByRole('region', { name: 'Lay out' })).toBeVisible();
  await expect(page.getByRole('button', { name: /pictures from families/ })).toBeHidden();
  await page.getByRole('button', { name: 'Close the door' }).click();
  await page.getByRole('button', { name: 'Pictures for the door' }).click();
  await dialog.getByLabel('The families who sent them agreed that this group sees them').check();
  await dialog.getByRole('button', { name: '2 pictures for the door' }).click();
  await page.getByRole('button', { name: 'Open the door' }).click();
  await page.getByRole('button', { name: 'Show 2 pictures from families' }).click();
  const first = page.getByRole('img', { name: 'picture 1 of 2' });
  await expect(first).toBeVisible();
  const colour = await first.evaluate((canvas: HTMLCanvasElement) => [...(canvas.getContext('2d')?.getImageData(5, 5, 1, 1).data ?? [])]);
  expect(colour).toEqual([30, 120, 90, 255]);
  await page.clock.fastForward(8100);
  await expect(page.getByRole('img', { name: 'picture 2 of 2' })).toBeVisible();
  await page.clock.fastForward(8100);
  await expect(page.getByRole('region', { name: 'Here' })).toBeVisible();
  await expect(page.getByRole('button', { name: /pictures from families/ })).toBeHidden();
  await page.getByRole('button', { name: 'Close the door' }).click();
  await page.getByRole('button', { name: 'Pictures for the door' }).click();
  await expect(dialog.getByRole('listitem')).toHaveCount(0);
  expect(sent).toEqual([]);
});
