import { describe, expect, it } from 'vitest';
import type { ClassPlan, Item } from '../class-plan/class-plan.js';
import type { Dose } from '../movement/dose.js';
import { aChildInClass, aLibrary, aMovement, anItem, aPlan, findingsOf, mended } from '../testing/makers.js';
import { writtenPhrase } from '../testing/phrases.js';
import { defaultTimingSettings } from '../timing/settings.js';

/*
 * What guards bodies, and what guards attention: each fires, is silent, and is silent at its exact limit; each child is asked at its
 * own age.
 */

const timed = (movement: string, seconds: number, said: Partial<Item> = {}): Item =>
  anItem(movement, { dose: { kind: 'timed', seconds }, ...said });
const reps = (count: number) => ({ kind: 'reps', sets: 1, reps: count, secondsPerRep: 2, restSeconds: 0 }) as const;
const evenAge = { settings: { ...defaultTimingSettings, ageFactors: [] } };

describe('cold-power', () => {
  const library = aLibrary(
    aMovement('hop', { kind: 'drill', effort: 2, hazards: ['soft-landing'] }),
    aMovement('dash', { kind: 'game', effort: 4 }),
    aMovement('drop', { kind: 'skill', effort: 3, hazards: ['hard-landing'] }),
    aMovement('bounce', { kind: 'pulse-raiser', effort: 2, hazards: ['soft-landing'] }),
  );
  const after = (seconds: number, ...then: readonly string[]): ClassPlan =>
    aPlan({ 'warm-up': [timed('jog', seconds)], drills: then.map((movement) => timed(movement, 10)) });

  it('wants bodies warm before jumps and full effort, and warms them once for all', () => {
    expect(findingsOf('cold-power', after(80, 'hop', 'dash'), library)).toEqual([]);
    const found = findingsOf('cold-power', after(40, 'hop', 'dash'), library);
    expect(found).toMatchObject([{ severity: 'caution', itemIds: ['hop', 'dash'] }]);
    expect(findingsOf('cold-power', mended(after(40, 'hop', 'dash'), found[0]), library)).toEqual([]);
  });

  it('says nothing of what warms, nor of what is a stop already', () => {
    expect(findingsOf('cold-power', after(40, 'bounce', 'drop'), library)).toEqual([]);
    expect(findingsOf('cold-load', after(40, 'bounce', 'drop'), library)).toHaveLength(1);
  });
});

describe('cooled-off', () => {
  const oneLeg = { from: 'standing', through: ['one-leg'], to: 'standing' } as const;
  const library = aLibrary(
    aMovement('jump', { kind: 'skill', effort: 3, posture: { from: 'standing', through: ['airborne'], to: 'standing' } }),
    aMovement('kick', { kind: 'skill', effort: 3, posture: oneLeg, loads: [{ region: 'hips', amount: 2 }] }),
    aMovement('turn', { kind: 'skill', effort: 3, posture: oneLeg, loads: [{ region: 'ankles', amount: 2 }] }),
    aMovement('split', { kind: 'static-stretch', hazards: ['split'] }),
    aMovement('sit', { effort: 1 }),
  );
  const after = (seconds: number, then: string): ClassPlan =>
    // a minute and a half warms; sitting goes straight on in a second, a skill is named in nine
    aPlan({ 'warm-up': [timed('jog', 90)], mobilise: [timed('sit', seconds - 1)], skill: [anItem(then)] });

  it.each(['jump', 'kick', 'split'])('three minutes of sitting before: %s', (slug) => {
    const [finding] = findingsOf('cooled-off', after(185, slug), library);
    expect(finding).toMatchObject({ severity: 'caution', itemIds: [slug] });
    expect(findingsOf('cooled-off', mended(after(185, slug), finding), library)).toEqual([]);
  });

  it('is silent at a second less, for a turn on one leg, for a body that never was warm, and for a split of the cool-down', () => {
    const explained = 9;
    expect(findingsOf('cooled-off', after(180 - explained, 'jump'), library)).toHaveLength(1);
    expect(findingsOf('cooled-off', after(179 - explained, 'jump'), library)).toEqual([]);
    expect(findingsOf('cooled-off', after(185, 'turn'), library)).toEqual([]);
    expect(findingsOf('cooled-off', aPlan({ mobilise: [timed('sit', 300)], skill: [anItem('jump')] }), library)).toEqual([]);
    const end = aPlan({ 'warm-up': [timed('jog', 90)], mobilise: [timed('sit', 200)], 'cool-down': [anItem('split')] });
    expect(findingsOf('cooled-off', end, library)).toEqual([]);
  });
});

