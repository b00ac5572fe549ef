import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeApp } from '../src/app.js';
import { lockFor } from '../src/database/locks.js';
import { demoPassword } from '../src/demo/demo-people.js';
import { testApp, type Agent, type TestApp } from './test-app.js';
import { ToldPage } from './told-page.js';

let club: TestApp;
/** A second server process on the same database. */
let other: NestExpressApplication;
let here: Agent;
let there: Agent;
const cookies = new Map<Agent, string>();

async function signedIn(app: NestExpressApplication, name: string): Promise<Agent> {
  const agent = request.agent(app.getHttpServer());
  const answer = await agent
    .post('/api/session')
    .send({ email: `${name}@sail-loft.example`, password: demoPassword })
    .expect(200);
  cookies.set(agent, /leiter=[^;]+/.exec(String(answer.headers['set-cookie']))?.[0] ?? '');
  return agent;
}
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  other = await makeApp({ databaseUrl: club.databaseUrl, sessionSecret: 'test', logLevels: ['fatal'] });
  await other.listen(0, '127.0.0.1');
  here = await signedIn(club.app, 'owner');
  there = await signedIn(other, 'gymnastics');
});
afterAll(async () => {
  await other.close();
  await club.close();
});

const openPage = (app: NestExpressApplication, agent: Agent, lastId?: string): Promise<ToldPage> =>
  ToldPage.open(app, { cookie: cookies.get(agent) ?? '', lastId });

const mark = (childId: string) => ({
  childId,
  movement: 'cartwheel',
  side: 'left',
  mark: 'alone',
  measure: {},
  faults: [],
  note: '',
  seenOn: '2026-01-05',
  source: 'class',
});

describe('what happens in the club', () => {
  it('is told to pages at every server process: a plan, a mark, attendance, who is here', async () => {
    const [near, far] = [await openPage(club.app, here), await openPage(other, there)];
    const coming = (await here.get('/api/coming-classes').expect(200)).body.find(
      (one: { class: { hasPlan: boolean } | null }) => one.class && !one.class.hasPlan,
    );
    const classId = coming.class.id as string;
    const [child] = (await here.get(`/api/classes/${classId}`).expect(200)).body.children;
    await there
      .put(`/api/classes/${classId}/plan`)
      .send({ version: 0, plan: { sections: [], focus: [] } })
      .expect(200);
    await here.put(`/api/observations/${randomUUID()}`).send(mark(child.id)).expect(200);
    await here
      .put(`/api/classes/${classId}/attendance/${child.id as string}`)
      .send({ status: 'late' })
      .expect(204);
    const tab = randomUUID();
    await there.put(`/api/classes/${classId}/presence`).send({ tab, itemId: 'a', isHere: true }).expect(200);
    for (const page of [near, far]) {
      await page.until(
        () =>
          page.of('attendance').length === 1 &&
          page.of('plan').length === 1 &&
          page.of('mark').length === 1 &&
          page.of('presence').length > 0,
      );
      expect(page.of('plan')[0]?.data).toEqual({ topic: 'plan', classId, version: 1, savedBy: 'Tomasz Bielik' });
      expect(page.of('presence').at(-1)?.data).toMatchObject({ classId, here: [{ tab, itemId: 'a', person: { name: 'Tomasz Bielik' } }] });
      page.close();
    }
    const left = await there.put(`/api/classes/${classId}/presence`).send({ tab, itemId: null, isHere: false }).expect(200);
    expect(left.body).toEqual([]);
  });

  it('while a page was away is told when it comes back, in order, nothing lost and nothing twice', async () => {
    const [child] = (await here.get('/api/children').expect(200)).body;
    const page = await openPage(club.app, here);
    await here.put(`/api/observations/${randomUUID()}`).send(mark(child.id)).expect(200);
    await page.until(() => page.of('mark').length === 1);
    const last = page.messages.at(-1)?.id ?? '';
    page.close();
    const ids = Array.from({ length: 30 }, () => randomUUID());
    await Promise.all(ids.map((id, nth) => (nth % 2 === 0 ? here : there).put(`/api/observations/${id}`).send(mark(child.id)).expect(200)));
    // it comes back to another process
    const again = await openPage(other, there, last);
    await again.until(() => again.of('mark').length === 30);
    const told = again.of('mark').map(({ data }) => (data['mark'] as { id: string }).id);
    expect(told.toSorted()).toEqual(ids.toSorted());
    const order = again.of('mark').map(({ id }) => Number(id));
    expect(order).toEqual(order.toSorted((one, two) => one - two));
    expect(again.messages[0]?.event).toBe('ready');
    again.close();
  });

  it('that is not kept any more is said to be: everything is to be read anew', async () => {
    const page = await openPage(club.app, here, '0');
    await page.until((messages) => messages.length > 0);
    expect(page.messages[0]?.event).toBe('reset');
    page.close();
  });

  it('is told to nobody of another club, and no longer to who is put away or signed out', async () => {
    const amara = await signedIn(club.app, 'dance');
    const kenji = await signedIn(other, 'martial-arts');
    const [signedOut, putAway] = [await openPage(club.app, amara), await openPage(other, kenji)];
    await amara.delete('/api/session').expect(204);
    const person = (await here.get('/api/people').expect(200)).body.find(({ name }: { name: string }) => name.startsWith('Kenji'));
    await here
      .patch(`/api/people/${person.id as string}`)
      .send({ isPutAway: true })
      .expect(200);
    await signedOut.until(() => signedOut.isOver);
    await putAway.until(() => putAway.isOver);
    await here
      .patch(`/api/people/${person.id as string}`)
      .send({ isPutAway: false })
      .expect(200);
  });

  it('is told again after the line to the database was lost', async () => {
    const page = await openPage(club.app, here);
    await club.source.query(
      `SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = current_database() AND application_name = 'leiter notices'`,
    );
    const [child] = (await here.get('/api/children').expect(200)).body;
    await here.put(`/api/observations/${randomUUID()}`).send(mark(child.id)).expect(200);
    await page.until(() => page.of('mark').length === 1);
    page.close();
  });
});

