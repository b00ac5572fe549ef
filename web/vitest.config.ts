import { mergeConfig } from 'vite';
import { defineConfig } from 'vitest/config';
import { shared } from './vite.shared.ts';

export default mergeConfig(
  shared,
  defineConfig({
    test: {
      name: 'web',
      environment: 'jsdom',
      include: ['src/**/*.test.{ts,tsx}'],
    },
  }),
);
