import { mergeConfig } from 'vite';
import { defineConfig } from 'vitest/config';
import { shared } from '../vite.shared.ts';

/** Runs the benches of the interface as the browser's code is built; npm run bench reads what they print. */
export default mergeConfig(
  shared,
  defineConfig({
    root: import.meta.dirname,
    test: { environment: 'node', include: ['*.bench.ts'], testTimeout: 60_000, disableConsoleIntercept: true },
  }),
);
