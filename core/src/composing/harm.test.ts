import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkIds, type CheckId } from '../checks/all-checks.js';
import { aLibrary, aMovement, anItem, aPlan, aContext } from '../testing/makers.js';
import { calmerOrder } from './calmer-order.js';
import { fillSlot } from './fill-slot.js';
import { fitToClock } from './fit-to-clock.js';
import type { ClassPlan } from '../class-plan/class-plan.js';
import { applyEdits, type PlanEdit } from '../class-plan/edit.js';
import type { EvaluationContext } from './evaluation.js';
import { harmOf, isNoWorse, type Harm } from './harm.js';

const harm = (counts: Partial<Record<CheckId, readonly [stops: number, cautions: number]>>): Harm =>
  new Map(checkIds.flatMap((id) => (counts[id] ? [[id, { stops: counts[id][0], cautions: counts[id][1] }] as const] : [])));

describe('isNoWorse', () => {
  it('lets no stop be paid for with a caution, neither of the same check nor of another', () => {
    expect(isNoWorse(harm({ landings: [0, 2] }), harm({ landings: [1, 0] }))).toBe(false);
    expect(isNoWorse(harm({ 'no-break': [0, 1], landings: [0, 1] }), harm({ 'cold-load': [1, 0] }))).toBe(false);
    expect(isNoWorse(harm({ 'no-break': [0, 2] }), harm({ landings: [0, 1] }))).toBe(false);
  });

  it('lets a stop become a caution', () => {
    expect(isNoWorse(harm({ 'cold-load': [1, 0] }), harm({ 'cold-load': [0, 1] }))).toBe(true);
    expect(isNoWorse(harm({ 'cold-load': [1, 0] }), harm({ 'cold-load': [0, 2] }))).toBe(false);
  });

  it('is an order: a plan is no worse than itself, and what is no worse than what is no worse is no worse', () => {
    const count = fc.nat({ max: 2 });
    const any = fc.record({ landings: fc.tuple(count, count), 'no-break': fc.tuple(count, count) }).map((counts) => harm(counts));
    fc.assert(
      fc.property(any, any, any, (a, b, c) => {
        expect(isNoWorse(a, a)).toBe(true);
        if (isNoWorse(a, b) && isNoWorse(b, c)) expect(isNoWorse(a, c)).toBe(true);
      }),
    );
  });
});

describe('what is proposed', () => {
  const library = aLibrary(
    aMovement('leap', { kind: 'skill', hazards: ['hard-landing'], effort: 3 }),
    aMovement('plank', {
      kind: 'strength',
      level: 'floor',
      effort: 3,
      loads: [{ region: 'wrists', amount: 2 }],
      hazards: ['weight-on-hands'],
    }),
    aMovement('wrists', { kind: 'mobiliser', prepares: ['wrists'], effort: 1 }),
    aMovement('bridge', { kind: 'skill', level: 'floor', hazards: ['back-bend'], undoneBy: ['curl'] }),
    aMovement('curl', { kind: 'static-stretch', level: 'floor', effort: 1 }),
    aMovement('play', { kind: 'game', effort: 2 }),
  );
  const item = fc.tuple(
    fc.constantFrom('jog', 'drink', 'leap', 'plank', 'wrists', 'bridge', 'curl', 'play', 'stretch', 'talk'),
    fc.integer({ min: 1, max: 12 }).map((steps) => steps * 20),
  );
  const section = fc.array(item, { minLength: 1, maxLength: 5 });
  const plan = fc.tuple(section, section, section).map((sections): ClassPlan => {
    const [warm = [], skill = [], calm = []] = sections.map((items, at) =>
      items.map(([movement, seconds], index) =>
        anItem(movement, { id: `${String(at)}-${String(index)}`, dose: { kind: 'timed', seconds } }),
      ),
    );
    return aPlan({ 'warm-up': warm, skill, 'cool-down': calm });
  });

  it.each([
    [
      'fit to the clock',
      (written: ClassPlan, context: EvaluationContext) =>
        taken(
          written,
          fitToClock(written, library, context).steps.map(({ edit }) => edit),
        ),
    ],
    ['a calmer order', (written: ClassPlan, context: EvaluationContext) => taken(written, calmerOrder(written, library, context).edits)],
    ['a full slot', (written: ClassPlan, context: EvaluationContext) => fillSlot(written, library, context)],
  ])('%s never does harm to a class', (_, proposed) => {
    fc.assert(
      fc.property(plan, fc.constantFrom(8, 12, 20, 45), fc.constantFrom(5, 8, 12), (written, slotMinutes, years) => {
        const context = aContext({ slotMinutes, agesYears: [years] });
        expect(isNoWorse(harmOf(written, library, context), harmOf(proposed(written, context), library, context))).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

function taken(plan: ClassPlan, edits: readonly PlanEdit[]): ClassPlan {
  const after = applyEdits(plan, edits, () => '');
  if (!after.ok) throw new Error('edits that do not fit');
  return after.value;
}
