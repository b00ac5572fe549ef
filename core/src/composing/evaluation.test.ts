import fc from 'fast-check';
import { expect, it } from 'vitest';
import { applyEdit, type PlanEdit } from '../class-plan/edit.js';
import { doseKindNames, type Dose } from '../movement/dose.js';
import { tierNames } from '../movement/movement.js';
import { aChildInClass, aContext, aLibrary, aMovement, anItem, aPlan } from '../testing/makers.js';
import { evaluatePlan } from './evaluation.js';

/*
 * A plan is judged at every key, and what does not change is not found anew: that must never be seen.
 */

const onHands = { hazards: ['weight-on-hands'], loads: [{ region: 'wrists', amount: 2 }] } as const;
const own = [
  aMovement('bridge', { kind: 'skill', level: 'floor', ...onHands, prerequisites: [{ movement: 'plank', stage: 1, mark: 'alone' }] }),
  aMovement('plank-walk', { kind: 'drill', ...onHands, needs: { ...aMovement('x').needs, footprint: { lengthM: 6, widthM: 1 } } }),
  aMovement('easy', { kind: 'basic', level: 'floor' }),
  aMovement('drop', { kind: 'skill', effort: 4, hazards: ['hard-landing'], needs: { ...aMovement('x').needs, adult: 'hands-on' } }),
  aMovement('loosen', { kind: 'mobiliser', prepares: ['wrists', 'knees'] }),
  aMovement('hold', { kind: 'static-stretch' }),
];
const library = aLibrary(...own);
const slugs = ['jog', ...own.map(({ slug }) => slug)];
const children = [
  aChildInClass('a', { ageYears: 5 }),
  aChildInClass('b', { ageYears: 8, marks: [{ movement: 'plank', stage: null, mark: 'alone' }] }, { clearLengthM: 1.5, clearWidthM: 1.2 }),
  aChildInClass('c', { ageYears: 11, earned: ['g'] }, { adult: 'not-at-hand' }),
];
const context = aContext({
  children,
  agesYears: children.map(({ ageYears }) => ageYears),
  room: { clearLengthM: 3, clearWidthM: 2, cameraDistanceM: 3, cameraHeightM: 1, viewAngleDegrees: 70 },
});
const ids = Array.from({ length: 6 }, (_, index) => `i${String(index)}`);
const plan = aPlan({ 'warm-up': ids.map((id, index) => anItem(slugs[index % slugs.length] ?? 'jog', { id })) });

const doses: Readonly<Record<(typeof doseKindNames)[number], Dose>> = {
  reps: { kind: 'reps', sets: 3, reps: 12, secondsPerRep: 2, restSeconds: 5 },
  hold: { kind: 'hold', sets: 2, holdSeconds: 40, restSeconds: 10 },
  timed: { kind: 'timed', seconds: 75 },
  counts: { kind: 'counts', eights: 4, bpm: 100, repeats: 2, countIn: 0 },
  lengths: { kind: 'lengths', lengths: 4, metres: 5, secondsPerMetre: 1, restSeconds: 0, back: 'same' },
};
const newItem = (slug: string) => {
  const { id: _id, ...item } = anItem(slug);
  return item;
};
const item = fc.constantFrom(...ids);
const edits = fc.array(
  fc.oneof(
    fc.record({ kind: fc.constant('set-dose' as const), item, dose: fc.constantFrom(...doseKindNames.map((name) => doses[name])) }),
    fc.record({
      kind: fc.constant('set-tier-by-hand' as const),
      item,
      child: fc.constantFrom(...children.map(({ id }) => id)),
      tier: fc.constantFrom(...tierNames, 'as-reckoned' as const),
    }),
    fc.record({ kind: fc.constant('swap' as const), item, for: fc.constantFrom(...slugs.map(newItem)) }),
    fc.record({ kind: fc.constant('remove' as const), item }),
  ),
  { maxLength: 12 },
);

it('says of a plan after any edits what it says of it from nothing', () => {
  fc.assert(
    fc.property(edits, (some) => {
      let now = plan;
      let made = 0;
      for (const edit of some) {
        const done = applyEdit(now, edit satisfies PlanEdit, () => `new-${String((made += 1))}`);
        if (done.ok) now = done.value;
        const anew = { ...context, children: [...children], room: context.room && { ...context.room } };
        expect(evaluatePlan(now, library, context)).toEqual(evaluatePlan(now, library, anew));
      }
    }),
    { numRuns: 150 },
  );
});
