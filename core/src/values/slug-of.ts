/**
 * A name as the slug of a file: lower case, letters and digits, joined by hyphens. A name in another script than Latin has no such
 * letters: it gets a slug of its own from its characters, so that two names are two slugs.
 */
export function slugOf(name: string): string {
  const plain = name
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/\P{ASCII}/gu, (letter) => latinLetters[letter] ?? letter);
  const latin = plain
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)
    .replace(/-+$/, '');
  const isOwnWord = !/\P{ASCII}/u.test(plain.replace(/[\p{P}\p{S}\s]/gu, ''));
  if (latin !== '' && isOwnWord) return latin;
  const mark = hashOf(name.normalize('NFC').trim());
  return latin === '' ? `x${mark}` : `${latin.slice(0, 50).replace(/-+$/, '')}-${mark}`;
}

/** Latin letters that are no letter with a mark. */
const latinLetters: Readonly<Record<string, string>> = { ß: 'ss', ø: 'o', ł: 'l', æ: 'ae', œ: 'oe', đ: 'd', ð: 'd', þ: 'th', ı: 'i' };

/** FNV-1a, 32 bit: short, and the same everywhere. */
function hashOf(text: string): string {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at += 1) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193) >>> 0;
  return hash.toString(36);
}
