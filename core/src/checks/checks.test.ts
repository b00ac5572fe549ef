import { describe, expect, it } from 'vitest';
import type { ClassPlan, Item } from '../class-plan/class-plan.js';
import { aLibrary, aMovement, anItem, aPlan, evaluated, findingsOf, mended } from '../testing/makers.js';
import { wordsOf } from './finding-words.js';

const timed = (movement: string, seconds: number, said: Partial<Item> = {}): Item =>
  anItem(movement, { dose: { kind: 'timed', seconds }, ...said });

describe('clock', () => {
  // a first routine item of a game costs 6 s of naming
  const library = aLibrary(aMovement('play', { kind: 'game', effort: 1 }));
  const lasting = (seconds: number): ClassPlan => aPlan({ combination: [timed('play', seconds - 6)] });
  const severityAt = (seconds: number): string | undefined =>
    findingsOf('clock', lasting(seconds), library, { slotMinutes: 30 })[0]?.severity;

  it.each([
    [30 * 60, undefined],
    [30 * 60 + 1, 'caution'],
    [33 * 60, 'caution'],
    [33 * 60 + 1, 'stop'],
    [26 * 60, undefined],
    [26 * 60 - 1, 'hint'],
  ])('says of %s s in a class of 30 minutes: %s', (seconds, severity) => {
    expect(severityAt(seconds)).toBe(severity);
  });

  it('lets a long class be over by a tenth before it is a stop', () => {
    const over = (seconds: number) => findingsOf('clock', lasting(60 * 60 + seconds), library, { slotMinutes: 60 })[0]?.severity;
    expect([over(360), over(361)]).toEqual(['caution', 'stop']);
  });

  it('says by how much, and how sure that is', () => {
    const [finding] = findingsOf('clock', lasting(31 * 60), library, { slotMinutes: 30 });
    expect(finding?.fact).toMatchObject({ kind: 'over-time', overSeconds: 60 });
    expect(finding && wordsOf(finding, evaluated(lasting(31 * 60), library).timeline, library).sentence).toContain('Likely are 31 min');
  });
});

