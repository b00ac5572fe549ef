import { describe, expect, it } from 'vitest';
import { jsonOf, textOf } from './read-file';

describe('a file that was chosen', () => {
  it.each([
    ['UTF-8', [0x4a, 0xc3, 0xb6, 0x72, 0x67]],
    ['UTF-8 with its mark', [0xef, 0xbb, 0xbf, 0x4a, 0xc3, 0xb6, 0x72, 0x67]],
    ['the western code page', [0x4a, 0xf6, 0x72, 0x67]],
    ['UTF-16, little end first', [0xff, 0xfe, 0x4a, 0, 0xf6, 0, 0x72, 0, 0x67, 0]],
    ['UTF-16, big end first', [0xfe, 0xff, 0, 0x4a, 0, 0xf6, 0, 0x72, 0, 0x67]],
  ])('in %s reads with its umlaut', (_name, bytes) => {
    expect(textOf(Uint8Array.from(bytes))).toBe('Jörg');
  });

  it('that is empty is empty text, and no JSON', () => {
    expect(textOf(new Uint8Array())).toBe('');
    expect(jsonOf('')).toBeNull();
    expect(jsonOf('{"a": 1}')).toEqual({ a: 1 });
  });
});
