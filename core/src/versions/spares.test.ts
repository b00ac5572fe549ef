import { describe, expect, it } from 'vitest';
import type { Item } from '../class-plan/class-plan.js';
import { aChildInClass, aLibrary, aMovement, anItem, aPlan, evaluated, findingsOf } from '../testing/makers.js';
import { wordsOf } from '../checks/finding-words.js';
import { sparesOn, type HealthNote, type Spares } from './spares.js';
import { versionWords } from './version-words.js';

const note = (said: Partial<HealthNote>): HealthNote => ({ text: 'a sprain', regions: [], hazards: [], untilDay: null, ...said });
const library = aLibrary(
  aMovement('plank', { kind: 'strength', sections: ['strength'], loads: [{ region: 'wrists', amount: 2 }], lengthens: ['core'] }),
  aMovement('boat', { kind: 'strength', sections: ['strength'], loads: [{ region: 'wrists', amount: 1 }], lengthens: ['core'] }),
  aMovement('jump', { kind: 'skill', hazards: ['hard-landing'] }),
);
const sparing = (said: Partial<Spares>) => aChildInClass('a', { spares: { regions: [], hazards: [], ...said } });
const does = (movement: string, said: Partial<Spares>, item: Partial<Item> = {}) =>
  evaluated(aPlan({ strength: [anItem(movement, item)] }), library, { children: [sparing(said)] }).versions[0];

describe('what a child has to be spared', () => {
  it('counts on its last day, and not on the next', () => {
    const notes = [
      note({ regions: ['wrists'], untilDay: '2026-12-01' }),
      note({ regions: ['wrists'], hazards: ['split'], untilDay: '2026-11-30' }),
    ];
    expect(sparesOn(notes, '2026-11-30')).toEqual({ regions: ['wrists'], hazards: ['split'] });
    expect(sparesOn(notes, '2026-12-01')).toEqual({ regions: ['wrists'], hazards: [] });
    expect(sparesOn(notes, '2026-12-02')).toBeUndefined();
    expect(sparesOn([note({})], '2026-12-02')).toBeUndefined();
  });

  it('is done instead by what spares it, with the reason; a load of 1 is none', () => {
    const version = does('plank', { regions: ['wrists'] });
    expect(version).toMatchObject({ tier: 'instead', movement: 'boat', bar: { kind: 'health', spared: 'wrists' } });
    expect(version && versionWords(version, library, null)).toBe('instead boat: has to spare the wrists for now');
    expect(does('boat', { regions: ['wrists'] })).toMatchObject({ tier: 'core', bar: null });
  });

  it('is no version, and a stop, where nothing else fits', () => {
    expect(does('jump', { hazards: ['hard-landing'] })).toMatchObject({ tier: null });
    const plan = aPlan({ skill: [anItem('jump')] });
    const said = { children: [sparing({ hazards: ['hard-landing'] })] };
    const [finding] = findingsOf('no-version', plan, library, said);
    expect(finding).toMatchObject({ severity: 'stop', childIds: ['a'] });
    expect(finding && wordsOf(finding, evaluated(plan, library, said).timeline, library).sentence).toBe(
      'jump: one child has to spare hard landings for now.',
    );
  });

  it('set by hand all the same stands, and is a stop', () => {
    const byHand = { tierByHand: { a: 'core' as const } };
    const version = does('plank', { regions: ['wrists'] }, byHand);
    expect(version).toMatchObject({ tier: 'core', isByHand: true });
    expect(version && versionWords(version, library, null)).toBe('core: set by hand, but has to spare the wrists for now');
    const plan = aPlan({ strength: [anItem('plank', byHand)] });
    expect(findingsOf('no-version', plan, library, { children: [sparing({ regions: ['wrists'] })] })).toHaveLength(1);
    expect(findingsOf('no-version', plan, library, { children: [sparing({ regions: ['neck'] })] })).toEqual([]);
  });
});
