import { mergeConfig } from 'vite';
import { defineConfig } from 'vitest/config';
import { shared } from './vite.shared.ts';

export default mergeConfig(
  shared,
  defineConfig({
    test: {
      name: 'web',
      // a window takes longer to make than most tests take; who needs one says so in its first line
      environment: 'node',
      setupFiles: ['src/testing/browser.ts'],
      include: ['*.test.ts', 'src/**/*.test.{ts,tsx}'],
      // a whole page is drawn, on two busy cores
      testTimeout: 60_000,
      isolate: false,
    },
  }),
);
