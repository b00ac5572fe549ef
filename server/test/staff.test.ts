import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
let tomasz: Agent;
let amara: Agent;
let gymnast = { id: '', groupIds: [] as readonly string[] };
const groups = new Map<string, { id: string; instructorId: string }>();
const people = new Map<string, string>();
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  [owner, tomasz, amara] = [await club.as('owner'), await club.as('gymnastics'), await club.as('dance')];
  for (const group of (await owner.get('/api/groups').expect(200)).body) groups.set(group.name, group);
  for (const person of (await owner.get('/api/people').expect(200)).body) people.set(person.name.split(' ')[0], person.id);
  const kittiwakes = groups.get('Kittiwakes')?.id;
  gymnast = (await owner.get('/api/children').expect(200)).body.find(
    ({ groupIds }: { groupIds: readonly string[] }) => groupIds.length === 1 && groupIds[0] === kittiwakes,
  );
  await tomasz
    .put(`/api/children/${gymnast.id}/health-notes`)
    .send({ version: 1, notes: [{ text: 'Sprained wrist', regions: ['wrists'], hazards: [], untilDay: null }] })
    .expect(200);
});
afterAll(() => club.close());

const tidePool = () => groups.get('Tide Pool')?.id ?? '';
const notesFor = async (agent: Agent) => (await agent.get(`/api/children/${gymnast.id}`).expect(200)).body.health?.notes ?? null;

describe('somebody who wants to read a health note', () => {
  it('cannot put the child into a group of theirs: not by hand, and not by a list', async () => {
    await amara
      .patch(`/api/children/${gymnast.id}`)
      .send({ groupIds: [...gymnast.groupIds, tidePool()] })
      .expect(403);
    const { givenName, familyInitial, birthDate } = (await amara.get(`/api/children/${gymnast.id}`).expect(200)).body.child;
    const list = `name,birth date,group\n${givenName} ${familyInitial},${birthDate},Tide Pool`;
    const answer = await amara.post('/api/children/table').send({ text: list }).expect(422);
    expect(answer.body.errors[0].message).toMatch(/Another instructor teaches this child/);
    expect(await notesFor(amara)).toBeNull();
    // other things of the child can still be written down
    await amara.patch(`/api/children/${gymnast.id}`).send({ leadSide: 'left', groupIds: gymnast.groupIds }).expect(200);
  });

  it('cannot take the group over, nor leave it without anybody', async () => {
    const path = `/api/groups/${groups.get('Kittiwakes')?.id ?? ''}`;
    await amara
      .patch(path)
      .send({ instructorId: people.get('Amara') })
      .expect(403);
    await amara.patch(path).send({ instructorId: null }).expect(403);
    expect(await notesFor(amara)).toBeNull();
  });

  it('is not its staff because nobody teaches the group', async () => {
    const path = `/api/groups/${groups.get('Kittiwakes')?.id ?? ''}`;
    await owner.patch(path).send({ instructorId: null }).expect(200);
    await club.source.query('UPDATE class_session SET instructor_id = NULL WHERE group_id = $1', [groups.get('Kittiwakes')?.id]);
    for (const agent of [owner, amara]) expect(await notesFor(agent)).toBeNull();
    expect(await notesFor(await club.as('assistant'))).toHaveLength(1);
    await owner
      .patch(path)
      .send({ instructorId: people.get('Tomasz') })
      .expect(200);
    expect(await notesFor(tomasz)).toHaveLength(1);
  });

  it('who owns the club can move a child and hand a group on, and that is seen by who teaches it', async () => {
    await owner
      .patch(`/api/children/${gymnast.id}`)
      .send({ groupIds: [...gymnast.groupIds, tidePool()] })
      .expect(200);
    expect(await notesFor(amara)).toHaveLength(1);
    const { log } = (await tomasz.get(`/api/children/${gymnast.id}`).expect(200)).body;
    expect(log).toContainEqual(expect.objectContaining({ kind: 'joined-group', by: 'Solveig Aune', detail: { group: 'Tide Pool' } }));
    // and that she looked at its notes from then on
    expect(log[0]).toMatchObject({ kind: 'health-seen', by: 'Amara Osei-Lund' });
    const { notices } = (await tomasz.get('/api/today').expect(200)).body;
    expect(notices[0]).toMatchObject({ kind: 'joined-group', by: 'Solveig Aune', childId: gymnast.id });
    // who did it needs no notice of it
    expect((await owner.get('/api/today').expect(200)).body.notices).toEqual([]);
  });
});

