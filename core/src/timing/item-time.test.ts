import { describe, expect, it } from 'vitest';
import { aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';
import type { Familiarity, Item } from '../class-plan/class-plan.js';
import type { Movement } from '../movement/movement.js';
import { ageFactor, explainSeconds, partsOf, secondsOf, type ItemTimeContext } from './item-time.js';
import { defaultTimingSettings as settings } from './settings.js';

const context = (said: Partial<ItemTimeContext> = {}): ItemTimeContext => ({
  settings,
  meanAgeYears: 9,
  familiarity: 'new',
  pace: 1,
  before: { level: 'standing', framing: 'standing', fetched: new Set() },
  ...said,
});

const skill = aMovement('kick', { kind: 'skill', sides: 'each' });
const twoSides = anItem('kick', {
  sides: 'both',
  dose: { kind: 'reps', sets: 2, reps: 6, secondsPerRep: 3, restSeconds: 8 },
});

describe('the seconds of an item', () => {
  it('are explaining, going there, setting up and working on each side, and one change of side', () => {
    const parts = partsOf(twoSides, skill, context());
    expect(parts).toEqual({ explain: 36, goTo: 3, setUp: 8, work: 2 * (2 * 18 + 8), sideChange: 12 });
    expect(secondsOf(parts)).toBe(36 + 3 + 8 + 88 + 12);
  });

  it.each<[Familiarity, number]>([
    ['new', 36],
    ['known', 14.4],
    ['routine', 3],
  ])('take less explaining the better the group knows it: %s', (familiarity, seconds) => {
    expect(explainSeconds('skill', 1, familiarity, settings)).toBeCloseTo(seconds, 10);
  });

  it('take eight seconds more of explaining for each further version', () => {
    expect(explainSeconds('skill', 3, 'new', settings)).toBe(36 + 16);
    expect(explainSeconds('skill', 3, 'known', settings)).toBeCloseTo((36 + 16) * 0.4, 10);
  });

  it.each([
    [5, 1.3],
    [5.9, 1.3],
    [6, 1.15],
    [7.9, 1.15],
    [8, 1],
    [13, 1],
  ])('at a mean age of %s years are multiplied by %s', (years, factor) => {
    expect(ageFactor(years, settings)).toBe(factor);
    const parts = partsOf(twoSides, skill, context({ meanAgeYears: years }));
    expect(parts.work).toBeCloseTo(88 * factor, 10);
    expect(parts.explain).toBeCloseTo(36 * factor, 10);
    expect(parts.setUp).toBe(8);
  });

  it.each<[string, Item['dose'], number]>([
    ['a timed dose', { kind: 'timed', seconds: 90 }, 90],
    ['counts of music', { kind: 'counts', eights: 4, bpm: 96, repeats: 2, countIn: 4 }, (8 * 4 * 2 * 60) / 96 + (4 * 60) / 96],
  ])('of %s are neither stretched by age nor by pace', (_name, dose, seconds) => {
    const parts = partsOf(anItem('kick', { dose }), skill, context({ meanAgeYears: 5, pace: 1.4 }));
    expect(parts.work).toBeCloseTo(seconds, 10);
  });

  it('follow the learned pace of the instructor in everything else', () => {
    const parts = partsOf(twoSides, skill, context({ pace: 1.5 }));
    expect(secondsOf(parts)).toBeCloseTo(147 * 1.5, 10);
  });

  it.each<[string, Partial<Movement>, number]>([
    ['nothing changes', {}, 3],
    ['the children go to the floor', { level: 'floor' }, 3 + 6],
    ['the camera has to show the floor as well', { level: 'floor', view: { facing: 'side', framing: 'floor' } }, 3 + 6 + 8],
    ['it is done wherever one is', { level: 'either', view: null }, 3],
  ])('count the way there when %s', (_name, said, seconds) => {
    expect(partsOf(anItem('x'), aMovement('x', said), context()).goTo).toBe(seconds);
  });

  it('count fetching a thing once, not again for the next item that needs it', () => {
    const needs = { ...aMovement('x').needs, equipment: ['chair'] };
    const library = aLibrary(aMovement('a', { needs }), aMovement('b', { needs }));
    const { timeline } = evaluated(aPlan({ drills: [anItem('talk'), anItem('a'), anItem('b')] }), library);
    expect(timeline.items.map(({ parts }) => parts.goTo)).toEqual([0, 18, 3]);
  });

  it.each<[string, Item, Partial<Movement>, number]>([
    ['a hold', anItem('x', { dose: { kind: 'hold', sets: 2, holdSeconds: 10, restSeconds: 5 } }), { kind: 'static-stretch' }, 5],
    ['a skill', anItem('x'), { kind: 'skill' }, 4],
    ['anything else', anItem('x'), { kind: 'game' }, 2],
  ])('count setting up for %s', (_name, item, said, seconds) => {
    expect(partsOf(item, aMovement('x', said), context()).setUp).toBe(seconds);
  });

  it.each<[Movement['kind'], number]>([
    ['static-stretch', 4],
    ['mobiliser', 4],
    ['basic', 4],
    ['strength', 6],
    ['drill', 12],
    ['skill', 12],
    ['combination', 12],
  ])('count the change of side of a %s', (kind, seconds) => {
    expect(partsOf(anItem('x', { sides: 'both' }), aMovement('x', { kind, sides: 'each' }), context()).sideChange).toBe(seconds);
  });
});
