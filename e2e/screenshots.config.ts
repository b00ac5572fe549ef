import { defineConfig } from '@playwright/test';
import tests from './playwright.config.js';

/** The same browser as the tests; what runs makes the pictures of the README. */
export default defineConfig({ ...tests, testDir: './screenshots', timeout: 300_000, workers: 1, reporter: [['line']] });
