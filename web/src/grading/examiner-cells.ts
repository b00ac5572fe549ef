import type { GradingChild, GradingMark, GradingPageResponse, RequirementResponse } from '@leiter/contract';
import {
  findingsOf,
  isSided,
  sidesAsked,
  stationOf,
  type ExaminersFinding,
  type Library,
  type Movement,
  type ObservedSide,
  type Station,
} from '@leiter/core';

export type ShownMark = GradingMark & { readonly isWaiting: boolean };

/** A line of a mark sheet: what is asked, on one side. */
export interface SheetLine {
  readonly key: string;
  readonly requirement: RequirementResponse;
  readonly movement: Movement;
  readonly side: ObservedSide;
  /** Where it is shown. */
  readonly station: Station;
}

/** One child and one line: what this examiner wrote, and what others did. */
export interface SheetCell {
  readonly child: GradingChild;
  readonly line: SheetLine;
  readonly own: ShownMark | null;
  /** What the examiners found together; null where nobody marked. */
  readonly finding: ExaminersFinding<ShownMark> | null;
  /** False where this child does not show this side: another one leads. */
  readonly isAsked: boolean;
}

/** What children of one grade show, in the order of the grade, each side by itself. */
export function sheetLines(
  page: GradingPageResponse,
  gradeId: string,
  children: readonly GradingChild[],
  library: Library,
): readonly SheetLine[] {
  const grade = page.grades.find(({ id }) => id === gradeId);
  return (grade?.requirements ?? []).flatMap((requirement) => {
    const movement = library.get(requirement.movement);
    if (!movement) return [];
    const sides = new Set(children.flatMap(({ leadSide }) => sidesAsked(requirement.criterion, leadSide)));
    return (['left', 'right', null] as const)
      .filter((side) => sides.has(side))
      .map((side) => ({
        key: `${requirement.id} ${side ?? ''}`,
        requirement,
        movement,
        side: side ?? 'none',
        station: stationOf({ requirement, kind: movement.kind }),
      }));
  });
}

/** The lines in the order in which a party goes from station to station; those of one station in the order of the grade. */
export function inOrderOf(lines: readonly SheetLine[], stations: readonly Station[]): readonly SheetLine[] {
  const at = ({ station }: SheetLine): number => (stations.includes(station) ? stations.indexOf(station) : stations.length);
  return lines.toSorted((a, b) => at(a) - at(b));
}

/** The cells of some children, by child and line. */
export function sheetCells(
  children: readonly GradingChild[],
  lines: readonly SheetLine[],
  marks: readonly ShownMark[],
  ownId: string,
): (child: GradingChild, line: SheetLine) => SheetCell {
  const findings = new Map(children.map(({ childId }) => [childId, findingsOf(marks.filter((mark) => mark.childId === childId))]));
  return (child, line) => {
    const finding = findings
      .get(child.childId)
      ?.find(({ requirementId, side }) => requirementId === line.requirement.id && side === line.side);
    const own = marks.filter(
      (mark) =>
        mark.childId === child.childId &&
        mark.requirementId === line.requirement.id &&
        mark.side === line.side &&
        mark.examinerId === ownId,
    );
    const sides = sidesAsked(line.requirement.criterion, child.leadSide);
    return {
      child,
      line,
      own: own.at(-1) ?? null,
      finding: finding ?? null,
      isAsked: sides.some((side) => (side ?? 'none') === line.side),
    };
  };
}

/** How much of what is asked of some children has a mark. */
export function markedOf(
  children: readonly GradingChild[],
  lines: readonly SheetLine[],
  cellOf: (child: GradingChild, line: SheetLine) => SheetCell,
): { readonly marked: number; readonly asked: number } {
  const cells = children.flatMap((child) => lines.map((line) => cellOf(child, line))).filter(({ isAsked }) => isAsked);
  return { marked: cells.filter(({ finding }) => finding !== null).length, asked: cells.length };
}

/** Whether a side has to be named. */
export const hasSides = ({ movement, side }: SheetLine): boolean => side !== 'none' && isSided(movement);
