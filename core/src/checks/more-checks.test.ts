import { describe, expect, it } from 'vitest';
import type { ClassPlan, Item } from '../class-plan/class-plan.js';
import { applyEdit } from '../class-plan/edit.js';
import type { Dose } from '../movement/dose.js';
import { aChildInClass, aLibrary, aMovement, anItem, aPlan, evaluated, findingsOf, mended } from '../testing/makers.js';
import { wordsOf } from './finding-words.js';

const timed = (movement: string, seconds: number, said: Partial<Item> = {}): Item =>
  anItem(movement, { dose: { kind: 'timed', seconds }, ...said });
const hold = (holdSeconds: number, sets = 1): Dose => ({ kind: 'hold', sets, holdSeconds, restSeconds: 0 });
const reps = (count: number): Dose => ({ kind: 'reps', sets: 1, reps: count, secondsPerRep: 2, restSeconds: 0 });

describe('wrist-time', () => {
  const library = aLibrary(
    aMovement('plank', { kind: 'strength', hazards: ['weight-on-hands'] }),
    aMovement('wrist-shake', { prepares: ['wrists'] }),
  );
  const planks = (...seconds: readonly number[]): ClassPlan =>
    aPlan({ strength: seconds.map((one, index) => timed('plank', one, { id: `p${String(index)}` })) });

  it.each([
    [9, 90, 0],
    [9, 91, 1],
    [7, 60, 0],
    [7, 61, 1],
  ])('at %i years, %i s on the hands: %i findings', (age, seconds, count) => {
    expect(findingsOf('wrist-time', planks(seconds), library, { agesYears: [age] })).toHaveLength(count);
  });

  it('adds up what follows without relief, and puts relief before what goes over', () => {
    const plan = planks(50, 50);
    const [finding] = findingsOf('wrist-time', plan, library);
    expect(finding).toMatchObject({ severity: 'caution', itemIds: ['p0', 'p1'] });
    expect(findingsOf('wrist-time', mended(plan, finding), library)).toEqual([]);
  });

  it('starts anew after half a minute of relief, not after less', () => {
    const after = (rest: number) =>
      findingsOf('wrist-time', aPlan({ strength: [timed('plank', 60), timed('jog', rest), timed('plank', 60, { id: 'b' })] }), library);
    expect(after(30)).toEqual([]);
    expect(after(5)).toHaveLength(1);
  });
});

describe('landings', () => {
  const library = aLibrary(
    aMovement('landing-position', { kind: 'basic' }),
    aMovement('drop', { kind: 'skill', hazards: ['hard-landing'], prerequisites: [{ movement: 'landing-position', mark: 'alone' }] }),
  );
  const drops = (count: number, sides: Item['sides'] = 'none'): ClassPlan =>
    aPlan({ basics: [anItem('landing-position')], skill: [anItem('drop', { dose: reps(count), sides })] });

  it.each([
    [6, 40, 0],
    [6, 41, 1],
    [9, 60, 0],
    [9, 61, 1],
    [10, 80, 0],
    [10, 81, 1],
  ])('at %i years, %i hard landings: %i findings', (age, count, found) => {
    expect(findingsOf('landings', drops(count), library, { agesYears: [age] })).toHaveLength(found);
  });

  it('counts both sides', () => {
    expect(findingsOf('landings', drops(31, 'both'), library)[0]?.fact).toEqual({ kind: 'too-many-landings', landings: 62, most: 60 });
  });

  it('asks for the landing position first, and mends it by putting it in or moving it', () => {
    const without = aPlan({ skill: [anItem('drop', { dose: reps(5) })] });
    const [missing] = findingsOf('landings', without, library);
    expect(missing?.fact.kind).toBe('landing-not-practised');
    expect(findingsOf('landings', mended(without, missing), library)).toEqual([]);
    const late = aPlan({ skill: [anItem('drop', { dose: reps(5) }), anItem('landing-position')] });
    const [after] = findingsOf('landings', late, library);
    expect(mended(late, after).sections[0]?.items.map(({ id }) => id)).toEqual(['landing-position', 'drop']);
  });
});