describe('one-sided', () => {
  const library = aLibrary(aMovement('kick', { sides: 'each' }), aMovement('roll'));
  const kick = (said: Partial<Item>): Item => timed('kick', 30, said);

  it.each(['left', 'right'] as const)('asks for the other side when only the %s is planned, and mends it', (planned) => {
    const plan = aPlan({ skill: [kick({ sides: planned })] });
    const [finding] = findingsOf('one-sided', plan, library);
    expect(finding).toMatchObject({ severity: 'caution', itemIds: ['kick'], fact: { kind: 'one-side-only', planned } });
    expect(findingsOf('one-sided', mended(plan, finding), library)).toEqual([]);
  });

  it('asks for equal doses when left and right stand apart, and mends it', () => {
    const plan = aPlan({ skill: [kick({ id: 'l', sides: 'left' }), timed('kick', 20, { id: 'r', sides: 'right' })] });
    const [finding] = findingsOf('one-sided', plan, library);
    expect(finding?.fact).toEqual({ kind: 'unequal-sides', movements: ['kick'] });
    const after = mended(plan, finding);
    expect(after.sections[0]?.items.map(({ dose }) => dose)).toEqual([kick({}).dose, kick({}).dose]);
  });

  it('is silent when left and right do the same, wherever they stand', () => {
    const plan = aPlan({ drills: [kick({ id: 'l', sides: 'left' })], skill: [timed('roll', 20), kick({ id: 'r', sides: 'right' })] });
    expect(findingsOf('one-sided', plan, library)).toEqual([]);
  });

  it.each(['both', 'alternating'] as const)('is silent for %s', (sides) => {
    expect(findingsOf('one-sided', aPlan({ skill: [kick({ sides })] }), library)).toEqual([]);
  });

  it('asks for both sides where each child would do the one it prefers, and not where that is how it is done', () => {
    const plan = aPlan({ skill: [kick({ sides: 'lead' })] });
    const [finding] = findingsOf('one-sided', plan, library);
    expect(finding).toMatchObject({ severity: 'caution', fact: { planned: 'lead' } });
    expect(mended(plan, finding).sections[0]?.items[0]?.sides).toBe('both');
    const preferred = aLibrary(aMovement('kick', { sides: 'lead' }));
    expect(findingsOf('one-sided', plan, preferred)).toEqual([]);
  });

  it('counts what alternates: one more on one side is felt of nine, not of eleven, and is mended by one more', () => {
    const alternating = (reps: number): ClassPlan =>
      aPlan({ skill: [kick({ sides: 'alternating', dose: { kind: 'reps', sets: 1, reps, secondsPerRep: 2, restSeconds: 0 } })] });
    expect([8, 9, 10, 11].map((reps) => findingsOf('one-sided', alternating(reps), library).length)).toEqual([0, 1, 0, 0]);
    const [finding] = findingsOf('one-sided', alternating(9), library);
    expect(findingsOf('one-sided', mended(alternating(9), finding), library)).toEqual([]);
    const more = aPlan({ drills: [kick({ id: 'alt', sides: 'alternating' })], skill: [kick({ sides: 'left' })] });
    expect(findingsOf('one-sided', more, library)).toMatchObject([{ fact: { kind: 'unequal-sides' } }]);
  });

  it('is one finding for all that lack their other side, and mends them all', () => {
    const two = aLibrary(aMovement('kick', { sides: 'each' }), aMovement('turn', { sides: 'each' }));
    const plan = aPlan({ skill: [kick({ sides: 'left' }), timed('turn', 20, { sides: 'right' })] });
    const found = findingsOf('one-sided', plan, two);
    expect(found).toMatchObject([{ itemIds: ['kick', 'turn'] }]);
    expect(findingsOf('one-sided', mended(plan, found[0]), two)).toEqual([]);
  });

  it('is silent for a movement without sides', () => {
    expect(findingsOf('one-sided', aPlan({ skill: [timed('roll', 20, { sides: 'left' })] }), library)).toEqual([]);
  });
});

describe('cold-load', () => {
  const library = aLibrary(
    aMovement('stand', { hazards: ['inverted'] }),
    aMovement('plank', { loads: [{ region: 'wrists', amount: 2 }] }),
    aMovement('light', { loads: [{ region: 'wrists', amount: 1 }] }),
    aMovement('lunge', { loads: [{ region: 'quadriceps', amount: 3 }] }),
    aMovement('split', { hazards: ['split'] }),
    aMovement('drop', { hazards: ['hard-landing'] }),
  );

  it.each(['stand', 'plank', 'split', 'drop'])('stops a cold body from: %s', (slug) => {
    const [finding] = findingsOf('cold-load', aPlan({ skill: [anItem(slug)] }), library);
    expect(finding).toMatchObject({ severity: 'stop', itemIds: [slug] });
  });

  it.each(['light', 'lunge'])('lets a cold body do: %s', (slug) => {
    expect(findingsOf('cold-load', aPlan({ skill: [anItem(slug)] }), library)).toEqual([]);
  });

  it('is satisfied with 80 seconds of moving at effort three, not with a second less', () => {
    const after = (seconds: number): ClassPlan => aPlan({ 'warm-up': [timed('jog', seconds)], skill: [anItem('plank')] });
    expect(findingsOf('cold-load', after(80), library)).toEqual([]);
    expect(findingsOf('cold-load', after(79), library)).toHaveLength(1);
  });

  it('adds the warm-up that is missing before the first of the items, and is one finding for all', () => {
    const plan = aPlan({ 'warm-up': [timed('jog', 40)], skill: [anItem('plank'), anItem('split')] });
    const found = findingsOf('cold-load', plan, library);
    expect(found).toMatchObject([{ itemIds: ['plank', 'split'] }]);
    const after = mended(plan, found[0]);
    expect(after.sections[1]?.items[0]).toMatchObject({ movement: 'jog', dose: { kind: 'timed', seconds: 45 } });
    expect(findingsOf('cold-load', after, library)).toEqual([]);
  });
});

