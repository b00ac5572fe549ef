import type { FamilyLanguage } from '@leiter/contract';
import { familyMessages } from '../shared/family/family-texts';
import { languageNames } from '../shared/family/languages';
import { speak } from '../shared/texts';

const key = 'leiter-family-language';

const isLanguage = (text: string): text is FamilyLanguage => text in languageNames;

/** The language this page was read in the last time; before, the first of the phone's that the page is written in. */
function languageHere(): FamilyLanguage {
  const kept = localStorageItem();
  if (kept !== null && isLanguage(kept)) return kept;
  const wanted = navigator.languages.map((one) => one.slice(0, 2).toLowerCase());
  return wanted.find(isLanguage) ?? 'en';
}

function localStorageItem(): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

/** Shows the page in the language of this phone. Nothing is fetched for English. */
export async function speakHere(): Promise<void> {
  const language = languageHere();
  if (language === 'en') return;
  try {
    speak(language, await familyMessages(language));
  } catch {
    // without a connection, and never read in it: English is here
  }
}

/** Keeps a language for the next time. @returns true where it is another than that the page is shown in */
export function keepLanguage(language: FamilyLanguage): boolean {
  try {
    localStorage.setItem(key, language);
  } catch {
    // a phone that keeps nothing reads it in its own language
    return false;
  }
  return language !== (document.documentElement.lang || 'en');
}
