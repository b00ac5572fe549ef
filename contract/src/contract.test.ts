import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import { describe, expect, it } from 'vitest';
import { AddChildRequest, AddGroupRequest, AddObservationRequest, ChangeChildRequest, SavePlanRequest } from './index.js';

/** The fields that are wrong in a body, as the server finds them. */
function wrongFields(type: ClassConstructor<object>, body: object): readonly string[] {
  const options = { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true } as const;
  return fieldsOf(validateSync(plainToInstance(type, body), options), '');
}

function fieldsOf(errors: readonly ValidationError[], path: string): readonly string[] {
  return errors.flatMap(({ property, constraints, children }) => [
    ...(constraints ? [path + property] : []),
    ...fieldsOf(children ?? [], `${path}${property}.`),
  ]);
}

const household = { surface: 'mat', clearLengthM: 2, clearWidthM: 2, things: [], adult: 'in-the-room', partner: false, quietHours: null };
const child = { givenName: ' Una ', familyInitial: 'P.', birthDate: '2018-02-28', leadSide: 'left', household, groupIds: [] };

describe('a child', () => {
  it('is taken as the form sends it, its name trimmed', () => {
    expect(wrongFields(AddChildRequest, child)).toEqual([]);
    expect(plainToInstance(AddChildRequest, child).givenName).toBe('Una');
  });

  it.each([
    [{ givenName: '' }, 'givenName'],
    [{ givenName: 'x'.repeat(61) }, 'givenName'],
    [{ givenName: 'a\u0007b' }, 'givenName'],
    [{ birthDate: '2019-02-29' }, 'birthDate'],
    [{ birthDate: '28.2.2018' }, 'birthDate'],
    [{ birthDate: '1818-02-28' }, 'birthDate'],
    [{ leadSide: 'both' }, 'leadSide'],
    [{ household: { ...household, clearWidthM: 0.2 } }, 'household.clearWidthM'],
    [{ household: { ...household, things: [''] } }, 'household.things'],
    [{ household: { ...household, quietHours: { from: '7', to: '8' } } }, 'household.quietHours.from'],
    [{ household: null }, 'household'],
    [{ groupIds: ['x'] }, 'groupIds'],
    [{ address: 'Harbour Street 1' }, 'address'],
  ])('with %j names %s', (more, field) => {
    expect(wrongFields(AddChildRequest, { ...child, ...more })).toContain(field);
  });

  it('may be changed in any one field, but no field may be emptied', () => {
    expect(wrongFields(ChangeChildRequest, {})).toEqual([]);
    expect(wrongFields(ChangeChildRequest, { leadSide: 'right' })).toEqual([]);
    for (const field of Object.keys(child)) expect(wrongFields(ChangeChildRequest, { [field]: null }), field).toContain(field);
  });
});

describe('a group', () => {
  const group = { name: 'Puffins', programme: 'dance', weekday: 1, startsAt: '16:30', lengthMinutes: 45, instructorId: null };

  it('is taken with the lengths that are taught, and no other', () => {
    for (const lengthMinutes of [20, 30, 45, 60]) expect(wrongFields(AddGroupRequest, { ...group, lengthMinutes })).toEqual([]);
    for (const lengthMinutes of [0, 50, 45.5, '45'])
      expect(wrongFields(AddGroupRequest, { ...group, lengthMinutes })).toEqual(['lengthMinutes']);
  });
});

describe('a time of day', () => {
  const at = (startsAt: unknown) =>
    plainToInstance(AddGroupRequest, {
      name: 'Puffins',
      programme: 'dance',
      weekday: 1,
      startsAt,
      lengthMinutes: 45,
      instructorId: null,
    });
  it.each([
    ['9:30', '09:30'],
    ['9.30', '09:30'],
    [' 16:05 ', '16:05'],
  ])('written %s is %s', (typed, time) => {
    expect(at(typed).startsAt).toBe(time);
    expect(validateSync(at(typed))).toEqual([]);
  });

  it.each(['25:00', '9:3', '930', 'noon', 930])('is not %s', (typed) => {
    expect(validateSync(at(typed)).map(({ property }) => property)).toEqual(['startsAt']);
  });
});

describe('a plan', () => {
  const item = (dose: unknown) => ({ id: 'a', movement: 'jog', dose, sides: 'none', tiers: ['core'] });
  const plan = (dose: unknown) => ({ version: 0, plan: { sections: [{ id: 's', kind: 'drills', items: [item(dose)] }], focus: [] } });

  it.each([
    { kind: 'reps', sets: 3, reps: 8, secondsPerRep: 2.5, restSeconds: 10 },
    { kind: 'hold', sets: 1, holdSeconds: 20, restSeconds: 0 },
    { kind: 'timed', seconds: 90 },
    { kind: 'counts', eights: 8, bpm: 96, repeats: 2, countIn: 8 },
  ])('takes the dose $kind', (dose) => {
    expect(wrongFields(SavePlanRequest, plan(dose))).toEqual([]);
  });

  it.each([
    [{ kind: 'timed', seconds: -1 }],
    [{ kind: 'timed', seconds: 1e308 }],
    [{ kind: 'timed', seconds: Number.NaN }],
    [{ kind: 'timed' }],
    [{ kind: 'timed', seconds: 60, sets: 2 }],
    [{ kind: 'reps', sets: 0, reps: 8, secondsPerRep: 2, restSeconds: 0 }],
    [{ kind: 'forever' }],
    [{}],
    [[]],
    ['3x8'],
    [null],
  ])('refuses the dose %j', (dose) => {
    expect(wrongFields(SavePlanRequest, plan(dose)).join()).toMatch(/^plan\.sections\.0\.items\.0\.dose/);
  });

  it.each([[[]], [null], ['x'], [7]])('refuses %j where a section or an item belongs', (odd) => {
    expect(wrongFields(SavePlanRequest, { version: 0, plan: { sections: [odd], focus: [] } })).not.toEqual([]);
    expect(
      wrongFields(SavePlanRequest, { version: 0, plan: { sections: [{ id: 's', kind: 'drills', items: [odd] }], focus: [] } }),
    ).not.toEqual([]);
  });
});

describe('a mark', () => {
  const mark = {
    childId: '7aa937de-b005-42c2-8baf-784ae35357c7',
    movement: 'cartwheel',
    side: 'left',
    mark: 'alone',
    measure: { seconds: 3 },
    faults: ['bent-arms'],
    note: '',
    seenOn: '2026-01-05',
    source: 'class',
  };

  it('needs no stage, help, class or correction', () => {
    expect(wrongFields(AddObservationRequest, mark)).toEqual([]);
    expect(wrongFields(AddObservationRequest, { ...mark, stage: null, help: null, classId: null, supersedes: null })).toEqual([]);
  });

  it.each([
    [{ mark: 'perfect' }, 'mark'],
    [{ side: 'front' }, 'side'],
    [{ measure: { seconds: -1 } }, 'measure.seconds'],
    [{ measure: { metres: 3 } }, 'measure.metres'],
    [{ faults: ['Bent Arms'] }, 'faults'],
    [{ stage: 0 }, 'stage'],
    [{ note: 'x'.repeat(501) }, 'note'],
  ])('with %j names %s', (more, field) => {
    expect(wrongFields(AddObservationRequest, { ...mark, ...more })).toContain(field);
  });
});
