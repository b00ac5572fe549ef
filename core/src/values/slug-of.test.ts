import { describe, expect, it } from 'vitest';
import { slugOf } from './slug-of.js';

describe('the slug of a name', () => {
  it.each([
    ['Demi-plié', 'demi-plie'],
    ['  Quay hop! ', 'quay-hop'],
    ['Łucja’s große Welle', 'lucja-s-grosse-welle'],
  ])('of “%s” is %s', (name, slug) => {
    expect(slugOf(name)).toBe(slug);
  });

  it('is another one for each name, in whatever script it is written', () => {
    const slugs = ['Белый пояс', 'Жёлтый пояс', '初段', '二段', '???', '!!!'].map(slugOf);
    expect(new Set(slugs).size).toBe(slugs.length);
    for (const slug of slugs) expect(slug).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/);
  });
});