describe('back bends', () => {
  const bend = { kind: 'skill', hazards: ['back-bend'], undoneBy: ['tuck'] } as const;
  const library = aLibrary(aMovement('bridge', bend), aMovement('arch', bend), aMovement('tuck'));

  it('one after the other are undone together, and a drink in between is not counted', () => {
    const row = aPlan({ skill: [anItem('bridge'), anItem('arch'), anItem('drink'), anItem('jog'), anItem('tuck')] });
    expect(findingsOf('back-bend-not-undone', row, library)).toEqual([]);
    const late = aPlan({ skill: [anItem('bridge'), anItem('arch'), anItem('jog'), anItem('jog', { id: 'j2' }), anItem('tuck')] });
    const found = findingsOf('back-bend-not-undone', late, library);
    expect(found).toMatchObject([{ itemIds: ['bridge', 'arch'] }]);
    expect(mended(late, found[0]).sections[0]?.items.map(({ movement }) => movement)).toEqual([
      'bridge',
      'arch',
      'tuck',
      'jog',
      'jog',
      'tuck',
    ]);
  });
});

describe('weight on the hands', () => {
  const onHands = { kind: 'strength', hazards: ['weight-on-hands'] } as const;
  const easier = { what: 'On the knees', fromGrade: null, dose: { kind: 'timed', seconds: 20 } } as const;
  const library = aLibrary(
    aMovement('plank', { ...onHands, tiers: { easier, core: { what: 'long', fromGrade: 'blue' } } }),
    aMovement('other', { kind: 'strength' }),
  );
  const planks = (count: number, seconds: number): ClassPlan =>
    aPlan({
      strength: Array.from({ length: count }, (_, index) => [
        timed('plank', seconds, { id: `p${String(index)}` }),
        timed('other', 30, { id: `o${String(index)}` }),
      ]).flat(),
    });

  it.each([
    [7, 150, 0],
    [7, 155, 1],
    [8, 240, 0],
    [8, 245, 1],
  ])('at %i years, %i s in the class: %i findings of the volume', (age, seconds, count) => {
    const found = findingsOf('hands-volume', planks(5, seconds / 5), library, { agesYears: [age], ...evenAge });
    expect(found).toHaveLength(count);
  });

  it('asks each child at its own age, and of the version that it does', () => {
    const plan = aPlan({ strength: [timed('plank', 80, { tiers: ['easier', 'core'] })] });
    const [young, old] = [aChildInClass('young', { ageYears: 6 }), aChildInClass('old', { ageYears: 11, earned: ['blue'] })];
    const grades = [
      { id: 'g', isPutAway: false, slug: 'blue', name: 'Blue', requirements: [], leastWeeksInGrade: 0, leastClasses: 0, leastAgeYears: 0 },
    ];
    const ladder = { programme: 'gymnastics', version: 1, name: 'ladder', startsAs: 'white', grades };
    const said = { agesYears: [6, 11], ladder, ...evenAge };
    // the young one is on its knees for twenty seconds: nothing to say; by hand it does what the old one does
    expect(findingsOf('wrist-time', plan, library, { ...said, children: [young, old] })).toEqual([]);
    const byHand = aPlan({ strength: [timed('plank', 80, { tiers: ['easier', 'core'], tierByHand: { young: 'core' } })] });
    expect(findingsOf('wrist-time', byHand, library, { ...said, children: [young, old] })).toMatchObject([
      { childIds: ['young'], fact: { seconds: 80, limitSeconds: 60 } },
    ]);
  });
});

