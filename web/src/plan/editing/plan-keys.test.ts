import { aMovement, anItem, aPlan } from '@leiter/core/testing';
import { applyEdit, libraryOf, type ClassPlan, type ItemSides } from '@leiter/core';
import { describe, expect, it } from 'vitest';
import { editOfKey, neighbourOf, nextTiers } from './plan-keys';

const tier = { what: 'x', fromGrade: null };
const library = libraryOf([aMovement('split', { sides: 'each', tiers: { easier: tier, core: tier, harder: tier } }), aMovement('jog')]);
const plan = aPlan({
  'warm-up': [anItem('jog')],
  skill: [
    anItem('split', {
      sides: 'both',
      tiers: ['easier', 'core', 'harder'],
      dose: { kind: 'hold', sets: 1, holdSeconds: 20, restSeconds: 0 },
    }),
  ],
});

describe('the key C', () => {
  const section = aPlan({ strength: ['a', 'b', 'c'].map((id) => anItem('jog', { id })), closing: [anItem('jog', { id: 'd' })] });
  const pressed = (some: ClassPlan, id: string): ClassPlan => {
    const edit = editOfKey('circuit', some, id, library);
    const done = edit && applyEdit(some, edit, () => 'circuit');
    return done?.ok ? done.value : some;
  };
  const stations = (some: ClassPlan) =>
    some.sections.map(({ items }) => items.map(({ circuit }) => (circuit === undefined ? '.' : 'o')).join(''));

  it('makes a circuit with the next item, and takes in one more each time', () => {
    const two = pressed(section, 'a');
    expect(stations(two)).toEqual(['oo.', '.']);
    expect(two.circuits).toMatchObject([{ rounds: 2, restSeconds: 30 }]);
    expect(stations(pressed(two, 'b'))).toEqual(['ooo', '.']);
  });

  it('keeps to the section, and with Shift takes the circuit apart', () => {
    expect(editOfKey('circuit', section, 'c', library)).toBeNull();
    expect(editOfKey('apart', section, 'a', library)).toBeNull();
    expect(editOfKey('apart', pressed(section, 'a'), 'b', library)).toEqual({ kind: 'break-circuit', circuit: 'circuit' });
  });
});

describe('a key on the chosen item', () => {
  it('plus gives more and minus takes it back', () => {
    const more = editOfKey('more', plan, 'split', library);
    expect(more).toMatchObject({ kind: 'set-dose', item: 'split' });
    expect(more?.kind === 'set-dose' && more.dose).not.toEqual(plan.sections[1]?.items[0]?.dose);
  });

  it('S goes through the sides of a sided movement, and does nothing to one without', () => {
    const seen = new Set<string>();
    let sides: ItemSides = 'both';
    for (let press = 0; press < 4; press++) {
      const edit = editOfKey('sides', aPlan({ skill: [anItem('split', { sides })] }), 'split', library);
      if (edit?.kind !== 'set-sides') throw new Error('no change of sides');
      sides = edit.sides;
      seen.add(sides);
    }
    expect([...seen].toSorted()).toEqual(['both', 'left', 'right'].toSorted());
    expect(editOfKey('sides', plan, 'jog', library)).toBeNull();
  });

  it('does nothing where nothing is chosen', () => {
    for (const key of ['more', 'less', 'sides', 'tiers', 'double', 'remove', 'up', 'down'] as const)
      expect(editOfKey(key, plan, 'gone', library)).toBeNull();
  });
});

describe('the versions in use', () => {
  it('go round and come back, and never are none', () => {
    const all = ['easier', 'core', 'harder'] as const;
    let current: readonly ('easier' | 'core' | 'harder')[] = all;
    const seen: string[] = [];
    do {
      current = nextTiers(current, all) ?? [];
      seen.push(current.join('+'));
    } while (current.length !== 3 && seen.length < 9);
    expect(seen).toEqual(['core', 'easier+core', 'core+harder', 'easier+core+harder']);
  });

  it('are not asked about where there is only one', () => {
    expect(nextTiers(['core'], ['core'])).toBeNull();
  });

  it('leave out what a movement does not have', () => {
    expect(nextTiers(['easier', 'core'], ['easier', 'core'])).toEqual(['core']);
    expect(nextTiers(['core'], ['easier', 'core'])).toEqual(['easier', 'core']);
  });
});

describe('the item beside the chosen one', () => {
  it('is found across sections, and the ends hold', () => {
    expect(neighbourOf(plan, 'jog', 'down')).toBe('split');
    expect(neighbourOf(plan, 'split', 'down')).toBe('split');
    expect(neighbourOf(plan, 'split', 'up')).toBe('jog');
    expect(neighbourOf(plan, null, 'down')).toBe('jog');
    expect(neighbourOf(plan, null, 'up')).toBe('split');
    expect(neighbourOf(aPlan({}), null, 'down')).toBeNull();
  });
});
