import { describe, expect, it } from 'vitest';
import { watchOrder, type WatchedChild } from './watch-next.js';

const child = (id: string, more: Partial<WatchedChild> = {}): WatchedChild => ({
  id,
  isThere: true,
  isMarked: false,
  unseenForDays: 7,
  isAsked: true,
  ...more,
});
const order = (...children: readonly WatchedChild[]): string =>
  watchOrder(children)
    .map(({ id }) => id)
    .join(' ');

describe('whom to watch next', () => {
  it('is who was never seen, then who was seen longest ago, then as they came', () => {
    expect(order(child('a'), child('b', { unseenForDays: 40 }), child('c', { unseenForDays: null }), child('d'))).toBe('c b a d');
  });

  it('is nobody who is away, and at the end who has a mark of today', () => {
    expect(order(child('a', { isMarked: true, unseenForDays: null }), child('b', { isThere: false }), child('c'))).toBe('c a');
  });

  it('is first whom the next grade asks for it', () => {
    expect(order(child('a', { isAsked: false, unseenForDays: null }), child('b', { unseenForDays: 1 }))).toBe('b a');
  });
});
