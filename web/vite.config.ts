import { defineConfig, mergeConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { familyPage } from './family-page.ts';
import { firstNeeds } from './first-needs.ts';
import { offline } from './offline.ts';
import { shared } from './vite.shared.ts';

const api = `http://127.0.0.1:${process.env['LEITER_API_PORT'] ?? '4600'}`;

export default mergeConfig(
  shared,
  defineConfig({
    // packed once, here, and not for everybody who asks
    plugins: [firstNeeds(), offline(), familyPage(), compression({ algorithms: ['gzip', 'brotliCompress'], include: /\.(js|css|svg)$/ })],
    build: {
      target: 'baseline-widely-available',
      sourcemap: false,
      chunkSizeWarningLimit: 900,
      // small modules that many pages use are one file: a browser asks for six at once, and sixty small ones keep what is asked of the API waiting
      rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'shared', minShareCount: 8, maxModuleSize: 12_000 }] } } },
    },
    server: { port: 4610, strictPort: true, proxy: { '/api': api } },
  }),
);
