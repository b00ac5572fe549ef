import { randomUUID } from 'node:crypto';
import type { TaughtClass } from '@leiter/contract';
import { weekdayOf } from '@leiter/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
});
afterAll(() => club.close());

interface Group {
  readonly id: string;
  readonly name: string;
  readonly weekday: number;
  readonly archived: boolean;
}
const groups = async (): Promise<readonly Group[]> => (await owner.get('/api/groups').expect(200)).body;
const group = async (name: string): Promise<Group> => {
  const found = (await groups()).find((one) => one.name === name);
  if (!found) throw new Error(`no group ${name}`);
  return found;
};
const newGroup = (more: object = {}) => ({
  name: `Group ${randomUUID().slice(0, 8)}`,
  programme: 'dance',
  weekday: 6,
  startsAt: '10:15',
  lengthMinutes: 30,
  instructorId: null,
  ...more,
});
const coming = async (groupId: string) =>
  (await owner.get('/api/coming-classes').expect(200)).body.find((one: { group: { id: string } }) => one.group.id === groupId);

describe('a group', () => {
  it('is made with its weekly slot, and its next class is on that weekday', async () => {
    const made = (await owner.post('/api/groups').send(newGroup()).expect(201)).body;
    expect(made).toMatchObject({ weekday: 6, startsAt: '10:15', lengthMinutes: 30, childCount: 0, archived: false });
    const next = await coming(made.id);
    expect(new Date(`${next.day as string}T12:00:00Z`).getUTCDay()).toBe(6);
    expect(next).toMatchObject({ startsAt: '10:15', class: null });
  });

  it('keeps its name from a second one, however it is written', async () => {
    const answer = await owner.post('/api/groups').send(newGroup({ name: 'KITTIWAKES' }));
    expect(answer.status).toBe(422);
    expect(answer.body.errors[0].field).toBe('name');
  });

  it('archived leaves its name to another and has no coming class', async () => {
    const made = (await owner.post('/api/groups').send(newGroup()).expect(201)).body;
    await owner
      .patch(`/api/groups/${made.id as string}`)
      .send({ archived: true })
      .expect(200);
    expect(await coming(made.id)).toBeUndefined();
    await owner
      .post('/api/groups')
      .send(newGroup({ name: made.name }))
      .expect(201);
  });

  it.each([
    ['an unknown programme', { programme: 'chess' }, 422, 'programme'],
    ['a person nobody knows', { instructorId: randomUUID() }, 422, 'instructorId'],
    ['an eighth day', { weekday: 8 }, 400, 'weekday'],
    ['a length that is not taught', { lengthMinutes: 50 }, 400, 'lengthMinutes'],
    ['an hour no clock has', { startsAt: '24:30' }, 400, 'startsAt'],
  ])('with %s is refused by field', async (_what, more, status, field) => {
    const before = await groups();
    const answer = await owner.post('/api/groups').send(newGroup(more));
    expect(answer.status).toBe(status);
    expect(answer.body.errors.map((one: { field: string }) => one.field)).toContain(field);
    expect(await groups()).toEqual(before);
  });
});

