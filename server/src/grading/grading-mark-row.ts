import type { GradingMark } from '@leiter/contract';
import type { DataSource, EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';

interface GradingMarkRow {
  readonly id: string;
  readonly child_id: string;
  readonly requirement_id: string;
  readonly side: GradingMark['side'];
  readonly mark: GradingMark['mark'];
  readonly help: GradingMark['help'];
  readonly measure: GradingMark['measure'];
  readonly faults: readonly string[];
  readonly is_settled: boolean;
  readonly examiner_id: string;
  readonly given_at: Date;
}

/** What was marked on a grading day, in the order in which it came; of one mark alone where its id is given. */
export async function gradingMarks(source: DataSource | EntityManager, gradingId: string, id?: string): Promise<readonly GradingMark[]> {
  const found = await rows<GradingMarkRow>(
    source,
    `SELECT id, child_id, requirement_id, side, mark, help, measure, faults, is_settled, examiner_id, given_at FROM grading_mark
     WHERE grading_id = $1 AND ($2::uuid IS NULL OR id = $2) ORDER BY given_at, id`,
    [gradingId, id ?? null],
  );
  return found.map((row) => ({
    id: row.id,
    childId: row.child_id,
    requirementId: row.requirement_id,
    side: row.side,
    mark: row.mark,
    help: row.help,
    measure: row.measure,
    faults: row.faults,
    isSettled: row.is_settled,
    examinerId: row.examiner_id,
    givenAt: row.given_at.toISOString(),
  }));
}