describe('two server processes', () => {
  it('know each other’s sessions, sign-outs, throttling and library at once', async () => {
    const runa = await signedIn(club.app, 'assistant');
    const elsewhere = request.agent(other.getHttpServer());
    const cookie = cookies.get(runa) ?? '';
    await elsewhere.get('/api/today').set('cookie', cookie).expect(200);
    await runa.delete('/api/session').expect(204);
    await elsewhere.get('/api/today').set('cookie', cookie).expect(401);
    const guess = (app: NestExpressApplication) =>
      request(app.getHttpServer()).post('/api/session').send({ email: 'assistant@sail-loft.example', password: 'guess' });
    for (let tries = 0; tries < 20; tries += 1) await guess(tries % 2 === 0 ? club.app : other);
    expect([(await guess(club.app)).status, (await guess(other)).status]).toEqual([429, 429]);
    const etag = String((await there.get('/api/library').expect(200)).headers['etag']);
    await here.patch('/api/library/cartwheel').send({ ownCue: 'Over' }).expect(200);
    const after = await there.get('/api/library').set('if-none-match', etag).expect(200);
    expect(after.body.find((one: { slug: string }) => one.slug === 'cartwheel').ownCue).toBe('Over');
  });

  it('that start at once on an empty database make its tables and its club once', async () => {
    const empty = await testApp({ filled: 'empty' });
    await empty.source.query('DROP SCHEMA public CASCADE; CREATE SCHEMA public');
    const { DemoClubService } = await import('../src/demo/demo-club.service.js');
    const apps = await Promise.all([1, 2].map(() => makeApp({ databaseUrl: empty.databaseUrl, sessionSecret: 'test', logLevels: [] })));
    const loaded = await Promise.all(apps.map((app) => app.get(DemoClubService).load()));
    expect(loaded.toSorted()).toEqual([false, true]);
    const [{ clubs }] = await empty.source.query<readonly [{ clubs: string }]>('SELECT count(*) AS clubs FROM club');
    expect(Number(clubs)).toBe(1);
    await Promise.all(apps.map((app) => app.close()));
    await empty.close();
  }, 120_000);

  it('wait for the club that the other makes for as long as it takes: longer than a statement may otherwise', async () => {
    const empty = await testApp({ filled: 'empty' });
    const hasty = await makeApp({
      databaseUrl: `${empty.databaseUrl}?options=${encodeURIComponent('-c statement_timeout=2s')}`,
      sessionSecret: 'test',
      logLevels: [],
    });
    const [{ statement_timeout: allowed }] = await hasty
      .get(DataSource)
      .query<readonly [{ statement_timeout: string }]>('SHOW statement_timeout');
    expect(allowed).toBe('2s');
    const { DemoClubService } = await import('../src/demo/demo-club.service.js');
    const loads = await empty.source.transaction(async (manager) => {
      await lockFor(manager, 'founding', '');
      const waiting = hasty.get(DemoClubService).load();
      waiting.catch(() => undefined);
      await new Promise((after) => setTimeout(after, 2500));
      return { waiting };
    });
    expect(await loads.waiting).toBe(true);
    await hasty.close();
    await empty.close();
  }, 120_000);
});
