/** A spreadsheet as text: a head and rows. Row numbers are those that the spreadsheet shows, so the first row below the head is 2. */
export interface Table {
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** What is wrong in a cell, in a row without a column, or (row 1) in the head. */
export interface CellFault {
  readonly row: number;
  readonly column: string;
  readonly kind:
    'column-missing' | 'missing' | 'unknown' | 'not-a-number' | 'not-a-day' | 'in-the-future' | 'too-long' | 'twice' | 'not-right';
  /** What stands there, or what is said of it. */
  readonly found: string;
}

/** What is wrong, as a person who teaches is told it. */
export function cellFaultWords({ column, kind, found }: CellFault): string {
  switch (kind) {
    case 'column-missing':
      return `There is no column “${column}”.`;
    case 'missing':
      return 'This is empty.';
    case 'unknown':
      return `“${found}” is not known here.`;
    case 'not-a-number':
      return `“${found}” is not a whole number that fits here.`;
    case 'not-a-day':
      return `“${found}” is not a day. Write 2018-05-31 or 31.05.2018.`;
    case 'in-the-future':
      return `${found} has not come yet.`;
    case 'too-long':
      return `“${found.slice(0, 20)}…” is too long.`;
    case 'twice':
      return `This is the same as row ${found}.`;
    case 'not-right':
      return found;
  }
}

/** One row of a table, asked by the names of its columns. */
export interface TableRow {
  readonly row: number;
  /** The text of a cell without blanks around it; empty where there is no such column. */
  readonly cell: (column: string) => string;
}

/** The rows that hold anything, asked by column name, whatever its case and its blanks. */
export function tableRows({ head, rows }: Table): readonly TableRow[] {
  const columns = new Map(head.map((name, index) => [columnKey(name), index]));
  return rows.flatMap((cells, index) => {
    if (cells.every((text) => text.trim() === '')) return [];
    return [{ row: index + 2, cell: (column) => (cells[columns.get(columnKey(column)) ?? -1] ?? '').trim() }];
  });
}

/** @returns a fault for each column that the table does not have. */
export function missingColumns({ head }: Table, wanted: readonly string[]): readonly CellFault[] {
  const there = new Set(head.map(columnKey));
  return wanted
    .filter((column) => !there.has(columnKey(column)))
    .map((column) => ({ row: 1, column, kind: 'column-missing' as const, found: '' }));
}

const columnKey = (name: string): string => name.toLowerCase().replace(/[\s_-]+/g, '');
