import type { EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';
import type { Asker } from '../people/asker.js';

/** Writes down that a child has a grade; given twice it is given once. @returns false where the child has it already */
export async function insertAward(
  manager: EntityManager,
  asker: Asker,
  { childId, gradeId, awardedOn }: { readonly childId: string; readonly gradeId: string; readonly awardedOn: string },
): Promise<boolean> {
  const given = await rows(
    manager,
    `INSERT INTO grade_award (club_id, child_id, grade_id, awarded_on, awarded_by) VALUES ($1, $2, $3, $4, $5)
     ON CONFLICT (child_id, grade_id) DO NOTHING RETURNING id`,
    [asker.clubId, childId, gradeId, awardedOn, asker.id],
  );
  return given.length > 0;
}

/** The grade a child began is finished: from here on it climbs the newest ladder of a programme. */
export function climbNewest(manager: EntityManager, clubId: string, childId: string, programme: string): Promise<unknown> {
  return manager.query(
    `DELETE FROM ladder_pin i USING programme p WHERE p.id = i.programme_id AND i.club_id = $1 AND i.child_id = $2 AND p.slug = $3`,
    [clubId, childId, programme],
  );
}
