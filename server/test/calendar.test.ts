import { randomUUID } from 'node:crypto';
import type {
  ClassOutlook,
  ClassPageResponse,
  ClassResponse,
  HolidayResponse,
  TodayResponse,
  WeekEntry,
  WeekResponse,
} from '@leiter/contract';
import { addDays, planFromTemplate, templatesFor, weekdayOf, writePlan } from '@leiter/core';
import { shippedLibrary, shippedTemplates } from '#server/library/shipped-content';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
let today: string;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
  today = (await owner.get('/api/session').expect(200)).body.today;
});
afterAll(() => club.close());

const monday = (weeks: number): string => addDays(today, 1 - weekdayOf(today) + 7 * weeks);
const week = async (day: string, agent = owner): Promise<WeekResponse> => (await agent.get(`/api/weeks/${day}`).expect(200)).body;
/** A group of its own with its slot on Wednesdays, so that tests do not meet. */
const makeGroup = async (): Promise<{ readonly id: string; readonly name: string }> => {
  const body = {
    name: `Group ${randomUUID().slice(0, 8)}`,
    programme: 'dance',
    weekday: 3,
    startsAt: '10:15',
    lengthMinutes: 30,
    instructorId: null,
  };
  return (await owner.post('/api/groups').send(body).expect(201)).body;
};
const entriesOf = async (groupId: string, weeks: number): Promise<readonly WeekEntry[]> =>
  (await week(monday(weeks))).entries.filter(({ group, day }) => group.id === groupId && day < monday(weeks + 1));
const add = async (groupId: string, day: string, more: object = {}): Promise<ClassResponse> =>
  (
    await owner
      .post('/api/classes')
      .send({ groupId, day, ...more })
      .expect(201)
  ).body;
const change = (id: string, body: object, agent = owner) => agent.patch(`/api/classes/${id}`).send(body);

describe('the week', () => {
  it('shows slots that are no class yet, and the class once it is put down', async () => {
    const { id } = await makeGroup();
    const slot = addDays(monday(2), 2);
    expect(await entriesOf(id, 2)).toMatchObject([{ day: slot, startsAt: '10:15', class: null, lengthMinutes: 30 }]);
    const made = await add(id, slot);
    expect((await entriesOf(id, 2)).map((entry) => entry.class?.id)).toEqual([made.id]);
  });

  it('tells of a taught class how many were there, how many were marked and who was away', async () => {
    const groups = (await owner.get('/api/groups').expect(200)).body as { id: string; name: string }[];
    const lanterns = groups.find(({ name }) => name === 'Lanterns')?.id ?? '';
    const classes: ClassResponse[] = (await owner.get(`/api/groups/${lanterns}/classes`).expect(200)).body;
    const taught = classes.filter(({ taughtAt }) => taughtAt !== null)[1];
    const page: ClassPageResponse = (await owner.get(`/api/classes/${taught?.id ?? ''}`).expect(200)).body;
    const entry = (await week(taught?.day ?? '')).entries.find((one) => one.class?.id === taught?.id);
    const status = (wanted: readonly string[]) =>
      page.children.filter(({ attendance }) => attendance !== null && wanted.includes(attendance));
    expect(entry).toMatchObject({
      expectedCount: page.children.length,
      presentCount: status(['present', 'late']).length,
      rollCount: page.children.length,
      markedCount: new Set(page.observations.map(({ childId }) => childId)).size,
      itemCount: page.stored?.plan.sections.flatMap(({ items }) => items).length,
    });
    expect(entry?.away).toEqual(status(['absent']).map(({ name }) => name));
  });

  it('refuses a day that is none', async () => {
    await owner.get('/api/weeks/2026-02-30').expect(422);
  });

  it('says what the plan of a class to come comes to, as judging it as a file does', async () => {
    const next = (await owner.get('/api/coming-classes').expect(200)).body.find(
      (one: { class: { hasPlan: boolean } | null }) => one.class && !one.class.hasPlan,
    );
    const classId: string = next.class.id;
    const [template] = templatesFor(shippedTemplates(), { ...next.group, ageBand: '6-7' });
    const plan = template && planFromTemplate(template, shippedLibrary(), () => randomUUID());
    if (!plan?.ok) throw new Error('no template');
    await owner
      .put(`/api/classes/${classId}/plan`)
      .send({ version: 0, plan: writePlan(plan.value) })
      .expect(200);
    const outlooks: ClassOutlook[] = (await owner.get(`/api/weeks/${next.day as string}/outlook`).expect(200)).body;
    const file = (await owner.get(`/api/classes/${classId}/plan/export`).expect(200)).body;
    const judged = (await owner.post('/api/class-plans/preview').send({ plan: file, groupId: next.group.id }).expect(200)).body;
    const stops = (judged.findings as { severity: string }[]).filter(({ severity }) => severity === 'stop').length;
    expect(outlooks.filter((one) => one.classId === classId)).toMatchObject([{ totalSeconds: judged.timing.totalSeconds, stops }]);
  });
});

