import type { GradingChild, GradingPageResponse } from '@leiter/contract';
import type { Library, Station } from '@leiter/core';
import { inOrderOf, sheetLines, type SheetLine } from './examiner-cells';
import { clockAfter } from './grading-words';

/** Children who are seen together, or all of a grade that are in no party, and where they are when. */
export interface MarkSheet {
  readonly key: string;
  readonly gradeId: string;
  readonly children: readonly GradingChild[];
  /** In the order in which they go; empty without a timetable. */
  readonly visits: readonly { readonly station: Station; readonly at: string; readonly examinerIds: readonly string[] }[];
}

/** Sheets in the order of the timetable; without one, one for each grade. */
export function markSheets({ grading, timetable, children, grades }: GradingPageResponse): readonly MarkSheet[] {
  const entered = children.filter(({ entry }) => entry !== null);
  const parties = (timetable?.parties ?? []).map((party): MarkSheet => ({
    key: `party ${String(party.id)}`,
    gradeId: party.gradeId,
    children: entered.filter(({ entry }) => entry?.party === party.id),
    visits: (timetable?.visits ?? [])
      .filter((visit) => visit.party === party.id)
      .toSorted((a, b) => a.from - b.from)
      .map(({ station, from, examinerIds }) => ({ station, at: clockAfter(grading, from), examinerIds })),
  }));
  const placed = new Set(parties.flatMap(({ children: own }) => own.map(({ childId }) => childId)));
  const others = grades.map((grade): MarkSheet => ({
    key: grade.id,
    gradeId: grade.id,
    children: entered.filter(({ childId, gradeId }) => gradeId === grade.id && !placed.has(childId)),
    visits: [],
  }));
  return [...parties, ...others].filter(({ children: own }) => own.length > 0);
}

/** What is asked of the children of a sheet, station by station as they go. */
export function linesOf(sheet: MarkSheet, page: GradingPageResponse, library: Library): readonly SheetLine[] {
  return inOrderOf(
    sheetLines(page, sheet.gradeId, sheet.children, library),
    sheet.visits.map(({ station }) => station),
  );
}
