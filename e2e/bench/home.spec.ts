import { ask, expect, signIn, test } from '../tests/leiter.js';
import { tell, tellCount } from './tell.js';

/** A slow phone: its processor four times slower, 1.6 Mbit/s down, 40 ms to the server. */
const slow = { offline: false, latency: 40, downloadThroughput: 1_600_000 / 8, uploadThroughput: 750_000 / 8 } as const;

test('The page of a family on a slow phone that has never been there', async ({ browser, page, leiter }) => {
  test.setTimeout(180_000);
  await signIn(page, leiter, 'owner');
  const children = await ask<readonly { readonly id: string; readonly givenName: string }[]>(page, 'children');
  const id = children.find(({ givenName }) => givenName === 'Mei')?.id ?? '';
  const made = await page.request.post(`${leiter.url}/api/children/${id}/home`);
  const { token } = (await made.json()) as { readonly token: string }; // what the contract promises for the path
  const taken: number[] = [];
  let bytes = 0;
  for (let run = 0; run < 9; run += 1) {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' });
    const phone = await context.newPage();
    const wire = await context.newCDPSession(phone);
    await wire.send('Network.enable');
    await wire.send('Network.emulateNetworkConditions', slow);
    await wire.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    const urls = new Map<string, string>();
    let packed = 0;
    wire.on('Network.responseReceived', ({ requestId, response }) => urls.set(requestId, response.url));
    wire.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      // fonts are those of every page, figures come after the rest
      if (!/\.woff2$|\/figure-/.test(urls.get(requestId) ?? '')) packed += encodedDataLength;
    });
    await phone.addInitScript(() => {
      const look = (): void => {
        const start = [...document.querySelectorAll('button')].find(({ textContent }) => textContent === 'Start');
        if (start) requestAnimationFrame(() => setTimeout(() => Object.assign(window, { usable: performance.now() })));
        else requestAnimationFrame(look);
      };
      requestAnimationFrame(look);
    });
    await phone.goto(`${leiter.url}/home#${token}`, { waitUntil: 'commit' });
    await phone.waitForFunction(() => 'usable' in window);
    const usable = await phone.evaluate(() => (window as unknown as { readonly usable: number }).usable);
    await phone.getByRole('button', { name: 'Start' }).first().click();
    await expect(phone.getByRole('dialog')).toBeVisible();
    await phone.waitForTimeout(1500);
    // the first run warms the server up
    if (run > 0) taken.push(usable);
    bytes = packed;
    await context.close();
  }
  tell('the page of a family on a slow phone: from nothing to what one can press', taken, 1500);
  tellCount('bytes of it, packed, without fonts and figures', bytes, 120_000, 'at most 120,000');
});
