import type { EntityManager } from 'typeorm';
import type { DemoMark } from './demo-marks.js';

/** Puts a mark of the demo into the record, as if it had been given in the evening of its day. @param nth orders those of one day */
export async function storeMark(
  manager: EntityManager,
  clubId: string,
  mark: DemoMark,
  { nth, recordedBy }: { readonly nth: number; readonly recordedBy: string | null },
): Promise<void> {
  const recordedAt = new Date(Date.parse(`${mark.seenOn}T18:00:00Z`) + nth * 1000);
  await manager.query(
    `INSERT INTO observation (id, club_id, child_id, movement_slug, stage, side, mark, help, measure, faults, note, seen_on, recorded_at, recorded_by, source, class_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16)`,
    [
      mark.id,
      clubId,
      mark.childId,
      mark.movement,
      mark.stage,
      mark.side,
      mark.mark,
      mark.help,
      JSON.stringify(mark.measure),
      mark.faults,
      mark.note,
      mark.seenOn,
      recordedAt,
      recordedBy,
      mark.source,
      mark.classId,
    ],
  );
}