describe('a class', () => {
  it('is moved to another day: its slot says where it went, and no second one is put there', async () => {
    const { id } = await makeGroup();
    const slot = addDays(monday(3), 2);
    const made = await add(id, slot);
    const moved: ClassResponse = (await change(made.id, { day: addDays(slot, 1), startsAt: '9.45' }).expect(200)).body;
    expect(moved).toMatchObject({ day: addDays(slot, 1), startsAt: '09:45', slotDay: slot });
    expect((await entriesOf(id, 3)).map(({ day, movedTo, class: session }) => [day, movedTo, session?.id ?? null])).toEqual([
      [slot, addDays(slot, 1), null],
      [addDays(slot, 1), null, made.id],
    ]);
    expect((await add(id, slot)).id).toBe(made.id);
    // back where it was, it stands for nothing but itself
    expect((await change(made.id, { day: slot, startsAt: '10:15' }).expect(200)).body.slotDay).toBeNull();
  });

  it('does not move onto another one of its group, and says so at the day', async () => {
    const { id } = await makeGroup();
    const made = await add(id, addDays(monday(3), 2));
    const other = await add(id, addDays(monday(4), 2));
    const answer = await change(made.id, { day: other.day }).expect(422);
    expect(answer.body.errors).toMatchObject([{ field: 'day' }]);
  });

  it('is cancelled with a reason: then the next slot comes, until it takes place after all', async () => {
    const { id } = await makeGroup();
    const comingDay = async (): Promise<string> =>
      (await owner.get('/api/coming-classes').expect(200)).body.find((one: { group: { id: string } }) => one.group.id === id).day;
    const first = await comingDay();
    const made = await add(id, first);
    await change(made.id, { cancelledBecause: 'no ferry' }).expect(200);
    expect(await comingDay()).toBe(addDays(first, 7));
    await change(made.id, { cancelledBecause: null }).expect(200);
    expect(await comingDay()).toBe(first);
  });

  it('stands beside the slots where it is put down with a time of its own, once a day', async () => {
    const { id } = await makeGroup();
    const friday = addDays(monday(5), 4);
    await add(id, friday, { startsAt: '17:00', lengthMinutes: 20 });
    expect((await entriesOf(id, 5)).map(({ day, lengthMinutes }) => [day, lengthMinutes])).toEqual([
      [addDays(monday(5), 2), 30],
      [friday, 20],
    ]);
    await owner.post('/api/classes').send({ groupId: id, day: friday, startsAt: '18:00' }).expect(422);
  });

  it('is taken off the calendar as long as nothing was done for it, and no longer', async () => {
    const { id } = await makeGroup();
    const made = await add(id, addDays(monday(6), 2));
    await owner.delete(`/api/classes/${made.id}`).expect(204);
    await owner.get(`/api/classes/${made.id}`).expect(404);
    const noted = await add(id, addDays(monday(6), 2));
    await change(noted.id, { note: 'bring scarves' }).expect(200);
    await owner.delete(`/api/classes/${noted.id}`).expect(409);
    expect((await owner.get(`/api/classes/${noted.id}`).expect(200)).body.class.note).toBe('bring scarves');
  });

  it('that was taught stays on its day and is not cancelled; said by a slip, it is taken back', async () => {
    const { id } = await makeGroup();
    const made = await add(id, addDays(monday(-1), 2));
    await change(made.id, { teaching: 'ended' }).expect(200);
    await change(made.id, { day: today }).expect(422);
    await change(made.id, { cancelledBecause: 'rain' }).expect(422);
    expect((await change(made.id, { teaching: 'not-at-all' }).expect(200)).body.taughtAt).toBeNull();
  });

  it('goes along when the slot of its group changes, with those who are still to come', async () => {
    const { id } = await makeGroup();
    const past = await add(id, addDays(monday(-2), 2));
    const ahead = await add(id, addDays(monday(2), 2));
    await owner.patch(`/api/groups/${id}`).send({ weekday: 5, startsAt: '11:00', lengthMinutes: 45 }).expect(200);
    const dayOf = async (classId: string): Promise<ClassResponse> => (await owner.get(`/api/classes/${classId}`).expect(200)).body.class;
    expect(await dayOf(past.id)).toMatchObject({ day: past.day, startsAt: '10:15' });
    expect(await dayOf(ahead.id)).toMatchObject({ day: addDays(monday(2), 4), startsAt: '11:00', lengthMinutes: 45 });
    expect((await entriesOf(id, 2)).map(({ day }) => day)).toEqual([addDays(monday(2), 4)]);
  });

  it('has its roll said at once, and taken back', async () => {
    const [entry] = (await week(addDays(today, -7))).entries.filter(({ class: session }) => session?.taughtAt);
    const classId = entry?.class?.id ?? '';
    const page: ClassPageResponse = (await owner.get(`/api/classes/${classId}`).expect(200)).body;
    const childIds = page.children.map(({ id }) => id);
    await owner.put(`/api/classes/${classId}/attendance`).send({ childIds, status: null }).expect(204);
    await owner.put(`/api/classes/${classId}/attendance`).send({ childIds, status: 'present' }).expect(204);
    const after: ClassPageResponse = (await owner.get(`/api/classes/${classId}`).expect(200)).body;
    expect(after.children.every(({ attendance }) => attendance === 'present')).toBe(true);
    await owner
      .put(`/api/classes/${classId}/attendance`)
      .send({ childIds: [randomUUID()], status: 'present' })
      .expect(404);
  });
});

