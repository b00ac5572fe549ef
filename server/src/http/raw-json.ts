/** Why a body is refused before anything reads it. */
export type RawFault = 'nul' | 'surrogate' | 'deep';

/** No document of ours is nested deeper; what is would end in a stack overflow where it is read. */
const deepest = 40;

const quote = 0x22;
const backslash = 0x5c;
const letterU = 0x75;

/**
 * Looks through the bytes of a JSON text, once, for what cannot be stored or read: a NUL character (PostgreSQL has none), half of
 * a surrogate pair (no text has one), and nesting without end. It does not ask whether the text is JSON: the parser does.
 * @param bytes UTF-8
 * @returns null where nothing is wrong
 */
export function rawFaultIn(bytes: Uint8Array): RawFault | null {
  let isInString = false;
  let depth = 0;
  let isHighBefore = false;
  for (let at = 0; at < bytes.length; at += 1) {
    const byte = bytes[at];
    if (byte === 0) return 'nul';
    if (!isInString) {
      if (byte === quote) isInString = true;
      else if (byte === 0x5b || byte === 0x7b) {
        depth += 1;
        if (depth > deepest) return 'deep';
      } else if (byte === 0x5d || byte === 0x7d) depth -= 1;
      continue;
    }
    const unit = byte === backslash && bytes[at + 1] === letterU ? hexAt(bytes, at + 2) : -1;
    const isLow = unit >= 0xdc00 && unit <= 0xdfff;
    if (isHighBefore !== isLow) return 'surrogate';
    isHighBefore = unit >= 0xd800 && unit <= 0xdbff;
    if (unit === 0) return 'nul';
    if (byte === quote) isInString = false;
    else if (byte === backslash) at += unit < 0 ? 1 : 5;
  }
  return null;
}

/** @returns the number that four hexadecimal digits write; -1 where there are no four */
function hexAt(bytes: Uint8Array, from: number): number {
  let unit = 0;
  for (let at = from; at < from + 4; at += 1) {
    const digit = Number.parseInt(String.fromCharCode(bytes[at] ?? 0), 16);
    if (Number.isNaN(digit)) return -1;
    unit = unit * 16 + digit;
  }
  return unit;
}

export const rawFaultWords: Readonly<Record<RawFault, string>> = {
  nul: 'There is a character in it that cannot be stored.',
  surrogate: 'There is half of a character in it, which cannot be stored.',
  deep: 'It is nested too deep to be read.',
};
