import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import { defineConfig, globalIgnores } from 'eslint/config';
import tseslint from 'typescript-eslint';

export default defineConfig(
  globalIgnores(['**/dist/', '**/dist-test/', '**/node_modules/', '.leiter/', '.leiter-test/', 'e2e/results/', 'coverage/']),
  {
    files: ['**/*.{js,mjs}'],
    extends: [js.configs.recommended],
    languageOptions: {
      globals: Object.fromEntries(
        'process console URL fetch AbortSignal performance setTimeout clearTimeout setInterval clearInterval'
          .split(' ')
          .map((name) => [name, 'readonly']),
      ),
    },
  },
  {
    files: ['**/*.{ts,tsx}'],
    extends: [js.configs.recommended, tseslint.configs.strictTypeChecked, tseslint.configs.stylisticTypeChecked],
    languageOptions: {
      parserOptions: { projectService: { allowDefaultProject: ['vitest.config.ts'] }, tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off', // Nest's option types are classes
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      '@typescript-eslint/dot-notation': 'off', // process.env['X']
      '@typescript-eslint/no-extraneous-class': ['error', { allowWithDecorator: true, allowConstructorOnly: false }],
    },
  },
  {
    files: ['**/test/**/*.ts', 'e2e/**/*.ts'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    // what a server answers is any until a test has looked at it
    files: ['server/test/**/*.ts'],
    rules: Object.fromEntries(
      [
        'no-unsafe-assignment',
        'no-unsafe-member-access',
        'no-unsafe-call',
        'no-unsafe-argument',
        'no-unsafe-return',
        'restrict-template-expressions',
        'restrict-plus-operands',
      ].map((rule) => [`@typescript-eslint/${rule}`, 'off']),
    ),
  },
  { files: ['web/**/*.{ts,tsx}'], extends: [reactHooks.configs.flat['recommended-latest']] },
  {
    // every text stands in the catalogue
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*', 'web/src/testing/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...['JSXText[value=/\\p{L}{2}/u]:not(JSXElement[openingElement.name.name="Trans"] *)', ...visibleTexts()].map((selector) => ({
          selector,
          message: 'A text of the interface is marked by t, Trans or plural.',
        })),
      ],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
    },
  },
  {
    // the plain ESLint way, which needs no resolver
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/testing/**'],
    rules: {
      'no-restricted-imports': ['error', { patterns: [{ regex: '^(?!\\./|\\.\\./)', message: 'core imports only itself.' }] }],
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
