import type { Side } from '../values/side.js';
import { isDay } from '../values/day.js';
import { accepted, refused, type Result } from '../values/result.js';
import type { Day } from '../values/unit.js';
import { missingColumns, tableRows, type CellFault, type Table, type TableRow } from './table.js';

/** The columns of a list of children. */
export const childrenColumns = ['name', 'birth date', 'group', 'grade', 'lead side'] as const;

/** A child that is there already. */
export interface KnownChild {
  readonly id: string;
  readonly givenName: string;
  readonly familyInitial: string;
  readonly birthDate: Day;
  readonly leadSide: Side;
  readonly groupIds: readonly string[];
  /** Slugs of the grades it has earned, by programme. */
  readonly earned: ReadonlyMap<string, readonly string[]>;
}

/** By what a child is known: its name and the day it was born, whatever the case, the dots and the way letters are put together. */
export function childKey({ givenName, familyInitial, birthDate }: Pick<KnownChild, 'givenName' | 'familyInitial' | 'birthDate'>): string {
  const plain = (text: string): string =>
    text
      .normalize('NFC')
      .toLowerCase()
      .replace(/[.\s]+/gu, ' ')
      .trim();
  return `${plain(givenName)}|${plain(familyInitial)}|${birthDate}`;
}

/** The initial of a family name as it is kept: `Ö` and `ö.` are both `Ö.`. */
export function familyInitialOf(text: string): string {
  const letters = text.normalize('NFC').replace(/[.\s]+/gu, '');
  return letters === '' ? text.trim() : `${letters.charAt(0).toUpperCase()}${letters.slice(1)}.`;
}

/** What a list of children is read against. */
export interface ChildrenTableContext {
  readonly today: Day;
  readonly groups: readonly { readonly id: string; readonly name: string; readonly programme: string }[];
  readonly ladders: readonly {
    readonly programme: string;
    readonly startsAs: string;
    readonly grades: readonly { readonly id: string; readonly slug: string; readonly name: string }[];
  }[];
  readonly children: readonly KnownChild[];
}

/** What one row asks for. */
export interface ChildIntake {
  readonly row: number;
  /** The child that is there; null for a new one. */
  readonly knownId: string | null;
  /** The first row that names the same child; its own where it is the first. */
  readonly firstRow: number;
  readonly givenName: string;
  readonly familyInitial: string;
  readonly birthDate: Day;
  readonly leadSide: Side;
  /** The group to join; null where none is named or the child is in it. */
  readonly groupId: string | null;
  /** The grade to write down as earned; null where none is named or the child has it, or a higher one. */
  readonly gradeId: string | null;
  readonly what: 'added' | 'changed' | 'same';
  readonly fields: readonly string[];
}

/**
 * Reads a list of children as a spreadsheet writes it. Of the family name only the initial is kept. A child is known by name
 * and birth date; it may stand in several rows, one for each group.
 * @returns what each row asks for, or everything that is wrong by row and column
 */
export function readChildrenTable(table: Table, context: ChildrenTableContext): Result<readonly ChildIntake[], readonly CellFault[]> {
  const missing = missingColumns(table, ['name', 'birth date']);
  if (missing.length > 0) return refused(missing);
  const faults: CellFault[] = [];
  const rows = tableRows(table).map((row) => ({ row, read: readRow(row, context, faults) }));
  if (rows.length === 0) faults.push({ row: 2, column: 'name', kind: 'missing', found: '' });
  const firstRows = new Map<string, number>();
  const placed = new Map<string, number>();
  const known = new Map(context.children.map((child) => [childKey(child), child]));
  const intakes = rows.map(({ row, read }): ChildIntake => {
    const key = childKey(read);
    const inGroup = `${key} ${read.group?.id ?? ''}`;
    const twin = placed.get(inGroup);
    if (twin !== undefined && read.givenName !== '') faults.push({ row: row.row, column: 'name', kind: 'twice', found: String(twin) });
    placed.set(inGroup, row.row);
    const firstRow = firstRows.get(key) ?? row.row;
    firstRows.set(key, firstRow);
    return intakeOf(row.row, firstRow, read, { ladders: context.ladders, known: known.get(key) });
  });
  return faults.length > 0 ? refused(faults) : accepted(intakes);
}

interface ReadChild {
  readonly givenName: string;
  readonly familyInitial: string;
  readonly birthDate: Day;
  readonly leadSide: Side | null;
  readonly group: ChildrenTableContext['groups'][number] | null;
  readonly grade: ChildrenTableContext['ladders'][number]['grades'][number] | null;
}

