import type { ChildRecordResponse } from '@leiter/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { recordDocument } from '../src/children/record-paper.js';
import { asBuffer, testApp, type TestApp } from './test-app.js';

let club: TestApp;
let childId: string;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  const tomasz = await club.as('gymnastics');
  const group = (await tomasz.get('/api/groups').expect(200)).body.find((one: { name: string }) => one.name === 'Kittiwakes');
  childId = (await tomasz.get(`/api/groups/${group.id}/board`).expect(200)).body.rows[0].childId;
});
afterAll(() => club.close());

describe('what is kept of a child', () => {
  it('can be read on paper by its staff and the owner, and that it was handed out is written down', async () => {
    const tomasz = await club.as('gymnastics');
    const handedOut = async (): Promise<number> =>
      Number(
        (await club.source.query(`SELECT count(*) FROM child_log WHERE child_id = $1 AND kind = 'record-handed-out'`, [childId]))[0].count,
      );
    const before = await handedOut();
    const answer = await tomasz.get(`/api/children/${childId}/record/paper`).buffer().parse(asBuffer).expect(200);
    expect((answer.body as Buffer).toString('latin1').slice(0, 5)).toBe('%PDF-');
    expect(await handedOut()).toBe(before + 1);
    await (await club.as('dance')).get(`/api/children/${childId}/record/paper`).expect(403);
    await (await club.as('assistant')).get(`/api/children/${childId}/record/paper`).expect(403);
  });

  it('says all of it on paper: every mark, class, grade, note, contact and line of the log', async () => {
    const owner = await club.as('owner');
    const record: ChildRecordResponse = (await owner.get(`/api/children/${childId}/record`).expect(200)).body;
    const told = { ...record, healthNotes: [{ text: 'Sore wrist', regions: [], hazards: [], untilDay: '2027-01-31' }] } as const;
    const text = JSON.stringify(recordDocument(told, 'The Sail Loft', '2026-12-01', (slug) => `<${slug}>`));
    for (const part of ['Sore wrist', 'until 31 Jan 2027', record.child.givenName, 'The whole record was handed out'])
      expect(text).toContain(part);
    for (const { movement } of record.observations) expect(text).toContain(`<${movement}>`);
    for (const { groupName } of record.attendance) expect(text).toContain(groupName);
    for (const { earned } of record.ladders) for (const { grade } of earned) expect(text).toContain(grade.name);
  });
});
