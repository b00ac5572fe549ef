const escaped = (text: string): string => text.replaceAll(/[\\^$.*+?()[\]{}|]/g, String.raw`\$&`);

/**
 * What somebody of the club wrote, without the names of other children: a name stands there as a whole word, as it is written.
 * @param names given names of other children
 */
export function withoutOthers(text: string, names: readonly string[]): string {
  if (text === '' || names.length === 0) return text;
  // the longest first: a name that begins another one
  const either = names
    .toSorted((a, b) => b.length - a.length)
    .map(escaped)
    .join('|');
  // a family initial goes with the name
  return text.replaceAll(
    new RegExp(String.raw`(?<![\p{L}\p{N}])(?:${either})(?:\s+\p{Lu}\.?(?![\p{L}\p{N}]))?(?![\p{L}\p{N}])`, 'gu'),
    'another child',
  );
}
