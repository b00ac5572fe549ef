import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCallNames } from '../record/call-names.js';
import { callScreensOf, isOnCall, rollDebriefOf } from './call-screens.js';

const names = ['Zoë K.', 'Ana B.', 'Ana Maria S.', 'Finn D.', 'Finn R.', 'Sebastian O.', 'Noor H.', 'Imani T.', 'Efe C.', 'Mei F.'];
const group = (count: number) => names.slice(0, count).map((name, index) => ({ id: `c${String(index)}`, name }));

describe('the call of a rehearsal', () => {
  it('shows each child once, under a name that is read right or asked', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10 }), fc.integer(), (count, seed) => {
        const children = group(count);
        const screens = callScreensOf(children, 1800, seed);
        expect(screens.map(({ child }) => child)).toEqual(children.map(({ id }) => id));
        const read = readCallNames(screens.map(({ line }) => line).join('\n'), children);
        read.forEach(({ isSure, childIds, line }, index) => {
          if (isSure) expect(childIds, line).toEqual([screens[index]?.child]);
        });
        expect(callScreensOf(children, 1800, seed)).toEqual(screens);
      }),
    );
  });

  it('has one that comes late and another that leaves, where there are four; never all from the beginning to the end', () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 10 }), fc.integer(), (count, seed) => {
        const screens = callScreensOf(group(count), 1800, seed);
        expect(screens.filter((screen) => isOnCall(screen, 0))).toHaveLength(count - 1);
        expect(screens.filter((screen) => isOnCall(screen, 900))).toHaveLength(count);
        expect(screens.filter((screen) => isOnCall(screen, 1799))).toHaveLength(count - 1);
      }),
    );
    expect(callScreensOf(group(3), 1800, 5).every((screen) => isOnCall(screen, 0) && isOnCall(screen, 1799))).toBe(true);
  });

  it('has devices that tell nothing, now and then', () => {
    const lines = Array.from({ length: 60 }, (_, seed) => callScreensOf(group(10), 1800, seed).map(({ line }) => line)).flat();
    const share = lines.filter((line) => line.startsWith('tablet')).length / lines.length;
    expect(share).toBeGreaterThan(0.1);
    expect(share).toBeLessThan(0.25);
  });
});

describe('the roll of a rehearsal', () => {
  const screens = [
    { child: 'a', line: 'Ana', comesAt: 0, leavesAt: null },
    { child: 'b', line: 'tablet 2', comesAt: 0, leavesAt: 1500 },
    { child: 'c', line: 'Cleo', comesAt: 120, leavesAt: null },
    { child: 'd', line: 'Dov', comesAt: 0, leavesAt: null },
  ];

  it('is set beside who was there when it was taken', () => {
    const { right, of, saidWrongly, overlooked } = rollDebriefOf(screens, [{ second: 10, there: ['a', 'c', 'd'] }], 600);
    expect({ right, of, saidWrongly, overlooked }).toEqual({ right: 2, of: 4, saidWrongly: ['c'], overlooked: ['b'] });
  });

  it('says who came late and who left, and whether it was taken again; what was still to come is left out', () => {
    const taken = [
      { second: 0, there: ['a', 'b', 'd'] },
      { second: 200, there: ['a', 'b', 'c', 'd'] },
    ];
    const noticed = (until: number) =>
      rollDebriefOf(screens, taken, until).comings.map((one) => `${one.child} ${one.kind} ${String(one.isNoticed)}`);
    expect(noticed(100)).toEqual([]);
    expect(noticed(600)).toEqual(['c came-late true']);
    expect(noticed(1800).toSorted()).toEqual(['b left false', 'c came-late true']);
  });

  it('that nobody took is none', () => {
    expect(rollDebriefOf(screens, [], 600)).toMatchObject({ isTaken: false, right: 0, saidWrongly: [], overlooked: [] });
  });
});