describe('unprepared-region', () => {
  const library = aLibrary(
    aMovement('plank', { loads: [{ region: 'wrists', amount: 2 }], level: 'floor' }),
    aMovement('squat', { loads: [{ region: 'hips', amount: 2 }] }),
    aMovement('soft', { loads: [{ region: 'wrists', amount: 1 }] }),
    aMovement('wrist-circles', { prepares: ['wrists'], level: 'either' }),
  );
  const readied = (gapSeconds: number): ClassPlan =>
    // a routine run costs 5 s around its time: 1 to get there, 4 to name it
    aPlan({ mobilise: [anItem('wrist-circles')], drills: [timed('jog', gapSeconds - 5)], strength: [anItem('plank')] });

  it.each([
    ['plank', 'wrists', 'stop'],
    ['squat', 'hips', 'caution'],
  ])('finds that nothing readied what %s loads', (slug, region, severity) => {
    const [finding] = findingsOf('unprepared-region', aPlan({ strength: [anItem(slug)] }), library);
    expect(finding).toMatchObject({ severity, fact: { kind: 'unprepared-region', regions: [region] }, itemIds: [slug] });
  });

  it('is silent for a light load', () => {
    expect(findingsOf('unprepared-region', aPlan({ strength: [anItem('soft')] }), library)).toEqual([]);
  });

  it('is silent up to fifteen minutes after what readies it, and speaks a second later', () => {
    expect(findingsOf('unprepared-region', readied(15 * 60), library)).toEqual([]);
    expect(findingsOf('unprepared-region', readied(15 * 60 + 1), library)).toHaveLength(1);
  });

  it.each([
    ['core', 2, 0],
    ['core', 3, 1],
    ['hip-flexors', 2, 0],
    ['knees', 2, 1],
  ] as const)('a load of %s by %i: %i findings', (region, amount, count) => {
    const own = aLibrary(aMovement('work', { kind: 'strength', loads: [{ region, amount }] }));
    expect(findingsOf('unprepared-region', aPlan({ strength: [anItem('work')] }), own)).toHaveLength(count);
  });

  it('lets a pulse-raiser be, and what was used gently before – wrists, neck and lower back want more', () => {
    const own = (kind: 'pulse-raiser' | 'strength', region: 'hips' | 'wrists') =>
      aLibrary(aMovement('lean', { loads: [{ region, amount: 1 }] }), aMovement('work', { kind, loads: [{ region, amount: 2 }] }));
    const found = (library: ReturnType<typeof own>, first: readonly Item[] = []) =>
      findingsOf('unprepared-region', aPlan({ strength: [...first, anItem('work')] }), library).length;
    expect([found(own('pulse-raiser', 'hips')), found(own('strength', 'hips'))]).toEqual([0, 1]);
    expect([found(own('strength', 'hips'), [anItem('lean')]), found(own('strength', 'wrists'), [anItem('lean')])]).toEqual([0, 1]);
  });

  it('is one finding for all regions of a severity, and readies them all', () => {
    const own = aLibrary(
      aMovement('squat', { loads: [{ region: 'hips', amount: 2 }] }),
      aMovement('dip', { loads: [{ region: 'shoulders', amount: 2 }] }),
      aMovement('hip-circles', { prepares: ['hips'] }),
      aMovement('arm-circles', { prepares: ['shoulders'] }),
    );
    const plan = aPlan({ strength: [anItem('squat'), anItem('dip')] });
    const found = findingsOf('unprepared-region', plan, own);
    expect(found).toMatchObject([{ itemIds: ['squat', 'dip'], fact: { regions: ['hips', 'shoulders'] } }]);
    expect(findingsOf('unprepared-region', mended(plan, found[0]), own)).toEqual([]);
  });

  it('puts what readies the region before the first item that needs it', () => {
    const plan = aPlan({ strength: [anItem('jog'), anItem('plank'), anItem('plank', { id: 'again' })] });
    const findings = findingsOf('unprepared-region', plan, library);
    expect(findings.map(({ itemIds }) => itemIds)).toEqual([['plank', 'again']]);
    const after = mended(plan, findings[0]);
    expect(after.sections[0]?.items.map(({ movement }) => movement)).toEqual(['jog', 'wrist-circles', 'plank', 'plank']);
    expect(findingsOf('unprepared-region', after, library)).toEqual([]);
  });
});

