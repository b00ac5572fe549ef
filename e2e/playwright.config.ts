import { defineConfig } from '@playwright/test';

/** The real interface in Debian's Chromium, against `npm start`. */
export default defineConfig({
  testDir: './tests',
  outputDir: './results',
  fullyParallel: false,
  // each has a Leiter of its own
  workers: 2,
  retries: 0,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: './results/report.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    timezoneId: 'Europe/London',
    locale: 'en-GB',
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
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
