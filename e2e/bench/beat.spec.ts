import type { Page } from '@playwright/test';
import { ask, expect, signIn, test, type Coming, type Leiter } from '../tests/leiter.js';
import { Tab, withRealTabs } from './tab.js';
import { tell } from './tell.js';

/** How long each tempo is counted, a minute unless more is asked for: another tab is in front for every other quarter of a minute. */
const minutes = Number(process.env['LEITER_BEAT_MINUTES'] ?? '1');
const tempi = (process.env['LEITER_BEAT_TEMPI'] ?? '60,96,132').split(',').map(Number);

interface Beat {
  readonly text: string;
  readonly nominal: number;
  readonly at: number;
  readonly seconds: number;
  readonly isHidden: boolean;
}

/** A plan of counts at a tempo, one item, long enough. */
async function planOfCounts(page: Page, leiter: Leiter, id: string, bpm: number): Promise<void> {
  const repeats = Math.min(20, Math.ceil((bpm * (minutes + 1)) / 512));
  const dose = { kind: 'counts', eights: 64, bpm, repeats, countIn: 0 };
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
 * Keeps, in the page, every count with its moment on the sound card's clock and whether the page was hidden, and readings of both clocks by
 * which it is judged; keeps the main thread busy for 60 ms four times a second. Both go by the ticks of the page's own worker, since a
 * hidden page has no timers that are quick enough.
 */
function watch(): void {
  const kept = { beats: [] as unknown[], readings: [] as [number, number][], loads: 0 };
  Object.assign(window, { kept });
  const contexts: AudioContext[] = [];
  const Real = window.AudioContext;
  window.AudioContext = class extends Real {
    constructor(options?: AudioContextOptions) {
      super(options);
      contexts.push(this);
    }
  };
  let busySince = 0;
  const tick = (): void => {
    for (const context of contexts)
      if (context.state === 'running') kept.readings.push([performance.timeOrigin + performance.now(), context.currentTime]);
    if (performance.now() < busySince + 250) return;
    busySince = performance.now();
    kept.loads += 1;
    while (performance.now() < busySince + 60);
  };
  const RealWorker = window.Worker;
  window.Worker = class extends RealWorker {
    constructor(address: string | URL, options?: WorkerOptions) {
      super(address, options);
      if (String(address).includes('ticker')) this.addEventListener('message', tick);
    }
  };
  addEventListener('leiter-said', (event) =>
    kept.beats.push({ ...((event as CustomEvent).detail as object), isHidden: document.visibilityState === 'hidden' }),
  );
}

/** Says, in the page, that what the checks ask about is dealt with, where they ask. */
function sayDealtWith(): void {
  const label = [...document.querySelectorAll('label')].find(({ textContent }) => textContent.startsWith('How have you dealt'));
  const field = label && document.getElementById(label.htmlFor);
  if (!(field instanceof HTMLTextAreaElement)) return;
  Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')?.set?.call(field, 'A bench.');
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

const quarterMinute = 15_000;

interface Kept {
  readonly beats: readonly Beat[];
  readonly readings: readonly (readonly [number, number])[];
  readonly loads: number;
}

test.use({
  launchOptions: async ({ launchOptions }, use) => {
    const args = [...(launchOptions.args ?? []), '--headless=new'];
    await use({ ...launchOptions, ...withRealTabs, args });
  },
});

// what the rest is to be held against: where this clock stands still or runs slow by itself, no voice can keep a beat, and nothing is shown
test('The sound clock of this machine by itself, with nothing of Leiter', async ({ browser }) => {
  const page = await browser.newPage();
  await page.setContent('<button>sound</button>');
  await page.getByRole('button').click();
  const readings = await page.evaluate(async () => {
    const context = new AudioContext();
    await context.resume();
    const hum = context.createOscillator();
    const silence = context.createGain();
    silence.gain.value = 0;
    hum.connect(silence).connect(context.destination);
    hum.start();
    const all: [number, number][] = [];
    const begin = performance.now();
    await new Promise<void>((resolve) => {
      const timer = setInterval(() => {
        all.push([performance.now() / 1000, context.currentTime]);
        if (performance.now() - begin < 40_000) return;
        clearInterval(timer);
        resolve();
      }, 20);
    });
    return all;
  });
  // the first seconds are those in which it begins
  const steady = readings.filter(([wall]) => wall - (readings[0]?.[0] ?? 0) > 5);
  const offsets = steady.map(([wall, audio]) => audio - wall);
  const strays = offsets.slice(25, -25).map((_, index) => {
    const second = offsets.slice(index, index + 50);
    return (Math.max(...second) - Math.min(...second)) * 1000;
  });
  tell('the sound clock by itself: how far it strays from the wall’s within a second', strays, null);
  const [wallBegin, audioBegin] = steady[0] ?? [0, 0];
  const [wallEnd, audioEnd] = steady.at(-1) ?? [1, 1];
  const rate = (audioEnd - audioBegin) / (wallEnd - wallBegin);
  console.log(`it runs at ${rate.toFixed(4)} of the wall's, strays at most ${Math.max(...strays).toFixed(1)} ms within a second`);
  await page.close();
});

test('Counts at 60, 96 and 132 a minute, hidden half of the time, with a main thread that is busy for 60 ms four times a second', async ({
  browser,
  page,
  leiter,
}) => {
  test.setTimeout((tempi.length * minutes + 6) * 60_000);
  await signIn(page, leiter, 'owner');
  const coming = await ask<readonly Coming[]>(page, 'coming-classes');
  const id = coming.find((one) => one.class && !one.class.hasPlan)?.class?.id ?? '';
  const cookies = await page.context().cookies();
  for (const bpm of tempi) {
    await planOfCounts(page, leiter, id, bpm);
    const counting = await Tab.open(browser, `${leiter.url}/classes/${id}/teach`, cookies, watch);
    await counting.until(`[...document.querySelectorAll('main *')].some(({ textContent }) => textContent.startsWith('The voice has all'))`);
    await counting.evaluate(`(${String(sayDealtWith)})()`);
    await counting.evaluate(`[...document.querySelectorAll('button')].find(({ textContent }) => /start/i.test(textContent)).click()`);
    for (let quarter = 0; quarter < minutes * 4; quarter++) {
      if (quarter % 2 === 1) await counting.hide();
      else await counting.show();
      await page.waitForTimeout(quarterMinute);
    }
    const kept = (await counting.evaluate('kept')) as Kept;
    const run = (await counting.evaluate(`localStorage.getItem('leiter-run-${id}')`)) as string | null;
    await counting.evaluate('localStorage.clear()');
    const { itemStartedAt } = JSON.parse(run ?? '{}') as { itemStartedAt: number };
    judge(bpm, kept, itemStartedAt);
    await counting.close();
  }
});

/**
 * Each count against the one before it, and against when it should be heard, on the sound card's clock: that is what is heard. How far the
 * counts stray from the class's own clock, the wall's, stands beside it: the sound card's may run slow or stand still, and is followed.
 */
function judge(bpm: number, { beats: all, readings, loads }: Kept, start: number): void {
  const beats = heard(all).slice(1);
  const each = 60 / bpm;
  const pairs = beats.slice(1).map(({ at }, index) => {
    const step = at - (beats[index]?.at ?? 0);
    const of = Math.max(1, Math.round(step / each));
    return { missing: of - 1, error: Math.abs(step - of * each) * 1000 };
  });
  const errors = pairs.map(({ error }) => error);
  const late = beats.map(({ at, nominal }) => Math.abs(at - nominal) * 1000);
  const missing = pairs.reduce((sum, one) => sum + one.missing, 0);
  const overlaps = beats.filter(({ at, seconds }, index) => at + seconds > (beats[index + 1]?.at ?? Infinity)).length;
  const about = `at ${String(bpm)} a minute, over ${String(minutes)} min`;
  tell(`from one count to the next beside a whole beat, ${about}`, errors, 15);
  tell(`a count beside when it should be heard, ${about}`, late, 15);
  tell(`a count beside the wall's clock, ${about}`, straysFromWall(beats, readings, start, each), null);
  const hidden = beats.filter(({ isHidden }) => isHidden).length;
  console.log(
    `of ${String(beats.length)} counts, ${String(hidden)} while hidden, ${String(missing)} missing, ${String(overlaps)} overlapping, worst ${Math.max(...errors).toFixed(1)} ms from one to the next, ${Math.max(...late).toFixed(1)} ms from when it should be heard; busy ${String(loads)} times`,
  );
  expect(overlaps).toBe(0);
  expect(hidden).toBeGreaterThan(beats.length / 3);
}

/** What was taken off the clock again, because that was set anew, is not heard: something said later stands before it. */
function heard(all: readonly Beat[]): readonly Beat[] {
  let first = Infinity;
  return all
    .toReversed()
    .filter(({ at }) => {
      if (at >= first) return false;
      first = at;
      return true;
    })
    .toReversed();
}

/**
 * What the sound card's clock was at a moment of the wall's is known from readings three seconds before and after: it is read late, never
 * early, so the earliest of them is right. @returns milliseconds
 */
function straysFromWall(beats: readonly Beat[], readings: Kept['readings'], start: number, each: number): number[] {
  const offsetAt = (wall: number): number =>
    Math.max(...readings.flatMap(([at, audio]) => (Math.abs(at - wall) < 3000 ? [audio - at / 1000] : [])));
  // the first count, after the name of the item, is the beginning
  const first = (beats[0]?.at ?? 0) - start / 1000 - offsetAt(start);
  // which beat a count is for is asked of the wall's clock: the sound card's own may have stood still on a machine that had too much to do
  const wallOf = (at: number): number => {
    const near = readings.filter(([, audio]) => Math.abs(audio - at) < 3).map(([wall, audio]) => audio - wall / 1000);
    return (at - Math.max(...near)) * 1000;
  };
  return beats.map(({ at }) => {
    const place = Math.round(((wallOf(at) - start) / 1000 - first) / each);
    const wall = start + (first + place * each) * 1000;
    return Math.abs(at - wall / 1000 - offsetAt(wall)) * 1000;
  });
}
