import type { I18n } from '@lingui/core';
import type { FamilyLanguage } from '@leiter/contract';
import { textsIn, type Texts } from '../texts';

/** The catalogue of what families read; English stands in the source. */
export async function familyMessages(language: FamilyLanguage): Promise<Texts> {
  switch (language) {
    case 'en':
      return {};
    case 'de':
      return (await import('../../locales/family/de.po')).default;
    case 'fr':
      return (await import('../../locales/family/fr.po')).default;
  }
}

/** Texts of a language beside the one that the page is shown in: what a letter is written by. */
export async function familyTexts(language: FamilyLanguage): Promise<I18n> {
  return textsIn(language, await familyMessages(language));
}