describe('hold-too-long', () => {
  const library = aLibrary(aMovement('plank', { kind: 'strength' }));

  it.each([
    ['stretch', 6, 10, 11],
    ['stretch', 9, 20, 21],
    ['stretch', 10, 30, 31],
    ['plank', 6, 15, 16],
    ['plank', 9, 30, 31],
    ['plank', 10, 60, 61],
  ])('%s at %i years: %i s are usual, %i s are too long', (movement, age, usual, over) => {
    const held = (seconds: number): ClassPlan =>
      aPlan({ 'warm-up': [timed('jog', 150)], strength: [anItem(movement, { dose: hold(seconds) })] });
    expect(findingsOf('hold-too-long', held(usual), library, { agesYears: [age] })).toEqual([]);
    const [finding] = findingsOf('hold-too-long', held(over), library, { agesYears: [age] });
    expect(finding).toMatchObject({ severity: 'caution', itemIds: [movement] });
    expect(mended(held(over), finding).sections[1]?.items[0]?.dose).toEqual(hold(usual));
  });
});

describe('cold-static', () => {
  const library = aLibrary();
  const after = (seconds: number): ClassPlan =>
    aPlan({ 'warm-up': [timed('jog', seconds)], mobilise: [anItem('stretch', { dose: hold(8) })] });

  it('stops a held stretch of a body that is not warm, and warms it first', () => {
    expect(findingsOf('cold-static', after(80), library)).toEqual([]);
    const [finding] = findingsOf('cold-static', after(79), library);
    expect(finding).toMatchObject({ severity: 'stop', itemIds: ['stretch'] });
    expect(findingsOf('cold-static', mended(after(79), finding), library)).toEqual([]);
  });

  it('lets a moving stretch be', () => {
    const moving = aLibrary(aMovement('swing', { kind: 'dynamic-stretch' }));
    expect(findingsOf('cold-static', aPlan({ mobilise: [anItem('swing')] }), moving)).toEqual([]);
  });
});

describe('static-before-power', () => {
  const library = aLibrary(
    aMovement('sit', { kind: 'static-stretch', lengthens: ['hips'] }),
    aMovement('swing', { kind: 'dynamic-stretch', lengthens: ['hips'] }),
    aMovement('kick', { kind: 'skill', effort: 4 }),
  );
  const held = (seconds: number): ClassPlan => aPlan({ mobilise: [anItem('sit', { dose: hold(seconds) })], skill: [anItem('kick')] });
  const found = (plan: ClassPlan, stretchingSchool: 'early-static' | 'dynamic-first' = 'dynamic-first') =>
    findingsOf('static-before-power', plan, library, { stretchingSchool });

  it('lets a hold of ten seconds be, not of eleven, and puts a moving stretch in its place', () => {
    expect(found(held(10))).toEqual([]);
    const [finding] = found(held(11));
    expect(finding).toMatchObject({ severity: 'caution', itemIds: ['sit'] });
    expect(mended(held(11), finding).sections[0]?.items.map(({ movement }) => movement)).toEqual(['swing']);
  });

  it('says nothing in a programme that stretches early, nor after the power', () => {
    expect(found(held(20), 'early-static')).toEqual([]);
    expect(found(aPlan({ skill: [anItem('kick')], 'cool-down': [anItem('sit', { dose: hold(20) })] }))).toEqual([]);
  });
});

describe('attention', () => {
  const library = aLibrary(aMovement('play', { kind: 'game' }));
  it.each([
    [5, 180],
    [8, 300],
    [9, 480],
  ])('at %i years: %i s of one thing, not a second more', (age, seconds) => {
    // a routine first game costs 6 s of naming at any age
    const around = 6;
    const lasting = (total: number) =>
      findingsOf('attention', aPlan({ combination: [timed('play', total - around)] }), library, { agesYears: [age] });
    expect(lasting(seconds)).toEqual([]);
    expect(lasting(seconds + 1)).toHaveLength(1);
  });
});

describe('too-much-new', () => {
  const library = aLibrary(...['a', 'b', 'c', 'd'].map((slug) => aMovement(slug, { kind: 'skill' })));
  const fresh = (count: number, familiarity: 'new' | 'known' = 'new'): ClassPlan =>
    aPlan({ skill: ['a', 'b', 'c', 'd'].slice(0, count).map((slug) => anItem(slug, { familiarity })) });
  it.each([
    [6, 1],
    [9, 2],
    [10, 3],
  ])('at %i years: %i new skills, not one more', (age, most) => {
    expect(findingsOf('too-much-new', fresh(most), library, { agesYears: [age] })).toEqual([]);
    expect(findingsOf('too-much-new', fresh(most + 1), library, { agesYears: [age] })).toHaveLength(1);
    expect(findingsOf('too-much-new', fresh(4, 'known'), library, { agesYears: [age] })).toEqual([]);
  });
});

