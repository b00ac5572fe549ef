import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aContext, aLibrary, aMovement, anItem, aPlan, evaluated, findingsOf, mended } from '../testing/makers.js';
import { landingsOf } from '../checks/landings.js';
import { secondsOf } from '../timing/item-time.js';
import { itemTotals } from '../timing/timeline.js';
import { stepsOf } from '../timing/step.js';
import { circuitFaultsIn, circuitText, rowsOf } from './circuit.js';
import type { CircuitKind, ClassPlan } from './class-plan.js';
import { applyEdit, applyEdits, stepItem, type PlanEdit } from './edit.js';
import { calmerOrder } from '../composing/calmer-order.js';
import { fitToClock } from '../composing/fit-to-clock.js';
import { copyOf } from '../composing/step-further.js';
import { planFromTemplate, templateOf } from './template.js';

const library = aLibrary(
  aMovement('squat', { kind: 'strength', effort: 3, loads: [{ region: 'quadriceps', amount: 1 }] }),
  aMovement('plank', { kind: 'strength', effort: 2, level: 'floor', hazards: ['weight-on-hands'] }),
  aMovement('jump', { kind: 'skill', effort: 4, sides: 'each', hazards: ['hard-landing'] }),
);
const work = { kind: 'reps', sets: 1, reps: 10, secondsPerRep: 3, restSeconds: 0 } as const;
const plan = aPlan({
  'warm-up': [anItem('jog')],
  strength: ['squat', 'plank', 'jump'].map((movement) => anItem(movement, { dose: work })),
  'cool-down': [anItem('breathe')],
});

let count = 0;
const newId = (): string => `new-${String(++count)}`;
const after = (some: ClassPlan, ...edits: readonly PlanEdit[]): ClassPlan => {
  const done = applyEdits(some, edits, newId);
  if (!done.ok) throw new Error(JSON.stringify(done.error));
  return done.value;
};
const circuited = after(plan, { kind: 'make-circuit', items: ['squat', 'plank', 'jump'], rounds: 3, restSeconds: 30 });
const shape = (some: ClassPlan): string =>
  rowsOf(some)
    .map(({ circuit, items }) => `${items.map(({ id }) => id).join(' ')}${circuit ? ` ×${String(circuit.rounds)}` : ''}`)
    .join(' | ');

