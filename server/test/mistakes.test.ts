import {
  applyEdits,
  defaultTimingSettings,
  evaluatePlan,
  fillSlot,
  itemOf,
  placedItems,
  plainPace,
  planFromTemplate,
  type CheckId,
  type ChildInClass,
  type ClassPlan,
  type EvaluationContext,
  type Item,
  type PlanEdit,
} from '@leiter/core';
import { describe, expect, it } from 'vitest';
import { shippedLibrary, shippedTemplates } from '../src/library/shipped-content.js';

/*
 * What goes wrong every week, planted into a plan that nothing is wrong with: each is found. What goes wrong while teaching
 * – the count lost, left and right mixed up – is carried by Teach and is no matter of a plan.
 */

const library = shippedLibrary();
const home: NonNullable<ChildInClass['home']> = {
  surface: 'mat',
  clearLengthM: 3,
  clearWidthM: 2.5,
  things: [],
  adult: 'in-the-room',
  partner: false,
  quietHours: null,
};
const able = [...library.values()].flatMap(({ slug, stages }) => [
  { movement: slug, stage: null, mark: 'alone' as const },
  ...stages.map((_stage, index) => ({ movement: slug, stage: index + 1, mark: 'alone' as const })),
]);
const child = (id: string, said: Partial<ChildInClass> = {}): ChildInClass => ({ id, ageYears: 9, earned: [], marks: able, home, ...said });
const context: EvaluationContext = {
  settings: defaultTimingSettings,
  exposures: new Map([...library.keys()].map((slug) => [slug, { shareInLastTwoClasses: 0, shareInLastEightWeeks: 1 }])),
  pace: plainPace,
  style: 'as-it-comes',
  agesYears: [9, 9],
  programme: 'gymnastics',
  slotMinutes: 45,
  stretchingSchool: 'early-static',
  children: [child('a'), child('b')],
  ladder: null,
  startsAt: '16:30',
  room: { clearLengthM: 4, clearWidthM: 4, cameraDistanceM: 3.2, cameraHeightM: 1.1, viewAngleDegrees: 78 },
};

let count = 0;
const newId = (): string => `planted-${String(++count)}`;

function started(programme: string): ClassPlan {
  const template = shippedTemplates().find((one) => one.programme === programme && one.lengthMinutes === 45);
  const plan = template && planFromTemplate(template, library, newId);
  if (!plan?.ok) throw new Error('no template');
  return fillSlot(plan.value, library, { ...context, programme });
}
const gymnastics = started('gymnastics');
const martialArts = started('martial-arts');

const idOf = (plan: ClassPlan, slug: string): string => {
  const found = placedItems(plan).find(({ item }) => item.movement === slug)?.item.id;
  if (found === undefined) throw new Error(`${slug} is not in the plan`);
  return found;
};
const sectionOf = (plan: ClassPlan, kind: string): string => plan.sections.find((section) => section.kind === kind)?.id ?? '';
const newItem = (slug: string, said: Partial<Item> = {}): Omit<Item, 'id'> => {
  const movement = library.get(slug);
  if (!movement) throw new Error(`${slug} is not in the library`);
  return { ...itemOf(movement, '7-9'), ...said };
};
const put = (plan: ClassPlan, slug: string, section: string, said: Partial<Item> = {}): PlanEdit => ({
  kind: 'insert',
  item: newItem(slug, said),
  place: { at: 'end-of', section: sectionOf(plan, section) },
});
const allOf = (plan: ClassPlan, slug: string): readonly PlanEdit[] =>
  placedItems(plan).flatMap(({ item }) => (item.movement === slug ? [{ kind: 'remove', item: item.id }] : []));
const seconds = (length: number) => ({ kind: 'timed', seconds: length }) as const;
const hold = (length: number) => ({ kind: 'hold', sets: 1, holdSeconds: length, restSeconds: 0 }) as const;

type Planting = (plan: ClassPlan) => readonly PlanEdit[];
interface Mistake {
  readonly plan?: ClassPlan;
  readonly edits?: Planting;
  readonly said?: Partial<EvaluationContext>;
  readonly check: CheckId;
}

