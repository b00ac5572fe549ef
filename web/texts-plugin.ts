import { transformAsync } from '@babel/core';
import macro from '@lingui/babel-plugin-lingui-macro';
import { makeConfig } from '@lingui/conf';
import type { Plugin } from 'vite';
import config from './lingui.config.ts';

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
