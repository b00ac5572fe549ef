import type { CountLanguage } from './teaching-voice.js';

const english =
  'one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(' ');
const englishTens = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');
const japanese = 'いち に さん し ご ろく しち はち く'.split(' ');
/** Counting in a training hall uses the native numbers. */
const korean = '하나 둘 셋 넷 다섯 여섯 일곱 여덟 아홉'.split(' ');
const koreanTens = '열 스물 서른 마흔 쉰 예순 일흔 여든 아흔'.split(' ');
const french = 'un deux trois quatre cinq six sept huit neuf dix onze douze treize quatorze quinze seize dix-sept dix-huit dix-neuf'.split(
  ' ',
);
const frenchTens = ['vingt', 'trente', 'quarante', 'cinquante', 'soixante'];

/**
 * A number as one counts it aloud.
 * @param number from 1 to 99; others are returned in digits
 */
export function countWord(number: number, language: CountLanguage): string {
  if (!Number.isInteger(number) || number < 1 || number > 99) return String(number);
  const [tens, ones] = [Math.floor(number / 10), number % 10];
  switch (language) {
    case 'en':
      return english[number - 1] ?? [englishTens[tens - 2], english[ones - 1]].filter(Boolean).join('-');
    case 'ja':
      return `${tens > 1 ? (japanese[tens - 1] ?? '') : ''}${tens > 0 ? 'じゅう' : ''}${japanese[ones - 1] ?? ''}`;
    case 'ko':
      return `${koreanTens[tens - 1] ?? ''}${korean[ones - 1] ?? ''}`;
    case 'fr':
      return frenchWord(number);
  }
}

/** 70 to 79 go on from sixty, 80 to 99 from four twenties; 21 to 71 have an “et” before one. */
function frenchWord(number: number): string {
  const small = french[number - 1];
  if (small !== undefined) return small;
  if (number === 80) return 'quatre-vingts';
  if (number > 80) return `quatre-vingt-${french[number - 81] ?? ''}`;
  const base = Math.min(6, Math.floor(number / 10));
  const rest = number - base * 10;
  const tens = frenchTens[base - 2] ?? '';
  if (rest === 0) return tens;
  return rest === 1 || rest === 11 ? `${tens} et ${french[rest - 1] ?? ''}` : `${tens}-${french[rest - 1] ?? ''}`;
}