describe('order', () => {
  const library = aLibrary(
    aMovement('lever', { kind: 'basic' }),
    aMovement('handstand', { kind: 'skill', prerequisites: [{ movement: 'lever', mark: 'alone' }] }),
  );
  it('puts what leads to a skill before it', () => {
    const plan = aPlan({ skill: [anItem('handstand'), anItem('lever')] });
    const [finding] = findingsOf('order', plan, library);
    expect(finding).toMatchObject({ severity: 'hint', itemIds: ['lever', 'handstand'] });
    expect(findingsOf('order', mended(plan, finding), library)).toEqual([]);
  });

  it('says when a part comes before the one it usually follows', () => {
    expect(findingsOf('order', aPlan({ skill: [anItem('lever')], 'warm-up': [anItem('jog')] }), library)).toMatchObject([
      { fact: { kind: 'section-late' } },
    ]);
    expect(findingsOf('order', aPlan({ 'warm-up': [anItem('jog')], skill: [anItem('lever')] }), library)).toEqual([]);
  });
});

describe('up-and-down', () => {
  const library = aLibrary(aMovement('floor', { level: 'floor' }));
  it('counts changes of level against the length of the class', () => {
    const plan = (changes: number): ClassPlan =>
      aPlan({
        drills: Array.from({ length: changes + 1 }, (_, index) => timed(index % 2 === 0 ? 'jog' : 'floor', 60, { id: String(index) })),
      });
    expect(findingsOf('up-and-down', plan(1), library)).toEqual([]);
    expect(findingsOf('up-and-down', plan(3), library)[0]?.fact).toMatchObject({ kind: 'up-and-down', changes: 3 });
  });

  it('lets the camera be moved four times, not five', () => {
    const plan = (times: number): ClassPlan =>
      aPlan({ drills: Array.from({ length: times + 1 }, (_, index) => timed('jog', 60, { id: String(index), isCameraMoved: index > 0 })) });
    expect(findingsOf('up-and-down', plan(4), library)).toEqual([]);
    expect(findingsOf('up-and-down', plan(5), library)[0]?.fact).toMatchObject({ kind: 'reframed', times: 5 });
  });
});

describe('little-moving, no-closing, no-home-task', () => {
  const library = aLibrary(
    aMovement('play', { kind: 'game' }),
    aMovement('bye', { kind: 'ritual', sections: ['closing'], effort: 0 }),
    aMovement('home', { kind: 'talk', sections: ['closing'], effort: 0 }),
  );
  it.each([
    [40, 60, 0],
    [39, 61, 1],
  ])('%i s of moving and %i s around it: %i hints', (moving, around, count) => {
    const plan = aPlan({ combination: [timed('play', moving), timed('talk', around - 6 - 1)] });
    expect(findingsOf('little-moving', plan, library)).toHaveLength(count);
  });

  it('asks for an end and for something to take home, and puts both in', () => {
    const plan = aPlan({ combination: [timed('play', 60)] });
    for (const check of ['no-closing', 'no-home-task'] as const) expect(findingsOf(check, plan, library)[0]?.severity).toBe('hint');
    const after = mended(plan, findingsOf('no-home-task', plan, library)[0]);
    expect(findingsOf('no-home-task', after, library)).toEqual([]);
    const closed = aPlan({ combination: [timed('play', 60)], closing: [anItem('bye'), anItem('home')] });
    for (const check of ['no-closing', 'no-home-task'] as const) expect(findingsOf(check, closed, library)).toEqual([]);
  });

  it('say nothing of an empty plan', () => {
    for (const check of ['little-moving', 'no-closing', 'no-home-task'] as const) expect(findingsOf(check, aPlan({}), library)).toEqual([]);
  });
});

