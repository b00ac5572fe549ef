import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { build, type Plugin } from 'vite';

const folder = import.meta.dirname;

/** Files a browser keeps before it needs them; what only a few alphabets need is fetched when it is. */
const kept = /^(?:assets\/.+\.(?:js|css)|assets\/.+latin-(?:wght|[47]00)-normal-.+\.woff2)$/;

/** Builds the service worker (offline/service-worker.ts) as `sw.js`, with the list of all that the interface is made of. */
export function offline(): Plugin {
  let outDir = '';
  return {
    name: 'offline',
    apply: 'build',
    configResolved(config) {
      outDir = config.build.outDir;
    },
    async writeBundle(_options, bundle) {
      const files = Object.keys(bundle).filter((file) => kept.test(file));
      // what carries its hash in its name never changes
      const manifest = [
        ...files.map((file) => ({ url: `/${file}`, revision: null })),
        ...['index.html', 'icon.svg', 'manifest.webmanifest'].map((file) => ({
          url: `/${file}`,
          revision: revisionOf(`${outDir}/${file}`),
        })),
      ];
      await buildWorker('service-worker', 'sw.js', manifest, outDir);
    },
  };
}

/** A file a browser keeps; one that carries its hash in its name never changes, and has no revision. */
export interface KeptFile {
  readonly url: string;
  readonly revision: string | null;
}

/** Builds a service worker of the folder `offline`, with the list of what it keeps. */
export async function buildWorker(source: string, fileName: string, manifest: readonly KeptFile[], outDir: string): Promise<void> {
  await build({
    configFile: false,
    root: folder,
    logLevel: 'warn',
    publicDir: false,
    define: { 'self.__WB_MANIFEST': JSON.stringify(manifest), 'process.env.NODE_ENV': '"production"' },
    build: {
      outDir,
      emptyOutDir: false,
      target: 'baseline-widely-available',
      lib: { entry: `${folder}/offline/${source}.ts`, formats: ['iife'], name: 'leiterOffline', fileName: () => fileName },
    },
  });
}

/** What stands for the content of a file whose name says nothing of it. */
export function revisionOf(file: string): string {
  return createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 16);
}
