import { randomBytes, randomUUID } from 'node:crypto';
import { request as httpRequest, type RequestListener } from 'node:http';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeApp } from '../src/app.js';
import { openDoor } from '../src/remote/lan-door.service.js';
import { testApp, type Agent, type TestApp } from './test-app.js';
import { RemoteLinksService } from '../src/remote/remote-links.service.js';
import { ToldPage } from './told-page.js';

let club: TestApp;
/** A second server process on the same database. */
let other: NestExpressApplication;
let owner: Agent;
let ownerCookie: string;
const tab = randomUUID();

beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  other = await makeApp({ databaseUrl: club.databaseUrl, sessionSecret: 'test', logLevels: ['fatal'] });
  await other.listen(0, '127.0.0.1');
  owner = await club.as('owner');
  const again = await owner.post('/api/session').send({ email: 'owner@sail-loft.example', password: 'farholm-demo' }).expect(200);
  ownerCookie = /leiter=[^;]+/.exec(String(again.headers['set-cookie']))?.[0] ?? '';
});
afterAll(async () => {
  await other.close();
  await club.close();
});

let days = 300;
/** A class that begins. */
async function taught(): Promise<string> {
  const [group] = (await owner.get('/api/groups').expect(200)).body as readonly { id: string }[];
  days += 1;
  const day = new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
  const { body } = await owner.post('/api/classes').send({ groupId: group?.id, day }).expect(201);
  await owner
    .patch(`/api/classes/${body.id as string}`)
    .send({ teaching: 'started' })
    .expect(200);
  return body.id as string;
}

const stage = (more: object = {}) => ({
  tab,
  item: 'Front kick',
  what: 'Go',
  side: 'left',
  next: 'Drink',
  remainingSeconds: 30,
  isPaused: false,
  isWaiting: false,
  isOver: false,
  canPutOff: true,
  canUndo: false,
  watch: null,
  done: [],
  ...more,
});
const press = (more: object = {}) => ({ id: randomUUID(), tab, press: 'on', ...more });

/** A phone that follows a link. */
async function follow(classId: string): Promise<{ readonly phone: Agent; readonly cookie: string }> {
  const { body } = await owner.post(`/api/classes/${classId}/remote`).expect(201);
  const phone = club.visitor();
  const answer = await phone.post('/api/remote').send({ token: body.token }).expect(200);
  return { phone, cookie: /leiter-remote=[^;]+/.exec(String(answer.headers['set-cookie']))?.[0] ?? '' };
}

