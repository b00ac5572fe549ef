import { readPhrase } from './phrase-text.js';
import { mirroredPhrase, writtenSide, type Foot, type Phrase, type WrittenPhrase } from './phrase.js';

/** What was read of a phrase, as long as somebody has it: reading is pure, and a class asks in every frame. */
const readSoFar = new WeakMap<WrittenPhrase, { readonly own: Phrase | null; other: Phrase | null }>();

/** A phrase as it is written or to the other side; null where it cannot be read. The same object for the same phrase. */
export function phraseRead(written: WrittenPhrase, isOtherSide = false): Phrase | null {
  let known = readSoFar.get(written);
  if (!known) {
    const read = readPhrase(written);
    known = { own: read.ok ? read.value : null, other: null };
    readSoFar.set(written, known);
  }
  if (!isOtherSide || !known.own) return known.own;
  known.other ??= mirroredPhrase(known.own);
  return known.other;
}

/** Whether a phrase is done the other way about for a side of the children to work: as written it is for the foot that acts first. */
export function isOtherSideOf(phrase: Phrase, side: Foot | 'lead' | null): boolean {
  const own = writtenSide(phrase);
  return (side === 'left' || side === 'right') && own !== null && own !== side;
}
