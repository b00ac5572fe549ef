import type { ReportResponse, StallResponse } from '@leiter/contract';
import type { Table } from '@leiter/core';

const names = ['grades', 'attendance', 'stalls', 'load'] as const;
export type ReportTable = (typeof names)[number];
export const isReportTable = (name: string): name is ReportTable => names.some((one) => one === name);

/** @param movementNames by slug */
export function reportTable(name: ReportTable, { days, groups }: ReportResponse, movementNames: ReadonlyMap<string, string>): Table {
  switch (name) {
    case 'grades':
      return {
        head: ['group', 'grade', ...days],
        rows: groups.flatMap(({ group, gradeNames, counts }) =>
          gradeNames.map((grade, rung) => [group.name, grade, ...counts.map((day) => String(day[rung] ?? 0))]),
        ),
      };
    case 'attendance':
      return {
        head: ['group', 'child', 'classes', 'there', 'late', 'away', 'watched'],
        rows: groups.flatMap(({ group, classesHeld, attendance }) =>
          attendance.map((one) => [group.name, one.name, ...[classesHeld, one.there, one.late, one.away, one.watched].map(String)]),
        ),
      };
    case 'load':
      return {
        head: ['group', 'week until', 'classes', 'minutes moving', 'minutes hard', 'hard landings', 'minutes on hands'],
        rows: groups.flatMap(({ group, loads }) =>
          loads.map(({ classes, movingSeconds, hardSeconds, landings, handsSeconds }, index) => [
            group.name,
            days[index + 1] ?? '',
            String(classes),
            minutes(movingSeconds),
            minutes(hardSeconds),
            String(Math.round(landings)),
            minutes(handsSeconds),
          ]),
        ),
      };
    case 'stalls':
      return {
        head: ['group', 'child', 'why'],
        rows: groups.flatMap(({ group, stalls }) => stalls.map((one) => [group.name, one.name, stallText(one.stall, movementNames)])),
      };
  }
}

/** To a tenth. */
const minutes = (seconds: number): string => (seconds / 60).toFixed(1);

function stallText(stall: StallResponse, movementNames: ReadonlyMap<string, string>): string {
  switch (stall.kind) {
    case 'away':
      return `came to ${String(stall.came)} of ${String(stall.held)} classes`;
    case 'unlooked':
      return `looked at ${String(stall.looks)} times in ${String(stall.came)} classes`;
    case 'stuck':
      return `${movementNames.get(stall.movement) ?? stall.movement}: looked at ${String(stall.looks)} times, not shown`;
    case 'slow':
      return `looked at ${String(stall.looks)} times, nothing shown`;
  }
}