describe('a holiday', () => {
  it('frees its slots and cancels what stands on them; taken away, all is as before', async () => {
    const { id } = await makeGroup();
    const slot = addDays(monday(8), 2);
    const made = await add(id, slot);
    const alone = await add(id, addDays(monday(9), 2));
    await change(alone.id, { cancelledBecause: 'the hall is painted' }).expect(200);
    const holiday: HolidayResponse = (
      await owner
        .post('/api/holidays')
        .send({ name: 'Winter break', fromDay: monday(8), toDay: addDays(monday(10), 6) })
        .expect(201)
    ).body;
    expect(holiday.cancelledCount).toBeGreaterThan(0);
    expect((await entriesOf(id, 8))[0]?.class?.cancelledBecause).toBe('Winter break');
    expect(await entriesOf(id, 10)).toMatchObject([{ class: null, holiday: 'Winter break' }]);
    await owner.delete(`/api/holidays/${holiday.id}`).expect(204);
    expect((await entriesOf(id, 8))[0]?.class).toMatchObject({ id: made.id, cancelledBecause: null });
    // what was cancelled for a reason of its own stays cancelled
    expect((await entriesOf(id, 9))[0]?.class?.cancelledBecause).toBe('the hall is painted');
    expect(await entriesOf(id, 10)).toMatchObject([{ class: null, holiday: null }]);
  });

  it('does not end before it begins', async () => {
    const answer = await owner
      .post('/api/holidays')
      .send({ name: 'Back', fromDay: monday(8), toDay: monday(7) })
      .expect(422);
    expect(answer.body.errors).toMatchObject([{ field: 'toDay' }]);
  });
});

describe('what is not for everybody', () => {
  it('an assistant reads the week and says who is there, and changes nothing of the calendar', async () => {
    const assistant = await club.as('assistant');
    const { entries } = await week(today, assistant);
    expect(entries.length).toBeGreaterThan(0);
    const id = entries.find(({ class: session }) => session)?.class?.id ?? '';
    await change(id, { cancelledBecause: 'x' }, assistant).expect(403);
    await assistant.post('/api/holidays').send({ name: 'x', fromDay: today, toDay: today }).expect(403);
    await assistant.delete(`/api/classes/${id}`).expect(403);
  });

  it('a note and a reason lose the name of a child that is erased', async () => {
    const coming = (await week(today)).entries.flatMap(({ class: session }) => (session && !session.taughtAt ? [session.id] : []));
    const pages = await Promise.all(
      coming.map(async (id): Promise<ClassPageResponse> => (await owner.get(`/api/classes/${id}`).expect(200)).body),
    );
    // a group that was only just made has nobody yet
    const page = pages.find(({ children }) => children.length > 0);
    const classId = page?.class.id ?? '';
    const child = page?.children[0];
    const given = child?.name.split(' ')[0] ?? '';
    await change(classId, { note: `${given} was tired`, cancelledBecause: `${given} has a birthday` }).expect(200);
    await owner.delete(`/api/children/${child?.id ?? ''}`).expect(204);
    const after: ClassPageResponse = (await owner.get(`/api/classes/${classId}`).expect(200)).body;
    expect(after.class).toMatchObject({ note: 'a child was tired', cancelledBecause: 'a child has a birthday' });
  });
});

describe('today', () => {
  it('names who earned a grade in any of one’s groups, and the classes of a week', async () => {
    const { close, entries, next }: TodayResponse = (await owner.get('/api/today').expect(200)).body;
    expect(new Set(close.filter(({ isEarned }) => isEarned).map(({ groupName }) => groupName)).size).toBeGreaterThan(1);
    expect(entries.every(({ day }) => day >= today && day <= addDays(today, 6))).toBe(true);
    expect(next).not.toBeNull();
  });

  it('shows an instructor nothing to do in the groups of others', async () => {
    const dance = await club.as('dance');
    const me = (await dance.get('/api/session').expect(200)).body.person.id;
    const { entries, unfinished, close }: TodayResponse = (await dance.get('/api/today').expect(200)).body;
    const own = ((await dance.get('/api/groups').expect(200)).body as { id: string; instructorId: string }[])
      .filter(({ instructorId }) => instructorId === me)
      .map(({ id }) => id);
    for (const { group } of [...entries, ...unfinished]) expect(own).toContain(group.id);
    for (const { groupId } of close) expect(own).toContain(groupId);
  });
});
