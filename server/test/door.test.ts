import { randomBytes } from 'node:crypto';
import { request as rawRequest } from 'node:http';
import { gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeApp } from '../src/app.js';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
});
afterAll(() => club.close());

/** The body that stopped the service: 24 MB of zeros in 23 kB. */
const bomb = gzipSync(`{"a":[${'0,'.repeat(12_000_000)}0]}`);

describe('a body', () => {
  it('that is compressed is refused unread, from anybody, at once', async () => {
    const send = (agent: Agent, path: string) =>
      agent.post(path).set('content-type', 'application/json').set('content-encoding', 'gzip').send(bomb);
    const begun = performance.now();
    const answers = [
      await send(club.visitor(), '/api/library/import'),
      await send(club.visitor(), '/api/session'),
      await send(owner, '/api/library/import'),
      await send(owner, '/api/syllabuses/import'),
    ];
    expect(answers.map(({ status }) => status)).toEqual([401, 415, 415, 415]);
    // it took half a minute each; nobody measures a test, but this is another order
    expect(performance.now() - begun).toBeLessThan(10_000);
  });

  it('from who is not signed in is not read, however large', async () => {
    const answer = await club.visitor().post('/api/library/import').set('content-type', 'application/json').send('x'.repeat(100_000));
    expect(answer.status).toBe(401);
  });

  it('of millions of numbers lets others go on while it is read', async () => {
    const large = `{"format":"leiter-library/1","movements":[${'0,'.repeat(9_000_000)}0]}`;
    const reading = owner.post('/api/library/import').set('content-type', 'application/json').send(large);
    const refused = reading.then(({ status }) => status);
    let longest = 0;
    for (let nth = 0; nth < 20; nth += 1) {
      const begun = performance.now();
      await club.visitor().get('/api/welcome').expect(200);
      longest = Math.max(longest, performance.now() - begun);
    }
    expect(await refused).toBe(400);
    expect(longest).toBeLessThan(2000);
  });

  it('with words that look like what cannot be stored is stored as it is', async () => {
    const [child] = (await owner.get('/api/children').expect(200)).body;
    const givenName = 'Una \\u0000 \\ud800 🦭';
    const changed = await owner
      .patch(`/api/children/${child.id as string}`)
      .send({ givenName })
      .expect(200);
    expect(changed.body.givenName).toBe(givenName);
    await owner
      .patch(`/api/children/${child.id as string}`)
      .send({ givenName: child.givenName })
      .expect(200);
  });
});

describe('another page', () => {
  it('has nothing taken from it, whatever cookie comes along', async () => {
    const [group] = (await owner.get('/api/groups').expect(200)).body;
    const write = () => owner.patch(`/api/groups/${group.id as string}`).send({ name: group.name });
    await write().set('origin', 'https://elsewhere.example').expect(403);
    await write().set('sec-fetch-site', 'cross-site').expect(403);
    await write().expect(200);
  });

  it('that calls this machine by a name of its own is not answered', async () => {
    const { port } = club.app.getHttpServer().address() as { port: number };
    const status = await new Promise<number | undefined>((resolve, reject) => {
      rawRequest({ host: '127.0.0.1', port, path: '/api/welcome', headers: { host: 'rebound.example' } }, (response) => {
        response.resume();
        resolve(response.statusCode);
      })
        .on('error', reject)
        .end();
    });
    expect(status).toBe(421);
  });
});

describe('behind a proxy that ends TLS', () => {
  it('the cookie goes over TLS only, and browsers are told to stay with it', async () => {
    const app = await makeApp({ databaseUrl: club.databaseUrl, sessionSecret: 'test', publicUrl: 'https://leiter.example', logLevels: [] });
    await app.listen(0, '127.0.0.1');
    const { port } = app.getHttpServer().address() as { port: number };
    const headers = await new Promise<Readonly<Record<string, unknown>>>((resolve, reject) => {
      const body = JSON.stringify({ email: 'owner@sail-loft.example', password: 'farholm-demo' });
      rawRequest(
        {
          host: '127.0.0.1',
          port,
          path: '/api/session',
          method: 'POST',
          headers: {
            host: 'leiter.example',
            origin: 'https://leiter.example',
            'x-forwarded-proto': 'https',
            'content-type': 'application/json',
            'content-length': Buffer.byteLength(body),
          },
        },
        (response) => {
          response.resume();
          resolve(response.headers);
        },
      )
        .on('error', reject)
        .end(body);
    });
    await app.close();
    expect(String(headers['set-cookie'])).toMatch(/leiter=[^;]+;.*Secure/);
    expect(String(headers['strict-transport-security'])).toMatch(/max-age=31536000/);
  });
});

describe('an answer', () => {
  it('of some size is compressed', async () => {
    const answer = await owner.get('/api/children').set('accept-encoding', 'gzip').expect(200);
    expect(answer.headers['content-encoding']).toBe('gzip');
  });

  it('of the library is sent once a version, and compressed', async () => {
    const first = await owner.get('/api/library').set('accept-encoding', 'br').expect(200);
    expect(first.headers['content-encoding']).toBe('br');
    const etag = String(first.headers['etag']);
    await owner.get('/api/library').set('if-none-match', etag).expect(304);
    await owner.patch('/api/library/cartwheel').send({ ownCue: 'Hand, hand, foot, foot' }).expect(200);
    const after = await owner.get('/api/library').set('if-none-match', etag).expect(200);
    expect(after.headers['etag']).not.toBe(etag);
    expect(after.body.find((one: { slug: string }) => one.slug === 'cartwheel').ownCue).toBe('Hand, hand, foot, foot');
  });

  it('carries an id that the log has as well', async () => {
    expect((await owner.get('/api/children').expect(200)).headers['x-request-id']).toMatch(/^[0-9a-f]{8}$/);
  });
});

describe('what makes PostgreSQL complain', () => {
  it('is refused before it gets there: half of a character, whatever field it is in', async () => {
    const send = (path: string, body: string) => owner.patch(path).set('content-type', 'application/json').send(body);
    const [child] = (await owner.get('/api/children').expect(200)).body;
    await send(`/api/children/${child.id as string}`, '{"givenName":"a\\ud800"}').expect(400);
    await club
      .visitor()
      .post('/api/session')
      .set('content-type', 'application/json')
      .send('{"email":"a\\udc00@b.example","password":"x"}')
      .expect(400);
    await club
      .visitor()
      .post('/api/session')
      .send({ email: { toString: 'x' }, password: randomBytes(4).toString('hex') })
      .expect(400);
  });
});
