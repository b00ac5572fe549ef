import pg from 'pg';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { pulse } from '../src/database/notices.service.js';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
let groupId: string;
let classId: string;
let childId: string;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
  const [coming] = (await owner.get('/api/coming-classes').expect(200)).body;
  groupId = coming.group.id;
  classId = coming.class.id;
  childId = (await owner.get(`/api/groups/${groupId}/board`).expect(200)).body.rows[0].childId;
});
afterAll(() => club.close());
afterEach(() => vi.restoreAllMocks());

async function queriesOf(path: string): Promise<number> {
  const spy = vi.spyOn(pg.Client.prototype, 'query');
  await owner.get(path).expect(200);
  // the line of notices asks now and then whether it is alive
  const { length } = spy.mock.calls.filter(([query]) => (query as unknown) !== pulse);
  spy.mockRestore();
  return length;
}

/** Twice the children, marks, classes and movements. */
async function double(): Promise<void> {
  await club.source.query(`
    INSERT INTO movement (club_id, slug, document) SELECT club_id, slug || '-too', document FROM movement;
    WITH twin AS (
      INSERT INTO child (club_id, given_name, family_initial, birth_date, lead_side, household)
      SELECT club_id, given_name || ' too', family_initial, birth_date, lead_side, household FROM child RETURNING id, club_id)
    INSERT INTO enrolment (club_id, child_id, group_id, from_day) SELECT club_id, id, '${groupId}', '2026-01-01' FROM twin;
    INSERT INTO observation (id, club_id, child_id, movement_slug, stage, side, mark, help, measure, faults, note, seen_on, source)
      SELECT gen_random_uuid(), club_id, child_id, movement_slug, stage, side, mark, help, measure, faults, note, seen_on, source FROM observation;
    INSERT INTO class_session (club_id, group_id, day, starts_at, length_minutes)
      SELECT club_id, group_id, day + 400, starts_at, length_minutes FROM class_session;`);
}

describe('reading a list', () => {
  it('asks the database as often for twice as much', async () => {
    const paths = [
      '/api/children',
      `/api/children/${childId}`,
      '/api/groups',
      `/api/groups/${groupId}/board`,
      `/api/groups/${groupId}/classes`,
      `/api/classes/${classId}`,
      '/api/coming-classes',
      '/api/today',
      '/api/boards',
      '/api/weeks/2026-11-26',
      '/api/library',
      '/api/syllabuses',
      '/api/people',
    ];
    const counts = async (): Promise<Readonly<Record<string, number>>> => {
      // what is kept for a day, or until the library changes, is there already
      for (const path of paths) await owner.get(path).expect(200);
      const found: Record<string, number> = {};
      for (const path of paths) found[path] = await queriesOf(path);
      return found;
    };
    const before = await counts();
    await double();
    expect(await counts()).toEqual(before);
    expect(Math.max(...Object.values(before))).toBeLessThan(50);
  });
});
