import { defineConfig } from '@lingui/conf';
import { formatter } from '@lingui/format-po';

/**
 * The catalogue of texts: every text of the interface stands in the source in English, marked by `t`, `Trans` and `plural`, and is
 * collected from there into src/locales. A language to come is a catalogue beside it.
 */
export default defineConfig({
  sourceLocale: 'en',
  locales: ['en'],
  catalogs: [
    {
      path: `${process.env['LEITER_TEXTS'] ?? '<rootDir>/src/locales'}/{locale}`,
      include: ['<rootDir>/src'],
      exclude: ['**/*.test.*', '**/testing/**'],
    },
  ],
  runtimeConfigModule: { i18n: ['#texts', 'i18n'], Trans: ['#texts', 'Text'] },
  // no line numbers: a text that only moved is no change
  format: formatter({ lineNumbers: false }),
  orderBy: 'message',
});
