import { describe, expect, it } from 'vitest';
import type { Item } from '../class-plan/class-plan.js';
import type { TierName } from '../movement/movement.js';
import { aChildInClass, aLibrary, aMovement, anItem, aPlan, evaluated, findingsOf, mended } from '../testing/makers.js';
import { wordsOf } from './finding-words.js';

const tier = { what: 'x', fromGrade: null };
const library = aLibrary(
  aMovement('rock'),
  aMovement('roll', { kind: 'skill', tiers: { easier: tier, core: tier }, prerequisites: [{ movement: 'rock', mark: 'alone' }] }),
);
const able = (id: string) => aChildInClass(id, { marks: [{ movement: 'rock', stage: null, mark: 'alone' }] });
const planOf = (tiers: readonly TierName[], said: Partial<Item> = {}) => aPlan({ skill: [anItem('roll', { tiers, ...said })] });
const found = (tiers: readonly TierName[], children = [able('a'), aChildInClass('b')], said: Partial<Item> = {}) =>
  findingsOf('one-for-all', planOf(tiers, said), library, { children });

describe('one version for all', () => {
  it('is said where some would do another one, with whom it is about', () => {
    expect(found(['core'])).toMatchObject([{ severity: 'hint', childIds: ['b'], fact: { easier: 1, harder: 0 } }]);
    expect(found(['easier'])).toMatchObject([{ childIds: ['a'], fact: { easier: 0, harder: 1 } }]);
  });

  it('is mended by using all versions', () => {
    const [finding] = found(['core']);
    const plan = mended(planOf(['core']), finding);
    expect(plan.sections[0]?.items[0]?.tiers).toEqual(['easier', 'core']);
    const { timeline } = evaluated(planOf(['core']), library, { children: [able('a'), aChildInClass('b')] });
    expect(finding && wordsOf(finding, timeline, library)).toEqual({
      title: 'One version for all',
      sentence: 'roll: there are others, one child would do an easier one.',
      mend: 'Use all versions',
    });
  });

  it('is one finding for all items of the class', () => {
    const plan = aPlan({ skill: [anItem('roll', { tiers: ['core'] }), anItem('roll', { id: 'again', tiers: ['core'] })] });
    const told = findingsOf('one-for-all', plan, library, { children: [able('a'), aChildInClass('b')] });
    expect(told).toMatchObject([{ itemIds: ['roll', 'again'], childIds: ['b'] }]);
    expect(findingsOf('one-for-all', mended(plan, told[0]), library, { children: [able('a'), aChildInClass('b')] })).toEqual([]);
  });

  it('asks only of what is learnt or trained: a stretch or a game may be one for all', () => {
    const play = aLibrary(aMovement('rock'), aMovement('roll', { ...library.get('roll'), slug: 'roll', kind: 'game' }));
    expect(findingsOf('one-for-all', planOf(['core']), play, { children: [able('a'), aChildInClass('b')] })).toEqual([]);
  });

  it('is silent where all versions are in use, where everybody does the same, for one child, and where it was set by hand', () => {
    expect(found(['easier', 'core'])).toEqual([]);
    expect(found(['core'], [able('a'), able('b')])).toEqual([]);
    expect(found(['core'], [aChildInClass('b')])).toEqual([]);
    expect(found(['core'], undefined, { tierByHand: { b: 'core' } })).toEqual([]);
  });
});
