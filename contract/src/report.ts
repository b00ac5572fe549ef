import type { WeekLoad } from '@leiter/core';
import type { GroupResponse } from './group.js';

/** Why a child does not come on; a requirement by its movement. */
export type StallResponse =
  | { readonly kind: 'away'; readonly came: number; readonly held: number }
  | { readonly kind: 'unlooked'; readonly looks: number; readonly came: number }
  | { readonly kind: 'stuck'; readonly movement: string; readonly looks: number }
  | { readonly kind: 'slow'; readonly looks: number };

export interface AttendanceLine {
  readonly childId: string;
  readonly name: string;
  readonly there: number;
  readonly late: number;
  readonly away: number;
  readonly watched: number;
}

/** A group over some weeks. */
export interface GroupReport {
  readonly group: GroupResponse;
  /** Below the first grade, then the grades from the lowest. */
  readonly gradeNames: readonly string[];
  /** Children on each of them, for each day of the report. */
  readonly counts: readonly (readonly number[])[];
  readonly classesHeld: number;
  /** Week by week, one for each day of the report but the first: what the classes that were taught asked of a child, as planned. */
  readonly loads: readonly WeekLoad[];
  readonly attendance: readonly AttendanceLine[];
  readonly stalls: readonly { readonly childId: string; readonly name: string; readonly stall: StallResponse }[];
}

export interface ReportResponse {
  /** A week apart, the last is today. */
  readonly days: readonly string[];
  readonly groups: readonly GroupReport[];
}