describe('who can do it', () => {
  const wanting = aMovement('roll', {
    kind: 'skill',
    hazards: ['inverted'],
    needs: { ...aMovement('x').needs, surface: ['mat'] },
  });
  const skill = aMovement('walkover', { kind: 'skill', prerequisites: [{ movement: 'gone', mark: 'alone' }] });
  const library = aLibrary(wanting, skill);

  it('stops a class in which a child has no version, and says why, once: upside down on tiles it is the floor', () => {
    const child = aChildInClass('kid', {}, { surface: 'tiles' });
    const { findings } = evaluated(aPlan({ skill: [anItem('roll')] }), library, { children: [child, aChildInClass('other')] });
    const about = findings.filter(({ check }) => check === 'no-version' || check === 'surface');
    expect(about).toMatchObject([{ check: 'surface', severity: 'stop', childIds: ['kid'] }]);
  });

  it('stops a skill that a child is not ready for while nothing else fits', () => {
    const plan = aPlan({ skill: [anItem('walkover')] });
    expect(findingsOf('prerequisite', plan, library, { children: [aChildInClass('kid')] })).toMatchObject([
      { severity: 'stop', fact: { movement: 'gone', children: 1 } },
    ]);
    const ready = aChildInClass('kid', { marks: [{ movement: 'gone', stage: null, mark: 'alone' }] });
    expect(findingsOf('prerequisite', plan, library, { children: [ready] })).toEqual([]);
    expect(findingsOf('prerequisite', plan, library)).toEqual([]);
  });

  it.each([
    ['equipment', { equipment: ['scarf'] }, { things: [] }, 'caution'],
    ['adult', { adult: 'hands-on' }, { adult: 'not-at-hand' }, 'stop'],
    ['adult', { adult: 'at-hand' }, { adult: 'not-at-hand' }, 'caution'],
    ['partner', { partner: true }, { partner: false }, 'caution'],
    ['quiet', { quiet: 'loud' }, { quietHours: { from: '00:00', to: '23:59' } }, 'caution'],
    ['footprint', { footprint: { lengthM: 9, widthM: 1 } }, {}, 'caution'],
  ] as const)('%s: says what the home of a child lacks', (check, needs, home, severity) => {
    const movement = aMovement('wanting', { kind: 'skill', needs: { ...wanting.needs, surface: 'any-dry', ...needs } });
    const own = { children: [aChildInClass('kid', {}, home)], startsAt: '16:00' };
    const plan = aPlan({ skill: [anItem('wanting')] });
    expect(findingsOf(check, plan, aLibrary(movement), own)).toMatchObject([{ severity, childIds: ['kid'] }]);
    expect(findingsOf(check, plan, aLibrary(movement), { children: [aChildInClass('kid', { home: null })] })).toEqual([]);
  });

  it('says what leaves the room or the picture of the instructor', () => {
    const room = { clearLengthM: 3, clearWidthM: 3, cameraDistanceM: 4, cameraHeightM: 1, viewAngleDegrees: 80 };
    const far = aMovement('far', { needs: { ...wanting.needs, surface: 'any-dry', footprint: { lengthM: 5, widthM: 1 } } });
    expect(findingsOf('footprint', aPlan({ skill: [anItem('far')] }), aLibrary(far), { room })).toMatchObject([
      { fact: { kind: 'out-of-room', short: 'room' } },
    ]);
  });
});

describe('a finding that is looked at', () => {
  const library = aLibrary(aMovement('play', { kind: 'game' }));
  const plan = aPlan({ combination: [timed('play', 60)] });

  it('stands with its reason, and is open again when that is taken back', () => {
    const [finding] = findingsOf('no-closing', plan, library);
    if (!finding) throw new Error('no finding');
    const said = applyEdit(
      plan,
      { kind: 'accept', finding: { check: finding.check, itemIds: finding.itemIds, reason: 'they stay on' } },
      () => '',
    );
    if (!said.ok) throw new Error('not accepted');
    expect(findingsOf('no-closing', said.value, library)[0]?.acceptedBecause).toBe('they stay on');
    const back = applyEdit(said.value, { kind: 'open-again', check: finding.check, itemIds: finding.itemIds }, () => '');
    expect(back.ok && findingsOf('no-closing', back.value, library)[0]?.acceptedBecause).toBeUndefined();
  });

  it('is said in words that name the item', () => {
    const { findings, timeline } = evaluated(aPlan({ strength: [anItem('stretch', { dose: hold(25) })] }), library);
    for (const finding of findings) {
      const words = wordsOf(finding, timeline, library);
      expect(words.title).not.toBe('');
      expect(words.sentence).not.toMatch(/undefined|NaN|\[object/);
    }
  });
});
