import { addDays } from '@leiter/core';
import ICAL from 'ical.js';
import { DateTime } from 'luxon';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let tomasz: Agent;
let link: string;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  tomasz = await club.as('gymnastics');
  link = await made(tomasz);
});
afterAll(() => club.close());

const made = async (agent: Agent): Promise<string> => (await agent.post('/api/calendar-link').expect(201)).body.token;
const read = async (token: string): Promise<string> =>
  (
    await club
      .visitor()
      .get(`/api/calendars/${token}.ics`)
      .expect(200)
      .expect('content-type', /^text\/calendar/)
  ).text;
/** As another program reads it. */
const eventsOf = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((component) => {
    const event = new ICAL.Event(component);
    return {
      uid: event.uid,
      title: event.summary,
      about: event.description,
      start: event.startDate.toJSDate(),
      minutes: event.duration.toSeconds() / 60,
      sequence: event.sequence,
      status: component.getFirstPropertyValue('status'),
    };
  });
const zone = 'Europe/London';
const localOf = (start: Date): string => DateTime.fromJSDate(start, { zone: zoneOfClub }).toFormat('yyyy-MM-dd HH:mm');
let zoneOfClub = zone;

interface Entry {
  readonly group: { readonly id: string; readonly name: string; readonly instructorId: string | null };
  readonly day: string;
  readonly startsAt: string;
  readonly lengthMinutes: number;
  readonly class: { readonly id: string; readonly taughtAt: string | null } | null;
  readonly holiday: string | null;
}

describe('the calendar of a person', () => {
  it('has the classes of two weeks that this person teaches, at the hour of the club, and names no child', async () => {
    const session = (await tomasz.get('/api/session').expect(200)).body;
    [{ time_zone: zoneOfClub }] = await club.source.query('SELECT time_zone FROM club');
    const text = await read(link);
    const told = new Set(eventsOf(text).map(({ title, start, minutes }) => `${title} ${localOf(start)} ${String(minutes)}`));
    const week = (await tomasz.get(`/api/weeks/${session.today}`).expect(200)).body;
    const own = (week.entries as readonly Entry[]).filter(
      ({ group, holiday }) => group.instructorId === session.person.id && holiday === null,
    );
    expect(own.length).toBeGreaterThan(1);
    for (const { group, day, startsAt, lengthMinutes } of own)
      expect(told).toContain(`${group.name} ${day} ${startsAt} ${String(lengthMinutes)}`);
    // and the grading day that he examines
    expect(new Set([...own.map(({ group }) => group.name), 'Grading day, Gymnastics'])).toEqual(
      new Set(eventsOf(text).map(({ title }) => title)),
    );
    const children = await club.source.query('SELECT given_name FROM child');
    for (const { given_name } of children) expect(text).not.toContain(given_name);
  });

  it('is at the same hour of the day before and after the clocks change', async () => {
    const events = eventsOf(await read(link)).filter(({ status }) => status === 'CONFIRMED');
    const hours = new Map<string, Set<string>>();
    for (const { title, start } of events) {
      const [, hour = ''] = localOf(start).split(' ');
      hours.set(title, (hours.get(title) ?? new Set()).add(hour));
    }
    const offsets = new Set(events.map(({ start }) => DateTime.fromJSDate(start, { zone: zoneOfClub }).offset));
    expect(offsets.size).toBe(2);
    // moved ones of the demo club aside, a group has its hour
    for (const own of hours.values()) expect(own.size).toBeLessThanOrEqual(2);
  });

  it('keeps the id of a class that is moved or does not take place, with a larger number; read twice it is the same', async () => {
    expect(await read(link)).toBe(await read(link));
    const session = (await tomasz.get('/api/session').expect(200)).body;
    const weeks = await Promise.all(
      [7, 21, 35, 49].map(async (ahead) => (await tomasz.get(`/api/weeks/${addDays(session.today, ahead)}`).expect(200)).body.entries),
    );
    const entry = (weeks.flat() as readonly Entry[]).find(
      ({ group, day, holiday, class: one }) =>
        group.instructorId === session.person.id && holiday === null && one === null && day > session.today,
    );
    if (!entry) throw new Error('no free slot');
    const eventOn = async (day: string) => {
      const found = eventsOf(await read(link)).filter(({ title, start }) => title === entry.group.name && localOf(start).startsWith(day));
      expect(found).toHaveLength(1);
      return found[0];
    };
    const before = await eventOn(entry.day);
    const added = (await tomasz.post('/api/classes').send({ groupId: entry.group.id, day: entry.day }).expect(201)).body;
    expect((await eventOn(entry.day))?.uid).toBe(before?.uid);

    const later = addDays(entry.day, 1);
    await tomasz.patch(`/api/classes/${added.id}`).send({ day: later, startsAt: '10:15' }).expect(200);
    const moved = await eventOn(later);
    expect(moved).toMatchObject({ uid: before?.uid, sequence: (before?.sequence ?? 0) + 1, status: 'CONFIRMED' });
    expect(localOf(moved?.start ?? new Date())).toBe(`${later} 10:15`);
    expect(eventsOf(await read(link)).some(({ title, start }) => title === entry.group.name && localOf(start).startsWith(entry.day))).toBe(
      false,
    );

    await tomasz.patch(`/api/classes/${added.id}`).send({ cancelledBecause: 'No ferry; "high" water,\nno way over' }).expect(200);
    const off = await eventOn(later);
    expect(off).toMatchObject({ uid: before?.uid, sequence: (before?.sequence ?? 0) + 2, status: 'CANCELLED' });
    expect(off?.about).toContain('No ferry; "high" water,');
    expect(await read(link)).toBe(await read(link));
  });

  it('is everything of the club for who does not teach alone, and of an instructor the own classes only', async () => {
    const owner = await club.as('owner');
    const all = new Set(eventsOf(await read(await made(owner))).map(({ title }) => title));
    const own = new Set(eventsOf(await read(link)).map(({ title }) => title));
    expect(all.size).toBeGreaterThan(own.size);
  });

  it('ends with a newer link, on purpose, and with whom it belongs to; guesses find nothing', async () => {
    const runa = await club.as('assistant');
    expect((await runa.get('/api/calendar-link').expect(200)).body).toEqual({ madeAt: null });
    const first = await made(runa);
    const second = await made(runa);
    await club.visitor().get(`/api/calendars/${first}`).expect(404);
    await club.visitor().get(`/api/calendars/${second}`).expect(200);
    expect((await runa.get('/api/calendar-link').expect(200)).body.madeAt).toMatch(/^\d{4}-/);
    await club.source.query(`UPDATE person SET put_away_at = now() WHERE role = 'assistant'`);
    await club.visitor().get(`/api/calendars/${second}`).expect(404);
    await club.source.query(`UPDATE person SET put_away_at = NULL WHERE role = 'assistant'`);
    await club.visitor().get(`/api/calendars/${second}`).expect(200);
    await (await club.as('assistant')).delete('/api/calendar-link').expect(204);
    await club.visitor().get(`/api/calendars/${second}`).expect(404);
    for (const guess of ['x', `${second}=`, 'a'.repeat(43), encodeURIComponent(`${second.slice(0, 42)}'`)])
      await club.visitor().get(`/api/calendars/${guess}`).expect(404);
    expect(JSON.stringify(await club.source.query('SELECT * FROM calendar_link'))).not.toContain(second);
  });
});

