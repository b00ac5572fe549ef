import { randomUUID } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, readFileSync, utimesSync, writeFileSync } from 'node:fs';
import { request as httpRequest } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ClipResponse, SentClip } from '@leiter/contract';
import sharp from 'sharp';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { root } from '../src/root.js';
import { TidyService } from '../src/tidy/tidy.service.js';
import { asBuffer, testApp, type Agent, type TestApp } from './test-app.js';

const folder = mkdtempSync(join(tmpdir(), 'leiter-clips-'));
const fixture = (name: string): Buffer => readFileSync(`${root}server/test/fixtures/clips/${name}`);
const phone = fixture('phone.mp4');

let club: TestApp;
let owner: Agent;
let tomasz: Agent;
let ilse: string;
let token: string;
beforeAll(async () => {
  process.env['LEITER_FILES'] = folder;
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
  tomasz = await club.as('gymnastics');
  ilse = (await owner.get('/api/children').expect(200)).body.find(({ givenName }: { givenName: string }) => givenName === 'Ilse').id;
  token = (await owner.post(`/api/children/${ilse}/home`).expect(201)).body.token;
});
afterAll(async () => {
  await club.close();
  delete process.env['LEITER_FILES'];
});

const fromHome = (method: 'put' | 'post' | 'delete' | 'get', path: string) =>
  club.visitor()[method](`/api/home${path}`).set('authorization', `Bearer ${token}`);
const allow = (isGiven: boolean) => fromHome('post', '/consents').send({ kind: 'clips', isGiven }).expect(204);
const send = (body: Buffer, id: string = randomUUID(), query = 'movement=cartwheel') =>
  fromHome('put', `/clips/${id}?${query}`).set('content-type', 'application/octet-stream').send(body);
const sent = async (): Promise<readonly SentClip[]> => (await fromHome('get', '').expect(200)).body.clips;
const clips = async (agent = tomasz): Promise<readonly ClipResponse[]> => (await agent.get(`/api/children/${ilse}/clips`).expect(200)).body;
const files = (): readonly string[] => readdirSync(folder);

beforeEach(async () => {
  await club.source.query('DELETE FROM home_try');
  await allow(false);
  await allow(true);
  expect(files()).toEqual([]);
});

