import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aContext, aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';
import type { AgeBand } from '../movement/age-band.js';
import { sectionKinds } from '../movement/section-kind.js';
import { mostItems, placedItems, type ClassPlan } from './class-plan.js';
import { applyEdit, applyEdits, stepItem, type PlanEdit } from './edit.js';
import { fillSlot } from '../composing/fill-slot.js';
import { itemOf } from './new-item.js';
import { planFromTemplate, templatesFor, type ClassLength, type PlanTemplate } from './template.js';
import { sidesToChoose } from '../movement/sides.js';

const ids = (plan: ClassPlan): readonly string[] => placedItems(plan).map(({ item }) => item.id);
const newId = (): string => 'new';
const done = (plan: ClassPlan, edit: PlanEdit): ClassPlan => {
  const result = applyEdit(plan, edit, newId);
  if (!result.ok) throw new Error(result.error.kind);
  return result.value;
};
const plan = aPlan({ drills: [anItem('a'), anItem('b')], skill: [anItem('c')], strength: [] });

describe('an edit of a plan', () => {
  it.each<[string, PlanEdit, readonly string[]]>([
    [
      'puts in at the end of a section',
      { kind: 'insert', item: anItem('x'), place: { at: 'end-of', section: 'drills' } },
      ['a', 'b', 'new', 'c'],
    ],
    ['puts in before an item', { kind: 'insert', item: anItem('x'), place: { at: 'before', item: 'b' } }, ['a', 'new', 'b', 'c']],
    ['puts in after an item', { kind: 'insert', item: anItem('x'), place: { at: 'after', item: 'c' } }, ['a', 'b', 'c', 'new']],
    ['moves across sections', { kind: 'move', item: 'a', place: { at: 'after', item: 'c' } }, ['b', 'c', 'a']],
    ['leaves an item dropped on itself', { kind: 'move', item: 'a', place: { at: 'after', item: 'a' } }, ['a', 'b', 'c']],
    ['doubles right after', { kind: 'double', item: 'a' }, ['a', 'new', 'b', 'c']],
    ['removes', { kind: 'remove', item: 'b' }, ['a', 'c']],
  ])('%s', (_name, edit, order) => {
    expect(ids(done(plan, edit))).toEqual(order);
  });

  it('changes dose, sides and versions of one item alone', () => {
    const changed = done(done(plan, { kind: 'set-dose', item: 'b', dose: { kind: 'timed', seconds: 90 } }), {
      kind: 'set-tiers',
      item: 'b',
      tiers: ['easier'],
    });
    const sided = done(changed, { kind: 'set-sides', item: 'b', sides: 'both' });
    expect(placedItems(sided).map(({ item }) => [item.dose, item.sides, item.tiers])).toEqual([
      [{ kind: 'timed', seconds: 60 }, 'none', ['core']],
      [{ kind: 'timed', seconds: 90 }, 'both', ['easier']],
      [{ kind: 'timed', seconds: 60 }, 'none', ['core']],
    ]);
  });

  it('overrules how well the group knows it, and takes that back', () => {
    const overruled = done(plan, { kind: 'set-familiarity', item: 'a', familiarity: 'new' });
    expect(placedItems(overruled)[0]?.item.familiarity).toBe('new');
    expect(placedItems(done(overruled, { kind: 'set-familiarity', item: 'a', familiarity: 'from-record' }))[0]?.item).not.toHaveProperty(
      'familiarity',
    );
  });

  it('keeps words, and drops empty ones', () => {
    const worded = done(plan, { kind: 'set-words', item: 'a', cue: 'Push tall', note: '' });
    expect(placedItems(worded)[0]?.item).toMatchObject({ cue: 'Push tall' });
    expect(placedItems(worded)[0]?.item).not.toHaveProperty('note');
  });

  it('names each movement in focus once', () => {
    expect(done(plan, { kind: 'set-focus', focus: ['a', 'b', 'a'] }).focus).toEqual(['a', 'b']);
  });

  it.each<[PlanEdit, string]>([
    [{ kind: 'remove', item: 'gone' }, 'item-missing'],
    [{ kind: 'move', item: 'a', place: { at: 'after', item: 'gone' } }, 'item-missing'],
    [{ kind: 'insert', item: anItem('x'), place: { at: 'end-of', section: 'gone' } }, 'section-missing'],
    [{ kind: 'set-dose', item: 'a', dose: { kind: 'timed', seconds: 0 } }, 'dose-out-of-range'],
    [{ kind: 'set-dose', item: 'a', dose: { kind: 'timed', seconds: Number.NaN } }, 'dose-out-of-range'],
    [
      {
        kind: 'insert',
        item: anItem('x', { dose: { kind: 'hold', sets: 1, holdSeconds: 301, restSeconds: 0 } }),
        place: { at: 'end-of', section: 'skill' },
      },
      'dose-out-of-range',
    ],
    [{ kind: 'set-tiers', item: 'a', tiers: [] }, 'no-tier'],
  ])('is refused with the reason: %j', (edit, kind) => {
    const result = applyEdit(plan, edit, newId);
    expect(result.ok ? null : result.error.kind).toBe(kind);
  });

  it('is refused when the plan is full', () => {
    const full = aPlan({ drills: Array.from({ length: mostItems }, (_, index) => anItem('a', { id: String(index) })) });
    expect(applyEdit(full, { kind: 'double', item: '0' }, newId)).toEqual({
      ok: false,
      error: { kind: 'too-many-items', most: mostItems },
    });
  });

  it('is applied with others all or none', () => {
    const edits: readonly PlanEdit[] = [
      { kind: 'remove', item: 'a' },
      { kind: 'remove', item: 'gone' },
    ];
    expect(applyEdits(plan, edits, newId).ok).toBe(false);
    expect(ids(plan)).toEqual(['a', 'b', 'c']);
  });
});

