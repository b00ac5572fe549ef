import type { ClassPageResponse, ComingClass } from '@leiter/contract';
import { addDays, type HealthNote } from '@leiter/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
let tomasz: Agent;
let amara: Agent;
let assistant: Agent;
let classId: string;
let childId: string;
let today: string;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  [owner, tomasz, amara, assistant] = await Promise.all([club.as('owner'), club.as('gymnastics'), club.as('dance'), club.as('assistant')]);
  const coming: readonly ComingClass[] = (await owner.get('/api/coming-classes').expect(200)).body;
  classId = coming.find(({ group }) => group.name === 'Kittiwakes')?.class?.id ?? '';
  const page: ClassPageResponse = (await tomasz.get(`/api/classes/${classId}`).expect(200)).body;
  // one that is in no other group
  const all: readonly { id: string; groupIds: readonly string[] }[] = (await owner.get('/api/children').expect(200)).body;
  childId = page.children.find(({ id }) => all.find((one) => one.id === id)?.groupIds.length === 1)?.id ?? '';
  today = (await owner.get('/api/session').expect(200)).body.today;
});
afterAll(() => club.close());

const sprain = (said: Partial<HealthNote> = {}): HealthNote => ({
  text: 'Sprained wrist',
  regions: ['wrists'],
  hazards: ['weight-on-hands'],
  untilDay: null,
  ...said,
});
const versionNow = async (): Promise<number> =>
  (await club.source.query<readonly { health_version: number }[]>('SELECT health_version FROM child WHERE id = $1', [childId]))[0]
    ?.health_version ?? 1;
const save = async (agent: Agent, notes: readonly object[], status = 200) =>
  agent
    .put(`/api/children/${childId}/health-notes`)
    .send({ version: await versionNow(), notes })
    .expect(status);
const seenBy = async (agent: Agent) => (await agent.get(`/api/children/${childId}`).expect(200)).body.health?.notes ?? null;
const sparesFor = async (agent: Agent) => {
  const page: ClassPageResponse = (await agent.get(`/api/classes/${classId}`).expect(200)).body;
  return page.children.find(({ id }) => id === childId)?.spares;
};

