import type { ChildRecordResponse, Consent, Practice } from '@leiter/contract';
import type { DataSource } from 'typeorm';
import { rows } from '../database/rows.js';

/** What of the record of a child goes between the club and its family, and of grading days: practice, consents, letters, sheets of examiners. */
export async function recordOfHome(
  source: DataSource,
  clubId: string,
  childId: string,
): Promise<Pick<ChildRecordResponse, 'practice' | 'consents' | 'letters' | 'gradings'>> {
  const [practice, consents, letters, gradings] = await Promise.all([
    rows<Practice>(
      source,
      `SELECT id, day, movement_slug AS movement, feeling FROM practice WHERE club_id = $1 AND child_id = $2 ORDER BY day DESC, noted_at DESC`,
      [clubId, childId],
    ),
    rows<Omit<Consent, 'at'> & { readonly at: Date }>(
      source,
      `SELECT c.kind, c.is_given AS "isGiven", c.at, p.name AS by FROM consent c LEFT JOIN person p ON p.id = c.by_id
       WHERE c.club_id = $1 AND c.child_id = $2 ORDER BY c.id DESC`,
      [clubId, childId],
    ),
    rows<Omit<ChildRecordResponse['letters'][number], 'writtenAt'> & { readonly writtenAt: Date }>(
      source,
      `SELECT written_at AS "writtenAt", subject, regexp_replace(body, '#[A-Za-z0-9_-]{43}', '#…', 'g') AS body, to_addresses AS to, state FROM letter
       WHERE club_id = $1 AND child_id = $2 ORDER BY written_at DESC`,
      [clubId, childId],
    ),
    rows<ChildRecordResponse['gradings'][number]>(
      source,
      `SELECT d.day, g.name AS "gradeName", e.size, e.decision, e.reason, coalesce((
         SELECT jsonb_agg(jsonb_build_object('movement', r.movement_slug, 'side', m.side, 'mark', m.mark, 'examiner', p.name) ORDER BY m.given_at, m.id)
         FROM grading_mark m JOIN requirement r ON r.id = m.requirement_id LEFT JOIN person p ON p.id = m.examiner_id
         WHERE m.grading_id = e.grading_id AND m.child_id = e.child_id), '[]') AS marks
       FROM grading_entry e JOIN grading_day d ON d.id = e.grading_id JOIN grade g ON g.id = e.grade_id
       WHERE e.club_id = $1 AND e.child_id = $2 ORDER BY d.day DESC`,
      [clubId, childId],
    ),
  ]);
  return {
    practice,
    consents: consents.map(({ at, ...consent }) => ({ ...consent, at: at.toISOString() })),
    letters: letters.map(({ writtenAt, ...letter }) => ({ ...letter, writtenAt: writtenAt.toISOString() })),
    gradings,
  };
}
