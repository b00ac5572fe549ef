import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
let groups: readonly { id: string; name: string }[];
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
  groups = (await owner.get('/api/groups').expect(200)).body;
});
afterAll(() => club.close());

const household = {
  surface: 'carpet',
  clearLengthM: 2,
  clearWidthM: 2,
  things: [],
  adult: 'in-the-room',
  partner: false,
  quietHours: null,
};
const statuses = async (tries: readonly PromiseLike<{ status: number }>[]): Promise<readonly number[]> =>
  (await Promise.all(tries)).map(({ status }) => status).toSorted();

describe('two who write at once', () => {
  it('different things of one child both have their way, every time', async () => {
    const [{ id }] = (await owner.get('/api/children').expect(200)).body;
    for (let nth = 0; nth < 10; nth += 1) {
      const [givenName, leadSide] = [`Una ${String(nth)}`, nth % 2 === 0 ? 'left' : 'right'];
      await Promise.all([
        owner.patch(`/api/children/${id}`).send({ givenName }).expect(200),
        owner.patch(`/api/children/${id}`).send({ leadSide }).expect(200),
      ]);
      expect((await owner.get(`/api/children/${id}`).expect(200)).body.child).toMatchObject({ givenName, leadSide });
    }
  });

  it('what a child has at home: the later is told of the earlier, and nothing is lost unseen', async () => {
    const [, { id, householdVersion }] = (await owner.get('/api/children').expect(200)).body;
    const write = (surface: string) => owner.patch(`/api/children/${id}`).send({ household: { ...household, surface }, householdVersion });
    const answers = await Promise.all([write('grass'), write('wood')]);
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409]);
    const kept = (await owner.get(`/api/children/${id}`).expect(200)).body.child.household;
    expect(answers.find(({ status }) => status === 409)?.body.current).toEqual(kept);
    await owner.patch(`/api/children/${id}`).send({ household }).expect(400);
  });

  it('corrections of one mark: one is taken, the others are told so', async () => {
    const [{ id: childId }] = (await owner.get('/api/children').expect(200)).body;
    const mark = {
      childId,
      movement: 'cartwheel',
      side: 'left',
      mark: 'alone',
      measure: {},
      faults: [],
      note: '',
      seenOn: '2026-01-05',
      source: 'entered-later',
    };
    for (let nth = 0; nth < 12; nth += 1) {
      const first = randomUUID();
      await owner.put(`/api/observations/${first}`).send(mark).expect(200);
      const corrections = [1, 2, 3, 4].map(() =>
        owner.put(`/api/observations/${randomUUID()}`).send({ ...mark, mark: 'clean', supersedes: first }),
      );
      expect(await statuses(corrections)).toEqual([200, 409, 409, 409]);
    }
  });

  it('a group of one name, or one that was archived and whose name is taken, is told so', async () => {
    const group = { name: 'Sandpipers', programme: 'dance', weekday: 5, startsAt: '16:00', lengthMinutes: 45, instructorId: null };
    expect(await statuses([1, 2, 3].map(() => owner.post('/api/groups').send(group)))).toEqual([201, 422, 422]);
    const [old] = (await owner.get('/api/groups').expect(200)).body.filter((one: { name: string }) => one.name === 'Sandpipers');
    await owner
      .patch(`/api/groups/${old.id as string}`)
      .send({ archived: true })
      .expect(200);
    await owner.post('/api/groups').send(group).expect(201);
    const back = await owner
      .patch(`/api/groups/${old.id as string}`)
      .send({ archived: false })
      .expect(422);
    expect(back.body.errors).toEqual([{ field: 'name', message: 'Another group has this name.' }]);
  });

  it('the same child is one child, whatever the dot behind its initial', async () => {
    const child = { givenName: 'Ebbe', birthDate: '2017-04-04', leadSide: 'left', household, groupIds: [] };
    expect(await statuses(['Ö', 'ö.', 'Ö.'].map((familyInitial) => owner.post('/api/children').send({ ...child, familyInitial })))).toEqual(
      [201, 422, 422],
    );
    const list = `name,birth date\nEbbe Ödegaard,2017-04-04`;
    expect((await owner.post('/api/children/table?dryRun=true').send({ text: list }).expect(200)).body.lines[0].what).toBe('same');
  });

  it('groups of one child are all joined, none twice', async () => {
    const [{ id }] = (await owner.get('/api/children').expect(200)).body;
    const groupIds = groups.slice(0, 3).map((group) => group.id);
    expect(await statuses([1, 2, 3, 4].map(() => owner.patch(`/api/children/${id}`).send({ groupIds })))).toEqual([200, 200, 200, 200]);
    expect((await owner.get(`/api/children/${id}`).expect(200)).body.child.groupIds.toSorted()).toEqual(groupIds.toSorted());
  });
});

