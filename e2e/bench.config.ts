import { defineConfig } from '@playwright/test';
import tests from './playwright.config.js';

/** The same browser as the tests; what runs measures the pages for docs/bench.md. */
export default defineConfig({
  ...tests,
  testDir: './bench',
  timeout: 180_000,
  reporter: [['line']],
  // one after the other, with all that moves
  workers: 1,
  use: { ...tests.use, contextOptions: {} },
});
