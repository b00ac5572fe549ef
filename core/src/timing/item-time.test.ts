import { describe, expect, it } from 'vitest';
import { aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';
import type { Familiarity, Item } from '../class-plan/class-plan.js';
import type { teachingStyles } from '../class-plan/way.js';
import { usualWay, type Way } from '../class-plan/way.js';
import { sectionKinds } from '../movement/section-kind.js';
import type { Movement } from '../movement/movement.js';
import { ageFactor, explainSeconds, goToSeconds, partsOf, secondsOf, type ItemTimeContext } from './item-time.js';
import { plainPace } from './pace.js';
import { defaultTimingSettings as settings } from './settings.js';
import { wayOf } from './way-of.js';

const standing = { level: 'standing', fetched: new Set<string>() } as const;
const context = (said: Partial<ItemTimeContext> = {}): ItemTimeContext => ({
  settings,
  meanAgeYears: 9,
  familiarity: 'new',
  way: 'teach',
  pace: plainPace,
  before: standing,
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
    expect(parts).toEqual({ explain: 24, goTo: 1, setUp: 4, work: 2 * (2 * 18 + 8), sideChange: 3 });
    expect(secondsOf(parts)).toBe(24 + 1 + 4 + 88 + 3);
  });

  // the table of model.md, by hand
  it.each<[Movement['kind'], readonly [number, number, number, number]]>([
    ['pulse-raiser', [1, 4, 6, 15]],
    ['mobiliser', [1, 4, 6, 15]],
    ['static-stretch', [1, 4, 6, 15]],
    ['basic', [1, 5, 9, 12]],
    ['drill', [2, 6, 9, 28]],
    ['skill', [2, 8, 13, 24]],
    ['strength', [1, 5, 8, 30]],
    ['combination', [2, 8, 16, 60]],
  ])('of a %s are explained as measured: in flow, following, taught known and new', (kind, seconds) => {
    const of = (way: Way, familiarity: Familiarity): number => explainSeconds(anItem('x'), kind, way, familiarity, settings);
    expect([of('flow', 'known'), of('follow', 'known'), of('teach', 'known'), of('teach', 'new')]).toEqual(seconds);
  });

  it('of a new combination grow by twelve for each eight beyond the first', () => {
    const item = anItem('x', { dose: { kind: 'counts', eights: 4, bpm: 100, repeats: 1, countIn: 0 } });
    expect(explainSeconds(item, 'combination', 'teach', 'new', settings)).toBe(60 + 3 * 12);
    expect(explainSeconds(item, 'combination', 'teach', 'known', settings)).toBe(16);
  });

  it('take six more for each further version shown, and none where nothing is shown', () => {
    const item = anItem('x', { tiers: ['easier', 'core', 'harder'] });
    expect(explainSeconds(item, 'skill', 'teach', 'new', settings)).toBe(24 + 12);
    expect(explainSeconds(item, 'skill', 'teach', 'known', settings)).toBe(13 + 12);
    expect([explainSeconds(item, 'skill', 'flow', 'known', settings), explainSeconds(item, 'skill', 'follow', 'known', settings)]).toEqual([
      2, 8,
    ]);
  });

  it('take what the instructor wrote instead of the table, and what is watched first is done once more', () => {
    expect(explainSeconds({ ...twoSides, explainSeconds: 120 }, 'skill', 'teach', 'known', settings)).toBe(120);
    expect(explainSeconds(twoSides, 'skill', 'watch', 'known', settings)).toBe(8 + 18);
    expect(explainSeconds(twoSides, 'skill', 'watch', 'new', settings)).toBe(24 + 18);
  });

  it.each([
    [5, 1.3],
    [5.9, 1.3],
    [6, 1.15],
    [7.9, 1.15],
    [8, 1],
    [13, 1],
  ])('at a mean age of %s years: all that is done × %s, explaining as for anybody', (years, factor) => {
    expect(ageFactor(years, settings)).toBe(factor);
    const parts = partsOf(twoSides, skill, context({ meanAgeYears: years }));
    expect(parts.work).toBeCloseTo(88 * factor, 10);
    expect(parts.setUp + parts.sideChange).toBeCloseTo(7 * factor, 10);
    expect(parts.explain).toBe(24);
  });

  it.each<[string, Item['dose'], number]>([
    ['a timed dose', { kind: 'timed', seconds: 90 }, 90],
    ['counts of music', { kind: 'counts', eights: 4, bpm: 96, repeats: 2, countIn: 4 }, (8 * 4 * 2 * 60) / 96 + (4 * 60) / 96],
  ])('of %s are neither stretched by age nor by pace', (_name, dose, seconds) => {
    const parts = partsOf(anItem('kick', { dose }), skill, context({ meanAgeYears: 5, pace: { ...plainPace, work: 1.4 } }));
    expect(parts.work).toBeCloseTo(seconds, 10);
  });

  it('follow the pace of the instructor: what is said by its way and kind, what is done by another factor', () => {
    const pace = { ...plainPace, explain: new Map([['teach skill', 1.5]]), explainAll: 3, work: 1.1 };
    const parts = partsOf(twoSides, skill, context({ pace }));
    expect(parts.explain + parts.goTo).toBeCloseTo(25 * 1.5, 10);
    expect(parts.setUp + parts.work + parts.sideChange).toBeCloseTo(95 * 1.1, 10);
    expect(partsOf(twoSides, skill, context({ pace, way: 'follow' })).explain).toBeCloseTo(8 * 3, 10);
  });

  it('are worked twice by partners who take turns', () => {
    expect(partsOf({ ...twoSides, takesTurns: true }, skill, context()).work).toBe(2 * 88);
  });

  it.each<[string, Partial<Movement>, Partial<Item>, Way, number]>([
    ['nothing changes', {}, {}, 'follow', 1],
    ['one goes straight on', {}, {}, 'flow', 0],
    ['the children go to the floor', { level: 'floor' }, {}, 'follow', 1 + 2],
    ['the movement would look better from the side', { view: { facing: 'side', framing: 'floor' } }, {}, 'follow', 1],
    ['the camera is really moved', {}, { isCameraMoved: true }, 'follow', 1 + 6],
    ['something is built', {}, { build: { what: 'a line of tape', seconds: 40 } }, 'follow', 1 + 40],
  ])('count the way there when %s', (_name, said, item, way, seconds) => {
    expect(goToSeconds(anItem('x', item), aMovement('x', said), way, standing, settings)).toBe(seconds);
  });

  it('count fetching a thing once, not again for the next item that needs it', () => {
    const needs = { ...aMovement('x').needs, equipment: ['chair'] };
    const library = aLibrary(aMovement('a', { needs }), aMovement('b', { needs }));
    const { timeline } = evaluated(aPlan({ drills: [anItem('talk'), anItem('a'), anItem('b')] }), library);
    expect(timeline.items.map(({ parts }) => parts.goTo)).toEqual([0, 16, 1]);
  });

  it.each<[string, Item, Partial<Movement>, Way, number]>([
    ['a hold', anItem('x', { dose: { kind: 'hold', sets: 2, holdSeconds: 10, restSeconds: 5 } }), { kind: 'static-stretch' }, 'flow', 5],
    ['a skill', anItem('x'), { kind: 'skill' }, 'follow', 2],
    ['anything else that is taught', anItem('x'), { kind: 'game' }, 'teach', 1],
    ['anything else that is joined in', anItem('x'), { kind: 'game' }, 'follow', 0],
  ])('count setting up for %s', (_name, item, said, way, seconds) => {
    expect(partsOf(item, aMovement('x', said), context({ way })).setUp).toBe(seconds);
  });

  it.each<[Movement['kind'], number]>([
    ['static-stretch', 1],
    ['mobiliser', 1],
    ['basic', 2],
    ['strength', 4],
    ['skill', 3],
    ['drill', 12],
    ['combination', 12],
  ])('count the change of side of a %s', (kind, seconds) => {
    expect(partsOf(anItem('x', { sides: 'both' }), aMovement('x', { kind, sides: 'each' }), context()).sideChange).toBe(seconds);
  });

  it('of a stretch come to what was measured: 5 s cost about 11, 10 s about 15', () => {
    const stretch = aMovement('calf', { kind: 'static-stretch' });
    const held = (holdSeconds: number): number =>
      secondsOf(
        partsOf(anItem('calf', { dose: { kind: 'hold', sets: 1, holdSeconds, restSeconds: 0 } }), stretch, context({ way: 'flow' })),
      );
    expect([held(5), held(10)]).toEqual([11, 16]);
  });
});

