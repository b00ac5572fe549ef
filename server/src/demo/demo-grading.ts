import { addDays, readinessFor, weekdayOf, type ChildOnLadder, type Day, type Grade, type Observation } from '@leiter/core';
import type { EntityManager } from 'typeorm';
import { rows } from '../database/rows.js';

/** A child of the demo that could go for a grade. */
export interface DemoCandidate {
  readonly childId: string;
  readonly ageYears: number;
  readonly grade: Grade;
  readonly observations: readonly Observation[];
  readonly onLadder: ChildOnLadder;
}

/** So far ahead, and on the Saturday that is nearest. */
const daysAhead = 21;

/** The grading day of a programme, on a Saturday in about three weeks: whoever can be ready comes. */
export async function storeGrading(
  manager: EntityManager,
  clubId: string,
  { programme, today, examinerIds }: { readonly programme: string; readonly today: Day; readonly examinerIds: readonly string[] },
  candidates: readonly DemoCandidate[],
): Promise<void> {
  const day = addDays(today, daysAhead - 3 + ((6 - weekdayOf(addDays(today, daysAhead - 3)) + 7) % 7));
  const [made] = await rows<{ id: string }>(
    manager,
    `INSERT INTO grading_day (club_id, programme_id, day, starts_at, examiner_ids)
     SELECT $1, id, $3, '10:00', $4 FROM programme WHERE club_id = $1 AND slug = $2 RETURNING id`,
    [clubId, programme, day, examinerIds],
  );
  const ready = candidates.filter(
    ({ grade, observations, onLadder }) => readinessFor(grade, observations, onLadder, day).kind !== 'not-yet',
  );
  for (const { childId, grade, ageYears } of ready)
    await manager.query('INSERT INTO grading_entry (grading_id, child_id, club_id, grade_id, size) VALUES ($1, $2, $3, $4, $5)', [
      made?.id,
      childId,
      clubId,
      grade.id,
      ageYears < 7 ? 'small' : 'medium',
    ]);
}
