import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyEdits } from '../class-plan/edit.js';
import type { ClassPlan, Item } from '../class-plan/class-plan.js';
import { aContext, aLibrary, aMovement, anItem, aPlan } from '../testing/makers.js';
import { evaluatePlan } from './evaluation.js';
import { triedMend, withTriedMends } from './tried-mends.js';

const library = aLibrary(
  aMovement('landing-position', { kind: 'basic', effort: 2 }),
  aMovement('drop', { kind: 'skill', effort: 4, hazards: ['hard-landing'], loads: [{ region: 'knees', amount: 2 }] }),
  aMovement('bridge', {
    kind: 'skill',
    level: 'floor',
    hazards: ['back-bend', 'weight-on-hands'],
    undoneBy: ['tuck'],
    loads: [{ region: 'wrists', amount: 2 }],
  }),
  aMovement('tuck', { level: 'floor' }),
  aMovement('kick', { kind: 'drill', effort: 3, sides: 'each', loads: [{ region: 'hips', amount: 2 }] }),
  aMovement('loosen', { prepares: ['hips', 'wrists', 'knees'], level: 'either' }),
  aMovement('bye', { kind: 'ritual', sections: ['closing'], effort: 0, level: 'either' }),
  aMovement('home', { kind: 'talk', sections: ['closing'], effort: 0, level: 'either' }),
);
// so short a class has no shape of effort
const context = aContext({ slotMinutes: 12 });
const timed = (movement: string, seconds: number, said: Partial<Item> = {}): Item =>
  anItem(movement, { dose: { kind: 'timed', seconds }, ...said });

function tried(plan: ClassPlan, check: string) {
  const evaluation = evaluatePlan(plan, library, context);
  const finding = evaluation.findings.find((one) => one.check === check);
  if (!finding) throw new Error(`no ${check}`);
  return triedMend(plan, library, context, evaluation, finding);
}

describe('a mend that is tried', () => {
  it('holds where it mends and makes nothing else, and says what it adds', () => {
    const plan = aPlan({ 'warm-up': [timed('jog', 90)], skill: [timed('bridge', 10), timed('jog', 30, { id: 'j' })] });
    expect(tried(plan, 'unprepared-region')).toMatchObject({ edits: [{ kind: 'insert', item: { movement: 'loosen' } }] });
    expect(tried(plan, 'unprepared-region')?.addsSeconds).toBeGreaterThan(60);
  });

  it('takes along the mend of what it would make: a talk that makes a class too long without a drink comes with one', () => {
    const plan = aPlan({
      'warm-up': Array.from({ length: 19 }, (_, index) => timed(index % 2 === 0 ? 'jog' : 'loosen', 58, { id: `j${String(index)}` })),
      closing: [timed('bye', 20), timed('home', 20)],
    });
    const talk = tried(plan, 'safety-talk');
    expect(talk?.edits.map((edit) => (edit.kind === 'insert' ? edit.item.movement : edit.kind))).toEqual(['talk', 'drink']);
  });

  it('does not hold where it makes what nothing mends', () => {
    // three minutes of listening stand before the kick itself: moving before it does not help
    const plan = aPlan({ 'warm-up': [timed('jog', 90)], skill: [timed('drop', 10, { explainSeconds: 200 })] });
    expect(tried(plan, 'cooled-off')).toBeNull();
    const evaluation = evaluatePlan(plan, library, context);
    const left = withTriedMends(plan, library, context, evaluation).findings.filter(({ mend }) => mend !== null);
    expect(left.map(({ check }) => check)).not.toContain('cooled-off');
  });
});

it('of any plan each mend that is left takes away, or lessens, what it mends and makes nothing new', () => {
  const item = fc
    .record({
      movement: fc.constantFrom('jog', 'drop', 'bridge', 'tuck', 'kick', 'loosen', 'stretch', 'drink', 'landing-position'),
      seconds: fc.integer({ min: 10, max: 240 }),
      sides: fc.constantFrom('both', 'left'),
    })
    .map(({ movement, seconds, sides }) => timed(movement, seconds, { sides: movement === 'kick' ? sides : 'none' }));
  const plans = fc
    .array(item, { minLength: 3, maxLength: 12 })
    .map((items) => aPlan({ drills: items.map((one, index) => ({ ...one, id: `i${String(index)}` })), closing: [timed('bye', 20)] }));
  fc.assert(
    fc.property(plans, (plan) => {
      const evaluation = withTriedMends(plan, library, context, evaluatePlan(plan, library, context));
      for (const finding of evaluation.findings) {
        if (!finding.mend) continue;
        let count = 0;
        const mended = applyEdits(plan, finding.mend, () => `new-${String((count += 1))}`);
        if (!mended.ok) throw new Error('it does not fit');
        const after = evaluatePlan(mended.value, library, context).findings;
        const amount = (findings: typeof after, check: string): number =>
          findings.filter((one) => one.check === check).reduce((sum, { itemIds }) => sum + 1 + itemIds.length, 0);
        const before = new Set(evaluation.findings.map(({ check }) => check));
        expect(after.map(({ check }) => check).filter((check) => check !== 'clock' && !before.has(check))).toEqual([]);
        expect(amount(after, finding.check)).toBeLessThanOrEqual(amount(evaluation.findings, finding.check));
      }
    }),
    { numRuns: 150 },
  );
});
