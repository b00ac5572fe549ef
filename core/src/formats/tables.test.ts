import { describe, expect, it } from 'vitest';
import { libraryOf } from '../movement/library.js';
import { aMovement } from '../testing/makers.js';
import { childrenTable, readChildrenTable, type ChildrenTableContext, type KnownChild } from './children-table.js';
import { readSyllabusTable, syllabusTable } from './syllabus-table.js';
import { cellFaultWords, type CellFault } from './table.js';

const library = libraryOf([
  aMovement('lever', { name: 'Lever', sides: 'each', faults: [{ slug: 'bent-knee', name: 'Bent knee', fix: 'Press it', stops: false }] }),
  aMovement('hollow', { name: 'Hollow shape', stages: [{ name: 'Arms down', see: 'Ten seconds' }] }),
]);
const where = ({ row, column, kind }: CellFault): string => `${String(row)} ${column} ${kind}`;

describe('a syllabus as a table', () => {
  const head = ['Grade', 'Weeks', 'AGE', 'movement', 'mark', 'sides', 'seconds', 'faults', 'Within-Weeks', 'correct', 'of', 'stage'];
  const read = (...rows: readonly (readonly string[])[]) => readSyllabusTable({ head, rows }, library, [{ slug: 'g1', name: 'First' }]);
  const faultsOf = (...rows: readonly (readonly string[])[]): readonly string[] => {
    const found = read(...rows);
    return found.ok ? [] : found.error.map(where);
  };

  it('reads grades and requirements, whatever the case of the head, with defaults and blank rows', () => {
    const found = read(
      ['First', '8', '6', 'Lever', 'clean', '', '5', 'bent-knee', ''],
      ['', '', ''],
      ['Second one', '', '7', 'hollow', '', '', '', '', '30', '8', '10', '1'],
      [' first ', '', '', 'hollow'],
    );
    expect(found).toEqual({
      ok: true,
      value: [
        {
          slug: 'g1',
          name: 'First',
          leastWeeksInGrade: 8,
          leastClasses: 0,
          leastAgeYears: 6,
          requirements: [
            { movement: 'lever', criterion: { leastMark: 'clean', sides: 'both', leastSeconds: 5, faults: ['bent-knee'] } },
            { movement: 'hollow', criterion: {} },
          ],
        },
        {
          slug: 'second-one',
          name: 'Second one',
          leastWeeksInGrade: 0,
          leastClasses: 0,
          leastAgeYears: 7,
          requirements: [{ movement: 'hollow', stage: 1, criterion: { leastCorrect: { correct: 8, of: 10 }, withinWeeks: 30 } }],
        },
      ],
    });
  });

  it('says row and column of everything that is wrong', () => {
    expect(
      faultsOf(
        ['First', '-1', '', 'Levre'],
        ['', '', '', 'lever', 'perfect', 'left', 'five'],
        ['First', '', '', '', '', '', '', '', '', '3'],
      ),
    ).toEqual([
      '2 movement unknown',
      '3 mark unknown',
      '3 sides unknown',
      '3 seconds not-a-number',
      '3 grade missing',
      '4 movement missing',
      '4 of missing',
      '2 weeks not-a-number',
    ]);
  });

  it('says at which row the ladder itself is wrong', () => {
    expect(faultsOf(['First', '', '', 'hollow', '', 'both'])).toEqual(['2 sides not-right']);
    expect(faultsOf(['First', '', '', 'hollow', '', '', '', '', '', '', '', '4'])).toEqual(['2 stage not-right']);
    expect(faultsOf(['First', '', '', 'hollow'], ['First', '', '', 'hollow'])).toEqual(['3 movement not-right']);
    expect(faultsOf(['First', '', '7', 'hollow'], ['Next', '', '5', 'hollow'])).toEqual(['3 grade not-right']);
  });

  it('says which columns are not there, and that there is nothing below the head', () => {
    const none = readSyllabusTable({ head: ['a'], rows: [] }, library, []);
    expect(none.ok ? [] : none.error.map(where)).toEqual(['1 grade column-missing', '1 movement column-missing']);
    expect(faultsOf()).toEqual(['2 movement missing']);
  });

  it('written and read again is the same', () => {
    const first = read(
      ['First', '8', '6', 'lever', 'clean', 'lead', '5', 'bent-knee', '20'],
      ['B', '', '7', 'hollow', '', '', '', '', '', '1', '2'],
    );
    const table = first.ok ? syllabusTable(first.value) : { head: [], rows: [] };
    const again = readSyllabusTable(table, library, [{ slug: 'g1', name: 'First' }]);
    expect(again.ok && syllabusTable(again.value)).toEqual(table);
    expect(again.ok && again.value[0]?.slug).toBe('g1');
  });
});