describe('the calendar of a family', () => {
  const homeOf = async (name: string): Promise<{ id: string; token: string }> => {
    const owner = await club.as('owner');
    const { id } = (await owner.get('/api/children').expect(200)).body.find(({ givenName }: { givenName: string }) => givenName === name);
    return { id, token: (await owner.post(`/api/children/${id}/home`).expect(201)).body.token };
  };
  const follow = async (token: string): Promise<string> =>
    (await club.visitor().post('/api/home/calendar').set('authorization', `Bearer ${token}`).expect(201)).body.token;

  it('has the classes of its child and the grading day from when it begins for it, under ids that stay, and names nobody', async () => {
    const { id, token } = await homeOf('Ilse');
    const text = await read(await follow(token));
    const [{ name: group }] = await club.source.query(
      'SELECT t.name FROM enrolment e JOIN teaching_group t ON t.id = e.group_id WHERE e.child_id = $1 AND e.to_day IS NULL',
      [id],
    );
    const events = eventsOf(text);
    expect(new Set(events.map(({ title }) => title))).toEqual(new Set([group, 'Grading day: Figure Eight']));
    for (const { given_name } of await club.source.query('SELECT given_name FROM child'))
      expect(text).not.toMatch(new RegExp(`\\b${given_name}\\b`));
    expect(text).not.toContain(id);
    expect(text).not.toContain('URL');
    // who teaches it sees the same class under the same id
    const staff = new Map(eventsOf(await read(link)).map((event) => [event.uid, event]));
    const classes = events.filter(({ title }) => title === group);
    expect(classes.length).toBeGreaterThan(5);
    for (const event of classes) expect(staff.get(event.uid)).toEqual(event);

    // a timetable tells the hour, and counts the change
    const before = events.find(({ title }) => title.startsWith('Grading'));
    const owner = await club.as('owner');
    const [day] = (await owner.get('/api/gradings').expect(200)).body;
    await owner.post(`/api/gradings/${day.id}/timetable`);
    const home = (await club.visitor().get('/api/home').set('authorization', `Bearer ${token}`).expect(200)).body;
    const after = eventsOf(await read(await follow(token))).find(({ title }) => title.startsWith('Grading'));
    expect(after).toMatchObject({ uid: before?.uid, sequence: (before?.sequence ?? 0) + 1 });
    expect(localOf(after?.start ?? new Date(0))).toBe(`${day.day} ${home.grading[0].warmUpAt}`);
    // read again, nothing changed
    expect(eventsOf(await read(await follow(token))).find(({ title }) => title.startsWith('Grading'))).toEqual(after);
  });

  it('ends with the link of the page, with a newer one, and for a child that left', async () => {
    const { id, token } = await homeOf('Otto');
    const first = await follow(token);
    const second = await follow(token);
    await club.visitor().get(`/api/calendars/${first}.ics`).expect(404);
    await read(second);
    // it opens no page, and the page no calendar
    await club.visitor().get('/api/home').set('authorization', `Bearer ${second}`).expect(404);
    await club.visitor().get(`/api/calendars/${token}.ics`).expect(404);
    const owner = await club.as('owner');
    await owner.post(`/api/children/${id}/home`).expect(201);
    await club.visitor().get(`/api/calendars/${second}.ics`).expect(404);
    await club.visitor().post('/api/home/calendar').expect(404);
  });
});
