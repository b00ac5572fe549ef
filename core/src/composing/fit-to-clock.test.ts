import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Dose } from '../movement/dose.js';
import { activeSecondsOf, stepDose } from '../movement/dose.js';
import { aContext, aLibrary, aMovement, anItem, aPlan, evaluated } from '../testing/makers.js';
import { timelineOf } from '../timing/timeline.js';
import { placedItems, type ClassPlan, type Item } from '../class-plan/class-plan.js';
import { applyEdits, type PlanEdit } from '../class-plan/edit.js';
import { fitSettings } from './fit-settings.js';
import { fitToClock } from './fit-to-clock.js';

const library = aLibrary(
  aMovement('game', { kind: 'game', level: 'standing' }),
  aMovement('drill', { kind: 'drill', level: 'floor', view: { facing: 'side', framing: 'floor' } }),
  aMovement('skill', { kind: 'skill', level: 'standing' }),
  aMovement('down', { kind: 'static-stretch', level: 'floor', sections: ['cool-down'] }),
  aMovement('wrist-shake', { kind: 'mobiliser', prepares: ['wrists'], effort: 1 }),
  aMovement('plank', { kind: 'strength', loads: [{ region: 'wrists', amount: 2 }], effort: 2 }),
);
const reps = (count: number): Dose => ({ kind: 'reps', sets: 1, reps: count, secondsPerRep: 10, restSeconds: 0 });
const one = (movement: string, id: string, count: number, said: Partial<Item> = {}): Item =>
  anItem(movement, { id, dose: reps(count), ...said });
const secondsOf = (plan: ClassPlan): number => timelineOf(plan, library, { ...aContext(), meanAgeYears: 9 }).totalSeconds;
const taken = (plan: ClassPlan, edits: readonly PlanEdit[]): ClassPlan => {
  const done = applyEdits(plan, edits, () => '');
  if (!done.ok) throw new Error('edits that do not fit');
  return done.value;
};
const fitted = (plan: ClassPlan, seconds: number) => fitToClock(plan, library, aContext({ slotMinutes: seconds / 60 }));

/** Every choice there is: an item as it is, trimmed a step or two to half its dose, or left out. */
function exhaustive(plan: ClassPlan, slot: number): number {
  const choices = placedItems(plan).map(({ item, section }) => {
    const kind = library.get(item.movement)?.kind ?? 'game';
    if (section.kind === 'cool-down') return [{ edits: [] as PlanEdit[], cost: 0 }];
    const worth = fitSettings.worthOfMinute[kind] * (plan.focus.includes(item.movement) ? fitSettings.focusTimes : 1);
    const options = [{ edits: [] as PlanEdit[], cost: 0 }];
    let dose = item.dose;
    for (let step = 0; step < fitSettings.mostSteps; step += 1) {
      dose = stepDose(dose, 'less');
      if (activeSecondsOf(dose) < fitSettings.leastShare * activeSecondsOf(item.dose)) break;
      const lost = (activeSecondsOf(item.dose) - activeSecondsOf(dose)) / 60;
      options.push({ edits: [{ kind: 'set-dose', item: item.id, dose }], cost: worth * lost + fitSettings.eachEdit });
    }
    if (!plan.focus.includes(item.movement))
      options.push({
        edits: [{ kind: 'remove', item: item.id }],
        cost: (worth * activeSecondsOf(item.dose)) / 60 + fitSettings.leavingOut + fitSettings.eachEdit,
      });
    return options;
  });
  let best = Infinity;
  const walk = (index: number, edits: readonly PlanEdit[], cost: number): void => {
    if (cost >= best) return;
    const here = choices[index];
    if (here) for (const choice of here) walk(index + 1, [...edits, ...choice.edits], cost + choice.cost);
    else if (secondsOf(taken(plan, edits)) <= slot + 0.5) best = cost;
  };
  walk(0, [], 0);
  return best;
}

