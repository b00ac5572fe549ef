import { defineConfig } from '@lingui/conf';
import { formatter } from '@lingui/format-po';

/** The catalogue of what families read – their page and letters to them –, in the languages in which they may have it. */
export default defineConfig({
  sourceLocale: 'en',
  locales: ['en', 'de', 'fr'],
  catalogs: [
    {
      path: `${process.env['LEITER_TEXTS'] ?? '<rootDir>/src/locales/family'}/{locale}`,
      include: [
        '<rootDir>/src/home',
        '<rootDir>/src/shared/family',
        '<rootDir>/src/shared/household-words.ts',
        '<rootDir>/src/shared/phrase/row-words.ts',
      ],
      exclude: ['**/*.test.*'],
    },
  ],
  runtimeConfigModule: { i18n: ['#texts', 'i18n'], Trans: ['#texts', 'Text'] },
  format: formatter({ lineNumbers: false }),
  orderBy: 'message',
});
