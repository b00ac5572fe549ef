import type { Seconds } from '../values/unit.js';
import { countWord } from './count-words.js';
import { leastSecondsOf, phraseWords, type PhraseVoice } from './phrase-words.js';
import type { Utterance } from './spoken.js';
import { countsOf, wholeGroups, type Phrase } from '../phrase/phrase.js';

/** What of a phrase is practised, and how. */
export interface PhrasePractice {
  /** Counts a minute. */
  readonly bpm: number;
  /** One of its segments; null for the whole. */
  readonly segment: number | null;
  /** How often, one after the other. */
  readonly passes: number;
  /** What is heard of it; its words where nothing is said. */
  readonly voice?: PhraseVoice;
}

export interface PhrasePlay {
  readonly utterances: readonly Utterance[];
  /** Which row is done from when on, in order. */
  readonly rows: readonly { readonly at: Seconds; readonly row: number }[];
  readonly seconds: Seconds;
}

const keepSeconds = 0.12;

/**
 * What is said while a phrase is practised: its count-in, then the word of each row, and the count where a row has no word; `and` between
 * counts. Passes follow one another in whole groups, so that the music goes on. Nothing is said twice, and every word ends before the next.
 */
export function playPhrase(phrase: Phrase, { bpm, segment, passes, voice = 'words' }: PhrasePractice): PhrasePlay {
  const { beats, countIn } = phrase;
  const each = 60 / bpm;
  const chosen = segment === null ? null : phrase.segments[segment];
  const [from, to] = chosen ? [chosen.from, chosen.to] : [0, phrase.rows.length];
  const some = phrase.rows.slice(from, to);
  // a segment keeps its place in the group: one that begins on 5 is counted in to 5
  const begins = some[0] ? Math.floor(some[0].at) : 0;
  const counts = countsOf(some) - begins;
  const passCounts = wholeGroups(counts, beats);
  const drafts: { readonly text: string; readonly count: number }[] = [];
  const rows: { readonly at: Seconds; readonly row: number }[] = [];
  const word = (count: number): string => countWord((((count % beats) + beats) % beats) + 1, 'en');
  for (let count = -countIn; count < 0; count += 1) drafts.push({ text: word(begins + count), count: countIn + count });
  for (let pass = 0; pass < passes; pass += 1) {
    const zero = countIn + pass * passCounts;
    some.forEach((row, index) => rows.push({ at: (zero + row.at - begins) * each, row: from + index }));
    const isLast = pass === passes - 1;
    for (const { text, count } of phraseWords(some, beats, voice, each))
      // after the last pass nothing follows that has to be counted on
      if (!isLast || count < counts) drafts.push({ text, count: zero + count });
  }
  const end = countIn + (passes - 1) * passCounts + counts;
  const utterances = drafts.map(({ text, count }, index): Utterance => {
    const most = Math.max(0, (drafts[index + 1]?.count ?? end) - count) * each;
    const isHeard = most >= leastSecondsOf(text, 'en');
    return { kind: 'count', text: isHeard ? text : '', language: 'en', at: count * each, most, keepFor: Math.min(keepSeconds, most / 3) };
  });
  return { utterances, rows: rows.toSorted((a, b) => a.at - b.at), seconds: end * each };
}
