import { aMovement } from '@leiter/core/testing';
import { describe, expect, it } from 'vitest';
import { formOf, movementFrom } from './movement-form';

const movement = aMovement('roll', {
  name: 'Roll',
  cues: ['Chin in', 'Push'],
  stages: [{ name: 'Rock', see: 'Hands: flat' }],
  faults: [
    { slug: 'head-back', name: 'Head drops', fix: 'Hold a sock', stops: true },
    { slug: 'slow', name: 'Slow', fix: 'Tuck', stops: false },
  ],
  tiers: { easier: { what: 'Rock', fromGrade: null }, harder: { what: 'To stand', fromGrade: 'reef' } },
  dose: {
    '4-6': null,
    '7-9': { kind: 'reps', sets: 2, reps: 4, secondsPerRep: 5, restSeconds: 10 },
    '10-13': { kind: 'timed', seconds: 60 },
  },
});

describe('editing an entry', () => {
  it('that was not touched gives the same entry', () => {
    expect(movementFrom(movement, formOf(movement))).toEqual({ movement, faults: [] });
  });

  it('takes lines as lists, and keeps what the form does not show', () => {
    const form = { ...formOf(movement), cues: ' Chin in \n\nRound ', faults: '! Head drops > Hold a ball\nNew one > Try again' };
    const { movement: edited } = movementFrom(movement, form);
    expect(edited.cues).toEqual(['Chin in', 'Round']);
    expect(edited.faults).toEqual([
      { slug: 'head-back', name: 'Head drops', fix: 'Hold a ball', stops: true },
      { slug: 'new-one', name: 'New one', fix: 'Try again', stops: false },
    ]);
    expect(edited.tiers.harder?.fromGrade).toBe('reef');
    expect(edited.needs).toEqual(movement.needs);
  });

  it('says which lines it cannot read', () => {
    const form = { ...formOf(movement), stages: 'just a name', faults: 'no fix', dose: { ...formOf(movement).dose, age79: 'many' } };
    expect(movementFrom(movement, form).faults.map(({ field }) => field)).toEqual(['stages', 'faults', 'dose.age79']);
  });

  it('leaves an age out when its dose is emptied', () => {
    const form = { ...formOf(movement), dose: { ...formOf(movement).dose, age1013: '' } };
    expect(movementFrom(movement, form).movement.dose['10-13']).toBeNull();
  });
});
