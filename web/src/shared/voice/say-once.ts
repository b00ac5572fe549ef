import { countWord, type TeachingVoice } from '@leiter/core';
import { sayWords } from './say-words';

/** A few words as one would hear them in a class. @returns false where no word was there to be said: then it was beeps, or nothing */
export function sayOnce({ countLanguage, counting, loudness }: TeachingVoice): Promise<boolean> {
  const numbers = counting === 'up' ? [2, 3, 4] : [3, 2, 1];
  return sayWords(
    [{ text: 'left', language: 'en' }, ...numbers.map((number) => ({ text: countWord(number, countLanguage), language: countLanguage }))],
    loudness,
  );
}
