import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Phrase, Row } from '../phrase/phrase.js';
import { anEight, aPhrase } from '../testing/phrases.js';
import { playPhrase, type PhrasePlay } from './phrase-practice.js';

const eight =
  '1 R fwd / say walk, 2 L fwd / say walk, 3 R kick fwd, & R back, 4 L place / say change, 5 R cross, 6 L back, 7 R side, 8 L close';
/** Any rows one after the other, with and without a word. */
const anyPhrase = fc
  .array(fc.record({ counts: fc.constantFrom(0.5, 1, 2, 3), say: fc.constantFrom(null, 'walk', 'kick ball change') }), {
    minLength: 1,
    maxLength: 30,
  })
  .map((drafts): Phrase => {
    let at = 0;
    const rows = drafts.map(({ counts, say }): Row => {
      at += counts;
      return {
        at: at - counts,
        counts,
        say,
        foot: null,
        act: null,
        place: null,
        turn: 0,
        arms: null,
        look: null,
        words: null,
        watch: null,
        movement: null,
        free: null,
      };
    });
    return { ...anEight, rows, segments: [], tiers: [], partner: null, stride: 1 };
  });

describe('practising a phrase', () => {
  const practised = (bpm: number, segment: number | null = null, passes = 1, text = eight): PhrasePlay =>
    playPhrase(aPhrase(text), { bpm, segment, passes });
  const heard = ({ utterances }: PhrasePlay): readonly string[] => utterances.map(({ at, text }) => `${at.toFixed(1)} ${text}`);

  it('counts in, then says the word of each row, or its count, on the beat', () => {
    expect(heard(practised(60)).slice(0, 15)).toEqual([
      ...['0.0 one', '1.0 two', '2.0 three', '3.0 four', '4.0 five', '5.0 six', '6.0 seven', '7.0 eight'],
      ...['8.0 walk', '9.0 walk', '10.0 three', '10.5 and', '11.0 change', '12.0 five', '13.0 six'],
    ]);
    expect(practised(120).seconds).toBeCloseTo(8, 9);
    // at a quick tempo the number is heard, and no “and” that would cut it short
    expect(
      practised(200)
        .utterances.map(({ text }) => text)
        .slice(8, 12),
    ).toEqual(['walk', 'walk', 'three', 'change']);
  });

  it('says a word over a long row once, and counts a long row without one', () => {
    expect(heard(practised(60, null, 1, '1-4 both sink / say grow, 5-7 both sink, 8 L close')).slice(8)).toEqual([
      ...['8.0 grow', '12.0 five', '13.0 six', '14.0 seven', '15.0 eight'],
    ]);
  });

  it('goes again in whole groups, counts what is left of one, and keeps the counts of a segment', () => {
    const text = '# One\n1 R fwd, 2 L fwd, 3 R fwd, 4 L close\n# Two\n5 R side, 6 L close';
    const two = practised(60, 1, 2, text);
    expect(heard(two)).toEqual([
      ...['0.0 five', '1.0 six', '2.0 seven', '3.0 eight', '4.0 one', '5.0 two', '6.0 three', '7.0 four'],
      ...['8.0 five', '9.0 six', '10.0 seven', '11.0 eight', '12.0 one', '13.0 two', '14.0 three', '15.0 four', '16.0 five', '17.0 six'],
    ]);
    expect(two.rows).toEqual([
      { at: 8, row: 4 },
      { at: 9, row: 5 },
      { at: 16, row: 4 },
      { at: 17, row: 5 },
    ]);
    expect(two.seconds).toBe(18);
  });

  it('of any phrase ends a word before the next one begins, and shows every row once a pass', () => {
    fc.assert(
      fc.property(anyPhrase, fc.integer({ min: 20, max: 240 }), fc.integer({ min: 1, max: 3 }), (phrase, bpm, passes) => {
        const { utterances, rows, seconds } = playPhrase(phrase, { bpm, segment: null, passes });
        utterances.forEach(({ at, most }, index) => {
          expect(at + most).toBeCloseTo(utterances[index + 1]?.at ?? seconds, 6);
          if (index > 0) expect(at).toBeGreaterThan(utterances[index - 1]?.at ?? 0);
        });
        expect(rows).toHaveLength(phrase.rows.length * passes);
      }),
    );
  });
});