describe('what a family told of its child’s health', () => {
  it('is kept by who teaches the child, and decides what it does', async () => {
    expect(await seenBy(tomasz)).toEqual([]);
    expect((await save(tomasz, [sprain()])).body.notes).toEqual([sprain()]);
    expect(await seenBy(tomasz)).toEqual([sprain()]);
    expect(await sparesFor(tomasz)).toEqual({ regions: ['wrists'], hazards: ['weight-on-hands'] });
    const plan = {
      format: 'leiter-plan/1',
      programme: 'gymnastics',
      lengthMinutes: 45,
      sections: [{ kind: 'strength', items: [{ id: 'p', movement: 'high-plank' }] }],
    };
    const groupId = (await tomasz.get(`/api/classes/${classId}`)).body.class.groupId;
    const judged = await tomasz.post('/api/class-plans/preview').send({ plan, groupId }).expect(200);
    const version = judged.body.versions.find((one: { childId: string }) => one.childId === childId);
    expect(version.tier === null || version.tier === 'instead').toBe(true);
    expect(version.reason).toMatch(/has to spare (the wrists|weight on the hands) for now$/);
  });

  it('is seen by the assistant as well, and by nobody who does not teach the child: neither the note nor what follows from it', async () => {
    expect(await seenBy(assistant)).toEqual([sprain()]);
    for (const agent of [amara, owner]) {
      expect(await seenBy(agent)).toBeNull();
      expect(await sparesFor(agent)).toBeUndefined();
      await save(agent, [], 403);
    }
    expect(await seenBy(tomasz)).toEqual([sprain()]);
    for (const path of ['/api/children', '/api/children/table', '/api/today', '/api/coming-classes'])
      expect((await tomasz.get(path).expect(200)).text).not.toMatch(/Sprained/);
  });

  it('counts on its last day and is gone after it', async () => {
    await save(tomasz, [sprain({ untilDay: addDays(today, -1) }), sprain({ text: 'Cold', regions: [], hazards: [], untilDay: today })]);
    expect((await seenBy(tomasz)).map(({ text }: HealthNote) => text)).toEqual(['Cold']);
    expect(await sparesFor(tomasz)).toBeUndefined();
  });

  it('written by two at once is not lost: the later is told what the earlier wrote', async () => {
    const version = await versionNow();
    const write = (agent: Agent, text: string) =>
      agent.put(`/api/children/${childId}/health-notes`).send({ version, notes: [sprain({ text })] });
    const answers = await Promise.all([write(tomasz, 'From Tomasz'), write(assistant, 'From Runa')]);
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409]);
    const kept = await seenBy(tomasz);
    const refused = answers.find(({ status }) => status === 409);
    expect(refused?.body.current.notes).toEqual(kept);
    expect(refused?.body.current.version).toBe(version + 1);
  });

  it.each([
    ['without words', [sprain({ text: ' ' })], 'notes.0.text'],
    ['on a region nobody has', [{ ...sprain(), regions: ['wings'] }], 'notes.0.regions'],
    ['until a day no calendar has', [sprain({ untilDay: '2026-02-30' })], 'notes.0.untilDay'],
    ['that are too many', Array.from({ length: 21 }, () => sprain()), 'notes'],
  ])('%s is refused by field, and nothing changes', async (_what, notes, field) => {
    const before = await seenBy(tomasz);
    const answer = await save(tomasz, notes, 400);
    expect(answer.body.errors.map((one: { field: string }) => one.field)).toContain(field);
    expect(await seenBy(tomasz)).toEqual(before);
  });

  it('is handed out with the data of the child, and erased with it', async () => {
    await save(tomasz, [sprain()]);
    expect((await tomasz.get(`/api/children/${childId}/record`).expect(200)).text).toContain('Sprained wrist');
    expect((await owner.get(`/api/children/${childId}/record`).expect(200)).text).toContain('Sprained wrist');
    await amara.get(`/api/children/${childId}/record`).expect(403);
    await assistant.get(`/api/children/${childId}/record`).expect(403);
    const log = (await tomasz.get(`/api/children/${childId}`).expect(200)).body.log;
    expect(log.map(({ kind, by }: { kind: string; by: string }) => [kind, by]).slice(0, 2)).toEqual([
      ['record-handed-out', 'Solveig Aune'],
      ['record-handed-out', 'Tomasz Bielik'],
    ]);
    await owner.delete(`/api/children/${childId}`).expect(204);
    const rows: readonly { all: string }[] = await club.source.query('SELECT t::text AS all FROM child t');
    expect(rows.filter(({ all }) => all.includes('Sprained'))).toEqual([]);
    await save(tomasz, [], 404);
  });
});

describe('who looked at health notes', () => {
  it('is written down once a day, and told to the family on its page; who may not see them leaves no trace', async () => {
    // one of Tomasz's groups and no other; the one above was erased
    const all: readonly { id: string; groupIds: readonly string[] }[] = (await owner.get('/api/children').expect(200)).body;
    const kittiwakes = (await owner.get('/api/groups').expect(200)).body.find(({ name }: { name: string }) => name === 'Kittiwakes').id;
    childId = all.find(({ groupIds }) => groupIds.length === 1 && groupIds[0] === kittiwakes)?.id ?? '';
    await club.source.query('UPDATE child SET health_notes = $2 WHERE id = $1', [childId, JSON.stringify([sprain()])]);
    await club.source.query(`DELETE FROM child_log WHERE child_id = $1`, [childId]);
    for (let times = 0; times < 3; times += 1) await tomasz.get(`/api/children/${childId}`).expect(200);
    await amara.get(`/api/children/${childId}`).expect(200);
    const { log } = (await owner.get(`/api/children/${childId}`).expect(200)).body;
    expect(log.filter(({ kind, by }: { kind: string; by: string }) => kind === 'health-seen' && by === 'Tomasz Bielik')).toHaveLength(1);
    expect(JSON.stringify(log)).not.toContain('Amara');
    const { token } = (await owner.post(`/api/children/${childId}/home`).expect(201)).body;
    const { looks } = (await club.visitor().get('/api/home').set('authorization', `Bearer ${token}`).expect(200)).body;
    expect(looks).toContainEqual({ at: expect.any(String), by: 'Tomasz Bielik', kind: 'health-seen' });
    // without notes there is nothing to look at
    await club.source.query(`UPDATE child SET health_notes = '[]' WHERE id = $1`, [childId]);
    await club.source.query(`DELETE FROM child_log WHERE child_id = $1`, [childId]);
    await tomasz.get(`/api/children/${childId}`).expect(200);
    expect((await owner.get(`/api/children/${childId}`).expect(200)).body.log).toEqual([]);
  });
});
