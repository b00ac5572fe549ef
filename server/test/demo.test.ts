import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DemoClubService } from '../src/demo/demo-club.service.js';
import { testApp, type TestApp } from './test-app.js';

let club: TestApp;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
});
afterAll(() => club.close());

const query = <Row>(sql: string): Promise<readonly Row[]> => club.source.query<Row[]>(sql);

describe('the demo club', () => {
  it('is the same each time it is made', async () => {
    const again = await testApp({ filled: 'empty' });
    try {
      await again.app.get(DemoClubService).load();
      const facts = `
        SELECT md5(string_agg(f, '|' ORDER BY f)) AS sum FROM (
          SELECT concat_ws(',', c.given_name, c.birth_date, o.movement_slug, o.side, o.mark, o.help, o.measure, o.seen_on) AS f
          FROM observation o JOIN child c ON c.id = o.child_id
          UNION ALL SELECT concat_ws(',', c.given_name, s.day, a.status) FROM attendance a
          JOIN child c ON c.id = a.child_id JOIN class_session s ON s.id = a.class_id
          UNION ALL SELECT l.document::text FROM class_plan l) AS facts`;
      const [first] = await query<{ sum: string }>(facts);
      const [second] = await again.source.query<{ sum: string }[]>(facts);
      expect(second).toEqual(first);
    } finally {
      await again.close();
    }
  });

  it('is not made beside a club that is there', async () => {
    const before = await query('SELECT count(*) FROM child');
    expect(await club.app.get(DemoClubService).load()).toBe(false);
    expect(await query('SELECT count(*) FROM child')).toEqual(before);
  });

  it('has a term behind it: ten classes taught per group, with attendance, and at least one to plan', async () => {
    const groups = await query<{ name: string; taught: number; open: number; attended: number }>(`
      SELECT t.name, count(*) FILTER (WHERE s.taught_at IS NOT NULL)::int AS taught,
             count(*) FILTER (WHERE s.taught_at IS NULL AND s.day >= current_date - 1 AND l.class_id IS NULL)::int AS open,
             count(*) FILTER (WHERE s.taught_at IS NOT NULL AND EXISTS (SELECT 1 FROM attendance a WHERE a.class_id = s.id))::int AS attended
      FROM teaching_group t JOIN class_session s ON s.group_id = t.id LEFT JOIN class_plan l ON l.class_id = s.id GROUP BY t.name`);
    expect(groups.map(({ name }) => name).toSorted()).toEqual(['Kittiwakes', 'Lanterns', 'Puffins', 'Tide Pool', 'Undertow']);
    for (const { taught, open, attended } of groups) {
      expect(taught).toBe(10);
      expect(attended).toBe(10);
      expect(open).toBeGreaterThanOrEqual(1);
    }
  });

  it('has at first sight a planned class beside one that is not, a day that was lost, a health note and a holiday', async () => {
    const next = await query<{ name: string; planned: boolean }>(`
      SELECT DISTINCT ON (t.name) t.name, l.class_id IS NOT NULL AS planned
      FROM class_session s JOIN teaching_group t ON t.id = s.group_id LEFT JOIN class_plan l ON l.class_id = s.id
      WHERE s.taught_at IS NULL AND s.day >= current_date - 1 ORDER BY t.name, s.day`);
    expect(new Set(next.map(({ planned }) => planned)).size).toBe(2);
    expect(await query(`SELECT 1 FROM class_session WHERE cancelled_because ~ 'ferry' AND day < current_date`)).toHaveLength(1);
    expect(await query(`SELECT 1 FROM child WHERE health_notes <> '[]'`)).toHaveLength(1);
    expect(await query('SELECT 1 FROM holiday')).toHaveLength(1);
  });

  it('has classes that run over and classes that end early, as they do', async () => {
    const lengths = await query<{ share: number }>(`
      SELECT sum(real_seconds) / sum(planned_seconds) AS share FROM item_time GROUP BY class_id`);
    const shares = lengths.map(({ share }) => share);
    expect(Math.max(...shares)).toBeGreaterThan(1.08);
    expect(Math.min(...shares)).toBeLessThan(1);
  });

  it('never marks one skill of a child twice in one class', async () => {
    expect(
      await query(
        `SELECT 1 FROM observation WHERE class_id IS NOT NULL GROUP BY child_id, class_id, movement_slug, stage, side HAVING count(*) > 1`,
      ),
    ).toEqual([]);
  });

  it('gives marks only to children who were there, never after today, for what the class was about', async () => {
    const wrong = await query(`
      SELECT o.id FROM observation o LEFT JOIN attendance a ON a.class_id = o.class_id AND a.child_id = o.child_id
      WHERE o.seen_on > current_date + 1 OR (o.class_id IS NOT NULL AND (a.status IS NULL OR a.status NOT IN ('present', 'late')))`);
    expect(wrong).toEqual([]);
  });

  it('lets most children come on over the term', async () => {
    const [trend] = await query<{ early: number; late: number }>(`
      SELECT avg(CASE WHEN seen_on < current_date - 35 THEN score END)::float AS early,
             avg(CASE WHEN seen_on >= current_date - 35 THEN score END)::float AS late
      FROM (SELECT seen_on, CASE mark WHEN 'clean' THEN 3 WHEN 'alone' THEN 2 WHEN 'with-help' THEN 1 ELSE 0 END AS score FROM observation) AS s`);
    expect(trend?.late).toBeGreaterThan((trend?.early ?? 9) + 0.2);
  });

  it('has children who are ready for a grade, one who lacks a single side, one who stopped coming and one who is new', async () => {
    const owner = await club.as('owner');
    const groups = (await owner.get('/api/groups').expect(200)).body as readonly { id: string }[];
    const rows = (
      await Promise.all(groups.map(async ({ id }) => (await owner.get(`/api/groups/${id}/board`).expect(200)).body.rows))
    ).flat() as readonly {
      isEarned: boolean;
      lastSeenOn: string | null;
      cells: readonly { standing: string; sidesOpen: readonly string[] }[];
    }[];
    expect(rows.filter(({ isEarned }) => isEarned).length).toBeGreaterThanOrEqual(2);
    const oneSide = rows.filter(({ cells }) => {
      const open = cells.filter(({ standing }) => standing !== 'met' && standing !== 'fading');
      return open.length === 1 && open[0]?.sidesOpen.length === 1;
    });
    expect(oneSide.length).toBeGreaterThanOrEqual(1);
    expect(rows.some(({ cells }) => cells.some(({ standing }) => standing === 'fading'))).toBe(true);
    const [stopped] = await query<{ count: string }>('SELECT count(*) FROM enrolment WHERE to_day IS NOT NULL');
    expect(Number(stopped?.count)).toBeGreaterThanOrEqual(1);
    const [fresh] = await query<{ count: string }>('SELECT count(*) FROM enrolment WHERE from_day > current_date - 70');
    expect(Number(fresh?.count)).toBeGreaterThanOrEqual(1);
  });
});
