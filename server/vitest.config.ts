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
    fileParallelism: false,
    hookTimeout: 120_000,
    testTimeout: 30_000,
  },
});
