import { aMovement } from '@leiter/core/testing';
import type { GroupBoardResponse, ObservationResponse } from '@leiter/contract';
import { libraryOf, type ClassPlan } from '@leiter/core';
import { describe, expect, it } from 'vitest';
import { aClassPage } from '../testing/makers';
import { changedMark, givenMark, markColumns, markOfKey, occasionOf, offeredSkills, requestFor, type MarkCell } from './mark-grid';

const faults = [
  { slug: 'bent-arms', name: 'Bent arms', fix: 'x', stops: false },
  { slug: 'loose-legs', name: 'Loose legs', fix: 'x', stops: false },
];
const cartwheel = aMovement('cartwheel', { sides: 'each', faults });
const library = libraryOf([cartwheel, aMovement('bridge')]);
const [left] = markColumns(['cartwheel'], library);
if (!left) throw new Error('no column');

const observation = (said: Partial<ObservationResponse>): ObservationResponse => ({
  id: 'o1',
  childId: 'mina',
  movement: 'cartwheel',
  stage: null,
  side: 'left',
  mark: 'alone',
  help: null,
  measure: {},
  faults: [],
  note: '',
  seenOn: '2026-03-02',
  recordedAt: '2026-03-02T16:20:00Z',
  source: 'class',
  classId: 'class',
  supersedes: null,
  recordedBy: null,
  ...said,
});

describe('the columns of a sheet', () => {
  it('are the movements in focus, each side of a sided one by itself, unknown ones left out', () => {
    expect(markColumns(['cartwheel', 'bridge', 'gone'], library).map(({ key }) => key)).toEqual([
      'cartwheel left',
      'cartwheel right',
      'bridge none',
    ]);
  });
});

describe('what is offered beside the focus', () => {
  const asks = (movement: string) => ({ id: movement, movement, stage: null, criterion: {} });
  const board = {
    columns: [
      { gradeId: 'first', gradeName: 'First', requirements: [asks('bridge'), asks('cartwheel')] },
      { gradeId: 'second', gradeName: 'Second', requirements: [asks('bridge')] },
    ],
    rows: [
      { childId: 'mina', nextGradeId: 'first' },
      { childId: 'noor', nextGradeId: 'second' },
      { childId: 'gone', nextGradeId: 'first' },
    ],
  } as unknown as GroupBoardResponse;
  const item = (movement: string) => ({ id: movement, movement }) as ClassPlan['sections'][number]['items'][number];
  const plan = (focus: readonly string[]): ClassPlan => ({
    focus,
    sections: [{ id: 's', kind: 'skill', items: ['cartwheel', 'bridge', 'drink'].map(item) }],
  });
  const here = new Set(['mina', 'noor']);

  it('is what was done and the next grade of somebody here asks, most asked first', () => {
    expect(offeredSkills(plan([]), board, here, null).more).toEqual([
      { slug: 'bridge', askedOf: 2 },
      { slug: 'cartwheel', askedOf: 1 },
    ]);
    expect(offeredSkills(plan(['bridge']), board, here, null)).toEqual({ focus: ['bridge'], more: [{ slug: 'cartwheel', askedOf: 1 }] });
  });

  it('is nothing that was in the plan and not taught, and nothing where there is no plan', () => {
    expect(offeredSkills(plan([]), board, here, new Set(['cartwheel', 'drink'])).more).toEqual([{ slug: 'cartwheel', askedOf: 1 }]);
    expect(offeredSkills(null, board, here, null)).toEqual({ focus: [], more: [] });
  });
});

describe('help', () => {
  it('is told first on a call; the key goes on to the next kind, and one can be named', () => {
    const first = changedMark(null, { kind: 'help' }, cartwheel);
    expect(first).toMatchObject({ mark: 'with-help', help: 'told' });
    expect(changedMark(first, { kind: 'help' }, cartwheel).help).toBe('shown');
    expect(changedMark(first, { kind: 'help', help: 'hands-on' }, cartwheel).help).toBe('hands-on');
    expect(changedMark(first, { kind: 'mark', mark: 'alone' }, cartwheel).help).toBeNull();
  });
});

describe('a key', () => {
  it.each([
    ['1', 'not-yet'],
    ['2', 'with-help'],
    ['3', 'alone'],
    ['4', 'clean'],
  ])('%s marks %s', (key, mark) => {
    expect(markOfKey(key)).toEqual({ kind: 'mark', mark });
  });

  it.each(['0', '5', 'x', 'Enter', ''])('%s does nothing', (key) => {
    expect(markOfKey(key)).toBeNull();
  });
});