describe('a class', () => {
  const add = async (name: string, day: string) =>
    (
      await owner
        .post('/api/classes')
        .send({ groupId: (await group(name)).id, day })
        .expect(201)
    ).body;
  const page = async (id: string) => (await owner.get(`/api/classes/${id}`).expect(200)).body;

  it('put on a day twice is one class', async () => {
    const first = await add('Undertow', '2027-05-05');
    expect(await add('Undertow', '2027-05-05')).toEqual(first);
  });

  it('expects the children enrolled on its day, each with its age on that day', async () => {
    const { children } = await page((await add('Puffins', '2027-06-01')).id);
    const { childCount } = (await owner.get('/api/groups').expect(200)).body.find((one: { name: string }) => one.name === 'Puffins');
    expect(children).toHaveLength(childCount);
    for (const child of children as readonly { birthDate: string; ageYears: number }[]) {
      const birthday = child.birthDate.slice(5) <= '06-01' ? 0 : 1;
      expect(child.ageYears).toBe(2027 - Number(child.birthDate.slice(0, 4)) - birthday);
    }
  });

  it('notes who is there, who told that it stays away, and a change of mind', async () => {
    const { id } = await add('Puffins', '2027-06-08');
    const [first, second] = (await page(id)).children;
    const set = (childId: string, status: string) => owner.put(`/api/classes/${id as string}/attendance/${childId}`).send({ status });
    await set(first.id, 'absent').expect(204);
    await set(second.id, 'present').expect(204);
    await set(first.id, 'late').expect(204);
    const after = new Map(
      (await page(id)).children.map((one: { id: string; attendance: string | null }) => [one.id, one.attendance] as const),
    );
    expect([after.get(first.id), after.get(second.id)]).toEqual(['late', 'present']);
  });

  it('takes attendance only of children it expects', async () => {
    const { id } = await add('Puffins', '2027-06-15');
    const stranger = (await page((await add('Lanterns', '2027-06-15')).id)).children[0].id as string;
    await owner
      .put(`/api/classes/${id as string}/attendance/${stranger}`)
      .send({ status: 'present' })
      .expect(404);
  });

  it('begins once, ends, and keeps its beginning when it is ended again', async () => {
    const { id } = await add('Lanterns', '2027-06-22');
    const teach = async (teaching: string) =>
      (
        await owner
          .patch(`/api/classes/${id as string}`)
          .send({ teaching })
          .expect(200)
      ).body;
    const begun = await teach('started');
    expect(begun.taughtAt).not.toBeNull();
    expect(begun.endedAt).toBeNull();
    expect((await teach('started')).taughtAt).toBe(begun.taughtAt);
    const ended = await teach('ended');
    expect(ended).toMatchObject({ taughtAt: begun.taughtAt, endedAt: expect.any(String) });
  });

  it('keeps the note on how its stops were dealt with', async () => {
    const { id } = await add('Lanterns', '2027-06-29');
    await owner
      .patch(`/api/classes/${id as string}`)
      .send({ stopsNote: 'An adult sits beside Mikko.' })
      .expect(200);
    expect((await page(id)).class.stopsNote).toBe('An adult sits beside Mikko.');
  });

  it('stores real times of items in its plan; sent again the later ones count, unknown items are left out', async () => {
    const { id } = await add('Lanterns', '2027-07-06');
    const items = [{ id: 'a', movement: 'drink-break', dose: { kind: 'timed', seconds: 60 }, sides: 'none', tiers: ['core'] }];
    await owner
      .put(`/api/classes/${id as string}/plan`)
      .send({ version: 0, plan: { sections: [{ id: 's', kind: 'drills', items }], focus: [] } })
      .expect(200);
    const send = (realSeconds: number) =>
      owner
        .put(`/api/classes/${id as string}/item-times`)
        .send({
          times: [
            { itemId: 'a', plannedSeconds: 60, realSeconds },
            { itemId: 'gone', plannedSeconds: 10, realSeconds: 10 },
          ],
          visits: [
            { item: 'a', beginsSecond: 0, seconds: realSeconds },
            { item: 'gone', beginsSecond: realSeconds, seconds: 10 },
          ],
        })
        .expect(204);
    await send(70);
    await send(80);
    const taught = await owner.get(`/api/classes/${id as string}/taught`).expect(200);
    expect(taught.body.visits).toEqual([{ item: 'a', beginsSecond: 0, seconds: 80 }]);
    const kept = await club.source.query('SELECT item_id, real_seconds FROM item_time WHERE class_id = $1', [id]);
    expect(kept).toEqual([{ item_id: 'a', real_seconds: 80 }]);
  });

  it('keeps whom a name in the call stands for, for its group, until another answer; nobody of another club', async () => {
    const { id } = await add('Lanterns', '2027-07-21');
    const next = await add('Lanterns', '2027-07-28');
    const [one, two] = (await page(id)).children.map((child: { id: string }) => child.id);
    const keep = (name: string, ...childIds: string[]) =>
      owner
        .put(`/api/classes/${id as string}/call-names`)
        .send({ names: [{ name, childIds }] })
        .expect(204);
    await keep('tablet 3', one, two);
    expect((await page(next.id)).callNames).toEqual([{ name: 'tablet 3', childIds: [one, two].toSorted() }]);
    await keep('tablet 3', two, randomUUID());
    expect((await page(next.id)).callNames).toEqual([{ name: 'tablet 3', childIds: [two] }]);
    await keep('tablet 3');
    expect((await page(next.id)).callNames).toEqual([]);
  });

  it('began and ended when somebody says so who tells it later, and never in the future or long ago', async () => {
    const { id } = await add('Lanterns', '2027-07-20');
    const tell = async (teaching: string, at: Date) =>
      (
        await owner
          .patch(`/api/classes/${id as string}`)
          .send({ teaching, at: at.toISOString() })
          .expect(200)
      ).body;
    const ago = (minutes: number): Date => new Date(Date.now() - minutes * 60_000);
    expect((await tell('started', ago(60))).taughtAt).toMatch(ago(60).toISOString().slice(0, 15));
    const ended = ago(15);
    expect(new Date((await tell('ended', ended)).endedAt).getTime()).toBe(ended.getTime());
    for (const impossible of [ago(-60), ago(20 * 24 * 60)])
      expect(Math.abs(new Date((await tell('ended', impossible)).endedAt).getTime() - Date.now())).toBeLessThan(60_000);
  });

  it('learns the pace of its instructor from what was measured, and nothing from what was skipped', async () => {
    const { id } = await add('Lanterns', '2027-07-13');
    const item = (itemId: string) => ({
      id: itemId,
      movement: 'front-kick',
      dose: { kind: 'timed', seconds: 60 },
      sides: 'both',
      tiers: ['core'],
    });
    await owner
      .put(`/api/classes/${id as string}/plan`)
      .send({ version: 0, plan: { sections: [{ id: 's', kind: 'skill', items: [item('a'), item('b')] }], focus: [] } })
      .expect(200);
    const before = (await page(id)).pace;
    const measured = {
      way: 'watch',
      isClockBound: true,
      plannedExplainSeconds: 100,
      realExplainSeconds: 300,
      plannedWorkSeconds: 60,
      realWorkSeconds: 60,
    };
    await owner
      .put(`/api/classes/${id as string}/item-times`)
      .send({
        times: [
          { itemId: 'a', plannedSeconds: 160, realSeconds: 360, measured },
          { itemId: 'b', plannedSeconds: 160, realSeconds: 2 },
        ],
      })
      .expect(204);
    await owner
      .patch(`/api/classes/${id as string}`)
      .send({ teaching: 'started' })
      .expect(200);
    const after = (await page(id)).pace;
    expect(after.explainAll.items).toBe(before.explainAll.items + 1);
    const watched = after.explain.find(({ way }: { way: string }) => way === 'watch');
    // sixty planned seconds are believed of the pace over all, a hundred were seen to be three hundred
    expect(watched).toMatchObject({ kind: 'skill', items: 1, classes: 1 });
    expect(watched.factor).toBeCloseTo((60 * after.explainAll.factor + 300) / 160, 6);
    expect(after.work).toEqual(before.work);
  });

  it('knows from the classes before what each movement was taught how often', async () => {
    const kittiwakes = await group('Kittiwakes');
    const next = await coming(kittiwakes.id);
    const { exposures, pace } = await page(next.class.id);
    expect(exposures.length).toBeGreaterThan(5);
    for (const { times } of exposures as readonly { times?: number }[]) if (times !== undefined) expect(times).toBeGreaterThan(0);
    expect(pace.explain.length).toBeGreaterThan(0);
    for (const { factor, items, classes } of [...pace.explain, pace.explainAll, pace.work] as readonly {
      factor: number;
      items: number;
      classes: number;
    }[]) {
      expect(classes).toBeGreaterThan(0);
      expect(classes).toBeLessThanOrEqual(items);
      expect(factor).toBeGreaterThanOrEqual(0.5);
      expect(factor).toBeLessThanOrEqual(2);
    }
  });
});

