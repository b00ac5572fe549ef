import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { quayLight, writtenPhrase } from '../testing/phrases.js';
import { phraseFile, readPhraseFile } from './phrase-file.js';

const written = writtenPhrase(quayLight);
const file = JSON.stringify(phraseFile('quay-light', 'Quay light', written));
const faultsOf = (text: string): string => {
  const read = readPhraseFile(text);
  return read.ok ? '' : read.error.join();
};

describe('a phrase as a file', () => {
  it('comes back as it was given out', () => {
    expect(readPhraseFile(file)).toEqual({ ok: true, value: { kind: 'phrase', movement: 'quay-light', phrase: written } });
  });

  it('may be the steps alone, pasted as they are written by hand', () => {
    expect(readPhraseFile(' 5 R cross, 6 L back\n')).toEqual({ ok: true, value: { kind: 'steps', text: '5 R cross, 6 L back' } });
  });

  it.each([
    ['{"format":"leiter-plan/1"}', 'leiter-plan/1'],
    ['{nothing', 'neither JSON nor steps'],
    ['', 'nothing in it'],
    [JSON.stringify({ ...phraseFile('a', 'A', written), surprise: 1 }), '“surprise”'],
    [JSON.stringify(phraseFile('a', 'A', { ...written, bpm: 0 })), 'tempi'],
    [JSON.stringify(phraseFile('a', 'A', { ...written, text: '1 R sideways' })), 'Line 1: “sideways”'],
    [
      JSON.stringify(phraseFile('a', 'A', { ...written, text: Array.from({ length: 500 }, () => '1 R fwd').join('\n') })),
      'More than 400 rows',
    ],
  ])('%s is refused in words', (text, words) => {
    expect(faultsOf(text)).toContain(words);
  });

  it('never throws, whatever is in it', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.json(),
          fc.json().map((json) => `{"format":"leiter-phrase/1","phrase":${json}}`),
        ),
        (text) => {
          const read = readPhraseFile(text);
          if (!read.ok) expect(read.error.length).toBeGreaterThan(0);
        },
      ),
    );
  });
});
