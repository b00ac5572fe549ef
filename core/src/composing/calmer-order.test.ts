import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aContext, aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';
import { calmerOrder } from './calmer-order.js';
import type { ClassPlan } from '../class-plan/class-plan.js';
import { applyEdits } from '../class-plan/edit.js';

const floor = { level: 'floor', view: { facing: 'side', framing: 'floor' } } as const;
const library = aLibrary(
  ...['s1', 's2', 's3'].map((slug) => aMovement(slug)),
  ...['f1', 'f2', 'f3'].map((slug) => aMovement(slug, floor)),
  aMovement('wrists', { prepares: ['wrists'] }),
  aMovement('plank', { ...floor, kind: 'strength', loads: [{ region: 'wrists', amount: 2 }] }),
);
const drills = (...slugs: readonly string[]): ClassPlan => aPlan({ drills: slugs.map((slug) => anItem(slug)) });
const calm = (plan: ClassPlan): ClassPlan => {
  const done = applyEdits(plan, calmerOrder(plan, library, aContext()).edits, () => '');
  if (!done.ok) throw new Error('moves that do not fit');
  return done.value;
};
const idsOf = (plan: ClassPlan): readonly string[] => plan.sections.flatMap(({ items }) => items.map(({ id }) => id));
const cost = (plan: ClassPlan): number => {
  return evaluated(plan, library).timeline.levelChanges;
};

describe('a calmer order', () => {
  it('puts together what is on the floor, as near to the order written as can be', () => {
    const plan = drills('s1', 'f1', 's2', 'f2');
    expect(idsOf(calm(plan))).toEqual(['s1', 's2', 'f1', 'f2']);
    expect(calmerOrder(plan, library, aContext())).toMatchObject({
      before: { levelChanges: 3 },
      after: { levelChanges: 1 },
    });
  });

  it('leaves what is calm, and what is empty', () => {
    expect(calmerOrder(drills('s1', 's2', 'f1'), library, aContext()).edits).toEqual([]);
    expect(calmerOrder(aPlan({}), library, aContext()).edits).toEqual([]);
  });

  it('keeps a preparation before what needs it, and a drink where it is', () => {
    // done before the floor is reached, it costs nothing; after the plank it would be too late
    expect(idsOf(calm(drills('f1', 'wrists', 'plank')))).toEqual(['wrists', 'f1', 'plank']);
    expect(idsOf(calm(drills('s1', 'f1', 'drink', 's2', 'f2'))).indexOf('drink')).toBe(2);
  });

  it('begins where the section before has left the class', () => {
    const plan = aPlan({ basics: [anItem('f1')], drills: [anItem('s1'), anItem('f2')] });
    expect(idsOf(calm(plan))).toEqual(['f1', 'f2', 's1']);
  });

  it('is as calm as the calmest of all orders of a section', () => {
    const orders = (list: readonly string[]): readonly (readonly string[])[] =>
      list.length < 2
        ? [list]
        : list.flatMap((one, index) => orders(list.filter((_other, at) => at !== index)).map((rest) => [one, ...rest]));
    fc.assert(
      fc.property(fc.shuffledSubarray(['s1', 's2', 's3', 'f1', 'f2', 'f3'], { minLength: 2, maxLength: 5 }), (slugs) => {
        const best = Math.min(...orders(slugs).map((order) => cost(drills(...order))));
        expect(cost(calm(drills(...slugs)))).toBe(best);
        expect(new Set(idsOf(calm(drills(...slugs))))).toEqual(new Set(slugs));
      }),
      { numRuns: 40 },
    );
  });

  it('leaves a section of more than ten items as it is', () => {
    const many = aPlan({ drills: Array.from({ length: 11 }, (_, index) => anItem(index % 2 === 0 ? 's1' : 'f1', { id: String(index) })) });
    expect(calmerOrder(many, library, aContext()).edits).toEqual([]);
  });
});
