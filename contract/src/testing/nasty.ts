export type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };

/** What somebody may send in the place of anything. */
export const nasty: readonly (readonly [string, Json])[] = [
  ['null', null],
  ['a number', 7],
  ['a huge number', 1e308],
  ['a negative number', -1],
  ['a fraction', 0.333],
  ['text', 'abc'],
  ['empty text', ''],
  ['an array', []],
  ['an object', {}],
  ['true', true],
  ['long text', 'x'.repeat(20_000)],
  ['half of a character', 'a\ud800b'],
  ['an object that is no text', { toString: 'x' }],
  ['nothing that one sees', '\u200b\u200b'],
  ['a list with nothing in it', [null]],
  ['the smallest number', 5e-324],
  ['ten thousand things', Array.from({ length: 10_000 }, () => 'x')],
  ['something deep', JSON.parse('['.repeat(60) + ']'.repeat(60)) as Json],
  ['the prototype', JSON.parse('{"__proto__": {"admin": true}}') as Json],
];

/** Every place of a body, nested ones too, as a path. */
export function pathsIn(value: Json, path: readonly (string | number)[] = []): readonly (readonly (string | number)[])[] {
  if (typeof value !== 'object' || value === null) return [path];
  const entries: readonly (readonly [string | number, Json])[] = isList(value)
    ? value.map((one, index) => [index, one] as const)
    : Object.entries(value);
  return [path, ...entries.flatMap(([key, inner]) => pathsIn(inner, [...path, key]))];
}

/** A body with another value in one place. */
export function withValue(body: Json, path: readonly (string | number)[], value: Json): Json {
  const [first, ...rest] = path;
  if (first === undefined) return value;
  if (isList(body)) return body.map((one, index) => (index === first ? withValue(one, rest, value) : one));
  if (typeof body !== 'object' || body === null) return body;
  return { ...body, [first]: withValue(body[first] ?? null, rest, value) };
}

const isList = (value: Json): value is readonly Json[] => Array.isArray(value);
