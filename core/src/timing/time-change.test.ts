import { describe, expect, it } from 'vitest';
import { applyEdits, type PlanEdit } from '../class-plan/edit.js';
import { aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';
import { timeChange, timeChangeWords } from './time-change.js';

const library = aLibrary(aMovement('stand', { name: 'Shoulder stand', kind: 'skill', level: 'floor', sides: 'each' }));
const plan = aPlan({ 'warm-up': [anItem('jog')], skill: [anItem('stand')] });

function told(...edits: readonly PlanEdit[]): string | null {
  const after = applyEdits(plan, edits, () => 'put-in');
  if (!after.ok) throw new Error(JSON.stringify(after.error));
  const [before, now] = [evaluated(plan, library).timeline, evaluated(after.value, library).timeline];
  const change = timeChange(before, now);
  // the reasons add up to the whole
  const sum = change?.causes.reduce((all, { seconds }) => all + seconds, 0) ?? 0;
  expect(sum).toBeCloseTo(now.totalSeconds - before.totalSeconds, 6);
  return change && timeChangeWords(change);
}

describe('what changed the total', () => {
  it.each<[string, PlanEdit, string | null]>([
    [
      'an item that is new to the group',
      { kind: 'set-familiarity', item: 'stand', familiarity: 'new' },
      '+0:16 – Shoulder stand is new to the group',
    ],
    ['a larger dose', { kind: 'set-dose', item: 'jog', dose: { kind: 'timed', seconds: 90 } }, '+0:30 – more of jog'],
    ['an item gone', { kind: 'remove', item: 'jog' }, '−1:07 – jog is out'],
    [
      'a longer explanation',
      { kind: 'set-teaching', item: 'stand', teaching: { explainSeconds: 68 } },
      '+1:00 – Shoulder stand is explained as long as you wrote',
    ],
    ['a note, which costs nothing', { kind: 'set-words', item: 'jog', cue: '', note: 'softly' }, null],
  ])('%s', (_what, edit, words) => {
    expect(told(edit)).toBe(words);
  });

  it('names what came in, and whether it is new', () => {
    const item = { movement: 'stand', dose: { kind: 'timed', seconds: 20 }, sides: 'none', tiers: ['core'], familiarity: 'new' } as const;
    expect(told({ kind: 'insert', item, place: { at: 'end-of', section: 'skill' } })).toBe(
      '+0:47 – Shoulder stand came in, new to the group',
    );
  });
});