describe('back-bend-not-undone', () => {
  const library = aLibrary(aMovement('bridge', { hazards: ['back-bend'], undoneBy: ['tuck'] }), aMovement('tuck'), aMovement('fold'));

  it('wants the back rounded again, and puts it right after', () => {
    const plan = aPlan({ skill: [anItem('bridge'), anItem('jog')] });
    const [finding] = findingsOf('back-bend-not-undone', plan, library);
    expect(finding).toMatchObject({ severity: 'caution', itemIds: ['bridge'] });
    const after = mended(plan, finding);
    expect(after.sections[0]?.items.map(({ movement }) => movement)).toEqual(['bridge', 'tuck', 'jog']);
    expect(findingsOf('back-bend-not-undone', after, library)).toEqual([]);
  });

  it('is silent when it is undone two items later, and speaks at three', () => {
    expect(findingsOf('back-bend-not-undone', aPlan({ skill: [anItem('bridge'), anItem('jog'), anItem('tuck')] }), library)).toEqual([]);
    const late = aPlan({ skill: [anItem('bridge'), anItem('jog'), anItem('fold'), anItem('tuck')] });
    expect(findingsOf('back-bend-not-undone', late, library)).toHaveLength(1);
  });

  it('looks across sections', () => {
    expect(findingsOf('back-bend-not-undone', aPlan({ skill: [anItem('bridge')], strength: [anItem('tuck')] }), library)).toEqual([]);
  });
});

describe('safety-talk', () => {
  const library = aLibrary(aMovement('bow', { kind: 'ritual', effort: 0 }));

  it('stops a class that moves before the talk, and moves the talk to the front', () => {
    const plan = aPlan({ opening: [anItem('bow'), anItem('jog')], safety: [anItem('talk')] });
    const [finding] = findingsOf('safety-talk', plan, library);
    expect(finding).toMatchObject({ severity: 'stop', itemIds: ['jog'] });
    const after = mended(plan, finding);
    expect(after.sections[0]?.items.map(({ movement }) => movement)).toEqual(['bow', 'talk', 'jog']);
    expect(findingsOf('safety-talk', after, library)).toEqual([]);
  });

  it('puts the talk into the safety section where there is none yet', () => {
    const plan = aPlan({ opening: [anItem('bow')], safety: [], 'warm-up': [anItem('jog')] });
    expect(mended(plan, findingsOf('safety-talk', plan, library)[0]).sections[1]?.items).toHaveLength(1);
  });

  it('is silent when the talk is last before the first movement, and when nobody moves at all', () => {
    expect(findingsOf('safety-talk', aPlan({ opening: [anItem('bow'), anItem('talk'), anItem('jog')] }), library)).toEqual([]);
    expect(findingsOf('safety-talk', aPlan({ opening: [anItem('bow')] }), library)).toEqual([]);
  });
});

