import { transformAsync, types as node, type ParserOptions, type PluginObj } from '@babel/core';
import macro from '@lingui/babel-plugin-lingui-macro';
import { makeConfig } from '@lingui/conf';
import { formatter } from '@lingui/format-po';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import type { Plugin } from 'vite';
import config from './lingui.config.ts';

/** A text as it is put together on the page: read here, once, and not by everybody who opens the page. */
function compiled(text: string): string | ReturnType<typeof compileMessage> {
  const parts = compileMessage(text);
  const [only] = parts;
  return parts.length === 1 && typeof only === 'string' ? only : parts;
}

/** The texts that the marks became, put into the form above: `{ id, message }` and `<Text id message>`. */
const compiledTexts: PluginObj = {
  visitor: {
    ObjectExpression({ node: { properties } }) {
      const named = (name: string) =>
        properties.find((one) => node.isObjectProperty(one) && node.isIdentifier(one.key, { name }) && node.isStringLiteral(one.value));
      const message = named('message');
      if (!named('id') || !node.isObjectProperty(message) || !node.isStringLiteral(message.value)) return;
      message.value = node.valueToNode(compiled(message.value.value));
    },
    JSXOpeningElement({ node: { attributes } }) {
      const named = (name: string) => attributes.find((one) => node.isJSXAttribute(one) && one.name.name === name);
      const message = named('message');
      if (!named('id') || !node.isJSXAttribute(message)) return;
      const { value } = message;
      const text = node.isJSXExpressionContainer(value) ? value.expression : value;
      if (node.isStringLiteral(text)) message.value = node.jsxExpressionContainer(node.valueToNode(compiled(text.value)));
    },
  },
};

/** A catalogue (.po) as a module: its texts by id, without those that are not translated. */
export function catalogues(): Plugin {
  const po = formatter();
  return {
    name: 'catalogues',
    enforce: 'pre',
    async transform(code, id) {
      if (!id.endsWith('.po')) return null;
      const entries = Object.entries(await po.parse(code, { locale: null, sourceLocale: 'en', filename: id }));
      const texts = entries.flatMap(([key, { translation }]) => (translation ? [[key, compiled(translation)] as const] : []));
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
      const parserOpts: ParserOptions = { plugins: id.endsWith('x') ? ['typescript', 'jsx'] : ['typescript'] };
      const marked = await transformAsync(code, {
        filename: id,
        babelrc: false,
        configFile: false,
        sourceMaps: true,
        parserOpts,
        // English is the source: its words stay in the code, page by page, and no catalogue has to be fetched for it
        plugins: [[macro, { linguiConfig, stripMessageField: false }]],
      });
      if (!marked?.code) return null;
      const written = await transformAsync(marked.code, {
        filename: id,
        babelrc: false,
        configFile: false,
        sourceMaps: true,
        ...(marked.map ? { inputSourceMap: marked.map } : {}),
        parserOpts,
        plugins: [compiledTexts],
      });
      return written?.code ? { code: written.code, map: written.map ?? null } : null;
    },
  };
}
