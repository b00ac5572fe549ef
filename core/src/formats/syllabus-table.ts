import { groupBy } from '../values/group-by.js';
import type { Library } from '../movement/library.js';
import { accepted, refused, type Result } from '../values/result.js';
import { slugOf } from '../values/slug-of.js';
import {
  syllabusFaults,
  syllabusFaultWords,
  syllabusHints,
  type WrittenGrade,
  type WrittenRequirement,
} from '../syllabus/syllabus-file.js';
import { criterionDefaults, type Criterion } from '../syllabus/syllabus.js';
import { missingColumns, tableRows, type CellFault, type Table, type TableRow } from './table.js';

/** The columns of a syllabus as a table, one requirement a row. */
export const syllabusColumns = [
  'grade',
  'weeks',
  'classes',
  'age',
  'movement',
  'stage',
  'mark',
  'sides',
  'seconds',
  'reps',
  'correct',
  'of',
  'faults',
  'times',
  'days',
  'within weeks',
] as const;

type Column = (typeof syllabusColumns)[number];

const marksByWord = new Map<string, Criterion['leastMark']>([
  ['not-yet', 'not-yet'],
  ['with-help', 'with-help'],
  ['alone', 'alone'],
  ['clean', 'clean'],
]);
const sidesByWord = new Map<string, Criterion['sides']>([
  ['none', 'none'],
  ['both', 'both'],
  ['lead', 'lead'],
]);

/** What one row says, with what is wrong in it. */
interface ReadRow {
  readonly row: number;
  readonly grade: string;
  readonly requirement: WrittenRequirement;
}

/**
 * Reads the grades of a ladder from a table. Rows of a grade need not stand together; the first row of a grade says its
 * weeks, classes and age, an empty cell being nothing. Movements are named by slug or name.
 * @param known the grades that are there: a name of theirs keeps its slug
 * @returns the grades in the order of their first rows, or everything that is wrong by row and column
 */
export function readSyllabusTable(
  table: Table,
  library: Library,
  known: readonly { readonly slug: string; readonly name: string }[],
): Result<readonly WrittenGrade[], readonly CellFault[]> {
  const missing = missingColumns(table, ['grade', 'movement']);
  if (missing.length > 0) return refused(missing);
  const rows = tableRows(table);
  const byName = new Map([...library.values()].map(({ slug, name }) => [name.toLowerCase(), slug]));
  const slugs = new Map(known.map(({ slug, name }) => [name.toLowerCase(), slug]));
  const faults: CellFault[] = [];
  const read = rows.map((row): ReadRow => {
    const requirement = requirementOf(row, library, byName, faults);
    if (row.cell('grade') === '') faults.push({ row: row.row, column: 'grade', kind: 'missing', found: '' });
    if (row.cell('grade').length > 60) faults.push({ row: row.row, column: 'grade', kind: 'too-long', found: row.cell('grade') });
    return { row: row.row, grade: row.cell('grade'), requirement };
  });
  if (rows.length === 0) faults.push({ row: 2, column: 'movement', kind: 'missing', found: '' });
  const names = [...groupBy(read, ({ grade }) => grade.toLowerCase()).values()].map(([first]) => first?.grade ?? '');
  const grades = names.map((name): WrittenGrade => {
    const first = rows.find((row) => row.cell('grade').toLowerCase() === name.toLowerCase());
    const count = (column: Column, most: number): number => (first && numberIn(first, column, 0, most, faults)) ?? 0;
    return {
      slug: slugs.get(name.toLowerCase()) ?? slugOf(name),
      name,
      leastWeeksInGrade: count('weeks', 200),
      leastClasses: count('classes', 200),
      leastAgeYears: count('age', 18),
      requirements: read.filter(({ grade }) => grade.toLowerCase() === name.toLowerCase()).map(({ requirement }) => requirement),
    };
  });
  if (faults.length > 0) return refused(faults);
  const ladderFaults = syllabusFaults({ programme: '', grades }, library)
    .filter(({ kind }) => !syllabusHints.has(kind))
    .map((fault): CellFault => {
      const slug = fault.grade;
      const at = read.findLast(
        (one) =>
          grades.some((grade) => grade.slug === slug && grade.name.toLowerCase() === one.grade.toLowerCase()) &&
          (fault.movement === '' || one.requirement.movement === fault.movement),
      );
      return {
        row: at?.row ?? 1,
        column: fault.movement === '' ? 'grade' : columnOf(fault.kind),
        kind: 'not-right',
        found: syllabusFaultWords(fault),
      };
    });
  return ladderFaults.length > 0 ? refused(ladderFaults) : accepted(grades);
}

