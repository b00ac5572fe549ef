import type { Browser, Page } from '@playwright/test';
import { ask, expect, signIn, test, type Coming, type Leiter } from '../tests/leiter.js';
import { tell } from './tell.js';

/**
 * How long each tempo is counted, a minute unless more is asked for. A browser without a window hides no page: that the ticks of the voice
 * go on in the background rests on their worker, and is not measured here.
 */
const minutes = Number(process.env['LEITER_BEAT_MINUTES'] ?? '1');
const tempi = [60, 96, 132] as const;

interface Beat {
  readonly text: string;
  readonly at: number;
  readonly seconds: number;
}

/** A plan of counts at a tempo, one item, long enough. */
async function planOfCounts(page: Page, leiter: Leiter, id: string, bpm: number): Promise<void> {
  const repeats = Math.min(50, Math.ceil((bpm * (minutes + 1)) / 128));
  const dose = { kind: 'counts', eights: 16, bpm, repeats, countIn: 0 };
  const item = { id: 'beat', movement: 'jog-on-the-spot', dose, sides: 'none', tiers: ['core'], familiarity: 'routine', way: 'flow' };
  const plan = { v: 1, focus: [], sections: [{ id: 'drills', kind: 'drills', items: [item] }] };
  const { version } = await ask<{ readonly version: number }>(page, `classes/${id}/plan/version`);
  const answer = await page.request.put(`${leiter.url}/api/classes/${id}/plan`, {
    data: { version, plan },
    headers: { origin: leiter.url },
  });
  expect(answer.status(), await answer.text()).toBe(200);
}

/**
 * Keeps, in the page, every count with its moment on the sound card's clock, and readings of both clocks by which it is judged; keeps the
 * main thread busy for 60 ms again and again.
 */
function watch(): void {
  const kept = { beats: [] as unknown[], readings: [] as [number, number][] };
  Object.assign(window, { kept });
  const Real = window.AudioContext;
  window.AudioContext = class extends Real {
    constructor(options?: AudioContextOptions) {
      super(options);
      setInterval(() => {
        if (this.state === 'running') kept.readings.push([performance.timeOrigin + performance.now(), this.currentTime]);
      }, 20);
    }
  };
  addEventListener('leiter-said', (event) => kept.beats.push((event as CustomEvent).detail));
  setInterval(() => {
    const until = performance.now() + 60;
    while (performance.now() < until);
  }, 250);
}

async function countedIn(browser: Browser, leiter: Leiter, session: object, id: string): Promise<Page> {
  const context = await browser.newContext({ storageState: session as never });
  const page = await context.newPage();
  await page.addInitScript(watch);
  await page.goto(`${leiter.url}/classes/${id}/teach`);
  await expect(page.getByText(/^The voice has all/)).toBeVisible({ timeout: 60_000 });
  const note = page.getByLabel('How have you dealt with this?');
  if (await note.isVisible()) await note.fill('A bench.');
  await page.getByRole('button', { name: /start/i }).click();
  return page;
}

test('Counts at 60, 96 and 132 a minute, with a main thread that is busy for 60 ms four times a second', async ({
  browser,
  page,
  leiter,
}) => {
  test.setTimeout((3 * minutes + 6) * 60_000);
  await signIn(page, leiter, 'owner');
  const coming = await ask<readonly Coming[]>(page, 'coming-classes');
  const id = coming.find((one) => one.class && !one.class.hasPlan)?.class?.id ?? '';
  const session = await page.context().storageState();
  for (const bpm of tempi) {
    await planOfCounts(page, leiter, id, bpm);
    const counting = await countedIn(browser, leiter, session, id);
    await counting.waitForTimeout(minutes * 60_000);
    const kept = await counting.evaluate(() => (window as unknown as { kept: { beats: Beat[]; readings: [number, number][] } }).kept);
    const run = await counting.evaluate((key) => localStorage.getItem(key), `leiter-run-${id}`);
    const { itemStartedAt } = JSON.parse(run ?? '{}') as { itemStartedAt: number };
    judge(bpm, kept.beats.slice(1), kept.readings, itemStartedAt);
    await counting.context().close();
  }
});

/**
 * Each count against its own beat of the wall's clock. What the sound card's clock was then is known from readings three seconds before and
 * after: it is read late, never early, so the earliest of them is right.
 */
function judge(bpm: number, beats: readonly Beat[], readings: readonly (readonly [number, number])[], start: number): void {
  const each = 60 / bpm;
  const offsetAt = (wall: number): number =>
    Math.max(...readings.flatMap(([at, audio]) => (Math.abs(at - wall) < 3000 ? [audio - at / 1000] : [])));
  // the first count, after the name of the item, is the beginning
  const begin = beats[0]?.at ?? 0;
  const first = begin - start / 1000 - offsetAt(start);
  const errors = beats.map(({ at }) => {
    const wall = start + (first + Math.round((at - begin) / each) * each) * 1000;
    return Math.abs(at - wall / 1000 - offsetAt(wall)) * 1000;
  });
  const overlaps = beats.filter(({ at, seconds }, index) => at + seconds > (beats[index + 1]?.at ?? Infinity)).length;
  const missing = Math.round(((beats.at(-1)?.at ?? 0) - begin) / each) + 1 - beats.length;
  tell(`a count at ${String(bpm)} a minute beside its beat, over ${String(minutes)} min`, errors, 15);
  console.log(
    `of ${String(beats.length)} counts ${String(missing)} missing, ${String(overlaps)} overlapping, worst ${Math.max(...errors).toFixed(1)} ms`,
  );
  expect(overlaps).toBe(0);
}