describe('the same list twice at once', () => {
  it('of forty children makes forty, not eighty', async () => {
    const before = (await owner.get('/api/children').expect(200)).body.length;
    const letters = Array.from('abcdefghijklmnopqrst').flatMap((one) => [`${one.toUpperCase()}lva`, `${one.toUpperCase()}rne`]);
    const text = ['name,birth date,group', ...letters.map((name) => `${name} Strand,2018-03-03,${groups[0]?.name ?? ''}`)].join('\n');
    const answers = await Promise.all([1, 2, 3].map(() => owner.post('/api/children/table').send({ text })));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    expect((await owner.get('/api/children').expect(200)).body).toHaveLength(before + 40);
    expect(answers.filter(({ body }) => body.importId !== null)).toHaveLength(1);
  });

  it('of ladders makes one version; two different ones make two, and none is lost', async () => {
    const file = (await owner.get('/api/syllabuses/export').expect(200)).body;
    const [first] = file.syllabuses;
    const withName = (name: string) => ({
      ...file,
      syllabuses: [{ ...first, grades: first.grades.map((grade: object, index: number) => (index === 0 ? { ...grade, name } : grade)) }],
    });
    const versionOf = async (): Promise<number> =>
      (await owner.get('/api/syllabuses').expect(200)).body.find((one: { programme: string }) => one.programme === first.programme).version;
    const before = await versionOf();
    const same = await Promise.all([1, 2].map(() => owner.post('/api/syllabuses/import').send(withName('Landfall'))));
    expect(same.map(({ status }) => status)).toEqual([200, 200]);
    expect(await versionOf()).toBe(before + 1);
    const other = await Promise.all(['Headland', 'Skerry'].map((name) => owner.post('/api/syllabuses/import').send(withName(name))));
    expect(other.every(({ status, body }) => status === 200 && body.importId !== null)).toBe(true);
    expect(await versionOf()).toBe(before + 3);
  });

  it('of libraries ends, and neither is told that the server broke', async () => {
    const library = (await owner.get('/api/library/export').expect(200)).body;
    const turned = { ...library, movements: library.movements.toReversed() };
    const change = (file: { movements: readonly object[] }, cue: string) => ({
      ...file,
      movements: file.movements.map((one) => ({ ...one, cues: [cue] })),
    });
    const answers = await Promise.all([
      owner.post('/api/library/import').send(change(library, 'Out')),
      owner.post('/api/library/import').send(change(turned, 'In')),
    ]);
    expect(answers.map(({ status }) => status)).toEqual([200, 200]);
  });
});