describe('a phone beside the device that teaches', () => {
  it('is told what is shown, also by another server process, and what it presses arrives once with whom it concerns', async () => {
    const id = await taught();
    const { phone, cookie } = await follow(id);
    const shown = await ToldPage.open(other, { cookie, path: '/api/remote/events' });
    const teaching = await ToldPage.open(club.app, { cookie: ownerCookie });
    await shown.until((messages) => messages.some(({ data }) => data['stage'] === null));
    await owner.put(`/api/classes/${id}/stage`).send(stage()).expect(204);
    await shown.until((messages) => messages.some(({ data }) => (data['stage'] as { item?: string } | null)?.item === 'Front kick'));

    const on = press();
    await phone.post('/api/remote/presses').send(on).expect(204);
    const child = randomUUID();
    const mark = press({ press: 'mark', childId: child, mark: 'alone' });
    await owner.post(`/api/classes/${id}/presses`).send(mark).expect(204);
    await teaching.until(() => teaching.of('press').length === 2);
    expect(teaching.of('press').map(({ data, id: eventId }) => [data, eventId])).toEqual([
      [{ topic: 'press', classId: id, ...on }, null],
      [{ topic: 'press', classId: id, ...mark }, null],
    ]);
    shown.close();
    teaching.close();
  });

  it('is told that it is over as the class ends, and its link is good no more', async () => {
    const id = await taught();
    const { phone, cookie } = await follow(id);
    await owner.put(`/api/classes/${id}/stage`).send(stage()).expect(204);
    const shown = await ToldPage.open(other, { cookie, path: '/api/remote/events' });
    await owner.patch(`/api/classes/${id}`).send({ teaching: 'ended' }).expect(200);
    await shown.until((messages) => messages.some(({ event }) => event === 'over'));
    await phone.post('/api/remote/presses').send(press()).expect(404);
    await owner.put(`/api/classes/${id}/stage`).send(stage()).expect(404);
    // the class goes on after all: the link stays over
    await owner.patch(`/api/classes/${id}`).send({ teaching: 'started' }).expect(200);
    await owner.put(`/api/classes/${id}/stage`).send(stage()).expect(204);
    await phone.post('/api/remote/presses').send(press()).expect(404);
  });

  it('has one link: the next one that is made ends it; it opens nothing else', async () => {
    const id = await taught();
    await owner.put(`/api/classes/${id}/stage`).send(stage()).expect(204);
    const first = await follow(id);
    await first.phone.post('/api/remote/presses').send(press()).expect(204);
    const second = await follow(id);
    await first.phone.post('/api/remote/presses').send(press()).expect(404);
    await second.phone.post('/api/remote/presses').send(press()).expect(204);
    for (const path of ['session', `classes/${id}`, `classes/${id}/stage/events`, 'children', 'events'])
      expect((await second.phone.get(`/api/${path}`)).status, path).toBe(401);
    expect((await second.phone.post(`/api/classes/${id}/presses`).send(press())).status).toBe(401);
  });

  it('is one of forty at most, and makes room when it leaves', async () => {
    const id = await taught();
    const { cookie } = await follow(id);
    const open = () => ToldPage.open(club.app, { cookie, path: '/api/remote/events' });
    const pages = await Promise.all(Array.from({ length: 40 }, open));
    await expect(open()).rejects.toThrow('429');
    pages[0]?.close();
    await expect
      .poll(
        () =>
          open().then(
            (page) => pages.push(page),
            () => 0,
          ),
        { timeout: 5000 },
      )
      .toBe(41);
    for (const page of pages) page.close();
  });

  it('ends when who made the link may teach no more, and after six hours', async () => {
    const id = await taught();
    await owner.put(`/api/classes/${id}/stage`).send(stage()).expect(204);
    const { phone } = await follow(id);
    await club.source.query(`UPDATE remote_link SET made_at = now() - interval '6 hours 1 minute' WHERE class_id = $1`, [id]);
    await phone.post('/api/remote/presses').send(press()).expect(404);
    await club.source.query(`UPDATE remote_link SET made_at = now() WHERE class_id = $1`, [id]);
    await phone.post('/api/remote/presses').send(press()).expect(204);
    await club.source.query(`UPDATE person SET put_away_at = now() WHERE id = (SELECT person_id FROM remote_link WHERE class_id = $1)`, [
      id,
    ]);
    await phone.post('/api/remote/presses').send(press()).expect(404);
    await club.source.query(`UPDATE person SET put_away_at = NULL`);
  });

  it('is not found by guessing, ten thousand times', async () => {
    const id = await taught();
    await owner.put(`/api/classes/${id}/stage`).send(stage()).expect(204);
    await owner.post(`/api/classes/${id}/remote`).expect(201);
    const teaching = await ToldPage.open(club.app, { cookie: ownerCookie });
    const { port } = club.app.getHttpServer().address() as { port: number };
    const guess = (): string => randomBytes(32).toString('base64url');
    const answers = await Promise.all(
      Array.from({ length: 200 }, async (_, tried) => {
        const isPress = tried % 2 === 0;
        const token = guess();
        const { status } = await fetch(`http://127.0.0.1:${String(port)}/api/remote${isPress ? '/presses' : ''}`, {
          method: 'POST',
          headers: { 'content-type': 'application/json', cookie: `leiter-remote=${token}` },
          body: JSON.stringify(isPress ? press() : { token }),
        });
        return status;
      }),
    );
    expect([...new Set(answers)]).toEqual([404]);
    // and on the way past HTTP
    const links = club.app.get(RemoteLinksService);
    for (let tried = 0; tried < 10_000; tried += 1) expect(await links.classOf(guess())).toBeNull();
    expect(teaching.of('press')).toEqual([]);
    teaching.close();
  }, 60_000);
});

describe('the door to the network', () => {
  it('leads to the remote and to nothing else, under no other name', async () => {
    const door = await openDoor(club.app.getHttpAdapter().getInstance() as RequestListener, '127.0.0.1', 0);
    if (!door) throw new Error('there is a port');
    const { port } = new URL(door.url);
    const status = (path: string, host: string): Promise<number> =>
      new Promise((resolve, reject) => {
        httpRequest({ host: '127.0.0.1', port, path, headers: { host } }, (response) => {
          response.resume();
          resolve(response.statusCode ?? 0);
        })
          .on('error', reject)
          .end();
      });
    const own = `192.168.7.20:${port}`;
    expect(await status('/api/remote/events', own)).toBe(404); // no link, but heard: a problem of the API
    for (const path of [
      '/',
      '/sign-in',
      '/api/session',
      '/api/children',
      '/remote/../api/session',
      '/api/remote/../session',
      '/api/openapi.json',
    ])
      expect(await status(path, own), path).toBe(404);
    expect(await status('/api/remote/events', 'evil.example')).toBe(404);
    const page = await fetch(`${door.url}/api/session`);
    expect(await page.text()).toBe('There is nothing here but the remote of a class.\n');
    const heard = await fetch(`${door.url}/api/remote`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: door.url },
      body: JSON.stringify({ token: 'a'.repeat(43) }),
    });
    expect([heard.status, heard.headers.get('content-type')]).toEqual([404, expect.stringContaining('problem+json')]);
    const foreign = await fetch(`${door.url}/api/remote`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: 'http://evil.example' },
      body: JSON.stringify({ token: 'a'.repeat(43) }),
    });
    expect(foreign.status).toBe(403);
    door.server.close();
  });
});
