import { randomUUID } from 'node:crypto';
import type { ChildPageResponse, ChildResponse, ClassPageResponse, GroupResponse, SyllabusResponse } from '@leiter/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
let groups: readonly GroupResponse[];
let grades: SyllabusResponse['grades'];
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
  groups = (await owner.get('/api/groups').expect(200)).body;
  const ladders: readonly SyllabusResponse[] = (await owner.get('/api/syllabuses').expect(200)).body;
  grades = ladders.find(({ programme }) => programme === 'gymnastics')?.grades ?? [];
});
afterAll(() => club.close());

const groupId = (name: string): string => groups.find((one) => one.name === name)?.id ?? '';
let added = 0;
const add = async (more: object = {}, agent = owner): Promise<ChildResponse> =>
  (
    await agent
      .post('/api/children')
      .send({
        givenName: `Una ${String.fromCharCode(97 + (added += 1))}`,
        familyInitial: 'P.',
        birthDate: '2018-02-28',
        leadSide: 'left',
        groupIds: [groupId('Kittiwakes')],
        ...more,
      })
      .expect(201)
  ).body;
const page = async (id: string, agent = owner): Promise<ChildPageResponse> => (await agent.get(`/api/children/${id}`).expect(200)).body;

describe('a home that nobody told', () => {
  it('is known to be unknown, reckoned on the careful side, until somebody tells', async () => {
    const child = await add();
    expect(child).toMatchObject({ isHomeKnown: false, household: { surface: 'tiles', adult: 'not-at-hand', things: [] } });
    const coming = (await owner.get('/api/coming-classes').expect(200)).body.find(
      (one: { group: { name: string } }) => one.group.name === 'Kittiwakes',
    );
    const { children }: ClassPageResponse = (await owner.get(`/api/classes/${coming.class.id as string}`).expect(200)).body;
    expect(children.find(({ id }) => id === child.id)).toMatchObject({ isHomeKnown: false, home: { surface: 'tiles' } });
    const household = Object.assign({}, child.household, { surface: 'carpet' });
    const told: ChildResponse = (
      await owner.patch(`/api/children/${child.id}`).send({ household, householdVersion: child.householdVersion }).expect(200)
    ).body;
    expect(told).toMatchObject({ isHomeKnown: true, household: { surface: 'carpet' } });
  });

  it('is so for whoever came by a list', async () => {
    const text = 'name;birth date;lead side;group;grade\nListed Q.;2017-05-05;right;Kittiwakes;';
    await owner.post('/api/children/table').send({ text }).expect(200);
    const all: readonly ChildResponse[] = (await owner.get('/api/children').expect(200)).body;
    expect(all.find(({ givenName }) => givenName === 'Listed')?.isHomeKnown).toBe(false);
    // of the demo club everybody has told
    expect(all.find(({ givenName }) => givenName === 'Jamal')?.isHomeKnown).toBe(true);
  });
});

describe('a grade', () => {
  it('that a child brings along is its first, and what it works on is the one above', async () => {
    const reef = grades[1];
    const child = await add({ startingGradeId: reef?.id });
    const { ladders, log } = await page(child.id);
    expect(ladders[0]?.earned.map(({ grade }) => grade.id)).toEqual([reef?.id]);
    expect(log.find(({ kind }) => kind === 'grade-given')?.detail).toMatchObject({ grade: reef?.name });
    const board = (await owner.get(`/api/groups/${groupId('Kittiwakes')}/board`).expect(200)).body;
    expect(board.rows.find((row: { childId: string }) => row.childId === child.id).nextGradeName).toBe(grades[2]?.name);
    await owner
      .post('/api/children')
      .send({ ...child, id: undefined, givenName: 'Una no', startingGradeId: randomUUID() })
      .expect(400);
  });

  it('is given on a day and with a reason where not all was seen, and not on a day that cannot be', async () => {
    const { id } = await add();
    const give = (body: object) => owner.post(`/api/children/${id}/grades`).send({ gradeId: grades[0]?.id, ...body });
    await give({}).expect(422);
    await give({ reason: 'earned at its club before', awardedOn: '2150-01-01' }).expect(422);
    await give({ reason: 'earned at its club before', awardedOn: '2025-06-01' }).expect(201);
    const { ladders, log } = await page(id);
    expect(ladders[0]?.earned).toMatchObject([{ awardedOn: '2025-06-01', grade: { id: grades[0]?.id } }]);
    expect(log.find(({ kind }) => kind === 'grade-given')?.detail).toMatchObject({ reason: 'earned at its club before' });
    // the next one is not given before it
    await owner.post(`/api/children/${id}/grades`).send({ gradeId: grades[1]?.id, reason: 'x', awardedOn: '2025-05-01' }).expect(422);
    await owner
      .post(`/api/children/${id}/grades/${grades[0]?.id ?? ''}/take-back`)
      .send({ reason: 'a slip' })
      .expect(200);
    expect((await page(id)).ladders[0]?.earned).toEqual([]);
  });
});

