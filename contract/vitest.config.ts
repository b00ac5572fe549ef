import { defaultServerConditions } from 'vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { conditions: ['@leiter/source', ...defaultServerConditions] },
  ssr: { resolve: { conditions: ['@leiter/source', ...defaultServerConditions] } },
  test: { name: 'contract', environment: 'node', include: ['src/**/*.test.ts'], testTimeout: 120_000, isolate: false, pool: 'threads' },
});