describe('moving an item by key', () => {
  it('goes up and down across sections, also into an empty one', () => {
    let current = plan;
    const seen: string[] = [];
    for (let edit = stepItem(current, 'a', 'down'); edit; edit = stepItem(current, 'a', 'down')) {
      current = done(current, edit);
      seen.push(current.sections.map(({ items }) => items.map(({ id }) => id).join('')).join('|'));
    }
    expect(seen).toEqual(['ba|c|', 'b|ac|', 'b|ca|', 'b|c|a']);
  });

  it('comes back to where it was', () => {
    const item = fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 2, maxLength: 8 });
    fc.assert(
      fc.property(item, fc.nat(), fc.constantFrom('up' as const, 'down' as const), (counts, pick, direction) => {
        const some: ClassPlan = {
          focus: [],
          sections: counts.map((count, section) => ({
            id: `s${String(section)}`,
            kind: sectionKinds[section] ?? 'opening',
            items: Array.from({ length: count }, (_, index) => anItem('a', { id: `${String(section)}.${String(index)}` })),
          })),
        };
        const all = ids(some);
        const id = all[pick % Math.max(1, all.length)];
        const there = id === undefined ? null : stepItem(some, id, direction);
        if (id === undefined || !there) return;
        const back = stepItem(done(some, there), id, direction === 'up' ? 'down' : 'up');
        expect(back && done(done(some, there), back)).toEqual(some);
      }),
    );
  });

  it('stays at the first and the last place', () => {
    expect(stepItem(plan, 'a', 'up')).toBeNull();
    expect(stepItem(aPlan({ drills: [anItem('a')] }), 'a', 'down')).toBeNull();
    expect(stepItem(plan, 'gone', 'up')).toBeNull();
  });
});

describe('a new item', () => {
  it('has the dose of the age, every side and every version', () => {
    const tier = { what: 'x', fromGrade: null };
    const kick = aMovement('kick', {
      sides: 'each',
      tiers: { core: tier, harder: tier },
      dose: { '4-6': null, '7-9': { kind: 'timed', seconds: 30 }, '10-13': { kind: 'timed', seconds: 50 } },
    });
    const doses = (['4-6', '7-9', '10-13'] as const).map((band: AgeBand) => itemOf(kick, band).dose);
    expect(doses).toEqual([30, 30, 50].map((seconds) => ({ kind: 'timed', seconds })));
    expect(itemOf(kick, '7-9')).toMatchObject({ sides: 'both', tiers: ['core', 'harder'] });
    expect(itemOf(aMovement('talk'), '7-9').tiers).toEqual(['core']);
  });

  it.each([
    ['none', ['none']],
    ['each', ['both', 'left', 'right']],
    ['alternating', ['alternating', 'left', 'right']],
    ['lead', ['lead', 'both', 'left', 'right']],
  ] as const)('of a movement with sides %s offers %j', (sides, choices) => {
    expect(sidesToChoose(sides)).toEqual(choices);
  });
});

