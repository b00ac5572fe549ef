import { transformAsync } from '@babel/core';
import macro from '@lingui/babel-plugin-lingui-macro';
import { makeConfig } from '@lingui/conf';
import { formatter } from '@lingui/format-po';
import type { Plugin } from 'vite';
import config from './lingui.config.ts';

/** A catalogue (.po) as a module: its texts by id, without those that are not translated. */
export function catalogues(): Plugin {
  const po = formatter();
  return {
    name: 'catalogues',
    enforce: 'pre',
    async transform(code, id) {
      if (!id.endsWith('.po')) return null;
      const entries = Object.entries(await po.parse(code, { locale: null, sourceLocale: 'en', filename: id }));
      const texts = entries.flatMap(([key, { translation }]) => (translation ? [[key, translation] as const] : []));
      return { code: `export default ${JSON.stringify(Object.fromEntries(texts))};`, map: null };
    },
  };
}

/** Writes out the marks of texts – `t`, `Trans`, `plural` – before anything else reads a file; files without them are left alone. */
export function texts(): Plugin {
  const linguiConfig = makeConfig(config);
  return {
    name: 'texts',
    enforce: 'pre',
    async transform(code, id) {
      if (!/\.tsx?$/.test(id) || !/@lingui\/(core|react)\/macro/.test(code)) return null;
      const written = await transformAsync(code, {
        filename: id,
        babelrc: false,
        configFile: false,
        sourceMaps: true,
        parserOpts: { plugins: id.endsWith('x') ? ['typescript', 'jsx'] : ['typescript'] },
        // English is the source: its words stay in the code, page by page, and no catalogue has to be fetched for it
        plugins: [[macro, { linguiConfig, stripMessageField: false }]],
      });
      return written?.code ? { code: written.code, map: written.map ?? null } : null;
    },
  };
}
