import { readPhrase } from '../phrase/phrase-text.js';
import type { Phrase, WrittenPhrase } from '../phrase/phrase.js';

/** An eight in 4/4 around which nothing else is said. */
export const anEight: Omit<WrittenPhrase, 'text'> = {
  beats: 8,
  learnBpm: 84,
  bpm: 108,
  countIn: 8,
  startWeight: 'left',
  startFacing: 1,
  endsAtStart: false,
};

export const writtenPhrase = (text: string, more: Partial<WrittenPhrase> = {}): WrittenPhrase => ({ ...anEight, ...more, text });

/** A phrase as it is read. @throws Error for one that cannot be */
export function aPhrase(text: string, more: Partial<WrittenPhrase> = {}): Phrase {
  const phrase = readPhrase(writtenPhrase(text, more));
  if (!phrase.ok) throw new Error(JSON.stringify(phrase.error));
  return phrase.value;
}

/** Two eights in jazz, of the demo club, with what is done in their place. */
export const quayLight = `# First eight
1 R fwd / arms opposition / say walk, 2 L fwd / say walk, 3 R kick fwd / arms low V, & R back, 4 L place / say change
5 R cross / arms open, 6 L back, 7 R side, 8 L close
easier: 3 R touch fwd / say tap, 4 R fwd / say step
small room: 1 R place, 2 L place
# Second eight
1 R side / look R / say slide, 2 L touch close / say drag, 3 L behind, & R side, 4 L cross
5 R fwd, 6 R turn left 180 / say turn, 7 L fwd, 8 R touch side / hit`;
