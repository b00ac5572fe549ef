import type { FamilyLanguage } from '@leiter/contract';

/** Each in its own words: it is looked for by who does not read the others. */
export const languageNames: Readonly<Record<FamilyLanguage, string>> = { en: 'English', de: 'Deutsch', fr: 'Français' };

/** In the order in which they are offered. */
export const familyLanguages = Object.keys(languageNames) as readonly FamilyLanguage[]; // the keys of the table above

/** As dates and lists are written. */
const tags: Readonly<Record<string, string>> = { en: 'en-GB', de: 'de-DE', fr: 'fr-FR' };

/** @param locale of a catalogue @returns the tag of BCP 47 */
export const tagOf = (locale: string): string => tags[locale] ?? 'en-GB';
