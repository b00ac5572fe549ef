import { describe, expect, it } from 'vitest';
import { aLibrary, aMovement, anItem, aPlan } from '../testing/makers.js';
import { writtenPhrase } from '../testing/phrases.js';
import { placedItems } from '../class-plan/class-plan.js';
import { copyOf, stepFurther } from './step-further.js';

const library = aLibrary(
  aMovement('rock', { leadsTo: ['roll', 'dive'] }),
  aMovement('roll'),
  aMovement('dive'),
  aMovement('end', { leadsTo: [] }),
);
const last = {
  ...aPlan({ drills: [anItem('jog')], skill: [anItem('rock', { tierByHand: { kid: 'easier' } }), anItem('gone')] }),
  focus: ['rock', 'gone'],
};
const shown = [{ movement: 'rock', stage: null, mark: 'alone' as const }];
const notYet = [{ movement: 'rock', stage: null, mark: 'with-help' as const }];
let made = 0;
const newId = (): string => `n${String((made += 1))}`;
const movementsOf = (plan: typeof last): readonly string[] => placedItems(plan).map(({ item }) => item.movement);

describe('a class from an earlier one', () => {
  it('has ids of its own, and nothing that was set for single children or that the library lost', () => {
    const copy = copyOf(last, library, newId);
    expect(movementsOf(copy as typeof last)).toEqual(['jog', 'rock']);
    expect(placedItems(copy).every(({ item }) => item.tierByHand === undefined && item.familiarity === undefined)).toBe(true);
    expect(new Set([...placedItems(copy).map(({ item }) => item.id), 'jog', 'rock']).size).toBe(4);
    expect(copy.focus).toEqual(['rock']);
  });

  it('goes one step further with what most have shown', () => {
    const next = stepFurther(last, library, [shown, shown, notYet], '7-9', newId);
    expect(next.steps).toEqual([{ from: 'rock', to: 'roll' }]);
    expect(movementsOf(next.plan as typeof last)).toEqual(['jog', 'roll']);
    expect(next.plan.focus).toEqual(['roll']);
  });

  it('stays with what fewer have shown, with what leads nowhere, and where nobody comes', () => {
    expect(stepFurther(last, library, [shown, notYet], '7-9', newId).steps).toEqual([]);
    expect(
      stepFurther({ ...last, focus: ['end'] }, library, [[{ movement: 'end', stage: null, mark: 'clean' }]], '7-9', newId).steps,
    ).toEqual([]);
    expect(stepFurther(last, library, [], '7-9', newId).steps).toEqual([]);
  });

  it('takes the next step that the plan does not have', () => {
    const both = { ...last, sections: [...last.sections, { id: 'x', kind: 'skill' as const, items: [anItem('roll')] }] };
    expect(stepFurther(both, library, [shown], '7-9', newId).steps).toEqual([{ from: 'rock', to: 'dive' }]);
  });

  it('goes on with a phrase by one segment, until all are known', () => {
    const danced = aLibrary(aMovement('phrase', { phrase: writtenPhrase('# A\n1 R fwd\n# B\n5 L fwd\n# C\n1 R fwd') }));
    const of = (parts: { new: number[]; known: number[] }) => {
      const plan = { ...aPlan({ skill: [anItem('phrase', { dose: { kind: 'timed', seconds: 300 }, parts })] }), focus: [] };
      return placedItems(stepFurther(plan, danced, [], '7-9', newId).plan)[0]?.item.parts;
    };
    expect(of({ new: [1], known: [0] })).toEqual({ new: [2], known: [0, 1] });
    expect(of({ new: [2], known: [0, 1] })).toEqual({ new: [], known: [0, 1, 2] });
  });
});
