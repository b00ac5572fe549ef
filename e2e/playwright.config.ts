import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

/** Debian's Chromium for tests, which asks a quarter less of the processor than a whole one. */
const withoutWindow = '/usr/bin/chromium-headless-shell';

/** The real interface in Debian's Chromium, against `npm start`. */
export default defineConfig({
  testDir: './tests',
  outputDir: './results',
  fullyParallel: false,
  // each has a Leiter of its own
  workers: 2,
  // on a busy machine a page can be late; who passes only the second time is named before the last line of npm test
  retries: 1,
  timeout: 60_000,
  expect: { timeout: 15_000 },
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: './results/report.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/London',
    locale: 'en-GB',
    // what a browser keeps would answer in place of a server that a test takes away: one test asks for it
    serviceWorkers: 'block',
    // figures that move keep a processor busy; the tests of what moves ask for it
    contextOptions: { reducedMotion: 'reduce' },
    // recording every step doubles the time: asked for when something fails
    trace: process.env['LEITER_TRACE'] ? 'on' : 'off',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? (existsSync(withoutWindow) ? withoutWindow : '/usr/bin/chromium'),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