describe('a mark after a change', () => {
  it('with help has a kind of help, and loses it when it is done alone', () => {
    const helped = changedMark(null, { kind: 'mark', mark: 'with-help' }, cartwheel);
    expect(helped).toMatchObject({ mark: 'with-help', help: 'told' });
    expect(changedMark(helped, { kind: 'mark', mark: 'alone' }, cartwheel)).toMatchObject({ mark: 'alone', help: null });
  });

  it('goes round the kinds of help by the same key', () => {
    let facts = changedMark(null, { kind: 'help' }, cartwheel);
    const seen = [facts.help];
    for (let press = 0; press < 5; press++) {
      facts = changedMark(facts, { kind: 'help' }, cartwheel);
      seen.push(facts.help);
    }
    expect(seen).toEqual(['told', 'shown', 'hands-on', 'raised-or-lower-surface', 'target-only', 'told']);
  });

  it('goes round the faults and none by the same key; a clean one has none', () => {
    let facts = changedMark(null, { kind: 'mark', mark: 'alone' }, cartwheel);
    const seen: (readonly string[])[] = [];
    for (let press = 0; press < 3; press++) {
      facts = changedMark(facts, { kind: 'fault' }, cartwheel);
      seen.push(facts.faults);
    }
    expect(seen).toEqual([['bent-arms'], ['loose-legs'], []]);
    expect(changedMark(facts, { kind: 'fault', fault: 'loose-legs' }, cartwheel).faults).toEqual(['loose-legs']);
    expect(changedMark({ ...facts, faults: ['bent-arms'] }, { kind: 'mark', mark: 'clean' }, cartwheel).faults).toEqual([]);
  });

  it('is no longer clean once a fault is named', () => {
    const clean = changedMark(null, { kind: 'mark', mark: 'clean' }, cartwheel);
    expect(changedMark(clean, { kind: 'fault', fault: 'bent-arms' }, cartwheel).mark).toBe('alone');
  });
});

describe('what a cell shows', () => {
  it('is the newest mark of that child, side and class that nothing corrects', () => {
    const page = aClassPage({
      observations: [
        observation({ id: 'o1' }),
        observation({ id: 'o2', mark: 'clean', supersedes: 'o1', recordedAt: '2026-03-02T16:21:00Z' }),
        observation({ id: 'o3', side: 'right', mark: 'not-yet' }),
        observation({ id: 'o4', childId: 'other', mark: 'not-yet' }),
      ],
    });
    expect(givenMark(page, [], 'mina', left, null)).toMatchObject({ id: 'o2', mark: 'clean', isWaiting: false });
  });

  it('is the mark still on its way rather than the stored one, unless it was refused', () => {
    const page = aClassPage({ observations: [observation({})] });
    const cell: MarkCell = { childId: 'mina', column: left, requirement: null, mark: null };
    const waiting = {
      id: 'w1',
      personId: 'tomasz',
      givenAt: '2026-03-02T16:22:00Z',
      request: requestFor(cell, { mark: 'not-yet', help: null, faults: [], measure: {} }, occasionOf(page, '2026-03-02')),
    };
    expect(givenMark(page, [waiting], 'mina', left, null)).toMatchObject({ id: 'w1', mark: 'not-yet', isWaiting: true });
    expect(givenMark(page, [{ ...waiting, refusal: 'no' }], 'mina', left, null)).toMatchObject({ id: 'o1' });
  });
});

describe('what is sent', () => {
  const facts = { mark: 'alone', help: null, faults: [], measure: { seconds: 4 } } as const;

  it('corrects what the cell showed', () => {
    const page = aClassPage({ observations: [observation({})] });
    const cell: MarkCell = { childId: 'mina', column: left, requirement: null, mark: givenMark(page, [], 'mina', left, null) };
    expect(requestFor(cell, facts, occasionOf(page, '2026-03-09'))).toMatchObject({
      supersedes: 'o1',
      seenOn: '2026-03-02',
      side: 'left',
      measure: { seconds: 4 },
    });
  });

  it('was seen on the day of the class, but never on a day to come', () => {
    const cell: MarkCell = { childId: 'mina', column: left, requirement: null, mark: null };
    expect(requestFor(cell, facts, occasionOf(aClassPage(), '2026-03-01')).seenOn).toBe('2026-03-01');
  });
});