describe('the classes before one', () => {
  it('come with what was planned and what it took, the newest first, each item in its section', async () => {
    const kittiwakes = await group('Kittiwakes');
    const next = await coming(kittiwakes.id);
    const before: readonly TaughtClass[] = (await owner.get(`/api/classes/${next.class.id as string}/earlier`).expect(200)).body;
    expect(before).toHaveLength(8);
    const days = before.map(({ day }) => day);
    expect(days).toEqual([...days].sort().reverse());
    for (const { day, items } of before) {
      expect(day < next.class.day).toBe(true);
      expect(items.length).toBeGreaterThan(8);
      expect(items.every(({ plannedSeconds, realSeconds }) => plannedSeconds > 0 && realSeconds > 0)).toBe(true);
    }
    const [oldest] = (await owner.get(`/api/groups/${kittiwakes.id}/classes`).expect(200)).body.toReversed();
    expect((await owner.get(`/api/classes/${oldest.id as string}/earlier`).expect(200)).body).toEqual([]);
  });
});

describe('today', () => {
  it('begins with the own groups of the one who asks', async () => {
    const { next } = (await (await club.as('dance')).get('/api/today').expect(200)).body;
    expect(next.coming.group.programme).toBe('dance');
    expect(next.children.length).toBeGreaterThan(0);
    expect(next.board).toHaveLength(next.coming.group.childCount);
  });

  it('names a class that was taught until its roll is said and those who were there are marked', async () => {
    const { id: groupId, weekday } = await group('Lanterns');
    // a day on which it has no class yet
    const day = [5, 4]
      .map((ago) => new Date(Date.now() - ago * 24 * 3600 * 1000).toISOString().slice(0, 10))
      .find((one) => weekdayOf(one) !== weekday);
    const added = (await owner.post('/api/classes').send({ groupId, day }).expect(201)).body;
    await owner
      .patch(`/api/classes/${added.id as string}`)
      .send({ teaching: 'started' })
      .expect(200);
    const unmarked = async () =>
      (await owner.get('/api/today').expect(200)).body.unfinished.map(
        (one: { class: { id: string } }) => one.class.id,
      ) as readonly string[];
    expect(await unmarked()).toContain(added.id);
    const child = (await owner.get(`/api/classes/${added.id as string}`).expect(200)).body.children[0];
    await owner
      .put(`/api/observations/${randomUUID()}`)
      .send({
        childId: child.id,
        movement: 'fighting-stance',
        side: 'left',
        mark: 'alone',
        measure: {},
        faults: [],
        note: '',
        seenOn: day,
        source: 'class',
        classId: added.id,
      })
      .expect(200);
    // the roll is still to be said
    expect(await unmarked()).toContain(added.id);
    const others = (await owner.get(`/api/classes/${added.id as string}`).expect(200)).body.children.map((one: { id: string }) => one.id);
    const roll = (childIds: readonly string[], status: string) =>
      owner
        .put(`/api/classes/${added.id as string}/attendance`)
        .send({ childIds, status })
        .expect(204);
    await roll(others, 'absent');
    await roll([child.id], 'present');
    expect(await unmarked()).not.toContain(added.id);
  });
});
