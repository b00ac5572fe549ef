import { mergeConfig } from 'vite';
import { defineConfig } from 'vitest/config';
import { shared } from './vite.shared.ts';

export default mergeConfig(
  shared,
  defineConfig({
    test: {
      name: 'web',
      environment: 'jsdom',
      setupFiles: ['src/testing/browser.ts'],
      include: ['*.test.ts', 'src/**/*.test.{ts,tsx}'],
      // a whole page is drawn, on two busy cores
      testTimeout: 60_000,
      isolate: false,
    },
  }),
);
