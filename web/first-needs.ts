import type { Plugin } from 'vite';
import { addresses } from './src/app/addresses.ts';

/**
 * Writes `first-needs.json` beside the built pages: for each address the scripts its page is made of, the fonts every
 * page has, and what the page asks of the API. The server puts them into the HTML as links, so that a browser which
 * has never been here fetches all of it at once. Its shape is read by the server's web-pages.ts.
 */
export function firstNeeds(): Plugin {
  return {
    name: 'first-needs',
    apply: 'build',
    generateBundle(_options, bundle) {
      const chunks = Object.values(bundle).filter((file) => file.type === 'chunk');
      const madeOf = (fileName: string, found = new Set<string>()): Set<string> => {
        const chunk = bundle[fileName];
        if (found.has(fileName) || chunk?.type !== 'chunk') return found;
        found.add(fileName);
        for (const imported of chunk.imports) madeOf(imported, found);
        return found;
      };
      const entry = chunks.find(({ isEntry }) => isEntry);
      if (!entry) this.error('no entry was built');
      const inHtml = madeOf(entry.fileName);
      const pages = addresses.map(({ path, page, asks, isOutside = false }) => {
        const chunk = chunks.find(({ facadeModuleId }) => facadeModuleId?.endsWith(`/src/${page}.page.tsx`) ?? false);
        if (!chunk) return this.error(`${path} is at src/${page}.page.tsx, which was not built`);
        const scripts = [...madeOf(chunk.fileName)].filter((file) => !inHtml.has(file));
        return { path, scripts, asks: isOutside ? asks : ['session', ...asks] };
      });
      const fonts = Object.keys(bundle).filter((file) => /(grotesque-latin-wght|hyperlegible-latin-[47]00)-normal-.*\.woff2$/.test(file));
      if (fonts.length !== 3) this.error(`three fonts were expected, ${String(fonts.length)} built`);
      this.emitFile({ type: 'asset', fileName: 'first-needs.json', source: JSON.stringify({ fonts, pages }) });
    },
  };
}
