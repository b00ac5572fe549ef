import { describe, expect, it } from 'vitest';
import { aPhrase, quayLight } from '../testing/phrases.js';
import { countsOf, mirroredPhrase } from './phrase.js';
import { phraseTextFaultWords, readPhrase } from './phrase-text.js';
import { phraseAs, segmentsOf } from './tiers.js';
import { anEight } from '../testing/phrases.js';
import { walk } from './walk.js';

describe('what stands in for rows', () => {
  const phrase = aPhrase(quayLight);

  it('takes their place on the same counts, and nothing else changes', () => {
    const easier = phraseAs(phrase, 'easier');
    expect(easier.rows.filter(({ at }) => at < 4).map(({ at, act, say }) => [at, act, say])).toEqual([
      [0, 'step', 'walk'],
      [1, 'step', 'walk'],
      [2, 'touch', 'tap'],
      [3, 'step', 'step'],
    ]);
    expect(countsOf(easier.rows)).toBe(16);
    expect(easier.rows.filter(({ at }) => at >= 4)).toEqual(phrase.rows.filter(({ at }) => at >= 4));
    expect(easier.segments.map(({ name, from, to }) => [name, from, to])).toEqual([
      ['First eight', 0, 8],
      ['Second eight', 8, 17],
    ]);
    expect(phraseAs(phrase, 'harder')).toBe(phrase);
  });

  it('is walked like any other rows: a tap that leaves the wrong foot free is found', () => {
    expect(walk(phraseAs(phrase, 'easier')).findings).toMatchObject([{ kind: 'foot-carries', foot: 'right' }]);
  });

  it('stands in for the second group where it is written under a line of it, and is mirrored with the rest', () => {
    const two = aPhrase('1-8 both sink\n1 R fwd, 2 L fwd\nharder: 1-2 R leap / arms R high');
    expect(two.tiers[0]?.rows[0]).toMatchObject({ at: 8, counts: 2, act: 'leap', foot: 'right', arms: 'R high' });
    expect(mirroredPhrase(two).tiers[0]?.rows[0]).toMatchObject({ foot: 'left', arms: 'L high' });
  });

  it.each([
    ['easier: 1 R fwd', '“easier:”'],
    ['1 R fwd\neasier: 5 R fwd', '“easier:”'],
    ['1 R fwd / do Not A Slug', 'Not A Slug'],
    ['1 R fwd / do', 'Which entry?'],
    ['1-4 / free bridge or Cat Arch', 'Cat Arch'],
  ])('“%s” is refused in words', (text, words) => {
    const read = readPhrase({ ...anEight, text });
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.error.map(phraseTextFaultWords).join()).toContain(words);
  });

  it('stands in for the whole of its last count, halves too', () => {
    const phrase = aPhrase('1 R fwd, 2 R hop, & L fwd, 3-4 both sink\neasier: 1 both sink, 2 L fwd');
    expect(phraseAs(phrase, 'easier').rows.map(({ at, counts, foot }) => [at, counts, foot])).toEqual([
      [0, 1, 'both'],
      [1, 1, 'left'],
      [2, 2, 'both'],
    ]);
  });

  it('knows what is free, and which entries are done', () => {
    const { rows } = aPhrase('1-4 / free bridge or cat-arch / own choice, 5-8 / do cartwheel / watch long arms');
    expect(rows[0]).toMatchObject({ counts: 4, free: ['bridge', 'cat-arch'], words: 'own choice', movement: null });
    expect(rows[1]).toMatchObject({ movement: 'cartwheel', watch: 'long arms', free: null });
    // on which foot that ends nobody knows: either may go next
    expect(walk(aPhrase('1 R fwd, 2-4 / free, 5 R fwd')).findings).toEqual([]);
  });
});

describe('segments alone', () => {
  it('begin on the foot and to the wall to which the whole has come by then, and are found right or wrong as there', () => {
    const phrase = aPhrase('# One\n1 R fwd, 2 L fwd, 3 R fwd, 4 R turn left 180\n# Two\n5 L fwd, 6 R fwd, 7 L fwd, 8 R close');
    const second = segmentsOf(phrase, [1]);
    expect([second.startWeight, second.startFacing]).toEqual(['right', 5]);
    expect(second.rows.map(({ at }) => at)).toEqual([4, 5, 6, 7]);
    expect(walk(second).findings).toEqual([]);
    expect(segmentsOf(phrase, [0, 1])).toBe(phrase);
  });

  it('that do not stand next to each other follow one another', () => {
    const phrase = aPhrase('# One\n1 R fwd, 2 L fwd, 3-8 both sink\n# Two\n1-8 both sink\n# Three\n1 L fwd, 2 R fwd, 3-8 both sink');
    const some = segmentsOf(phrase, [0, 2]);
    expect(some.rows.map(({ at }) => at)).toEqual([0, 1, 2, 8, 9, 10]);
    expect(some.segments.map(({ name, from, to }) => [name, from, to])).toEqual([
      ['One', 0, 3],
      ['Three', 3, 6],
    ]);
  });
});
