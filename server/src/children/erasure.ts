import type { EntityManager } from 'typeorm';

/**
 * Removes a child and everything that speaks of it: marks, attendance, grades and notes go with it; versions set for it in plans,
 * its id in what imports keep, and its name in what was written about classes of its groups are taken out.
 */
export async function eraseChild(manager: EntityManager, clubId: string, childId: string): Promise<void> {
  // the name as a whole word, as it is written: what is left says “a child”
  await manager.query(
    `WITH child AS (
       SELECT '\\m' || regexp_replace(given_name, '([\\\\^$.|?*+()\\[\\]{}])', '\\\\\\1', 'g') || '\\M(\\s+' ||
              regexp_replace(family_initial, '([\\\\^$.|?*+()\\[\\]{}])', '\\\\\\1', 'g') || ')?' AS name
       FROM child WHERE club_id = $1 AND id = $2),
     class AS (
       SELECT DISTINCT c.id FROM class_session c JOIN enrolment e ON e.group_id = c.group_id WHERE c.club_id = $1 AND e.child_id = $2
       UNION SELECT class_id FROM attendance WHERE club_id = $1 AND child_id = $2
       UNION SELECT class_id FROM observation WHERE club_id = $1 AND child_id = $2),
     noted AS (
       UPDATE class_session c SET stops_note = regexp_replace(stops_note, child.name, 'a child', 'g'),
         note = regexp_replace(note, child.name, 'a child', 'g'),
         cancelled_because = regexp_replace(cancelled_because, child.name, 'a child', 'g')
       FROM child WHERE c.id IN (SELECT id FROM class) AND concat_ws(' ', c.stops_note, c.note, c.cancelled_because) ~ child.name)
     UPDATE class_plan l SET document = jsonb_set(l.document, '{sections}', (
       SELECT coalesce(jsonb_agg(jsonb_set(s.section, '{items}', (
         SELECT coalesce(jsonb_agg(
           (CASE WHEN i.item -> 'tierByHand' ? $2::text THEN
              CASE WHEN (i.item -> 'tierByHand') - $2::text = '{}' THEN i.item - 'tierByHand'
              ELSE jsonb_set(i.item, '{tierByHand}', (i.item -> 'tierByHand') - $2::text) END
            ELSE i.item END)
           || CASE WHEN i.item ->> 'note' ~ child.name THEN jsonb_build_object('note', regexp_replace(i.item ->> 'note', child.name, 'a child', 'g')) ELSE '{}' END
           || CASE WHEN i.item ->> 'cue' ~ child.name THEN jsonb_build_object('cue', regexp_replace(i.item ->> 'cue', child.name, 'a child', 'g')) ELSE '{}' END
           ORDER BY i.nth), '[]')
         FROM jsonb_array_elements(s.section -> 'items') WITH ORDINALITY AS i (item, nth))) ORDER BY s.nth), '[]')
       FROM jsonb_array_elements(l.document -> 'sections') WITH ORDINALITY AS s (section, nth)))
       || CASE WHEN l.document ? 'accepted' THEN jsonb_build_object('accepted', (
            SELECT coalesce(jsonb_agg(jsonb_set(a.one, '{reason}', to_jsonb(regexp_replace(a.one ->> 'reason', child.name, 'a child', 'g'))) ORDER BY a.nth), '[]')
            FROM jsonb_array_elements(l.document -> 'accepted') WITH ORDINALITY AS a (one, nth))) ELSE '{}' END,
       version = version + 1
     FROM child
     WHERE l.club_id = $1 AND (l.document::text LIKE '%' || $2::text || '%' OR (l.class_id IN (SELECT id FROM class) AND l.document::text ~ child.name))`,
    [clubId, childId],
  );
  await manager.query(
    `UPDATE import SET before = (
       SELECT coalesce(jsonb_agg(b.one ORDER BY b.nth), '[]') FROM jsonb_array_elements(before) WITH ORDINALITY AS b (one, nth)
       WHERE b.one ->> 'childId' <> $2)
     WHERE club_id = $1 AND subject = 'children' AND before::text LIKE '%' || $2 || '%'`,
    [clubId, childId],
  );
  await manager.query(`DELETE FROM stage WHERE club_id = $1 AND state::text LIKE '%' || $2 || '%'`, [clubId, childId]);
  await manager.query(`DELETE FROM event WHERE club_id = $1 AND data::text LIKE '%' || $2 || '%'`, [clubId, childId]);
  await manager.query('DELETE FROM child WHERE club_id = $1 AND id = $2', [clubId, childId]);
}
