import { describe, expect, it } from 'vitest';
import { anObservation, aRequirement } from '../testing/makers.js';
import { byWorth, roundRobin, simulatedTerm } from '../testing/simulated-term.js';
import type { Observation } from './observation.js';
import { standingOf } from './standing.js';
import { worthWatching, type ChildToWatch, type WorthWatching } from './worth-watching.js';

const wheel = aRequirement({ sides: 'both' }, { id: 'wheel', movement: 'wheel' });
const bridge = aRequirement({}, { id: 'bridge', movement: 'bridge' });
const context = { today: '2026-11-20', leadSide: 'right' as const };
const seen = (movement: string, day: string, said: Partial<Observation> = {}): Observation =>
  anObservation({ movement, seenOn: `2026-${day}`, ...said });
const child = (id: string, observations: readonly Observation[], said: Partial<ChildToWatch> = {}): ChildToWatch => ({
  id,
  standings: [wheel, bridge].map((requirement) => standingOf(requirement, observations, context)),
  unlookedClasses: 0,
  unseenForDays: 7,
  ...said,
});
const said = (looks: readonly WorthWatching[]): readonly string[] =>
  looks.map(({ child: id, movement, side, reason }) => `${id} ${movement} ${side ?? '-'} ${reason.kind}`);

describe('whom to look at', () => {
  it('is first who could complete something, then an open side, then what nobody has seen; what is met is left alone', () => {
    const once = seen('bridge', '11-06');
    const both = ['left', 'right'].flatMap((side) =>
      ['11-06', '11-13'].map((day) => seen('wheel', day, { side: side as 'left' | 'right' })),
    );
    const left = ['11-06', '11-13'].map((day) => seen('wheel', day, { side: 'left' }));
    const done = ['11-06', '11-13'].map((day) => seen('bridge', day));
    const looks = worthWatching(
      [
        child('new', done.slice(0, 0)),
        child('open', [...left, ...done]),
        child('nearly', [...both, once]),
        child('all', [...both, ...done]),
      ],
      ['wheel', 'bridge'],
    );
    expect(said(looks)).toEqual(['nearly bridge - completes', 'open wheel right open-side', 'new bridge - never-seen']);
    expect(looks[0]?.reason).toEqual({ kind: 'completes', isLast: true });
  });

  it('is what fell short after it was good, and what fades, by how long nobody saw it', () => {
    const fell = [seen('bridge', '11-01'), seen('bridge', '11-06'), seen('bridge', '11-13', { mark: 'not-yet' })];
    const faded = [seen('bridge', '08-20'), seen('bridge', '08-27')];
    const looks = worthWatching([child('fell', fell), child('faded', faded)], ['bridge']);
    expect(said(looks)).toEqual(['fell bridge - overturns', 'faded bridge - fading']);
  });

  it('is before all who was passed over in two classes, also where nothing that is done is asked of it', () => {
    const passed = child('passed', [], { unlookedClasses: 2, unseenForDays: 17 });
    const other = { ...child('other', []), standings: [], unlookedClasses: 3, unseenForDays: null };
    const looks = worthWatching([child('new', []), passed, other], ['bridge']);
    expect(said(looks)).toEqual(['other bridge - passed-over', 'passed bridge - passed-over', 'new bridge - never-seen']);
    expect(looks[0]).toMatchObject({ requirement: null, reason: { classes: 3, days: null } });
    expect(worthWatching([other], [])).toEqual([]);
  });

  it('is the same list for the same record, in whatever order the children come', () => {
    const all = ['a', 'b', 'c'].map((id) => child(id, []));
    expect(worthWatching(all.toReversed(), ['bridge'])).toEqual(worthWatching(all, ['bridge']));
  });

  it('over a term of fourteen weeks passes nobody over for more than two classes, and completes what marks in turn complete in fewer', () => {
    const shares = Array.from({ length: 12 }, (_, seed) => {
      const [worth, turn] = [simulatedTerm(seed, byWorth, 10), simulatedTerm(seed, roundRobin(), 10)];
      expect(worth.longestUnlooked).toBeLessThanOrEqual(2);
      const reached = worth.metAfter.findIndex((met) => met >= (turn.metAfter.at(-1) ?? 0));
      expect(reached).toBeGreaterThanOrEqual(0);
      return (reached + 1) / turn.metAfter.length;
    });
    expect(shares.reduce((sum, one) => sum + one, 0) / shares.length).toBeLessThan(0.85);
  });
});
