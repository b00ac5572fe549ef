import { expect, it } from 'vitest';
import type { ClassPlan } from '../class-plan/class-plan.js';
import { aLibrary, aMovement, anItem, aPlan } from '../testing/makers.js';
import { readPlan, writtenPlan } from './plan-file.js';

const library = aLibrary(aMovement('shape'), aMovement('roll'), aMovement('rock'));
const dose = { kind: 'reps', sets: 1, reps: 10, secondsPerRep: 4, restSeconds: 0 } as const;
const plan: ClassPlan = {
  ...aPlan({
    combination: [
      anItem('shape', {
        dose,
        way: 'watch',
        build: { what: 'a line of tape', seconds: 20 },
        leader: 'in-turn',
        stands: 'back-then-facing',
        helper: { who: 'adult', does: 'steadies' },
        calls: { what: 'shapes', everySeconds: 4, from: 'sitting' },
        choice: ['roll'],
        areEyesClosed: true,
        stopsWithMusic: true,
      }),
    ],
  }),
  style: 'along',
  story: 'a day at the harbour',
  homeTask: { tasks: [{ movement: 'rock', dose, sides: 'none' }], note: 'Film one.' },
};
const about = { programme: 'gymnastics', lengthMinutes: 45, startsAt: '16:00' };

it('a file says all that a plan says, and brings every movement that it names', () => {
  const file = writtenPlan(plan, about, library);
  expect(file.movements.map(({ slug }) => slug).sort()).toEqual(['rock', 'roll', 'shape']);
  const read = readPlan(file, library, '7-9');
  expect(read.ok && { ...read.value, sections: read.value.sections.map(({ id: _id, ...rest }) => rest) }).toEqual({
    ...plan,
    sections: plan.sections.map(({ id: _id, ...rest }) => rest),
  });
});

it('an unknown movement is told where it stands, also in a choice and in the home task', () => {
  const file = {
    ...about,
    sections: [{ kind: 'drills' as const, items: [{ movement: 'shape', choice: ['roll', 'gone'] }] }],
    homeTask: { tasks: [{ movement: 'lost', dose, sides: 'none' as const }], note: '' },
  };
  const read = readPlan(file, library, '7-9');
  expect(read.ok ? [] : read.error).toEqual([
    { kind: 'movement-unknown', field: 'sections.0.items.0.choice.1', movement: 'gone' },
    { kind: 'movement-unknown', field: 'homeTask.tasks.0.movement', movement: 'lost' },
  ]);
});

it('a file of before means what it meant: a call is as fast as it says, whatever the dose was written with', () => {
  const slow = { ...dose, secondsPerRep: 2 };
  const items = [
    { movement: 'shape', dose: slow, calls: { what: 'shapes', everySeconds: 6 } },
    { movement: 'roll', dose: slow },
  ];
  const read = readPlan({ ...about, sections: [{ kind: 'drills', items }] }, library, '7-9');
  expect(read.ok && read.value.sections[0]?.items.map((item) => item.dose)).toEqual([{ ...dose, secondsPerRep: 6 }, slow]);
});
