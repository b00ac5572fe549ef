import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
let groups: readonly { id: string; name: string; programme: string; childCount: number }[];
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
  groups = (await owner.get('/api/groups').expect(200)).body;
});
afterAll(() => club.close());

const groupId = (name: string) => groups.find((one) => one.name === name)?.id ?? '';
const household = {
  surface: 'carpet',
  clearLengthM: 2.5,
  clearWidthM: 2,
  things: ['chair', 'cushion'],
  adult: 'in-the-next-room',
  partner: true,
  quietHours: { from: '18:30', to: '07:00' },
};
const una = () => ({
  givenName: 'Una',
  familyInitial: 'P.',
  birthDate: '2018-02-28',
  leadSide: 'left',
  household,
  groupIds: [groupId('Kittiwakes')],
});
let added = 0;
/** A child of a name of its own: the same one twice is refused. */
const add = async (more: object = {}) =>
  (
    await owner
      .post('/api/children')
      .send({ ...una(), givenName: `Una ${String.fromCharCode(97 + added++)}`, ...more })
      .expect(201)
  ).body;
const page = async (id: string) => (await owner.get(`/api/children/${id}`).expect(200)).body;
const board = async (name: string) => (await owner.get(`/api/groups/${groupId(name)}/board`).expect(200)).body;

describe('a child', () => {
  it('is added with all that is known of it, and found again in list, page and board', async () => {
    const added = await add(una());
    expect(added).toMatchObject({ ...una(), archived: false, grades: [] });
    expect((await owner.get('/api/children').expect(200)).body).toContainEqual(added);
    expect((await page(added.id)).child).toEqual(added);
    expect((await board('Kittiwakes')).rows.map((row: { childId: string }) => row.childId)).toContain(added.id);
  });

  it.each(['2016-02-29', '2017-03-26', '2018-10-28', '2015-12-31', '2016-01-01'])(
    'born on %s is born on that day, whatever the clocks do',
    async (birthDate) => {
      const { id } = await add({ birthDate });
      expect((await page(id)).child.birthDate).toBe(birthDate);
    },
  );

  it('is changed in one field, and the rest stays', async () => {
    const added = await add();
    const changed = await owner.patch(`/api/children/${added.id}`).send({ leadSide: 'right' }).expect(200);
    expect(changed.body).toEqual({ ...added, leadSide: 'right' });
  });

  it('changes groups, and the marks of the old one stay', async () => {
    const added = await add();
    await owner
      .put(`/api/observations/${randomUUID()}`)
      .send({
        childId: added.id,
        movement: 'cartwheel',
        side: 'left',
        mark: 'alone',
        measure: {},
        faults: [],
        note: '',
        seenOn: '2026-01-05',
        source: 'entered-later',
      })
      .expect(200);
    const moved = await owner
      .patch(`/api/children/${added.id}`)
      .send({ groupIds: [groupId('Tide Pool')] })
      .expect(200);
    expect(moved.body.groupIds).toEqual([groupId('Tide Pool')]);
    expect((await board('Kittiwakes')).rows.map((row: { childId: string }) => row.childId)).not.toContain(added.id);
    const after = await page(added.id);
    expect(after.observations).toHaveLength(1);
    expect(after.ladders.map((one: { programme: string }) => one.programme)).toEqual(['dance', 'gymnastics']);
  });

  it('may leave a group and come back on the same day', async () => {
    const { id } = await add();
    const set = (groupIds: readonly string[]) => owner.patch(`/api/children/${id}`).send({ groupIds }).expect(200);
    await set([]);
    expect((await set([groupId('Kittiwakes')])).body.groupIds).toEqual([groupId('Kittiwakes')]);
  });

  it('archived is on no board and comes back with everything', async () => {
    const added = await add();
    await owner.patch(`/api/children/${added.id}`).send({ archived: true }).expect(200);
    expect((await board('Kittiwakes')).rows.map((row: { childId: string }) => row.childId)).not.toContain(added.id);
    const back = await owner.patch(`/api/children/${added.id}`).send({ archived: false }).expect(200);
    expect(back.body).toEqual(added);
  });

  it.each([
    ['an unknown group', { groupIds: [randomUUID()] }, 422, 'groupIds'],
    ['a birth date to come', { birthDate: '2190-01-01' }, 422, 'birthDate'],
    ['a day no calendar has', { birthDate: '2018-02-30' }, 400, 'birthDate'],
    ['no name', { givenName: '   ' }, 400, 'givenName'],
    ['a room of no size', { household: { ...household, clearLengthM: 0 } }, 400, 'household.clearLengthM'],
    ['a floor nobody has', { household: { ...household, surface: 'lava' } }, 400, 'household.surface'],
    ['an hour no clock has', { household: { ...household, quietHours: { from: '25:00', to: '07:00' } } }, 400, 'household.quietHours.from'],
  ])('with %s is refused by field', async (_what, more, status, field) => {
    const before = (await owner.get('/api/children').expect(200)).body.length;
    const answer = await owner.post('/api/children').send({ ...una(), ...more });
    expect(answer.status).toBe(status);
    expect(answer.body.errors.map((one: { field: string }) => one.field)).toContain(field);
    expect((await owner.get('/api/children').expect(200)).body).toHaveLength(before);
  });

  it('is erased for good by the owner only: no row anywhere speaks of it', async () => {
    const row = (await board('Kittiwakes')).rows[0];
    expect((await page(row.childId)).observations.length).toBeGreaterThan(0);
    await (await club.as('gymnastics')).delete(`/api/children/${row.childId}`).expect(403);
    await owner.delete(`/api/children/${row.childId}`).expect(204);
    await owner.get(`/api/children/${row.childId}`).expect(404);
    for (const table of ['observation', 'attendance', 'enrolment', 'grade_award'])
      expect(await club.source.query(`SELECT 1 FROM ${table} WHERE child_id = $1`, [row.childId])).toEqual([]);
  });
});

