import type { Seconds } from '../values/unit.js';
import { countWord } from './count-words.js';
import { quickFactor, spokenSeconds, type Utterance } from './spoken.js';
import { countsOf, wholeGroups, type Phrase } from '../phrase/phrase.js';

/** What of a phrase is practised, and how. */
export interface PhrasePractice {
  /** Counts a minute. */
  readonly bpm: number;
  /** One of its segments; null for the whole. */
  readonly segment: number | null;
  /** How often, one after the other. */
  readonly passes: number;
}

export interface PhrasePlay {
  readonly utterances: readonly Utterance[];
  /** Which row is done from when on, in order. */
  readonly rows: readonly { readonly at: Seconds; readonly row: number }[];
  readonly seconds: Seconds;
}

/** A word that has to be squeezed more than this is not understood: a beat is heard instead. */
const mostRate = 1.3;
const keepSeconds = 0.12;
const leastSeconds = (text: string): Seconds => (spokenSeconds(text, 'en') * quickFactor) / mostRate;

/**
 * What is said while a phrase is practised: its count-in, then the word of each row, and the count where a row has no word; `and` between
 * counts. Passes follow one another in whole groups, so that the music goes on. Nothing is said twice, and every word ends before the next.
 */
export function playPhrase(phrase: Phrase, { bpm, segment, passes }: PhrasePractice): PhrasePlay {
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
    some.forEach((row, index) => {
      const at = zero + row.at - begins;
      rows.push({ at: at * each, row: from + index });
      if (row.say !== null) drafts.push({ text: row.say, count: at });
      else {
        if (row.at % 1 !== 0) drafts.push({ text: 'and', count: at });
        for (let count = Math.ceil(row.at); count < row.at + row.counts; count += 1)
          drafts.push({ text: word(count), count: zero + count - begins });
      }
    });
    // what is left of the group is counted
    if (pass < passes - 1)
      for (let count = Math.ceil(counts); count < passCounts; count += 1) drafts.push({ text: word(begins + count), count: zero + count });
  }
  // hand-written rows may overlap: in order of time, and one word at a time
  const inOrder = drafts
    .toSorted((a, b) => a.count - b.count)
    .filter(({ count }, index, all) => count !== all[index - 1]?.count)
    .filter(({ text, count }, index, all) => {
      // at a quick tempo the number before is worth more than an “and”
      const before = all[index - 1];
      return text !== 'and' || !before || (count - before.count) * each >= leastSeconds(before.text);
    });
  const end = countIn + (passes - 1) * passCounts + counts;
  const utterances = inOrder.map(({ text, count }, index): Utterance => {
    const most = Math.max(0, (inOrder[index + 1]?.count ?? end) - count) * each;
    const isHeard = most >= leastSeconds(text);
    return { kind: 'count', text: isHeard ? text : '', language: 'en', at: count * each, most, keepFor: Math.min(keepSeconds, most / 3) };
  });
  return { utterances, rows: rows.toSorted((a, b) => a.at - b.at), seconds: end * each };
}