describe('landings', () => {
  const airborne = { from: 'standing', through: ['airborne'], to: 'standing' } as const;
  const library = aLibrary(
    aMovement('landing-position', { kind: 'basic' }),
    aMovement('small', { kind: 'skill', posture: airborne, hazards: ['soft-landing'] }),
    aMovement('leap', { kind: 'skill', posture: airborne, hazards: ['soft-landing'], view: { facing: 'side', framing: 'travel' } }),
    aMovement('drop', { kind: 'skill', posture: airborne, hazards: ['hard-landing'] }),
  );
  const found = (...items: readonly Item[]) =>
    findingsOf('landings', aPlan({ skill: items }), library).map(({ fact, itemIds }) => [fact.kind, itemIds]);

  it('are practised by six small jumps as well as by their position, not by five', () => {
    const leap = anItem('leap', { dose: reps(4) });
    expect(found(anItem('small', { dose: reps(6) }), leap)).toEqual([]);
    expect(found(anItem('small', { dose: reps(5) }), leap)).toEqual([['landing-not-practised', ['leap']]]);
    expect(found(anItem('landing-position'), leap)).toEqual([]);
  });

  it('of what has steps are its leaps and jumps, as often as it is done', () => {
    const dance = aMovement('dance', {
      kind: 'combination',
      hazards: ['hard-landing'],
      phrase: writtenPhrase('1 R leap fwd, 2 L fwd, 3 R leap fwd, 4 both jump, 5 R fwd, 6 L hop, 7 R fwd, 8 L close'),
    });
    const own = aLibrary(aMovement('landing-position', { kind: 'basic' }), dance);
    const found = (dose: Dose): unknown =>
      findingsOf('landings', aPlan({ skill: [anItem('landing-position'), anItem('dance', { dose })] }), own, { agesYears: [8] })[0]?.fact;
    const counts = (repeats: number, eights = 1): Dose => ({ kind: 'counts', eights, bpm: 100, repeats, countIn: 8 });
    // three in eight counts: twenty times are sixty, which is usual at eight
    expect(found(counts(20))).toBeUndefined();
    expect(found(counts(21))).toEqual({ kind: 'too-many-landings', landings: 63, most: 60 });
    expect(found(counts(7, 3))).toEqual({ kind: 'too-many-landings', landings: 63, most: 60 });
    expect(found(reps(21))).toEqual({ kind: 'too-many-landings', landings: 63, most: 60 });
    // a leap with its run-up is one landing a time, whatever its steps do
    const leap = aLibrary(aMovement('landing-position', { kind: 'basic' }), { ...dance, kind: 'skill' });
    const ofLeap = (count: number): unknown =>
      findingsOf('landings', aPlan({ skill: [anItem('landing-position'), anItem('dance', { dose: reps(count) })] }), leap, {
        agesYears: [8],
      })[0]?.fact;
    expect(ofLeap(60)).toBeUndefined();
    expect(ofLeap(61)).toEqual({ kind: 'too-many-landings', landings: 61, most: 60 });
  });

  it('are one finding for all that come too early', () => {
    expect(found(anItem('drop', { dose: reps(3) }), anItem('leap', { dose: reps(4) }))).toEqual([
      ['landing-not-practised', ['drop', 'leap']],
    ]);
  });
});

