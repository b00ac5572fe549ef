import { defaultServerConditions } from 'vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { conditions: ['@leiter/source', ...defaultServerConditions] },
  ssr: { resolve: { conditions: ['@leiter/source', ...defaultServerConditions] } },
  test: {
    name: 'server',
    environment: 'node',
    include: ['test/**/*.test.ts'],
    globalSetup: ['../tools/test-cluster.mjs'],
    setupFiles: ['reflect-metadata'],
    // loading Nest and TypeORM anew for every file takes longer than the tests; what a file changes of the process it puts back
    isolate: false,
    hookTimeout: 120_000,
    testTimeout: 30_000,
  },
});