describe('what makes no sense', () => {
  it.each([
    ['a name that nobody sees', { givenName: '\u200b\u200b' }],
    ['a home that is a list', { household: [], householdVersion: 1 }],
    ['hours of quiet that are a list', { household: { ...household, quietHours: [] }, householdVersion: 1 }],
  ])('is refused: %s', async (_what, change) => {
    const [{ id }] = (await owner.get('/api/children').expect(200)).body;
    await owner.patch(`/api/children/${id}`).send(change).expect(400);
  });

  it.each([
    ['a hundred right ones of one', { measure: { correct: 100, of: 1 } }, 400],
    ['a day before the child was born', { seenOn: '2001-01-01' }, 422],
    ['a side of a drink break', { movement: 'drink-break', side: 'left' }, 422],
  ])('is refused as a mark: %s', async (_what, said, status) => {
    const [{ id: childId }] = (await owner.get('/api/children').expect(200)).body;
    const mark = {
      childId,
      movement: 'cartwheel',
      side: 'left',
      mark: 'alone',
      measure: {},
      faults: [],
      note: '',
      seenOn: '2026-01-05',
      source: 'class',
    };
    await owner
      .put(`/api/observations/${randomUUID()}`)
      .send({ ...mark, ...said })
      .expect(status);
  });

  it('is refused as a mark: one of a class that the child is not in', async () => {
    // a group that another test made may come first, and has no class yet
    const coming = (await owner.get('/api/coming-classes').expect(200)).body.filter((one: { class: object | null }) => one.class);
    const classId = coming[0].class.id;
    const other = (await owner.get('/api/children').expect(200)).body.find(
      (one: { groupIds: readonly string[] }) => !one.groupIds.includes(coming[0].group.id),
    );
    const mark = {
      childId: other.id,
      movement: 'cartwheel',
      side: 'left',
      mark: 'alone',
      measure: {},
      faults: [],
      note: '',
      seenOn: '2026-01-05',
      source: 'class',
      classId,
    };
    const answer = await owner.put(`/api/observations/${randomUUID()}`).send(mark).expect(422);
    expect(answer.body.errors[0].field).toBe('classId');
  });

  it.each(['1900-01-01', '2199-01-01'])('is refused as a class: the day %s', async (day) => {
    await owner.post('/api/classes').send({ groupId: groups[0]?.id, day }).expect(422);
  });

  it('is refused as a template: a circuit that is not there, an id twice, a programme of nobody', async () => {
    const item = { id: 'a', movement: 'drink-break', dose: { kind: 'timed', seconds: 60 }, sides: 'none', tiers: ['core'] };
    const keep = (programme: string, items: readonly object[]) =>
      owner.post('/api/plan-templates').send({
        name: randomUUID(),
        programme,
        lengthMinutes: 45,
        ageBand: '7-9',
        plan: { sections: [{ id: 's', kind: 'drills', items }], focus: [] },
      });
    await keep('dance', [{ ...item, circuit: 'nowhere' }]).expect(422);
    await keep('dance', [item, item]).expect(422);
    await keep('swimming', [item]).expect(422);
    await keep('dance', [item]).expect(201);
  });

  it('is refused as a ladder to climb: one of no programme', async () => {
    const [{ id }] = (await owner.get('/api/children').expect(200)).body;
    await owner.post(`/api/children/${id}/newest-ladder`).send({ programme: 'swimming' }).expect(404);
  });
});

describe('a mark or a word that was a slip', () => {
  it('is taken back: the child stands as before, and what was said stays in the record', async () => {
    const [{ id: childId }] = (await owner.get('/api/children').expect(200)).body;
    const mark = {
      childId,
      movement: 'lever',
      side: 'left',
      mark: 'clean',
      measure: {},
      faults: [],
      note: '',
      seenOn: '2026-01-06',
      source: 'entered-later',
    };
    const best = async () =>
      (
        await club.source.query<readonly { best: string }[]>(
          `SELECT best FROM recent_mark WHERE child_id = $1 AND movement_slug = 'lever' AND stage = 0`,
          [childId],
        )
      )[0]?.best ?? null;
    const before = await best();
    const [first, taken] = [randomUUID(), randomUUID()];
    await owner.put(`/api/observations/${first}`).send(mark).expect(200);
    expect(await best()).toBe('clean');
    await owner
      .put(`/api/observations/${taken}`)
      .send({ ...mark, supersedes: first, isWithdrawal: true })
      .expect(200);
    expect(await best()).toBe(before);
    await owner
      .put(`/api/observations/${randomUUID()}`)
      .send({ ...mark, isWithdrawal: true })
      .expect(422);
  });

  it('of attendance is taken back', async () => {
    const [coming] = (await owner.get('/api/coming-classes').expect(200)).body.filter((one: { class: object | null }) => one.class);
    const page = () => owner.get(`/api/classes/${coming.class.id as string}`).expect(200);
    const [child] = (await page()).body.children;
    const path = `/api/classes/${coming.class.id as string}/attendance/${child.id as string}`;
    await owner.put(path).send({ status: 'absent' }).expect(204);
    await owner.delete(path).expect(204);
    expect((await page()).body.children.find((one: { id: string }) => one.id === child.id).attendance).toBeNull();
  });

  it('of a run of a class: less than a third of it is a try, and teaches nothing', async () => {
    const [coming] = (await owner.get('/api/coming-classes').expect(200)).body.filter((one: { class: object | null }) => one.class);
    const id = coming.class.id as string;
    await owner.patch(`/api/classes/${id}`).send({ teaching: 'started' }).expect(200);
    const tried = await owner.patch(`/api/classes/${id}`).send({ teaching: 'ended', taughtSeconds: 44 }).expect(200);
    expect(tried.body).toMatchObject({ taughtAt: null, endedAt: null });
    const taught = await owner
      .patch(`/api/classes/${id}`)
      .send({ teaching: 'ended', taughtSeconds: coming.class.lengthMinutes * 20 })
      .expect(200);
    expect(taught.body.endedAt).not.toBeNull();
  });
});