describe('holds', () => {
  const dose = { kind: 'hold', sets: 2, holdSeconds: 8, restSeconds: 0 } as const;
  const doses = { '4-6': dose, '7-9': dose, '10-13': dose };
  const library = aLibrary(
    aMovement('balance', { kind: 'skill', dose: doses }),
    aMovement('plank', { kind: 'strength', dose: doses }),
    aMovement('press', { kind: 'strength' }),
    aMovement('lie', { kind: 'static-stretch', effort: 0, dose: doses }),
  );
  const held = (movement: string, seconds: number, kind: 'hold' | 'timed') =>
    findingsOf(
      'hold-too-long',
      aPlan({
        strength: [
          kind === 'timed'
            ? timed(movement, seconds)
            : anItem(movement, { dose: { kind: 'hold', sets: 1, holdSeconds: seconds, restSeconds: 0 } }),
        ],
      }),
      library,
    ).length;

  it.each([
    ['balance', 'hold', 16, 0],
    ['balance', 'hold', 17, 1],
    ['balance', 'timed', 32, 0],
    ['balance', 'timed', 33, 1],
    ['plank', 'timed', 30, 0],
    ['plank', 'timed', 31, 1],
    ['press', 'timed', 90, 0],
    ['lie', 'hold', 120, 0],
  ] as const)('%s as %s of %i s: %i findings', (movement, kind, seconds, count) => {
    expect(held(movement, seconds, kind)).toBe(count);
  });

  it('are too long for the younger ones only, who are named, and are mended to what suits them', () => {
    const plan = aPlan({
      strength: ['plank', 'lie'].map((slug) => anItem(slug, { dose: { kind: 'hold', sets: 1, holdSeconds: 40, restSeconds: 0 } })),
    });
    const children = [aChildInClass('six', { ageYears: 6 }), aChildInClass('nine'), aChildInClass('twelve', { ageYears: 12 })];
    const [finding] = findingsOf('hold-too-long', plan, library, { children, agesYears: [6, 9, 12] });
    expect(finding).toMatchObject({ itemIds: ['plank'], childIds: ['six', 'nine'], fact: { seconds: 40, limitSeconds: 15 } });
    expect(findingsOf('hold-too-long', mended(plan, finding), library, { children, agesYears: [6, 9, 12] })).toEqual([]);
  });
});

describe('rest and drink', () => {
  const library = aLibrary();
  const minutes = (count: number, from = 0): readonly Item[] =>
    // each jog takes a minute in all: 55 s of it and 5 s around it; the very first has no way to it
    Array.from({ length: count }, (_, index) => timed('jog', from === 0 && index === 0 ? 56 : 55, { id: `j${String(from + index)}` }));
  const drink = (id = 'drink') => anItem('drink', { id, dose: { kind: 'timed', seconds: 20 } });

  it.each([
    [6, 15],
    [7, 20],
    [12, 20],
  ])('at %i years %i minutes go without a drink, and no second longer', (age, limit) => {
    const said = { agesYears: [age], ...evenAge };
    expect(findingsOf('no-drink', aPlan({ drills: minutes(limit) }), library, said)).toEqual([]);
    const longer = aPlan({ drills: [...minutes(limit), timed('jog', 1, { id: 'more' })] });
    expect(findingsOf('no-drink', longer, library, said)).toHaveLength(1);
  });

  it('follows the youngest, and puts a drink near the middle of each dry part', () => {
    expect(findingsOf('no-drink', aPlan({ drills: minutes(16) }), library, { agesYears: [6, 12] })).toHaveLength(1);
    const plan = aPlan({ drills: minutes(22), skill: [drink(), ...minutes(24, 30)] });
    const found = findingsOf('no-drink', plan, library);
    expect(found).toHaveLength(1);
    const after = mended(plan, found[0]);
    expect(after.sections.map(({ items }) => items.findIndex(({ id, movement }) => movement === 'drink' && id !== 'drink'))).toEqual([
      11, 13,
    ]);
    expect(findingsOf('no-drink', after, library)).toEqual([]);
  });

  it.each([
    [8, 12],
    [9, 15],
  ])('lets %s-year-olds work for %s minutes, and no second longer: listening is no work, and no rest', (age, limit) => {
    const said = { agesYears: [age], ...evenAge };
    const working = (seconds: number, rest: readonly Item[] = []): ClassPlan =>
      aPlan({
        drills: [timed('jog', (limit * 60) / 2, { explainSeconds: 40 }), ...rest, timed('jog', seconds - (limit * 60) / 2, { id: 'b' })],
      });
    expect(findingsOf('no-break', working(limit * 60), library, said)).toEqual([]);
    expect(findingsOf('no-break', working(limit * 60 + 1), library, said)).toHaveLength(1);
    for (const pause of [drink(), timed('talk', 30), timed('breathe', 30)])
      expect(findingsOf('no-break', working(limit * 60 + 1, [pause]), library, said)).toEqual([]);
    expect(findingsOf('no-break', working(limit * 60 + 1, [timed('breathe', 12)]), library, said)).toHaveLength(1);
  });

  it('is one cause where nobody drinks either', () => {
    const plan = aPlan({ drills: minutes(30) });
    expect(findingsOf('no-drink', plan, library)).toHaveLength(1);
    expect(findingsOf('no-break', plan, library)).toEqual([]);
  });
});

