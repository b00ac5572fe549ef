import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { cluster, freePort } from '../../tools/cluster.mjs';
import { makeApp } from '../src/app.js';
import { testApp, type Agent, type TestApp } from './test-app.js';

const household = {
  surface: 'carpet',
  clearLengthM: 2,
  clearWidthM: 2,
  things: [],
  adult: 'in-the-room',
  partner: false,
  quietHours: null,
};

async function aChild(agent: Agent): Promise<string> {
  const child = { givenName: 'Una', familyInitial: 'P.', birthDate: '2017-04-04', leadSide: 'left', household, groupIds: [] };
  return (await agent.post('/api/children').send(child).expect(201)).body.id;
}

const give = (agent: Agent, childId: string, id: string) =>
  agent.put(`/api/observations/${id}`).send({
    childId,
    movement: 'cartwheel',
    side: 'left',
    mark: 'alone',
    measure: {},
    faults: [],
    note: 'x'.repeat(400),
    seenOn: '2026-01-05',
    source: 'class',
  });

/** A disk of its own, small enough to be filled. @returns its folder; null where none can be made here */
function smallDisk(): string | null {
  if (process.getuid?.() !== 0) return null;
  const folder = mkdtempSync(`${tmpdir()}/leiter-disk-`);
  chmodSync(folder, 0o755);
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=200m,mode=755', 'tmpfs', folder]).status === 0) return folder;
  rmSync(folder, { recursive: true });
  return null;
}

const disk = smallDisk();

describe.runIf(disk !== null)('on a disk that is really full', () => {
  it('nothing is stored, it is said to pass, and once there is room again each mark is taken once', async () => {
    const own = cluster({ folder: `${disk ?? ''}/postgres`, port: await freePort(), isForTests: true });
    own.start();
    const app = await makeApp({ databaseUrl: own.url(), sessionSecret: 'test', logLevels: [] });
    await app.listen(0, '127.0.0.1');
    const agent = request.agent(app.getHttpServer());
    const club = { clubName: 'Pier Nine', ownerName: 'Asta', email: 'asta@pier-nine.example', password: 'over the water', timeZone: 'UTC' };
    await agent.post('/api/club').send(club).expect(204);
    const childId = await aChild(agent);
    spawnSync('dd', ['if=/dev/zero', `of=${disk ?? ''}/ballast`, 'bs=64k']);
    const given = Array.from({ length: 60 }, () => randomUUID());
    const refused: string[] = [];
    for (const id of given) {
      const answer = await give(agent, childId, id);
      if (answer.status === 200) continue;
      expect(answer.status).toBe(503);
      expect(answer.headers['retry-after']).toBeDefined();
      refused.push(id);
    }
    expect(refused.length).toBeGreaterThan(0);
    await agent.get('/api/health').expect(503);
    rmSync(`${disk ?? ''}/ballast`);
    own.start();
    for (const id of given) await give(agent, childId, id).expect(200);
    const observations = (await agent.get(`/api/children/${childId}`).expect(200)).body.observations as readonly { id: string }[];
    expect(observations.map(({ id }) => id).toSorted()).toEqual(given.toSorted());
    await app.close();
    own.destroy();
    spawnSync('umount', ['-l', disk ?? '']);
    rmSync(disk ?? '', { recursive: true, force: true });
  }, 120_000);
});

describe('what passes by itself', () => {
  let club: TestApp;
  let owner: Agent;
  let child = '';
  beforeAll(async () => {
    club = await testApp({ filled: 'demo' });
    owner = await club.as('owner');
    child = await aChild(owner);
  });
  afterAll(() => club.close());

  it.each([
    ['a full disk', '53100'],
    ['a statement that took too long', '57014'],
    ['a deadlock', '40P01'],
    ['trouble of the machine', '58030'],
    ['no memory left', '53200'],
    ['a server that goes down', '57P01'],
    ['a line that broke', '08006'],
  ])('is said to pass, and the mark is taken after: %s', async (_what, code) => {
    await club.source.query(`
      CREATE OR REPLACE FUNCTION fails() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN RAISE EXCEPTION 'x' USING ERRCODE = '${code}'; END $$;
      CREATE OR REPLACE TRIGGER fails BEFORE INSERT ON observation FOR EACH ROW EXECUTE FUNCTION fails();`);
    const id = randomUUID();
    const answer = await give(owner, child, id);
    expect(answer.status).toBe(503);
    expect(answer.body).toMatchObject({ status: 503, detail: 'Nothing was stored. Try again in a moment.' });
    await club.source.query('DROP TRIGGER fails ON observation');
    await give(owner, child, id).expect(200);
  });

  it('is seen by who asks whether all is well, before a mark meets it', async () => {
    await club.source.query(`
      CREATE OR REPLACE FUNCTION fails() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN RAISE EXCEPTION 'x' USING ERRCODE = '53100'; END $$;
      CREATE TRIGGER fails BEFORE INSERT ON readiness FOR EACH ROW EXECUTE FUNCTION fails();`);
    await owner.get('/api/health').expect(503);
    await club.source.query('DROP TRIGGER fails ON readiness');
  });
});