describe('a grade', () => {
  const candidates = async () =>
    (await Promise.all(groups.map(async ({ name }) => board(name)))).flatMap(
      ({ rows }) =>
        rows as readonly {
          childId: string;
          isEarned: boolean;
          nextGradeId: string;
          nextGradeName: string;
          metCount: number;
          cells: readonly unknown[];
        }[],
    );

  it('that everything was seen for is given, once however often it is sent, and the ladder goes on', async () => {
    const row = (await candidates()).find(({ isEarned }) => isEarned);
    const give = () => owner.post(`/api/children/${row?.childId ?? ''}/grades`).send({ gradeId: row?.nextGradeId });
    const first = await give().expect(201);
    expect(first.body.ladders[0].earned.at(-1).grade.name).toBe(row?.nextGradeName);
    const second = await give().expect(201);
    expect(second.body.ladders[0].earned).toHaveLength(first.body.ladders[0].earned.length);
    expect(first.body.child.grades[0].gradeId).toBe(row?.nextGradeId);
  });

  it('that something is missing for is not given, and the answer says how much', async () => {
    const row = (await candidates()).find((one) => !one.isEarned && one.metCount < one.cells.length);
    const answer = await owner
      .post(`/api/children/${row?.childId ?? ''}/grades`)
      .send({ gradeId: row?.nextGradeId })
      .expect(422);
    expect(answer.body.detail).toMatch(/^Not earned yet: \d+ still to be seen\.$/);
  });

  it('cannot be skipped', async () => {
    const row = (await candidates()).find((one) => !one.isEarned);
    const ladders = (await owner.get('/api/syllabuses').expect(200)).body as readonly { grades: readonly { id: string }[] }[];
    const grades = ladders.find((one) => one.grades.some(({ id }) => id === row?.nextGradeId))?.grades ?? [];
    const above = grades[grades.findIndex(({ id }) => id === row?.nextGradeId) + 1];
    const answer = await owner
      .post(`/api/children/${row?.childId ?? ''}/grades`)
      .send({ gradeId: above?.id })
      .expect(422);
    expect(answer.body.detail).toBe('This is not the next grade of the child.');
  });
});