const mistakes: Readonly<Record<string, Mistake>> = {
  'a side is forgotten': {
    edits: (plan) => [{ kind: 'set-sides', item: idOf(plan, 'lever'), sides: 'left' }],
    check: 'one-sided',
  },
  'the second side gets less': {
    edits: (plan) => [
      { kind: 'set-sides', item: idOf(plan, 'lever'), sides: 'left' },
      put(plan, 'lever', 'skill', { sides: 'right', dose: hold(3) }),
    ],
    check: 'one-sided',
  },
  'out of the picture': {
    said: { room: { clearLengthM: 4, clearWidthM: 4, cameraDistanceM: 1.2, cameraHeightM: 1, viewAngleDegrees: 60 } },
    check: 'footprint',
  },
  'out of space at home': {
    edits: (plan) => [put(plan, 'bear-walk', 'drills', { tierByHand: { a: 'core' } })],
    said: { children: [child('a', { home: { ...home, clearLengthM: 1.2, clearWidthM: 1 } }), child('b')] },
    check: 'footprint',
  },
  'no cool-down': { edits: (plan) => [{ kind: 'remove-section', section: sectionOf(plan, 'cool-down') }], check: 'effort-shape' },
  'no drink': { edits: (plan) => allOf(plan, 'drink-break'), check: 'no-break' },
  'wrists one after another': {
    edits: (plan) => [
      put(plan, 'high-plank', 'strength', { dose: hold(50) }),
      put(plan, 'bear-walk', 'strength', { dose: seconds(120) }),
      put(plan, 'high-plank', 'strength', { dose: hold(50) }),
    ],
    check: 'wrist-time',
  },
  'wrists not warmed': { edits: (plan) => allOf(plan, 'wrist-wake-up'), check: 'unprepared-region' },
  'a back bend with nothing to undo it': {
    edits: (plan) => [{ kind: 'insert', item: newItem('bridge'), place: { at: 'before', item: idOf(plan, 'high-plank') } }],
    check: 'back-bend-not-undone',
  },
  'long static stretching before power work': {
    plan: martialArts,
    edits: (plan) => [
      {
        kind: 'insert',
        item: newItem('butterfly', { dose: hold(25) }),
        place: { at: 'before', item: idOf(plan, 'front-kick') },
      },
    ],
    said: { programme: 'martial-arts', stretchingSchool: 'dynamic-first' },
    check: 'static-before-power',
  },
  'jumps before the landing position': {
    edits: (plan) => [{ kind: 'insert', item: newItem('tuck-jump'), place: { at: 'before', item: idOf(plan, 'landing-position') } }],
    check: 'landings',
  },
  'the skill before its basics': {
    edits: (plan) => [{ kind: 'move', item: idOf(plan, 'landing-position'), place: { at: 'after', item: idOf(plan, 'straight-jump') } }],
    check: 'order',
  },
  'a handstand before anything is warm': {
    edits: (plan) => [put(plan, 'wall-handstand', 'opening')],
    check: 'cold-load',
  },
  'one version for all': {
    edits: (plan) => [{ kind: 'set-tiers', item: idOf(plan, 'lever'), tiers: ['easier'] }],
    check: 'one-for-all',
  },
  'what a child lacks at home': {
    edits: (plan) => [put(plan, 'l-support', 'strength', { tierByHand: { a: 'core', b: 'core' } })],
    check: 'equipment',
  },
  'tiles underfoot': {
    edits: (plan) => [put(plan, 'forward-roll', 'skill', { tierByHand: { a: 'core' } })],
    said: { children: [child('a', { home: { ...home, surface: 'tiles' } }), child('b')] },
    check: 'surface',
  },
  'it runs over': { edits: (plan) => [put(plan, 'boat-crew', 'drills', { dose: seconds(600) })], check: 'clock' },
  'no safety talk': { edits: (plan) => allOf(plan, 'safety-and-space-talk'), check: 'safety-talk' },
};

describe('a plan that nothing is wrong with', () => {
  it.each([
    ['gymnastics', gymnastics, {}],
    ['martial arts', martialArts, { programme: 'martial-arts', stretchingSchool: 'dynamic-first' }],
  ] as const)('of %s stays silent', (_name, plan, said) => {
    expect(evaluatePlan(plan, library, { ...context, ...said }).findings).toEqual([]);
  });

  it.each(Object.entries(mistakes))('and in which %s, does not', (_name, { plan = gymnastics, edits, said, check }) => {
    const planted = applyEdits(plan, edits?.(plan) ?? [], newId);
    if (!planted.ok) throw new Error(JSON.stringify(planted.error));
    const { findings } = evaluatePlan(planted.value, library, { ...context, ...said });
    expect(findings.map((finding) => finding.check)).toContain(check);
  });
});

it('all mistakes planted into one plan are found together', () => {
  const together = Object.entries(mistakes).filter(([, { plan }]) => plan === undefined);
  let current = gymnastics;
  for (const [, { edits }] of together) {
    // what one mistake takes away another cannot change: it is planted where it still fits
    const planted = applyEdits(current, edits?.(gymnastics) ?? [], newId);
    if (planted.ok) current = planted.value;
  }
  const tiles = { ...home, surface: 'tiles' as const, clearLengthM: 1.2, clearWidthM: 1 };
  const { findings } = evaluatePlan(current, library, {
    ...context,
    ...mistakes['out of the picture']?.said,
    children: [child('a', { home: tiles }), child('b')],
  });
  const missed = together.map(([, { check }]) => check).filter((check) => !findings.some((finding) => finding.check === check));
  expect(missed).toEqual([]);
});
