import { defaultServerConditions } from 'vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { conditions: ['@leiter/source', ...defaultServerConditions] },
  ssr: { resolve: { conditions: ['@leiter/source', ...defaultServerConditions] } },
  test: {
    name: 'server',
    environment: 'node',
    include: ['test/**/*.test.ts'],
    setupFiles: ['./test/setup.ts'],
    fileParallelism: false,
    hookTimeout: 120_000,
    testTimeout: 30_000,
  },
});
