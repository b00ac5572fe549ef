import { defineConfig } from '@playwright/test';
import tests from './playwright.config.js';

/** The same browser as the tests; what runs measures the pages for docs/bench.md. */
export default defineConfig({ ...tests, testDir: './bench', timeout: 90_000, reporter: [['line']] });
