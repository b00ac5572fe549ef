import { aMovement } from '@leiter/core/testing';
import { describe, expect, it } from 'vitest';
import { blankFacts, blankMovement, type FactsForm } from './movement-facts';
import { formOf, movementFrom, withSegments } from './movement-form';

const movement = aMovement('roll', {
  name: 'Roll',
  cues: ['Chin in', 'Push'],
  stages: [{ name: 'Rock', see: 'Hands: flat' }],
  faults: [
    { slug: 'head-back', name: 'Head drops', fix: 'Hold a sock', stops: true },
    { slug: 'slow', name: 'Slow', fix: 'Tuck', stops: false },
  ],
  term: {
    text: 'kaiten',
    language: 'ja',
    sayIt: 'KYE-ten',
    meaning: 'turn',
    variants: [{ text: 'gureugi', sayIt: 'goo-RUH-gee', where: 'Korean styles' }],
  },
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

  it('puts the parts of its steps before its stages, each once', () => {
    const phrase = {
      beats: 8,
      learnBpm: 80,
      bpm: 100,
      countIn: 8,
      startWeight: 'left',
      startFacing: 1,
      endsAtStart: false,
      text: '# First\n1 R fwd, 2 L close\n# Second\n3 R back, 4 L close',
    } as const;
    const stages = withSegments('Second: as I like it\nRock: Hands: flat', { phrase });
    expect(stages.split('\n')).toEqual([expect.stringMatching(/^First: ./), 'Second: as I like it', 'Rock: Hands: flat']);
    expect(withSegments('Rock: flat', { phrase: { ...phrase, text: '1 R fwd, 2 L close' } })).toBe('Rock: flat');
  });

  it('takes what others call it, one a line', () => {
    const { facts, ...rest } = formOf(movement);
    expect(facts.termVariants).toBe('gureugi / goo-RUH-gee / Korean styles');
    const named = (termVariants: string) => movementFrom(movement, { ...rest, facts: { ...facts, termVariants } }).movement.term?.variants;
    expect(named(' a / b / c \n\nd / e / f')).toEqual([
      { text: 'a', sayIt: 'b', where: 'c' },
      { text: 'd', sayIt: 'e', where: 'f' },
    ]);
    expect(named('')).toBeUndefined();
    const { faults } = movementFrom(movement, { ...rest, facts: { ...facts, termVariants: 'a / b' } });
    expect(faults.map(({ field }) => field)).toEqual(['facts.termVariants']);
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

describe('a movement from nothing', () => {
  const written = (facts: Partial<FactsForm>) =>
    movementFrom(blankMovement('dance'), {
      ...formOf(blankMovement('dance')),
      name: 'Kelp sway',
      leastAge: 5,
      facts: { ...blankFacts('dance'), ...facts },
    });

  it('is asked for all that a child’s safety rests on, and takes nothing for granted', () => {
    const { faults } = movementFrom(blankMovement('dance'), {
      ...formOf(blankMovement('dance')),
      leastAge: Number.NaN,
      facts: blankFacts('dance'),
    });
    expect(faults.map(({ field }) => field).toSorted()).toEqual(
      ['facts.adult', 'facts.headroomM', 'facts.homeTask', 'facts.lengthM', 'facts.surface', 'facts.widthM', 'leastAge'].toSorted(),
    );
  });

  it('has what was chosen', () => {
    const { movement: made, faults } = written({
      surface: 'some',
      surfaces: ['mat', 'carpet'],
      lengthM: 2,
      widthM: 1.5,
      headroomM: 2.2,
      adult: 'none',
      homeTask: 'yes',
      loads: ['wrists 3', 'shoulders 1'],
      prerequisites: ['sway'],
    });
    expect(faults).toEqual([]);
    expect(made).toMatchObject({
      name: 'Kelp sway',
      leastAge: 5,
      homeTask: 'yes',
      needs: { surface: ['mat', 'carpet'], footprint: { lengthM: 2, widthM: 1.5 }, headroomM: 2.2, adult: 'none' },
      loads: [
        { region: 'wrists', amount: 3 },
        { region: 'shoulders', amount: 1 },
      ],
      prerequisites: [{ movement: 'sway', mark: 'alone' }],
    });
  });

  it('keeps how well something has to stand before it, and asks for the room of little room', () => {
    const before = aMovement('roll', { prerequisites: [{ movement: 'rock', stage: 2, mark: 'clean' }] });
    const kept = movementFrom(before, formOf(before)).movement.prerequisites;
    expect(kept).toEqual([{ movement: 'rock', stage: 2, mark: 'clean' }]);
    expect(written({ littleRoom: 'on-the-spot' }).faults.map(({ field }) => field)).toContain('facts.littleLengthM');
  });
});
