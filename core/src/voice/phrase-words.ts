import type { Seconds } from '../values/unit.js';
import { wholeGroups, countsOf, type Row } from '../phrase/phrase.js';
import { countWord } from './count-words.js';
import { quickFactor, spokenSeconds } from './spoken.js';
import type { CountLanguage } from './teaching-voice.js';

/** What is heard of rows: the word of each, with the count where it has none; the counts alone; or nothing at all. */
export type PhraseVoice = 'words' | 'counts' | 'nothing';

/** A word and the count on which it is said, from the beginning of the first group. */
export interface PhraseWord {
  readonly text: string;
  readonly count: number;
  /** Which number it is in its group, for who counts in another language; null for a word. */
  readonly number: number | null;
}

/** A word that has to be squeezed more than this is not understood: a beat is heard instead. */
const mostRate = 1.3;

/** How much time a word needs to be understood, in seconds. */
export const leastSecondsOf = (text: string, language: CountLanguage): Seconds => (spokenSeconds(text, language) * quickFactor) / mostRate;

/**
 * What is said in one pass of rows, in order of counts and one word at a time. Counted from the whole count on which the first row begins, which
 * keeps its number in the group.
 * @param each seconds of a count: at a quick tempo an “and” gives way to the number before it
 */
export function phraseWords(rows: readonly Row[], beats: number, voice: PhraseVoice, each: Seconds): readonly PhraseWord[] {
  if (voice === 'nothing') return [];
  const begins = rows[0] ? Math.floor(rows[0].at) : 0;
  const number = (count: number): PhraseWord => {
    const nth = (count % beats) + 1;
    return { text: countWord(nth, 'en'), count: count - begins, number: nth };
  };
  const words: PhraseWord[] = [];
  const counts = countsOf(rows) - begins;
  if (voice === 'counts') for (let count = 0; count < counts; count += 1) words.push(number(begins + count));
  else
    for (const row of rows) {
      if (row.say !== null) words.push({ text: row.say, count: row.at - begins, number: null });
      else {
        if (row.at % 1 !== 0) words.push({ text: 'and', count: row.at - begins, number: null });
        for (let count = Math.ceil(row.at); count < row.at + row.counts; count += 1) words.push(number(count));
      }
    }
  // what is left of the group is counted
  for (let count = Math.ceil(counts); count < wholeGroups(counts, beats); count += 1) words.push(number(begins + count));
  // hand-written rows may overlap
  return words
    .toSorted((a, b) => a.count - b.count)
    .filter(({ count }, index, all) => count !== all[index - 1]?.count)
    .filter(({ text, count }, index, all) => {
      const before = all[index - 1];
      return text !== 'and' || !before || (count - before.count) * each >= leastSecondsOf(before.text, 'en');
    });
}
