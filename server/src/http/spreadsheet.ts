import { cellFaultWords, type CellFault, type Table } from '@leiter/core';
import Papa from 'papaparse';
import { ProblemException } from './problem.js';

const mostErrorsNamed = 200;

/**
 * Reads a table as spreadsheets write it: commas, semicolons or tabs, with or without a byte order mark, with line breaks in
 * quotes. Which of the three separates is what the head uses most.
 */
export function readTable(text: string): Table {
  const plain = text.replace(/^\uFEFF/, '');
  const [head = ''] = plain.split(/\r?\n/, 1);
  const delimiter = [';', '\t', ','].reduce((best, one) => (head.split(one).length > head.split(best).length ? one : best), ',');
  const { data } = Papa.parse<string[]>(plain, { delimiter, skipEmptyLines: false });
  const [names = [], ...rows] = data.map((cells) => cells.map(unescaped));
  return { head: names, rows };
}

/** A cell that would be a formula is written with an apostrophe before it. */
const unescaped = (cell: string): string => cell.replace(/^'(?=[=+\-@])/, '');

/** Writes a table that every spreadsheet opens with its umlauts right, and in which nothing is a formula. */
export function writeTable({ head, rows }: Table): string {
  return `\uFEFF${Papa.unparse({ fields: [...head], data: rows.map((cells) => [...cells]) }, { escapeFormulae: true, newline: '\r\n' })}\r\n`;
}

/** All that is wrong in a table, each with its row and column. */
export function cellProblem(faults: readonly CellFault[]): ProblemException {
  return new ProblemException(422, 'Nothing was stored: some cells are not right.', {
    errors: faults
      .slice(0, mostErrorsNamed)
      .map((fault) => ({ field: `row ${String(fault.row)}, ${fault.column}`, message: cellFaultWords(fault) })),
    errorCount: faults.length,
  });
}