describe('a clip', () => {
  it('is taken only while the family allows it; withdrawn, it is erased with its file', async () => {
    await allow(false);
    expect((await send(phone).expect(403)).body.detail).toMatch(/First allow/);
    expect(files()).toEqual([]);
    await allow(true);
    await send(phone).expect(204);
    expect(files()).toHaveLength(1);
    await allow(false);
    expect(files()).toEqual([]);
    expect(await sent()).toEqual([]);
  });

  it('is told by its content, and written anew without where it was filmed', async () => {
    expect(phone.includes('Somebody Private')).toBe(true);
    for (const [name, mediaType, framesPerSecond] of [
      ['phone.mp4', 'video/mp4', 25],
      ['phone.mov', 'video/mp4', 25],
      ['browser.webm', 'video/webm', 15],
    ] as const) {
      const id = randomUUID();
      await send(fixture(name), id).expect(204);
      const clip = (await clips()).find((one) => one.id === id);
      expect(clip).toMatchObject({ kind: 'video', width: 96, height: 64, seconds: 2 });
      expect(clip?.framesPerSecond).toBeCloseTo(framesPerSecond, 1);
      const file = await tomasz.get(`/api/clips/${id}/file`).buffer().parse(asBuffer).expect(200).expect('content-type', mediaType);
      expect(file.headers['cache-control']).toBe('private, no-store');
      for (const secret of ['Somebody Private', '+55.8642']) expect((file.body as Buffer).includes(secret), name).toBe(false);
    }
  });

  it('may be a picture, turned upright and without its place', async () => {
    const photo = await sharp({ create: { width: 80, height: 40, channels: 3, background: 'teal' } })
      .withExif({ IFD0: { Artist: 'Somebody Private' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    const id = randomUUID();
    await send(photo, id).expect(204);
    expect((await clips())[0]).toMatchObject({ id, kind: 'picture', width: 40, height: 80, seconds: null });
    const file = (await tomasz.get(`/api/clips/${id}/file`).buffer().parse(asBuffer).expect(200).expect('content-type', 'image/jpeg'))
      .body as Buffer;
    expect((await sharp(file).metadata()).exif).toBeUndefined();
  });

  it('that is none, too long or cut off is refused in a sentence, and nothing of it stays', async () => {
    const faults: readonly (readonly [Buffer, RegExp])[] = [
      [Buffer.from('<html><script>alert(1)</script></html>'), /no video or picture/],
      [Buffer.from('GIF89a…'), /no video or picture|broken/],
      [phone.subarray(0, 4000), /no video or picture|cut off/],
      [fixture('browser.webm').subarray(0, 3000), /cut off/],
      [fixture('long.mp4'), /60 seconds/],
      [Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(200)]), /cut off/],
      [Buffer.alloc(0), /no video or picture|broken/],
    ];
    for (const [body, words] of faults) expect((await send(body).expect(422)).body.detail).toMatch(words);
    await send(phone, randomUUID(), 'movement=no-such-thing').expect(404);
    await send(phone, randomUUID(), 'movement=../../etc').expect(400);
    await send(phone, randomUUID(), 'movement=cartwheel&stage=99').expect(400);
    await send(phone, 'no-id').expect(400);
    expect(files()).toEqual([]);
    expect(await sent()).toEqual([]);
  });

  it('of five gigabytes is refused unread, and one that says less than it is as soon as it is too much', async () => {
    const { port } = club.app.getHttpServer().address() as AddressInfo;
    const ask = (headers: Record<string, string>, bytes: number): Promise<{ status: number; sent: number }> =>
      new Promise((resolve, reject) => {
        let gone = 0;
        const request = httpRequest({
          port,
          host: '127.0.0.1',
          method: 'PUT',
          path: `/api/home/clips/${randomUUID()}?movement=cartwheel`,
          headers: { authorization: `Bearer ${token}`, 'content-type': 'video/mp4', ...headers },
        });
        request.on('response', (response) => {
          resolve({ status: response.statusCode ?? 0, sent: gone });
          response.resume();
          request.destroy();
        });
        request.on('error', (error: NodeJS.ErrnoException) => {
          if (error.code !== 'EPIPE' && error.code !== 'ECONNRESET') reject(error);
        });
        const chunk = Buffer.alloc(1024 * 1024);
        const more = (): void => {
          if (gone >= bytes || request.destroyed) return;
          gone += chunk.length;
          request.write(chunk, () => setImmediate(more));
        };
        request.flushHeaders();
        more();
      });
    const large = await ask({ 'content-length': String(5 * 1024 ** 3) }, 3 * 1024 * 1024);
    expect(large.status).toBe(413);
    const lying = await ask({ 'transfer-encoding': 'chunked' }, 200 * 1024 * 1024);
    expect(lying.status).toBe(413);
    expect(lying.sent).toBeLessThan(150 * 1024 * 1024);
    expect(files()).toEqual([]);
  }, 30_000);

  it('that stops on its way leaves nothing', async () => {
    const { port } = club.app.getHttpServer().address() as AddressInfo;
    await new Promise<void>((resolve) => {
      const request = httpRequest({
        port,
        host: '127.0.0.1',
        method: 'PUT',
        path: `/api/home/clips/${randomUUID()}?movement=cartwheel`,
        headers: { authorization: `Bearer ${token}`, 'content-type': 'video/mp4', 'content-length': String(phone.length) },
      });
      request.on('error', () => {
        resolve();
      });
      request.write(phone.subarray(0, 2000), () => setTimeout(() => request.destroy(), 150));
    });
    await expect.poll(files).toEqual([]);
    expect(await sent()).toEqual([]);
  });

  it('sent twice under one id is one, and twelve are enough', async () => {
    const id = randomUUID();
    await send(phone, id).expect(204);
    await send(phone, id).expect(204);
    expect(files()).toHaveLength(1);
    for (let more = 0; more < 11; more += 1) await send(phone).expect(204);
    expect((await send(phone).expect(409)).body.detail).toMatch(/12 clips/);
    expect(files()).toHaveLength(12);
  });

  it('is given in the part that is asked for', async () => {
    const id = randomUUID();
    await send(phone, id).expect(204);
    const ask = (range: string) => tomasz.get(`/api/clips/${id}/file`).set('range', range).buffer().parse(asBuffer);
    const whole = (await tomasz.get(`/api/clips/${id}/file`).buffer().parse(asBuffer).expect(200).expect('accept-ranges', 'bytes'))
      .body as Buffer;
    const part = await ask('bytes=100-199')
      .expect(206)
      .expect('content-range', `bytes 100-199/${String(whole.length)}`);
    expect((part.body as Buffer).equals(whole.subarray(100, 200))).toBe(true);
    expect(((await ask('bytes=-10').expect(206)).body as Buffer).equals(whole.subarray(-10))).toBe(true);
    await ask(`bytes=${String(whole.length + 5)}-`).expect(416);
  });

  it('is seen by the staff of the child alone; who looked is written down once a day', async () => {
    const id = randomUUID();
    await send(phone, id).expect(204);
    const kenji = await club.as('martial-arts');
    await kenji.get(`/api/clips/${id}/file`).expect(404);
    expect((await kenji.get('/api/clips').expect(200)).body).toEqual([]);
    expect(await clips(kenji)).toEqual([]);
    await kenji.delete(`/api/clips/${id}`).expect(404);
    await club.visitor().get(`/api/clips/${id}/file`).expect(401);
    expect((await tomasz.get('/api/today').expect(200)).body.clips).toMatchObject([{ id, movement: 'cartwheel' }]);
    expect((await sent())[0]?.seenAt).toBeNull();
    for (let times = 0; times < 3; times += 1) await tomasz.get(`/api/clips/${id}/file`).buffer().parse(asBuffer).expect(200);
    const log: readonly { kind: string; by: string | null; detail: { clip?: string } }[] = (
      await owner.get(`/api/children/${ilse}`).expect(200)
    ).body.log;
    expect(log.filter(({ kind, detail }) => kind === 'clip-seen' && detail.clip === id)).toMatchObject([{ by: 'Tomasz Bielik' }]);
    expect((await sent())[0]?.seenAt).not.toBeNull();
    expect((await tomasz.get('/api/today').expect(200)).body.clips).toEqual([]);
  });

  it('carries the marks that were given from it', async () => {
    const id = randomUUID();
    await send(phone, id).expect(204);
    const { today } = (await tomasz.get('/api/session').expect(200)).body;
    await tomasz
      .put(`/api/observations/${randomUUID()}`)
      .send({
        childId: ilse,
        movement: 'cartwheel',
        stage: null,
        side: 'left',
        mark: 'alone',
        help: null,
        measure: {},
        faults: [],
        note: 'Arms straight now',
        seenOn: today,
        source: 'clip',
        classId: null,
        supersedes: null,
      })
      .expect(200);
    expect((await clips())[0]?.marks).toMatchObject([{ mark: 'alone', side: 'left', note: 'Arms straight now', by: 'Tomasz Bielik' }]);
  });

  it('is erased after sixty days, when the family or the club says so, and with the child – files and all', async () => {
    const [old, back, gone, last] = [randomUUID(), randomUUID(), randomUUID(), randomUUID()];
    for (const id of [old, back, gone, last]) await send(phone, id).expect(204);
    await club.source.query(`UPDATE clip SET sent_at = now() - interval '61 days' WHERE id = $1`, [old]);
    await club.app.get(TidyService).tidy();
    expect(files()).toHaveLength(3);
    await fromHome('delete', `/clips/${back}`).expect(204);
    await tomasz.delete(`/api/clips/${gone}`).expect(204);
    expect((await sent()).map(({ id }) => id)).toEqual([last]);
    expect(files()).toHaveLength(1);
    const log: readonly { kind: string; detail: { why?: string } }[] = (await owner.get(`/api/children/${ilse}`).expect(200)).body.log;
    for (const why of ['after 60 days', 'taken back by the family', 'by the club'])
      expect(
        log.some(({ kind, detail }) => kind === 'clip-erased' && detail.why === why),
        why,
      ).toBe(true);
    // what a server that stopped left behind
    const left = join(folder, `${'a'.repeat(40)}.part`);
    writeFileSync(left, 'x');
    await club.app.get(TidyService).tidy();
    expect(existsSync(left)).toBe(true);
    utimesSync(left, new Date(0), new Date(0));
    await club.app.get(TidyService).tidy();
    expect(existsSync(left)).toBe(false);
  });
});

describe('a child that is erased', () => {
  it('leaves no file', async () => {
    await send(phone).expect(204);
    expect(files()).toHaveLength(1);
    await owner.delete(`/api/children/${ilse}`).expect(204);
    expect(files()).toEqual([]);
  });
});
