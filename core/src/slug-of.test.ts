import { describe, expect, it } from 'vitest';
import { slugOf } from './slug-of.js';

describe('the slug of a name', () => {
  it.each([
    ['Demi-plié', 'demi-plie'],
    ['  Quay hop! ', 'quay-hop'],
    ['???', 'movement'],
  ])('of “%s” is %s', (name, slug) => {
    expect(slugOf(name)).toBe(slug);
  });
});