function columnOf(kind: string): Column {
  if (kind.startsWith('sides')) return 'sides';
  if (kind.startsWith('stage')) return 'stage';
  return kind === 'fault-unknown' ? 'faults' : 'movement';
}

function requirementOf(row: TableRow, library: Library, byName: ReadonlyMap<string, string>, faults: CellFault[]): WrittenRequirement {
  const written = row.cell('movement');
  const slug = library.has(written) ? written : byName.get(written.toLowerCase());
  if (slug === undefined) faults.push({ row: row.row, column: 'movement', kind: written === '' ? 'missing' : 'unknown', found: written });
  const word = <Value>(column: Column, words: ReadonlyMap<string, Value>): Value | undefined => {
    const text = row.cell(column).toLowerCase().replace(/\s+/g, '-');
    const value = words.get(text);
    if (text !== '' && value === undefined) faults.push({ row: row.row, column, kind: 'unknown', found: row.cell(column) });
    return value;
  };
  const count = (column: Column, most: number): number | undefined => numberIn(row, column, 1, most, faults);
  const stage = count('stage', 20);
  const [correct, of] = [count('correct', 100), count('of', 100)];
  if ((correct === undefined) !== (of === undefined))
    faults.push({ row: row.row, column: correct === undefined ? 'correct' : 'of', kind: 'missing', found: '' });
  const criterion: Partial<Criterion> = withoutNothing({
    leastMark: word('mark', marksByWord),
    sides: word('sides', sidesByWord) ?? (slug !== undefined && library.get(slug)?.sides === 'each' ? 'both' : undefined),
    leastSeconds: count('seconds', 600),
    leastReps: count('reps', 200),
    leastCorrect: correct === undefined || of === undefined ? undefined : { correct, of },
    faults: faultsIn(row.cell('faults')),
    times: count('times', 20),
    days: count('days', 20),
    withinWeeks: count('within weeks', 104),
  });
  return { movement: slug ?? written, criterion, ...(stage === undefined ? {} : { stage }) };
}

const faultsIn = (text: string): readonly string[] | undefined =>
  text === '' ? undefined : text.split(/[\s,;|]+/).filter((one) => one !== '');

function numberIn(row: TableRow, column: Column, least: number, most: number, faults: CellFault[]): number | undefined {
  const text = row.cell(column);
  if (text === '') return undefined;
  const value = Number(text.replace(',', '.'));
  if (Number.isInteger(value) && value >= least && value <= most) return value;
  faults.push({ row: row.row, column, kind: 'not-a-number', found: text });
  return undefined;
}

/** The object without the fields that hold nothing. */
function withoutNothing<Value extends object>(value: { readonly [Key in keyof Value]: Value[Key] | undefined }): Value {
  return Object.fromEntries(Object.entries(value).filter(([, inner]) => inner !== undefined)) as Value; // what is left holds something
}

/** Writes a ladder as a table that reads the same again; what was put away is not in it. */
export function syllabusTable(grades: readonly WrittenGrade[]): Table {
  const rows = grades.flatMap((grade) =>
    grade.isPutAway
      ? []
      : grade.requirements
          .filter(({ isPutAway }) => !isPutAway)
          .map(({ movement, stage, criterion }) => {
            const cells: Readonly<Record<Column, string | number | undefined>> = {
              grade: grade.name,
              weeks: grade.leastWeeksInGrade,
              classes: grade.leastClasses,
              age: grade.leastAgeYears,
              movement,
              stage: stage ?? undefined,
              mark: criterion.leastMark,
              sides: criterion.sides,
              seconds: criterion.leastSeconds,
              reps: criterion.leastReps,
              correct: criterion.leastCorrect?.correct,
              of: criterion.leastCorrect?.of,
              faults: criterion.faults?.join(' '),
              times: criterion.times ?? criterionDefaults.times,
              days: criterion.days ?? criterionDefaults.days,
              'within weeks': criterion.withinWeeks ?? criterionDefaults.withinWeeks,
            };
            return syllabusColumns.map((column) => String(cells[column] ?? ''));
          }),
  );
  return { head: [...syllabusColumns], rows };
}