describe('a list of children', () => {
  const mila: KnownChild = {
    id: 'mila',
    givenName: 'Mila',
    familyInitial: 'K.',
    birthDate: '2018-05-31',
    leadSide: 'left',
    groupIds: ['gulls'],
    earned: new Map([['gymnastics', ['first']]]),
  };
  const context: ChildrenTableContext = {
    today: '2026-11-25',
    groups: [
      { id: 'gulls', name: 'Gulls', programme: 'gymnastics' },
      { id: 'terns', name: 'Terns', programme: 'gymnastics' },
    ],
    ladders: [
      {
        programme: 'gymnastics',
        startsAs: 'Starter',
        grades: [
          { id: 'g1', slug: 'first', name: 'First' },
          { id: 'g2', slug: 'second', name: 'Second' },
        ],
      },
    ],
    children: [mila],
  };
  const head = ['Name', 'Birth date', 'Group', 'Grade', 'Lead side'];
  const read = (...rows: readonly (readonly string[])[]) => readChildrenTable({ head, rows }, context);
  const faultsOf = (...rows: readonly (readonly string[])[]): readonly string[] => {
    const found = read(...rows);
    return found.ok ? [] : found.error.map(where);
  };

  it.each([
    ['Jörg Müller', '2019-01-02', 'Jörg', 'M.'],
    ['Özdemir, Ada', '2.1.2019', 'Ada', 'Ö.'],
    ['Anna Maria de Vries', '02.01.2019', 'Anna Maria de', 'V.'],
    ['Ole x', '2019-01-02', 'Ole', 'X.'],
  ])('reads %s, born %s, and keeps only the initial of the family', (name, born, givenName, familyInitial) => {
    expect(read([name, born])).toMatchObject({
      ok: true,
      value: [{ givenName, familyInitial, birthDate: '2019-01-02', leadSide: 'right', what: 'added', row: 2, knownId: null }],
    });
  });

  it('knows a child again and tells what changes', () => {
    const rows = [
      ['Mila Kowalska', '31.05.2018', 'Gulls', 'First', 'left'],
      ['mila K', '2018-05-31', 'Terns', 'Second', 'r'],
    ];
    expect(read(...rows)).toMatchObject({
      ok: true,
      value: [
        { knownId: 'mila', what: 'same', fields: [], groupId: null, gradeId: null },
        { knownId: 'mila', what: 'changed', fields: ['lead side', 'group', 'grade'], groupId: 'terns', gradeId: 'g2', firstRow: 2 },
      ],
    });
  });

  it('never takes a grade away: a lower one in the list changes nothing', () => {
    const climbed = { ...context, children: [{ ...mila, earned: new Map([['gymnastics', ['first', 'second']]]) }] };
    expect(readChildrenTable({ head, rows: [['Mila K.', '2018-05-31', 'Gulls', 'First']] }, climbed)).toMatchObject({
      value: [{ what: 'same', gradeId: null }],
    });
    expect(read(['New N.', '2018-01-01', 'Gulls', 'starter'])).toMatchObject({ value: [{ gradeId: null, what: 'added' }] });
  });

  it('says row and column of everything that is wrong', () => {
    expect(
      faultsOf(
        ['Cher', '2019-02-30', 'Crows', '', 'both'],
        ['', '', '', 'First'],
        ['Ada X', '2027-01-01', 'Gulls', 'Third'],
        ['Ben Y', '2019-01-01', 'Gulls'],
        ['Ben Y.', '01.01.2019', 'gulls'],
      ),
    ).toEqual([
      '2 name not-right',
      '2 birth date not-a-day',
      '2 lead side unknown',
      '2 group unknown',
      '3 name missing',
      '3 birth date missing',
      '3 group missing',
      '4 birth date in-the-future',
      '4 grade unknown',
      '6 name twice',
    ]);
  });

  it('says each fault in words', () => {
    const found = readChildrenTable({ head: ['x'], rows: [] }, context);
    expect(found.ok ? [] : found.error.map(cellFaultWords)).toEqual(['There is no column “name”.', 'There is no column “birth date”.']);
  });

  it('written and read again changes nothing', () => {
    const both = {
      ...context,
      children: [
        { ...mila, groupIds: ['gulls', 'terns'] },
        { ...mila, id: 'b', givenName: 'Ben', groupIds: [] },
      ],
    };
    const again = readChildrenTable(childrenTable(both), both);
    expect(again.ok && again.value.map(({ what }) => what)).toEqual(['same', 'same', 'same']);
  });
});
