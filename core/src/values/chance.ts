/** A stream of numbers from 0 to 1, without 1; the same seed gives the same stream, every time (mulberry32). */
export type Chance = () => number;

export function chanceOf(seed: number): Chance {
  // kept as a signed whole number: one without a sign would be a new object at every draw
  let state = seed | 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** A number that is the same for the same words, every time (FNV-1a). */
export function seedOf(...words: readonly (string | number)[]): number {
  let hash = 0x811c9dc5;
  for (const letter of words.join(' ')) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193);
  return hash >>> 0;
}