function readRow(row: TableRow, { today, groups, ladders }: ChildrenTableContext, faults: CellFault[]): ReadChild {
  const say = (column: (typeof childrenColumns)[number], kind: CellFault['kind'], found = ''): void => {
    faults.push({ row: row.row, column, kind, found });
  };
  const name = nameIn(row.cell('name'));
  if (row.cell('name') === '') say('name', 'missing');
  else if (!name) say('name', 'not-right', 'Write the given name and the family name or its initial.');
  else if (name.givenName.length > 60) say('name', 'too-long', name.givenName);
  const written = row.cell('birth date');
  const birthDate = dayIn(written);
  if (written === '') say('birth date', 'missing');
  else if (birthDate === null) say('birth date', 'not-a-day', written);
  else if (birthDate > today) say('birth date', 'in-the-future', written);
  const side = row.cell('lead side').toLowerCase();
  const leadSide = ['left', 'l'].includes(side) ? 'left' : ['right', 'r'].includes(side) ? 'right' : null;
  if (side !== '' && leadSide === null) say('lead side', 'unknown', row.cell('lead side'));
  const groupName = row.cell('group').toLowerCase();
  const group = groups.find((one) => one.name.toLowerCase() === groupName) ?? null;
  if (groupName !== '' && !group) say('group', 'unknown', row.cell('group'));
  const gradeName = row.cell('grade').toLowerCase();
  const ladder = ladders.find(({ programme }) => programme === group?.programme);
  const grade = ladder?.grades.find((one) => [one.name.toLowerCase(), one.slug].includes(gradeName)) ?? null;
  if (gradeName !== '' && groupName === '') say('group', 'missing');
  else if (gradeName !== '' && group && !grade && gradeName !== ladder?.startsAs.toLowerCase()) say('grade', 'unknown', row.cell('grade'));
  return {
    givenName: name?.givenName ?? '',
    familyInitial: name?.familyInitial ?? '',
    birthDate: birthDate ?? today,
    leadSide,
    group,
    grade,
  };
}

function intakeOf(
  row: number,
  firstRow: number,
  read: ReadChild,
  { ladders, known }: Pick<ChildrenTableContext, 'ladders'> & { readonly known: KnownChild | undefined },
): ChildIntake {
  const { givenName, familyInitial, birthDate, group, grade } = read;
  const leadSide = read.leadSide ?? known?.leadSide ?? 'right';
  const joins = group !== null && !known?.groupIds.includes(group.id);
  const ladder = ladders.find(({ programme }) => programme === group?.programme);
  const rank = (slug: string): number => ladder?.grades.findIndex((one) => one.slug === slug) ?? -1;
  const earned = (group && known?.earned.get(group.programme)) ?? [];
  const climbs = grade !== null && earned.every((slug) => rank(slug) < rank(grade.slug));
  const fields = [
    ...(known && known.leadSide !== leadSide ? ['lead side'] : []),
    ...(joins ? ['group'] : []),
    ...(climbs ? ['grade'] : []),
  ];
  return {
    row,
    knownId: known?.id ?? null,
    firstRow,
    givenName,
    familyInitial,
    birthDate,
    leadSide,
    groupId: joins ? group.id : null,
    gradeId: climbs ? grade.id : null,
    what: known ? (fields.length > 0 ? 'changed' : 'same') : 'added',
    fields: known ? fields : [],
  };
}

/** `Mila Kowalska`, `Kowalska, Mila` and `Mila K.` are all Mila K. @returns null where only one name is given. */
function nameIn(text: string): { readonly givenName: string; readonly familyInitial: string } | null {
  const [family = '', given] = text.split(',').map((part) => part.trim());
  const words = (given === undefined ? family : `${given} ${family.replace(/\s+/g, '-')}`).split(/\s+/).filter((word) => word !== '');
  const last = words.at(-1);
  const initial = /^./su.exec((last ?? '').normalize('NFC'))?.[0];
  return words.length < 2 || initial === undefined
    ? null
    : { givenName: words.slice(0, -1).join(' ').normalize('NFC'), familyInitial: familyInitialOf(initial) };
}

/** A day as `2018-05-31` or as `31.5.2018`. */
function dayIn(text: string): Day | null {
  const [, day, month, year] = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(text) ?? [];
  const iso = year === undefined ? text : `${year}-${(month ?? '').padStart(2, '0')}-${(day ?? '').padStart(2, '0')}`;
  return isDay(iso) && iso >= '1900-01-01' ? iso : null;
}

/** Writes children as a table that reads the same again: a row for each group, one for a child without. */
export function childrenTable({ children, groups, ladders }: Omit<ChildrenTableContext, 'today'>): Table {
  const rows = children.flatMap((child) => {
    const places = child.groupIds.length === 0 ? [null] : child.groupIds;
    return places.map((id) => {
      const group = groups.find((one) => one.id === id);
      const ladder = ladders.find(({ programme }) => programme === group?.programme);
      const earned = (group && child.earned.get(group.programme)) ?? [];
      const grade = ladder?.grades.findLast(({ slug }) => earned.includes(slug));
      return [`${child.givenName} ${child.familyInitial}`, child.birthDate, group?.name ?? '', grade?.name ?? '', child.leadSide];
    });
  });
  return { head: [...childrenColumns], rows };
}
