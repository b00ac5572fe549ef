import type { I18n } from '@lingui/core';
import type { FamilyLanguage, LetterFacts, LetterKind, LettersToWriteResponse } from '@leiter/contract';
import { useEffect, useState } from 'react';
import { familyTexts } from '../../shared/family/family-texts';
import { letterWords, type LetterWords } from '../../shared/family/letter-words';

/** The letter to each family in its language, by child; null until the languages are there. */
export function useProposals(
  page: LettersToWriteResponse,
  kindOf: (family: LetterFacts) => LetterKind,
): ReadonlyMap<string, LetterWords> | null {
  const [texts, setTexts] = useState<ReadonlyMap<FamilyLanguage, I18n> | null>(null);
  const languages = [...new Set(page.families.map(({ language }) => language))].sort().join(' ');
  useEffect(() => {
    let isOver = false;
    const wanted = languages.split(' ') as FamilyLanguage[]; // joined above
    void Promise.all(wanted.map(async (language) => [language, await familyTexts(language)] as const)).then((found) => {
      if (!isOver) setTexts(new Map(found));
    });
    return () => {
      isOver = true;
    };
  }, [languages]);
  if (!texts) return null;
  return new Map(
    page.families.flatMap((family) => {
      const own = texts.get(family.language);
      return own ? [[family.childId, letterWords(own, kindOf(family), page, family)] as const] : [];
    }),
  );
}