describe('effort-shape', () => {
  const library = aLibrary(...([0, 1, 2, 3, 4] as const).map((effort) => aMovement(`e${String(effort)}`, { effort, kind: 'game' })));
  const shaped = (efforts: readonly number[], seconds = 112): ClassPlan =>
    aPlan({
      drills: efforts.slice(0, -2).map((effort, index) => timed(`e${String(effort)}`, seconds, { id: `i${String(index)}` })),
      'cool-down': efforts.slice(-2).map((effort, index) => timed(`e${String(effort)}`, seconds, { id: `c${String(index)}` })),
    });
  const kinds = (plan: ClassPlan): readonly string[] => findingsOf('effort-shape', plan, library).map(({ fact }) => fact.kind);

  it('is content with a class that warms up, peaks and calms down', () => {
    expect(kinds(shaped([1, 2, 2, 3, 4, 3, 2, 1, 1]))).toEqual([]);
  });

  it.each<[string, readonly number[]]>([
    ['full-effort-at-once', [4, 2, 2, 3, 4, 3, 2, 1, 1]],
    ['no-peak', [1, 1, 1, 1, 1, 1, 1, 1, 1]],
    ['peak-too-early', [2, 4, 2, 2, 2, 2, 2, 1, 1]],
    ['peak-too-late', [1, 2, 2, 2, 2, 2, 2, 2, 3, 1]],
    ['end-not-calm', [1, 2, 2, 3, 4, 3, 2, 1, 2]],
  ])('says %s', (kind, efforts) => {
    expect(kinds(shaped(efforts))).toContain(kind);
  });

  it('wants the last three minutes calm, and two of a class of thirty', () => {
    const ending = (calmSeconds: number): ClassPlan => {
      const { sections } = shaped([1, 2, 2, 3, 4, 3, 2, 2, 1]);
      const [drills, cool] = sections;
      const last = timed('e1', calmSeconds - 2, { id: 'last' });
      return {
        focus: [],
        sections: [...(drills ? [drills] : []), { id: 'c', kind: 'cool-down', items: [...(cool?.items.slice(0, 1) ?? []), last] }],
      };
    };
    const isHot = (plan: ClassPlan, slotMinutes: number): boolean =>
      findingsOf('effort-shape', plan, library, { slotMinutes }).some(({ fact }) => fact.kind === 'end-not-calm');
    expect([isHot(ending(180), 45), isHot(ending(179), 45), isHot(ending(120), 30), isHot(ending(119), 30)]).toEqual([
      false,
      true,
      false,
      true,
    ]);
  });

  it('lets full effort begin after two minutes, not a second before', () => {
    // 6 s around the first game, 7 of going to the second and naming it
    const after = (seconds: number): ClassPlan => aPlan({ drills: [timed('e2', seconds - 13), timed('e4', 60)], 'cool-down': [] });
    expect(kinds(after(120))).not.toContain('full-effort-at-once');
    expect(kinds(after(119))).toContain('full-effort-at-once');
  });

  it('asks for a cool-down, and says nothing of an empty plan', () => {
    expect(kinds(aPlan({ drills: [anItem('e3')], 'cool-down': [] }))).toContain('no-cool-down');
    expect(kinds(aPlan({ 'cool-down': [] }))).toEqual([]);
  });
});

describe('all findings', () => {
  const library = aLibrary(
    aMovement('kick', { name: 'Kick', sides: 'each', effort: 2 }),
    aMovement('stand', { name: 'Handstand', hazards: ['inverted', 'back-bend'], loads: [{ region: 'wrists', amount: 3 }], undoneBy: [] }),
  );
  const plan = aPlan({ skill: [anItem('kick', { sides: 'left' }), anItem('stand')] });

  it('come worst first', () => {
    const severities = evaluated(plan, library).findings.map(({ severity }) => severity);
    expect(severities).toEqual(
      severities.toSorted((a, b) => ['stop', 'caution', 'hint'].indexOf(a) - ['stop', 'caution', 'hint'].indexOf(b)),
    );
    expect(new Set(severities)).toEqual(new Set(['stop', 'caution', 'hint']));
  });

  it('are said in sentences that name the item', () => {
    const { findings, timeline } = evaluated(plan, library);
    const cold = findings.find(({ check }) => check === 'cold-load');
    expect(cold && wordsOf(cold, timeline, library)).toMatchObject({
      title: 'Not warm yet',
      sentence: expect.stringContaining('Handstand') as string,
    });
    for (const finding of findings) expect(wordsOf(finding, timeline, library).sentence).toMatch(/^[A-Z].*\.$/);
  });

  it('never change the plan they look at', () => {
    const before = JSON.stringify(plan);
    evaluated(plan, library);
    expect(JSON.stringify(plan)).toBe(before);
  });
});
