import { defineConfig, mergeConfig } from 'vite';
import { shared } from './vite.shared.ts';

const api = `http://127.0.0.1:${process.env['LEITER_API_PORT'] ?? '4600'}`;

export default mergeConfig(
  shared,
  defineConfig({
    build: { target: 'baseline-widely-available', sourcemap: false, chunkSizeWarningLimit: 900 },
    server: { port: 4610, strictPort: true, proxy: { '/api': api } },
  }),
);
