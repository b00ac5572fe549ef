import { build, type Plugin } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { buildWorker, revisionOf } from './offline.ts';
import { shared } from './vite.shared.ts';

const folder = import.meta.dirname;

/** What stands in for React on this page alone; the longer names first. */
const small = [
  { find: 'react-dom/client', replacement: 'preact/compat/client' },
  { find: 'react/jsx-runtime', replacement: 'preact/jsx-runtime' },
  { find: /^react-dom$/, replacement: 'preact/compat' },
  { find: /^react$/, replacement: 'preact/compat' },
];

/**
 * Builds the page of families (home.html) by itself, so that a phone fetches what it is made of and nothing of the pages of the staff,
 * and a service worker that keeps this page alone. In watch mode it is served under its own address.
 */
export function familyPage(): Plugin {
  let outDir = '';
  return {
    name: 'family-page',
    configResolved(config) {
      outDir = config.build.outDir;
    },
    configureServer(server) {
      server.middlewares.use((request, _response, next) => {
        if (request.url === '/home') request.url = '/home.html';
        next();
      });
    },
    async closeBundle() {
      if (this.meta.watchMode) return;
      const built = await build({
        ...shared,
        configFile: false,
        root: folder,
        logLevel: 'warn',
        publicDir: false,
        // a third of the size, and read by a slow phone in a third of the time; it draws this page alike
        resolve: { ...shared.resolve, alias: small },
        plugins: [...(shared.plugins ?? []), compression({ algorithms: ['gzip', 'brotliCompress'], include: /\.(js|css)$/ })],
        build: {
          outDir,
          emptyOutDir: false,
          target: 'baseline-widely-available',
          rolldownOptions: { input: `${folder}/home.html` },
        },
      });
      const files = (Array.isArray(built) ? built : [built]).flatMap((one) =>
        'output' in one ? one.output.map(({ fileName }) => fileName) : [],
      );
      const kept = files.filter((file) => /^assets\/.+(?:\.(?:js|css)|latin-(?:wght|[47]00)-normal-.+\.woff2)$/.test(file));
      await buildWorker(
        'home-worker',
        'home-sw.js',
        [
          ...kept.map((file) => ({ url: `/${file}`, revision: null })),
          ...['home.html', 'home-first.js'].map((file) => ({ url: `/${file}`, revision: revisionOf(`${outDir}/${file}`) })),
        ],
        outDir,
      );
    },
  };
}
