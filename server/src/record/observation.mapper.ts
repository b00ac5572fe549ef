import type { ObservationResponse } from '@leiter/contract';
import type { ObservationEntity } from './observation.entity.js';

/** The columns of an observation as `observationOf` reads them. */
export const observationColumns =
  'o.id, o.child_id, o.movement_slug, o.stage, o.side, o.mark, o.help, o.measure, o.faults, o.note, o.seen_on, o.recorded_at, o.recorded_by, o.source, o.class_id, o.supersedes, o.is_withdrawal';

export interface ObservationRow {
  readonly id: string;
  readonly child_id: string;
  readonly movement_slug: string;
  readonly stage: number | null;
  readonly side: ObservationEntity['side'];
  readonly mark: ObservationEntity['mark'];
  readonly help: ObservationEntity['help'];
  readonly measure: ObservationEntity['measure'];
  readonly faults: readonly string[];
  readonly note: string;
  readonly seen_on: string;
  readonly recorded_at: Date;
  readonly recorded_by: string | null;
  readonly source: ObservationEntity['source'];
  readonly class_id: string | null;
  readonly supersedes: string | null;
  readonly is_withdrawal: boolean;
}

/** A row of the table as core and the wire know it. */
export function observationOf(row: ObservationRow): ObservationResponse {
  return {
    id: row.id,
    childId: row.child_id,
    movement: row.movement_slug,
    stage: row.stage,
    side: row.side,
    mark: row.mark,
    help: row.help,
    measure: row.measure,
    faults: row.faults,
    note: row.note,
    seenOn: row.seen_on,
    recordedAt: row.recorded_at.toISOString(),
    recordedBy: row.recorded_by,
    source: row.source,
    classId: row.class_id,
    supersedes: row.supersedes,
    ...(row.is_withdrawal ? { isWithdrawal: true } : {}),
  };
}