describe('listening', () => {
  const library = aLibrary(aMovement('roll', { kind: 'skill' }));
  const talked = (seconds: number, sections: 'safety' | 'drills' | 'cool-down' = 'drills'): ClassPlan =>
    aPlan({ 'warm-up': [anItem('jog')], [sections]: [timed('talk', seconds)] });

  it.each([
    [6, 60],
    [9, 90],
    [10, 150],
  ])('at %i years %i s in one piece are usual, and no second more', (age, limit) => {
    // going there and naming it takes a second
    const found = (seconds: number) => findingsOf('long-talk', talked(seconds - 7), library, { agesYears: [age] });
    const first = found(limit + 30)[0]?.fact;
    const over = first?.kind === 'long-talk' ? first.seconds - limit - 30 : 0;
    expect(found(limit - over)).toEqual([]);
    expect(found(limit + 1 - over)).toHaveLength(1);
  });

  it('adds what is explained after it, and leaves the safety talk and a story at rest aside', () => {
    const plan = aPlan({ drills: [timed('talk', 50)], skill: [anItem('roll', { explainSeconds: 50 })] });
    expect(findingsOf('long-talk', plan, library)).toMatchObject([{ severity: 'caution', itemIds: ['talk'] }]);
    expect(findingsOf('long-talk', talked(200, 'safety'), library)).toEqual([]);
    expect(findingsOf('long-talk', talked(200, 'cool-down'), library)).toEqual([]);
  });

  it('goes by the mean age: the group listens together', () => {
    expect(findingsOf('long-talk', talked(80), library, { agesYears: [6, 10, 10] })).toEqual([]);
    expect(findingsOf('long-talk', talked(80), library, { agesYears: [6, 6, 7] })).toHaveLength(1);
  });
});

describe('no-lead-in', () => {
  const library = aLibrary(
    aMovement('rock', { kind: 'drill', leadsTo: ['roll'] }),
    aMovement('stand', { kind: 'basic' }),
    aMovement('roll', { kind: 'skill', prerequisites: [{ movement: 'stand', mark: 'alone' }] }),
  );
  const fresh = anItem('roll', { familiarity: 'new' });

  it('wants what leads to a new skill before it, and puts it there', () => {
    const plan = aPlan({ skill: [fresh] });
    const [finding] = findingsOf('no-lead-in', plan, library);
    expect(finding).toMatchObject({ severity: 'hint', itemIds: ['roll'] });
    expect(mended(plan, finding).sections[0]?.items.map(({ movement }) => movement)).toEqual(['stand', 'roll']);
    expect(findingsOf('no-lead-in', mended(plan, finding), library)).toEqual([]);
  });

  it('is silent after what it rests on, after what names it as its next step, and of a skill that is known', () => {
    for (const first of ['stand', 'rock'])
      expect(findingsOf('no-lead-in', aPlan({ drills: [anItem(first)], skill: [fresh] }), library)).toEqual([]);
    expect(findingsOf('no-lead-in', aPlan({ skill: [anItem('roll', { familiarity: 'known' })] }), library)).toEqual([]);
    expect(findingsOf('no-lead-in', aPlan({ skill: [fresh], drills: [anItem('rock')] }), library)).toHaveLength(1);
  });
});

describe('the instructor’s own floor', () => {
  const needs = { ...aMovement('x').needs, surface: ['mat', 'grass'] as const };
  const library = aLibrary(aMovement('roll', { kind: 'skill', needs }));
  const room = { clearLengthM: 4, clearWidthM: 4, cameraDistanceM: 4, cameraHeightM: 1, viewAngleDegrees: 80 };
  it('is told where it is known and not for it', () => {
    const plan = aPlan({ skill: [anItem('roll')] });
    expect(findingsOf('surface', plan, library, { room: { ...room, surface: 'tiles' } })).toMatchObject([
      { severity: 'caution', itemIds: ['roll'], fact: { kind: 'own-floor' } },
    ]);
    expect(findingsOf('surface', plan, library, { room: { ...room, surface: 'mat' } })).toEqual([]);
    expect(findingsOf('surface', plan, library, { room })).toEqual([]);
  });
});
