import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { marks, type Mark } from '../movement/movement.js';
import { agreementOf, findingsOf, type SheetMark } from './agreement.js';

let given = 0;
const wrote = (examinerId: string, mark: Mark, said: Partial<SheetMark> = {}): SheetMark => {
  given += 1;
  return {
    id: `m${String(given).padStart(4, '0')}`,
    requirementId: 'r',
    side: 'none',
    mark,
    examinerId,
    givenAt: `2026-12-19T10:${String(given % 60).padStart(2, '0')}:00Z`,
    isSettled: false,
    ...said,
  };
};

describe('what examiners found', () => {
  it('is the mark of one examiner, and of a second try the newer one', () => {
    given = 0;
    const [only] = findingsOf([wrote('ada', 'with-help'), wrote('ada', 'alone')]);
    expect(only).toMatchObject({ agreement: 'one-examiner', counts: { mark: 'alone' } });
  });

  it('is what both saw; where they differ, the lower one, until it is settled', () => {
    given = 0;
    const ada = wrote('ada', 'clean');
    expect(findingsOf([ada, wrote('ben', 'clean')])[0]).toMatchObject({ agreement: 'same', counts: { mark: 'clean' } });
    const ben = wrote('ben', 'with-help');
    expect(findingsOf([ada, ben])[0]).toMatchObject({ agreement: 'apart', counts: { mark: 'with-help', examinerId: 'ben' } });
    const settled = wrote('ada', 'alone', { isSettled: true });
    expect(findingsOf([ada, ben, settled])[0]).toMatchObject({ agreement: 'settled', counts: { mark: 'alone' }, marks: [ada, ben] });
  });

  it('is open again when somebody marks after it was settled: a new try was seen', () => {
    given = 0;
    const all = [wrote('ada', 'clean'), wrote('ben', 'not-yet'), wrote('ada', 'not-yet', { isSettled: true }), wrote('ben', 'alone')];
    expect(findingsOf(all)[0]).toMatchObject({ agreement: 'one-examiner', counts: { mark: 'alone' } });
  });

  it('keeps requirements and sides apart, and says nothing where nothing was marked', () => {
    given = 0;
    const all = [
      wrote('ada', 'alone', { side: 'left' }),
      wrote('ada', 'clean', { side: 'right' }),
      wrote('ada', 'alone', { requirementId: 's' }),
    ];
    expect(findingsOf(all)).toHaveLength(3);
    expect(findingsOf([])).toEqual([]);
  });

  it('does not depend on the order in which marks arrive', () => {
    const one = fc.record({
      examinerId: fc.constantFrom('ada', 'ben', 'cem'),
      mark: fc.constantFrom(...marks),
      requirementId: fc.constantFrom('r', 's'),
      isSettled: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 12 }), fc.infiniteStream(fc.nat()), (written, order) => {
        given = 0;
        const all = written.map((said) => wrote(said.examinerId, said.mark, said));
        const shuffled = all
          .map((mark) => ({ mark, at: Number(order.next().value) }))
          .toSorted((a, b) => a.at - b.at)
          .map(({ mark }) => mark);
        const sorted = (marksIn: readonly SheetMark[]) =>
          findingsOf(marksIn).toSorted((a, b) => (a.requirementId < b.requirementId ? -1 : 1));
        expect(sorted(shuffled)).toEqual(sorted(all));
      }),
    );
  });

  it('says how often two agree, and how often they are one mark apart', () => {
    given = 0;
    const findings = findingsOf([
      ...[wrote('ada', 'clean'), wrote('ben', 'clean')],
      ...[wrote('ada', 'clean', { side: 'left' }), wrote('ben', 'alone', { side: 'left' })],
      ...[wrote('ada', 'clean', { side: 'right' }), wrote('ben', 'not-yet', { side: 'right' })],
      wrote('ada', 'clean', { requirementId: 'alone' }),
    ]);
    expect(agreementOf(findings)).toEqual({ both: 3, same: 1, next: 1 });
  });
});