describe('fit to the clock', () => {
  const plan = aPlan({
    combination: [one('game', 'g', 6)],
    drills: [one('drill', 'd', 6)],
    skill: [one('skill', 's', 6)],
    'cool-down': [one('down', 'c', 6)],
  });

  it('leaves a plan that fits, and says so', () => {
    expect(fitted(plan, Math.ceil(secondsOf(plan)))).toMatchObject({ kind: 'fits', steps: [], cost: 0 });
  });

  it('trims what is worth least first, and ends on time', () => {
    const slot = secondsOf(plan) - 10;
    const fit = fitted(plan, slot);
    expect(fit).toMatchObject({ kind: 'shorten', steps: [{ item: 'g', edit: { kind: 'set-dose' } }] });
    const after = taken(
      plan,
      fit.steps.map(({ edit }) => edit),
    );
    expect(secondsOf(after)).toBeLessThanOrEqual(slot + 0.5);
    expect(secondsOf(after)).toBeCloseTo(fit.totalSeconds, 6);
  });

  it('costs no more than the best of all choices there are', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('game', 'drill', 'skill'), fc.integer({ min: 2, max: 7 })), { minLength: 2, maxLength: 4 }),
        fc.integer({ min: 5, max: 160 }),
        fc.boolean(),
        (items, over, hasFocus) => {
          const some: ClassPlan = {
            ...aPlan({ skill: items.map(([movement, count], index) => one(movement, `i${String(index)}`, count)) }),
            focus: hasFocus ? ['skill'] : [],
          };
          const slot = Math.max(30, secondsOf(some) - over);
          const best = exhaustive(some, slot);
          const fit = fitted(some, slot);
          if (best === Infinity) expect(fit.kind).toBe('cannot');
          else if (best > 0) expect(fit.cost).toBeCloseTo(best, 6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('tells what the group knows while doing it, and halves a long explanation, before it cuts the skill', () => {
    const known = aPlan({ skill: [one('skill', 's', 12, { familiarity: 'known' }), one('drill', 'd', 12, { explainSeconds: 120 })] });
    const fit = fitted(known, secondsOf(known) - 5);
    expect(fit.steps).toMatchObject([{ item: 's', edit: { kind: 'set-teaching', teaching: { way: 'follow' } } }]);
    const long = fitted(known, secondsOf(known) - 60);
    expect(long.steps).toMatchObject([{ item: 'd', edit: { kind: 'set-teaching', teaching: { explainSeconds: 60 } } }]);
    // what is new is explained as it is
    const fresh = aPlan({ skill: [one('skill', 's', 12, { familiarity: 'new' })] });
    expect(fitted(fresh, secondsOf(fresh) - 5).steps).toMatchObject([{ edit: { kind: 'set-dose' } }]);
  });

  it('never touches the cool-down, never leaves one side only', () => {
    const sided = aPlan({ skill: [one('skill', 's', 6, { sides: 'both' })], 'cool-down': [one('down', 'c', 12)] });
    const fit = fitted(sided, secondsOf(sided) - 40);
    expect(fit.steps.map(({ item, edit }) => `${item} ${edit.kind}`)).toEqual(['s set-dose']);
    expect(fitted(sided, 60)).toMatchObject({ kind: 'cannot', steps: [] });
  });

  it('never leaves out a preparation that something later needs', () => {
    const needs = aPlan({
      'warm-up': [one('game', 'g', 3), anItem('jog', { dose: { kind: 'timed', seconds: 150 } })],
      mobilise: [one('wrist-shake', 'w', 2)],
      strength: [one('plank', 'p', 8)],
    });
    for (const over of [30, 60, 90, 120]) {
      const fit = fitted(needs, secondsOf(needs) - over);
      const after = taken(
        needs,
        fit.steps.map(({ edit }) => edit),
      );
      const ids = placedItems(after).map(({ item }) => item.id);
      if (ids.includes('p')) expect(ids).toContain('w');
      expect(evaluated(after, library).findings.filter(({ check }) => check === 'unprepared-region' || check === 'cold-load')).toEqual([]);
    }
  });

  it('explains what the record says is known as such, before anything is lost', () => {
    const overruled = aPlan({ skill: [one('skill', 's', 6, { familiarity: 'new' })] });
    const exposures = new Map([['skill', { shareInLastTwoClasses: 1, shareInLastEightWeeks: 1 }]]);
    const slot = timelineOf(overruled, library, { ...aContext(), meanAgeYears: 9 }).totalSeconds - 15;
    const fit = fitToClock(overruled, library, aContext({ slotMinutes: slot / 60, exposures }));
    expect(fit.steps).toMatchObject([{ edit: { kind: 'set-familiarity', familiarity: 'from-record' } }]);
  });

  it('gives time left over to what is practised', () => {
    const fit = fitted(plan, secondsOf(plan) + 300);
    expect(fit.kind).toBe('lengthen');
    expect(fit.steps[0]?.savesSeconds).toBeLessThan(0);
    expect(fit.totalSeconds).toBeLessThanOrEqual(secondsOf(plan) + 300);
  });

  it('answers for an empty plan', () => {
    expect(fitted(aPlan({}), 600)).toMatchObject({ kind: 'fits', steps: [], totalSeconds: 0 });
  });
});
