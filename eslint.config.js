import { defineConfig, globalIgnores } from 'eslint/config';
import tseslint from 'typescript-eslint';

/*
 * What the quick linter (.oxlintrc.json: all other rules, those that need types as well) does not have: where texts stand, and imports of
 * types beside decorators.
 */
export default defineConfig(
  globalIgnores(['**/dist/', '**/dist-test/', '**/node_modules/', '.leiter/', '.leiter-test/', 'e2e/results/', 'coverage/']),
  {
    files: ['contract/**/*.ts', 'server/**/*.ts'],
    languageOptions: {
      parser: tseslint.parser,
      // an import that a decorator needs when it runs is none of a type
      parserOptions: { experimentalDecorators: true, emitDecoratorMetadata: true },
    },
    plugins: { '@typescript-eslint': tseslint.plugin },
    rules: { '@typescript-eslint/consistent-type-imports': 'error' },
  },
  {
    // every text stands in the catalogue
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*', 'web/src/testing/**'],
    languageOptions: { parser: tseslint.parser },
    rules: {
      'no-restricted-syntax': [
        'error',
        ...['JSXText[value=/\\p{L}{2}/u]:not(JSXElement[openingElement.name.name="Trans"] *)', ...visibleTexts()].map((selector) => ({
          selector,
          message: 'A text of the interface is marked by t, Trans or plural.',
        })),
      ],
    },
  },
);

/** Words that are written into a page as they are. */
function visibleTexts() {
  const attribute = 'JSXAttribute[name.name=/^(label|title|placeholder|aria-label|text|about|action|helperText|what|words)$/]';
  const words = '[value=/\\p{L}{2}/u]';
  const figure = 'JSXOpeningElement[name.name=/^(FigureRow|OpenFigure|ButtonLink)$/] > JSXAttribute[name.name=/^(value|name)$/]';
  const places = [attribute, figure, ...[attribute, figure, 'JSXElement'].map((place) => `${place} > JSXExpressionContainer`)];
  return places.flatMap((place) => [
    `${place} > Literal${words}`,
    `${place} > ConditionalExpression > Literal${words}`,
    `${place} > LogicalExpression > Literal${words}`,
    ...(place === attribute || place === figure ? [] : [`${place} > TemplateLiteral > TemplateElement[value.raw=/\\p{L}{2}/u]`]),
  ]);
}