describe('a template', () => {
  const template = (slug: string, lengthMinutes: ClassLength, ageBand: AgeBand, movements: readonly string[] = ['jog']): PlanTemplate => ({
    slug,
    name: slug,
    programme: 'gymnastics',
    lengthMinutes,
    ageBand,
    focus: [],
    sections: [{ kind: 'drills', items: movements.map((movement) => ({ movement })) }],
  });

  it('comes nearest first: by length, then by age; other programmes not at all', () => {
    const all = [
      template('60', 60, '7-9'),
      template('45-old', 45, '10-13'),
      template('45', 45, '7-9'),
      { ...template('x', 45, '7-9'), programme: 'dance' },
    ];
    const fitting = templatesFor(all, { programme: 'gymnastics', lengthMinutes: 45, ageBand: '7-9' });
    expect(fitting.map(({ slug }) => slug)).toEqual(['45', '45-old', '60']);
  });

  it('names the movements that the library lacks', () => {
    let count = 0;
    expect(planFromTemplate(template('t', 45, '7-9', ['jog', 'gone']), aLibrary(), () => String(count++))).toEqual({
      ok: false,
      error: { kind: 'movements-missing', movements: ['gone'] },
    });
  });
});

describe('filling the slot', () => {
  const library = aLibrary(aMovement('kick', { kind: 'skill' }), aMovement('hold', { kind: 'strength' }));
  const reps = (count: number) => ({ kind: 'reps', sets: 1, reps: count, secondsPerRep: 3, restSeconds: 0 }) as const;
  const short = aPlan({
    safety: [anItem('talk')],
    'warm-up': [anItem('jog', { dose: { kind: 'timed', seconds: 150 } })],
    skill: [anItem('kick', { dose: reps(20) })],
    strength: [anItem('hold', { dose: reps(20) })],
    'cool-down': [anItem('breathe', { dose: { kind: 'timed', seconds: 180 } })],
  });

  it('gives the time to practice, evenly, and leaves warm-up and cool-down as they are', () => {
    const full = fillSlot(short, library, aContext({ slotMinutes: 11 }));
    const before = evaluated(short, library).timeline.totalSeconds;
    const after = evaluated(full, library).timeline.totalSeconds;
    expect(after).toBeGreaterThan(before);
    expect(after).toBeLessThanOrEqual(10 * 60);
    expect(after).toBeGreaterThan(10 * 60 - 3);
    const doses = placedItems(full).map(({ item }) => ('reps' in item.dose ? item.dose.reps : 'as it was'));
    expect(doses.map((dose) => typeof dose)).toEqual(['string', 'string', 'number', 'number', 'string']);
    expect(Math.abs(Number(doses[2]) - Number(doses[3]))).toBeLessThanOrEqual(1);
  });

  it('gives nothing more than three times its dose, however long the class is, in sets that one can count', () => {
    const full = fillSlot(short, library, aContext({ slotMinutes: 60 }));
    // of twenty reps in the template
    expect(placedItems(full).map(({ item }) => item.dose)[2]).toMatchObject({ kind: 'reps', sets: 5, reps: 12, restSeconds: 10 });
  });

  it('leaves a plan that has no time in hand', () => {
    expect(fillSlot(short, library, aContext({ slotMinutes: 5 }))).toEqual(short);
  });

  it('stops before a check finds something new', () => {
    const grave = (plan: ClassPlan): number =>
      evaluated(plan, library, { slotMinutes: 60, agesYears: [6] }).findings.filter(({ severity }) => severity !== 'hint').length;
    const close = aPlan({
      safety: [anItem('talk')],
      'warm-up': [anItem('jog')],
      skill: [anItem('kick', { dose: reps(150) })],
      'cool-down': [anItem('breathe')],
    });
    expect(grave(fillSlot(close, library, aContext({ slotMinutes: 60, agesYears: [6] })))).toBe(grave(close));
  });
});