describe('several children at once', () => {
  it('join a group, leave it and are archived; nobody else is touched', async () => {
    const [one, two, other] = [await add(), await add(), await add()];
    const several = (body: object) => owner.post('/api/children/several').send({ childIds: [one.id, two.id], ...body });
    await several({ joinGroupId: groupId('Puffins') }).expect(200);
    expect((await page(one.id)).child.groupIds.toSorted()).toEqual([groupId('Kittiwakes'), groupId('Puffins')].toSorted());
    await several({ leaveGroupId: groupId('Puffins') }).expect(200);
    expect((await page(two.id)).child.groupIds).toEqual([groupId('Kittiwakes')]);
    const done = (await several({ archived: true }).expect(200)).body;
    expect(done).toEqual({ changed: [one.id, two.id], refused: [] });
    expect([(await page(one.id)).child.archived, (await page(other.id)).child.archived]).toEqual([true, false]);
  });

  it('are all left alone where one of them is nobody, and where the group is none each is named', async () => {
    const one = await add();
    await owner
      .post('/api/children/several')
      .send({ childIds: [one.id, randomUUID()], archived: true })
      .expect(404);
    expect((await page(one.id)).child.archived).toBe(false);
    const { refused } = (
      await owner
        .post('/api/children/several')
        .send({ childIds: [one.id], joinGroupId: randomUUID() })
        .expect(200)
    ).body;
    expect(refused).toMatchObject([{ childId: one.id }]);
  });

  it('are not moved out of the hands of whoever teaches them', async () => {
    const one = await add();
    const dance = await club.as('dance');
    const answer = await dance
      .post('/api/children/several')
      .send({ childIds: [one.id], joinGroupId: groupId('Tide Pool') })
      .expect(200);
    expect(answer.body).toMatchObject({ changed: [], refused: [{ childId: one.id, why: 'another instructor teaches this child' }] });
    await (
      await club.as('assistant')
    )
      .post('/api/children/several')
      .send({ childIds: [one.id], archived: true })
      .expect(403);
  });
});

describe('whom to write to about a child', () => {
  const contacts = [{ name: 'Ida P.', email: 'ida@home.example', phone: '+44 1234 567' }];

  it('is written down by its staff, seen by them and the owner, and goes with its record', async () => {
    const { id } = await add();
    const gymnastics = await club.as('gymnastics');
    await gymnastics.patch(`/api/children/${id}`).send({ contacts }).expect(200);
    expect((await page(id)).contacts).toEqual(contacts);
    expect((await owner.get(`/api/children/${id}/record`).expect(200)).body.contacts).toEqual(contacts);
    const dance = await club.as('dance');
    expect((await page(id, dance)).contacts).toBeNull();
    await dance.patch(`/api/children/${id}`).send({ contacts: [] }).expect(403);
    // no list tells of it
    for (const path of ['children', 'boards', 'today', 'coming-classes'])
      expect(JSON.stringify((await owner.get(`/api/${path}`).expect(200)).body)).not.toContain('ida@home.example');
    await owner.delete(`/api/children/${id}`).expect(204);
    expect(await club.source.query(`SELECT 1 FROM child WHERE contacts::text LIKE '%ida@home%'`)).toEqual([]);
  });

  it.each([
    ['an address that is none', [{ name: 'Ida', email: 'ida' }]],
    ['a telephone number that is none', [{ name: 'Ida', phone: 'call me' }]],
    ['nobody’s name', [{ name: '' }]],
    ['five people', Array.from({ length: 5 }, () => ({ name: 'Ida' }))],
  ])('is not %s', async (_what, wrong) => {
    const { id } = await add();
    const answer = await owner.patch(`/api/children/${id}`).send({ contacts: wrong }).expect(400);
    expect(answer.body.errors[0].field).toMatch(/^contacts/);
  });
});
