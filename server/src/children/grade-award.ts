import type { EntityManager } from 'typeorm';
import type { Asker } from '../people/asker.js';

/** Writes down that a child has a grade; given twice it is given once. */
export function insertAward(
  manager: EntityManager,
  asker: Asker,
  { childId, gradeId, awardedOn }: { readonly childId: string; readonly gradeId: string; readonly awardedOn: string },
): Promise<unknown> {
  return manager.query(
    `INSERT INTO grade_award (club_id, child_id, grade_id, awarded_on, awarded_by) VALUES ($1, $2, $3, $4, $5)
     ON CONFLICT (child_id, grade_id) DO NOTHING`,
    [asker.clubId, childId, gradeId, awardedOn, asker.id],
  );
}