describe('health notes that are kept no longer', () => {
  it('go by themselves: those past their day, and those of a child that has been in no group for twelve weeks', async () => {
    const { TidyService } = await import('../src/tidy/tidy.service.js');
    const kept = async (id: string) =>
      (
        await club.source.query<readonly { health_notes: readonly { text: string }[] }[]>('SELECT health_notes FROM child WHERE id = $1', [
          id,
        ])
      )[0]?.health_notes.map(({ text }) => text);
    const notes = JSON.stringify([
      { text: 'Over', regions: [], hazards: [], untilDay: '2020-01-01' },
      { text: 'Stays', regions: [], hazards: [], untilDay: null },
    ]);
    const [one, gone] = (await owner.get('/api/children').expect(200)).body.filter(({ id }: { id: string }) => id !== gymnast.id);
    await club.source.query('UPDATE child SET health_notes = $1 WHERE id = ANY($2)', [notes, [one.id, gone.id]]);
    await club.source.query(`UPDATE enrolment SET from_day = now()::date - 200, to_day = now()::date - 85 WHERE child_id = $1`, [gone.id]);
    await club.app.get(TidyService).tidy();
    expect(await kept(one.id)).toEqual(['Stays']);
    expect(await kept(gone.id)).toEqual([]);
    expect(await kept(gymnast.id)).toEqual(['Sprained wrist']);
  });
});

describe('a child that is erased', () => {
  it('is named nowhere any more: not in a plan, not in what was said of a class, not in a list that was read in', async () => {
    const text = 'name,birth date,group\nZebedee Unseen,2018-01-01,Kittiwakes\nAda Seen,2018-01-01,Kittiwakes';
    await owner.post('/api/children/table').send({ text }).expect(200);
    const [zebedee, ada] = ['Zebedee', 'Ada'].map((name) => name);
    const all = (await owner.get('/api/children').expect(200)).body as readonly { id: string; givenName: string }[];
    const idOf = (name: string | undefined) => all.find(({ givenName }) => givenName === name)?.id ?? '';
    const coming = (await owner.get('/api/coming-classes').expect(200)).body.find(
      (each: { group: { name: string } }) => each.group.name === 'Kittiwakes',
    ).class;
    const item = { movement: 'drink-break', dose: { kind: 'timed', seconds: 60 }, sides: 'none', tiers: ['core'] };
    const plan = {
      sections: [
        {
          id: 's',
          kind: 'warm-up',
          items: [
            { ...item, id: 'a', tierByHand: { [idOf(zebedee)]: 'core', [idOf(ada)]: 'core' }, note: 'Zebedee U. sits; Zebedees do not' },
            { ...item, id: 'b', tierByHand: { [idOf(zebedee)]: 'core' }, cue: 'Wake Zebedee' },
          ],
        },
      ],
      focus: [],
      accepted: [{ check: 'clock', itemIds: [], reason: 'Zebedee asked for it' }],
    };
    await owner
      .put(`/api/classes/${coming.id as string}/plan`)
      .send({ version: 0, plan })
      .expect(200);
    await owner
      .patch(`/api/classes/${coming.id as string}`)
      .send({ stopsNote: 'Spoke to Zebedee’s mother' })
      .expect(200);
    await owner.delete(`/api/children/${idOf(zebedee)}`).expect(204);
    const tables = ['class_plan', 'class_session', 'import', 'event', 'child', 'child_log', 'enrolment'];
    const everything = await Promise.all(
      tables.map((table) => club.source.query<readonly [{ all: string }]>(`SELECT string_agg(t::text, ' ') AS all FROM ${table} t`)),
    );
    const whole = everything.map(([{ all: text }]) => text).join(' ');
    expect(whole).not.toContain(idOf(zebedee));
    expect(whole).not.toMatch(/Zebedee(?!s)/);
    const [stored] = (await owner.get(`/api/classes/${coming.id as string}`).expect(200)).body.stored.plan.sections;
    expect(stored.items).toEqual([
      { ...item, id: 'a', tierByHand: { [idOf(ada)]: 'core' }, note: 'a child sits; Zebedees do not' },
      { ...item, id: 'b', cue: 'Wake a child' },
    ]);
  });
});

describe('a grade that was given by mistake', () => {
  it('is taken back with a reason that stays, the last one first', async () => {
    const children = (await owner.get('/api/children').expect(200)).body as readonly { id: string; grades: readonly object[] }[];
    const id = children.find(({ grades }) => grades.length > 0)?.id ?? '';
    const page = (await owner.get(`/api/children/${id}`).expect(200)).body;
    const ladder = page.ladders.find((one: { earned: readonly object[] }) => one.earned.length > 0);
    const last = ladder.earned.at(-1).grade;
    const takeBack = (agent: Agent, gradeId: string) =>
      agent.post(`/api/children/${id}/grades/${gradeId}/take-back`).send({ reason: 'It was another child’s' });
    if (ladder.earned.length > 1) await takeBack(owner, ladder.earned[0].grade.id).expect(422);
    await takeBack(await club.as('assistant'), last.id).expect(403);
    await takeBack(owner, randomUUID()).expect(404);
    const after = (await takeBack(owner, last.id).expect(200)).body;
    const same = after.ladders.find((one: { programme: string }) => one.programme === ladder.programme);
    expect(same.earned).toHaveLength(ladder.earned.length - 1);
    expect(after.log[0]).toMatchObject({ kind: 'grade-taken-back', detail: { grade: last.name, reason: 'It was another child’s' } });
  });
});
