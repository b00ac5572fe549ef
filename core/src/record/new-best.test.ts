import { describe, expect, it } from 'vitest';
import { anObservation } from '../testing/makers.js';
import { newBests } from './new-best.js';

const before = new Map([
  ['kaia', [{ movement: 'cartwheel', stage: null, mark: 'alone' }] as const],
  ['mei', [{ movement: 'cartwheel', stage: 2, mark: 'with-help' }] as const],
]);
const seen = (childId: string, mark: 'not-yet' | 'with-help' | 'alone' | 'clean', more: object = {}) =>
  anObservation({ childId, movement: 'cartwheel', stage: null, mark, ...more });

describe('up a rung in a class', () => {
  it('is who did better than what was known, alone at least, each movement once', () => {
    expect(
      newBests(
        [
          seen('kaia', 'clean', { side: 'left' }),
          seen('kaia', 'alone', { side: 'right' }),
          seen('mei', 'alone', { stage: 2 }),
          seen('noor', 'alone'),
        ],
        before,
      ).toSorted((a, b) => a.child.localeCompare(b.child)),
    ).toEqual([
      { child: 'kaia', movement: 'cartwheel', mark: 'clean' },
      { child: 'mei', movement: 'cartwheel', mark: 'alone' },
      { child: 'noor', movement: 'cartwheel', mark: 'alone' },
    ]);
  });

  it('is nobody who did as well as before, with help, or whose mark was taken back', () => {
    const wrong = seen('noor', 'clean');
    const taken = anObservation({ ...wrong, id: 'taken', supersedes: wrong.id, isWithdrawal: true });
    expect(newBests([seen('kaia', 'alone'), seen('mei', 'with-help', { stage: 2 }), wrong, taken], before)).toEqual([]);
  });
});