describe('a circuit', () => {
  it('is gone round as often as it says, with the rest between two rounds, and explained once', () => {
    const { items } = evaluated(circuited, library).timeline;
    expect(items.map(({ item, round }) => `${item.id} ${String(round)}`)).toEqual([
      'jog 1',
      ...[1, 2, 3].flatMap((round) => ['squat', 'plank', 'jump'].map((id) => `${id} ${String(round)}`)),
      'breathe 1',
    ]);
    const squats = items.filter(({ item }) => item.id === 'squat');
    expect(squats.map(({ parts }) => parts.explain > 0)).toEqual([true, false, false]);
    // what all know goes straight on; between two rounds they rest
    expect(squats.map(({ parts }) => parts.goTo)).toEqual([0, 30, 30]);
    for (const timed of items) expect(stepsOf(timed).reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(timed.seconds, 6);
    expect(squats.slice(1).map((timed) => stepsOf(timed).map(({ kind }) => kind))).toEqual(Array(2).fill(['rest', 'reps']));
  });

  it('takes what its rounds take together', () => {
    const { timeline } = evaluated(circuited, library);
    const sum = [...itemTotals(timeline.items).values()].reduce((all, { seconds }) => all + seconds, 0);
    expect(sum).toBeCloseTo(timeline.totalSeconds, 6);
    expect(itemTotals(timeline.items).get('squat')?.parts.work).toBeCloseTo(90, 6);
  });

  it('counts landings in all rounds, and says each thing once', () => {
    const jumps = { kind: 'set-dose', item: 'jump', dose: { ...work, reps: 25 } } as const;
    expect(findingsOf('landings', after(plan, jumps), library)).toEqual([]);
    const [finding, ...more] = findingsOf('landings', after(circuited, jumps), library);
    expect(finding).toMatchObject({ fact: { landings: 75, most: 60 }, itemIds: ['jump'] });
    expect(more).toEqual([]);
    expect(findingsOf('cold-load', after(circuited, { kind: 'remove', item: 'jog' }), library).map(({ itemIds }) => itemIds)).toEqual([
      ['jump'],
    ]);
  });

  it('takes a rest of half a minute between rounds as a rest', () => {
    const long = after(
      circuited,
      ...['squat', 'plank', 'jump'].map((item) => ({ kind: 'set-dose', item, dose: { kind: 'timed', seconds: 95 } }) as const),
    );
    const circuit = long.circuits?.[0]?.id ?? '';
    expect(findingsOf('no-break', long, library)).toEqual([]);
    expect(findingsOf('no-break', after(long, { kind: 'set-circuit', circuit, rounds: 3, restSeconds: 29 }), library)).toHaveLength(1);
  });

  it('takes in what is put between two stations, and lets go what is taken out at its edge', () => {
    expect(shape(circuited)).toBe('jog | squat plank jump ×3 | breathe');
    const inside = after(circuited, { kind: 'move', item: 'jog', place: { at: 'before', item: 'plank' } });
    expect(shape(inside)).toBe('squat jog plank jump ×3 | breathe');
    const down = stepItem(circuited, 'jump', 'down');
    expect(down && shape(after(circuited, down))).toBe('jog | squat plank ×3 | jump | breathe');
    expect(shape(after(circuited, { kind: 'double', item: 'jump' }))).toMatch(/^jog \| squat plank jump new-\d+ ×3 \| breathe$/);
  });

  it('is gone when nobody is in it any more, and its stations are single again when it is taken apart', () => {
    const gone = after(circuited, ...['squat', 'plank', 'jump'].map((item) => ({ kind: 'remove', item }) as const));
    expect(gone.circuits).toBeUndefined();
    expect(after(circuited, { kind: 'break-circuit', circuit: circuited.circuits?.[0]?.id ?? '' })).toEqual(plan);
  });

  it.each([
    [{ kind: 'make-circuit', items: ['squat', 'jump'], rounds: 2, restSeconds: 0 }, 'not-in-a-row'],
    [{ kind: 'make-circuit', items: ['jog', 'squat'], rounds: 2, restSeconds: 0 }, 'not-in-a-row'],
    [{ kind: 'make-circuit', items: [], rounds: 2, restSeconds: 0 }, 'not-in-a-row'],
    [{ kind: 'make-circuit', items: ['squat', 'nobody'], rounds: 2, restSeconds: 0 }, 'item-missing'],
    [{ kind: 'make-circuit', items: ['squat', 'plank'], rounds: 11, restSeconds: 0 }, 'circuit-out-of-range'],
    [{ kind: 'make-circuit', items: ['squat', 'plank'], rounds: 1.5, restSeconds: 0 }, 'circuit-out-of-range'],
    [{ kind: 'make-circuit', items: ['squat', 'plank'], rounds: 2, restSeconds: -1 }, 'circuit-out-of-range'],
    [{ kind: 'set-circuit', circuit: 'none', rounds: 2, restSeconds: 0 }, 'circuit-missing'],
    [{ kind: 'break-circuit', circuit: 'none' }, 'circuit-missing'],
  ] as const)('is refused where it makes none: %j', (edit, kind) => {
    expect(applyEdit(plan, edit, newId)).toMatchObject({ ok: false, error: { kind } });
  });

  it('stays whole whatever is done to the plan', () => {
    const ids = ['jog', 'squat', 'plank', 'jump', 'breathe'];
    const anyId = fc.constantFrom(...ids);
    const anyEdit: fc.Arbitrary<PlanEdit> = fc.oneof(
      fc.record({
        kind: fc.constant('move' as const),
        item: anyId,
        place: fc.record({ at: fc.constantFrom('before' as const, 'after' as const), item: anyId }),
      }),
      fc.record({ kind: fc.constant('remove' as const), item: anyId }),
      fc.record({ kind: fc.constant('double' as const), item: anyId }),
      fc.record({
        kind: fc.constant('make-circuit' as const),
        items: fc.subarray(ids, { minLength: 1 }),
        rounds: fc.constant(2),
        restSeconds: fc.constant(10),
      }),
      fc.record({
        kind: fc.constant('move-section' as const),
        section: fc.constantFrom('warm-up', 'strength'),
        direction: fc.constantFrom('up' as const, 'down' as const),
      }),
    );
    fc.assert(
      fc.property(fc.array(anyEdit, { maxLength: 12 }), (edits) => {
        let current = circuited;
        for (const edit of edits) {
          const next = applyEdit(current, edit, newId);
          if (next.ok) current = next.value;
        }
        expect(circuitFaultsIn(current)).toEqual([]);
        const inUse = new Set(current.sections.flatMap(({ items }) => items.flatMap(({ circuit }) => circuit ?? [])));
        expect([...inUse].sort()).toEqual((current.circuits ?? []).map(({ id }) => id).sort());
      }),
    );
  });

  it('is gone round less often where the class runs over, and never less than half', () => {
    const { totalSeconds, items } = evaluated(circuited, library).timeline;
    const lastRound = items.filter(({ round }) => round === 3).reduce((sum, { seconds }) => sum + seconds, 0);
    const fit = fitToClock(circuited, library, aContext({ slotMinutes: (totalSeconds - lastRound + 1) / 60 }));
    expect(fit.steps).toMatchObject([{ item: 'squat', edit: { kind: 'set-circuit', rounds: 2 } }]);
    expect(fit.totalSeconds).toBeCloseTo(totalSeconds - lastRound, 6);
  });

  it('keeps its order when a calmer one is looked for', () => {
    expect(calmerOrder(circuited, library, aContext()).edits).toEqual([]);
  });

  it('goes along with a copy and a template, under an id of its own', () => {
    const copy = copyOf(circuited, library, newId);
    expect(copy.circuits).toMatchObject([{ rounds: 3, restSeconds: 30 }]);
    expect(copy.circuits?.[0]?.id).not.toBe(circuited.circuits?.[0]?.id);
    expect(circuitFaultsIn(copy)).toEqual([]);
    const template = templateOf(circuited, { slug: 'own', name: 'Own', programme: 'gymnastics', lengthMinutes: 45, ageBand: '7-9' });
    const again = planFromTemplate(template, library, newId);
    expect(again.ok && rowsOf(again.value).map(({ circuit }) => circuit?.rounds ?? 1)).toEqual([1, 3, 1]);
  });

  it('from a file is looked at: named but not there, torn apart, twice', () => {
    const [warm, strength] = plan.sections;
    if (!warm || !strength) throw new Error('the plan has three sections');
    const stations = (...circuits: readonly (string | null)[]): ClassPlan => ({
      ...plan,
      circuits: [{ id: 'c', rounds: 2, restSeconds: 0 }],
      sections: [
        {
          ...strength,
          items: strength.items.map((item, index) => ({ ...item, ...(circuits[index] ? { circuit: circuits[index] } : {}) })),
        },
      ],
    });
    expect(circuitFaultsIn(stations('c', 'c', null))).toEqual([]);
    expect(circuitFaultsIn(stations('c', null, 'c'))).toEqual([{ kind: 'circuit-torn', item: 'jump', circuit: 'c' }]);
    expect(circuitFaultsIn(stations('x', null, null))).toEqual([{ kind: 'circuit-unknown', item: 'squat', circuit: 'x' }]);
    const twice = {
      ...plan,
      circuits: [
        { id: 'c', rounds: 2, restSeconds: 0 },
        { id: 'c', rounds: 3, restSeconds: 0 },
      ],
    };
    expect(circuitFaultsIn(twice)).toEqual([{ kind: 'circuit-twice', circuit: 'c' }]);
  });
});

describe('a relief for the wrists inside a circuit', () => {
  it('becomes a station, so that every round has it', () => {
    const own = aLibrary(
      aMovement('plank', { kind: 'strength', effort: 2, hazards: ['weight-on-hands'] }),
      aMovement('bear', { kind: 'strength', effort: 2, hazards: ['weight-on-hands'] }),
      aMovement('shake', { kind: 'mobiliser', prepares: ['wrists'], sections: ['strength'] }),
    );
    const hold = { kind: 'timed', seconds: 60 } as const;
    const some = after(aPlan({ strength: [anItem('plank', { dose: hold }), anItem('bear', { dose: hold })] }), {
      kind: 'make-circuit',
      items: ['plank', 'bear'],
      rounds: 2,
      restSeconds: 30,
    });
    const [finding] = findingsOf('wrist-time', some, own);
    expect(shape(mended(some, finding))).toBe('plank mend-1 bear ×2');
  });
});

describe('a chain', () => {
  const own = aLibrary(
    ...['kick', 'turn', 'pose'].map((slug) => aMovement(slug, { kind: 'skill', sides: slug === 'pose' ? 'none' : 'each', effort: 2 })),
  );
  const dose = { kind: 'reps', sets: 1, reps: 4, secondsPerRep: 5, restSeconds: 0 } as const;
  const item = (slug: string) => anItem(slug, { sides: slug === 'pose' ? 'none' : 'both', dose, circuit: 'c' });
  const chained = (rounds: number): ClassPlan => ({
    ...aPlan({ skill: ['kick', 'turn', 'pose'].map(item) }),
    circuits: [{ id: 'c', kind: 'chain', rounds, restSeconds: 20 }],
  });

  it('does all on the left, changes sides once, and does all on the right', () => {
    const { items, totalSeconds } = evaluated(chained(1), own).timeline;
    expect(items.map(({ item: { id }, sides }) => `${id} ${sides}`)).toEqual([
      'kick left',
      'turn left',
      'pose none',
      'kick right',
      'turn right',
      'pose none',
    ]);
    expect(items.map(({ parts }) => parts.sideChange)).toEqual([0, 0, 0, 3, 0, 0]);
    expect(items.every(({ parts }) => parts.work === 20)).toBe(true);
    // the same items one by one change sides one by one
    const single = evaluated(aPlan({ skill: ['kick', 'turn'].map((slug) => anItem(slug, { sides: 'both', dose })) }), own).timeline;
    expect(single.items.map(({ parts }) => parts.sideChange)).toEqual([3, 3]);
    expect(totalSeconds).toBeCloseTo(
      items.reduce((sum, { parts }) => sum + secondsOf(parts), 0),
      6,
    );
    for (const timed of items) expect(stepsOf(timed).reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(timed.seconds, 6);
    expect(stepsOf(items[3] ?? fail()).map((step) => [step.kind, 'side' in step ? step.side : null])).toContainEqual([
      'change-side',
      'right',
    ]);
  });

  it('done twice rests before it begins again on the left', () => {
    const { items } = evaluated(chained(2), own).timeline;
    expect(items.map(({ roundRestSeconds }) => roundRestSeconds)).toEqual([0, 0, 0, 0, 0, 0, 20, 0, 0, 0, 0, 0]);
    expect(items.filter(({ item: { id } }) => id === 'kick').map(({ sides }) => sides)).toEqual(['left', 'right', 'left', 'right']);
  });

  it('lets no side be forgotten: the check of sides has nothing to say', () => {
    expect(evaluated(chained(1), own).findings.filter(({ check }) => check === 'one-sided')).toEqual([]);
  });
});

describe('a block that is put in as one', () => {
  it('stands where it is wanted, its items in their order, and is taken back as one', () => {
    const items = ['squat', 'jump'].map((movement) => ({ movement, dose: work, sides: 'none' as const, tiers: ['core' as const] }));
    const edit: PlanEdit = { kind: 'insert-block', items, place: { at: 'after', item: 'squat' }, of: 'chain', rounds: 1, restSeconds: 0 };
    const done = after(plan, edit);
    expect(done.sections[1]?.items.map(({ movement }) => movement)).toEqual(['squat', 'squat', 'jump', 'plank', 'jump']);
    expect(done.circuits).toEqual([{ id: expect.any(String) as unknown, kind: 'chain', rounds: 1, restSeconds: 0 }]);
    expect(circuitFaultsIn(done)).toEqual([]);
    const refusedEdit = applyEdit(plan, { ...edit, place: { at: 'after', item: 'nobody' } }, newId);
    expect(refusedEdit.ok).toBe(false);
  });
});

describe('a pair', () => {
  const own = aLibrary(aMovement('jump', { kind: 'drill', effort: 3, hazards: ['hard-landing'] }));
  const dose = { kind: 'reps', sets: 1, reps: 10, secondsPerRep: 3, restSeconds: 0 } as const;
  const plan: ClassPlan = {
    ...aPlan({ drills: [anItem('jump', { dose, circuit: 'c' })] }),
    circuits: [{ id: 'c', kind: 'pair', rounds: 1, restSeconds: 15 }],
  };

  it('takes twice the work, and each child does it once', () => {
    const { items } = evaluated(plan, own).timeline;
    expect(items.map(({ parts }) => parts.work)).toEqual([30, 30]);
    expect(items.map(({ roundRestSeconds }) => roundRestSeconds)).toEqual([0, 15]);
    expect(items.reduce((sum, { movingSeconds }) => sum + movingSeconds, 0)).toBe(30);
    expect(items.reduce((sum, timed) => sum + landingsOf(timed), 0)).toBe(10);
  });

  it('is made of a circuit and becomes one again', () => {
    const edit = { kind: 'set-circuit', circuit: 'c', rounds: 2, restSeconds: 15 } as const;
    const kindAfter = (of: CircuitKind) => {
      const done = applyEdit(plan, { ...edit, of }, () => '');
      return done.ok && done.value.circuits?.[0]?.kind;
    };
    expect([kindAfter('chain'), kindAfter('pair'), kindAfter('circuit')]).toEqual(['chain', 'pair', undefined]);
  });
});

it.each([
  [{ rounds: 3, restSeconds: 30 }, 'circuit, 3 rounds, 30 s rest between'],
  [{ rounds: 1, restSeconds: 30 }, 'circuit, 1 round'],
  [{ kind: 'chain', rounds: 1, restSeconds: 30 }, 'chain, left then right'],
  [{ kind: 'chain', rounds: 2, restSeconds: 20 }, 'chain, left then right, 2 times, 20 s rest between'],
  [{ kind: 'pair', rounds: 1, restSeconds: 15 }, 'pair, one then the other, 15 s rest between'],
] as const)('%j reads “%s”', (block, text) => {
  expect(circuitText(block)).toBe(text);
});

function fail(): never {
  throw new Error('there is no such item');
}
