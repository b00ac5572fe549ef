import type { GradingResponse, GradingTimetable } from '@leiter/contract';
import type { DataSource, EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import { notFound } from '../http/problem.js';

export interface GradingRow {
  readonly id: string;
  readonly programme: string;
  readonly day: string;
  readonly starts_at: string;
  readonly warm_up_minutes: number;
  readonly slot_minutes: number;
  readonly together: number;
  readonly per_visit: number;
  readonly examiner_ids: readonly string[];
  readonly timetable: GradingTimetable | null;
  readonly closed_at: Date | null;
  readonly entered: number;
  readonly granted: number;
}

export const selectGradings = `
  SELECT d.id, p.slug AS programme, d.day, d.starts_at, d.warm_up_minutes, d.slot_minutes, d.together, d.per_visit, d.examiner_ids,
         d.timetable, d.closed_at,
         (SELECT count(*)::int FROM grading_entry e WHERE e.grading_id = d.id) AS entered,
         (SELECT count(*)::int FROM grading_entry e WHERE e.grading_id = d.id AND e.decision = 'granted') AS granted
  FROM grading_day d JOIN programme p ON p.id = d.programme_id WHERE d.club_id = $1`;

export async function findGrading(source: DataSource | EntityManager, clubId: string, id: string): Promise<GradingRow> {
  const [row] = await rows<GradingRow>(source, `${selectGradings} AND d.id = $2`, [clubId, id]);
  if (!row) throw notFound('grading day');
  return row;
}

/** Holds a grading day until the transaction ends: what is decided about it is decided one after the other. */
export async function lockGrading(manager: EntityManager, clubId: string, id: string): Promise<GradingRow> {
  await manager.query('SELECT 1 FROM grading_day WHERE club_id = $1 AND id = $2 FOR UPDATE', [clubId, id]);
  return findGrading(manager, clubId, id);
}

export function gradingResponse(row: GradingRow): GradingResponse {
  return {
    id: row.id,
    programme: row.programme,
    day: row.day,
    startsAt: row.starts_at.slice(0, 5),
    warmUpMinutes: row.warm_up_minutes,
    slotMinutes: row.slot_minutes,
    together: row.together,
    perVisit: row.per_visit,
    examinerIds: row.examiner_ids,
    entered: row.entered,
    granted: row.granted,
    closedAt: row.closed_at?.toISOString() ?? null,
  };
}

export interface EntryRow {
  readonly child_id: string;
  readonly grade_id: string;
  readonly size: string;
  readonly party: number | null;
  readonly decision: 'granted' | 'not-yet' | null;
  readonly reason: string;
  readonly is_given_here: boolean;
}

export function entriesOf(source: DataSource | EntityManager, gradingId: string): Promise<readonly EntryRow[]> {
  return rows<EntryRow>(
    source,
    'SELECT child_id, grade_id, size, party, decision, reason, is_given_here FROM grading_entry WHERE grading_id = $1 ORDER BY child_id',
    [gradingId],
  );
}