describe('the way an item is taught', () => {
  const way = (
    section: (typeof sectionKinds)[number],
    familiarity: Familiarity,
    said: {
      readonly item?: Partial<Item>;
      readonly movement?: Partial<Movement>;
      readonly section?: Way;
      readonly style?: (typeof teachingStyles)[number];
    } = {},
  ): Way =>
    wayOf(anItem('x', said.item), { kind: section, ...(said.section ? { way: said.section } : {}) }, aMovement('x', said.movement), {
      familiarity,
      before: standing,
      style: said.style ?? 'as-it-comes',
    });

  it('is by section: a warm-up is followed, a drill is taught', () => {
    expect(sectionKinds.map((kind) => usualWay(kind, 'as-it-comes'))).toEqual([
      'follow',
      'follow',
      'follow',
      'follow',
      'teach',
      'teach',
      'teach',
      'follow',
      'teach',
      'follow',
      'follow',
    ]);
  });

  it('goes straight on in a section that is followed, where all know it and nobody has to go or fetch', () => {
    expect(way('warm-up', 'known')).toBe('flow');
    expect(way('warm-up', 'known', { movement: { level: 'floor' } })).toBe('follow');
    expect(way('warm-up', 'known', { movement: { needs: { ...aMovement('x').needs, equipment: ['chair'] } } })).toBe('follow');
    expect(way('warm-up', 'known', { item: { build: { what: 'a ring', seconds: 20 } } })).toBe('follow');
    expect(way('warm-up', 'new')).toBe('teach');
  });

  it('is only named in a section that is taught, where it is routine', () => {
    expect([way('drills', 'new'), way('drills', 'known'), way('drills', 'routine')]).toEqual(['teach', 'teach', 'follow']);
  });

  it('follows the style: all along, or all explained but opening and closing', () => {
    expect([way('skill', 'new', { style: 'along' }), way('skill', 'known', { style: 'along' })]).toEqual(['follow', 'flow']);
    expect(way('warm-up', 'known', { style: 'watch-then-do' })).toBe('teach');
    expect(way('closing', 'known', { style: 'watch-then-do' })).toBe('flow');
  });

  it('is what the section says rather than the style, and what the item says rather than all', () => {
    expect(way('skill', 'known', { section: 'watch', style: 'along' })).toBe('watch');
    expect(way('skill', 'known', { section: 'watch', item: { way: 'flow' } })).toBe('flow');
  });

  it('makes the length: of three styles, the one that explains most takes longest', () => {
    const library = aLibrary(skill, aMovement('m', { kind: 'mobiliser' }));
    const plan = aPlan({
      'warm-up': ['m', 'm2'].map((id) => ({ ...anItem('m', { familiarity: 'known' }), id })),
      skill: [{ ...twoSides, familiarity: 'known' }],
    });
    const seconds = (style: (typeof teachingStyles)[number]): number => evaluated(plan, library, { style }).timeline.totalSeconds;
    expect(seconds('along')).toBeLessThan(seconds('as-it-comes'));
    expect(seconds('as-it-comes')).toBeLessThan(seconds('watch-then-do'));
    expect(evaluated({ ...plan, style: 'along' }, library, { style: 'watch-then-do' }).timeline.totalSeconds).toBe(seconds('along'));
  });
});
