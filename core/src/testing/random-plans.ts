import fc from 'fast-check';
import { withUneven } from '../movement/dose.js';
import { movementKinds } from '../movement/kind.js';
import { aLibrary, aMovement, anItem, aPlan } from './makers.js';

const counts = {
  kind: fc.constant('counts' as const),
  eights: fc.integer({ min: 1, max: 16 }),
  bpm: fc.integer({ min: 60, max: 140 }),
  repeats: fc.integer({ min: 1, max: 3 }),
  countIn: fc.integer({ min: 0, max: 8 }),
};
const dose = fc.oneof(
  fc.record({
    kind: fc.constant('reps' as const),
    sets: fc.integer({ min: 1, max: 5 }),
    reps: fc.integer({ min: 1, max: 20 }),
    secondsPerRep: fc.integer({ min: 1, max: 9 }),
    restSeconds: fc.integer({ min: 0, max: 30 }),
  }),
  fc.record({
    kind: fc.constant('hold' as const),
    sets: fc.integer({ min: 1, max: 4 }),
    holdSeconds: fc.integer({ min: 1, max: 60 }),
    restSeconds: fc.integer({ min: 0, max: 30 }),
  }),
  fc.record({ kind: fc.constant('timed' as const), seconds: fc.integer({ min: 1, max: 600 }) }),
  fc.record(counts),
  fc.record({
    ...counts,
    beats: fc.constantFrom(3, 6),
    learnBpm: fc.integer({ min: 40, max: 90 }),
    learnTimes: fc.integer({ min: 1, max: 3 }),
  }),
  fc
    .array(fc.integer({ min: 1, max: 60 }), { minLength: 2, maxLength: 5 })
    .map((uneven) => withUneven({ kind: 'hold' as const, sets: 1, holdSeconds: 1, restSeconds: 7 }, uneven)),
  fc
    .array(fc.integer({ min: 1, max: 20 }), { minLength: 2, maxLength: 5 })
    .map((uneven) => withUneven({ kind: 'reps' as const, sets: 1, reps: 1, secondsPerRep: 2, restSeconds: 7 }, uneven)),
  fc.record({
    kind: fc.constant('lengths' as const),
    lengths: fc.integer({ min: 1, max: 9 }),
    metres: fc.integer({ min: 1, max: 10 }),
    secondsPerMetre: fc.integer({ min: 1, max: 4 }),
    restSeconds: fc.integer({ min: 0, max: 5 }),
    back: fc.constantFrom('same' as const, 'backwards' as const, 'other-side' as const),
  }),
);

/** A movement of every kind. */
export const anyLibrary = aLibrary(
  ...movementKinds.map((kind) => aMovement(kind, { kind, sides: 'each', level: kind === 'skill' ? 'floor' : 'standing' })),
);
/** Plans of up to thirty items with every kind of dose, with sides and without. */
export const anyPlan = fc
  .array(
    fc.record({
      movement: fc.constantFrom(...movementKinds),
      dose,
      sides: fc.constantFrom('both' as const, 'left' as const, 'none' as const, 'lead' as const, 'alternating' as const),
    }),
    {
      maxLength: 30,
    },
  )
  .map((items) => items.map((item, index) => anItem(item.movement, { ...item, id: `i${String(index)}` })))
  .chain((items) =>
    fc.integer({ min: 0, max: items.length }).map((cut) => aPlan({ drills: items.slice(0, cut), skill: items.slice(cut) })),
  );
