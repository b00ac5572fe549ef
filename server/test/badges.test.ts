import { execFile } from 'node:child_process';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { createPublicKey, verify, type JsonWebKey } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { AddressInfo } from 'node:net';
import { promisify } from 'node:util';
import { Ajv2019 } from 'ajv/dist/2019.js';
import jsonld from 'jsonld';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { root } from '../src/root.js';
import { asBuffer, testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
let clubId: string;
let origin: string;
/** A child with a grade, another one without the family's word. */
let award: { id: string; child_id: string; grade_id: string; given_name: string; family_initial: string; grade: string };
let token: string;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
  const address = club.app.getHttpServer().address() as AddressInfo;
  origin = `http://127.0.0.1:${String(address.port)}`;
  [{ id: clubId }] = await club.source.query('SELECT id FROM club');
  [award] = await club.source.query(
    `SELECT a.id, a.child_id, a.grade_id, c.given_name, c.family_initial, g.name AS grade FROM grade_award a JOIN child c ON c.id = a.child_id
     JOIN grade g ON g.id = a.grade_id WHERE c.archived_at IS NULL AND NOT EXISTS (SELECT 1 FROM consent o WHERE o.child_id = c.id)
     ORDER BY g.position, c.given_name LIMIT 1`,
  );
  token = (await owner.post(`/api/children/${award.child_id}/home`).expect(201)).body.token;
});
afterAll(() => club.close());

const fromHome = (path: string) => club.visitor().get(path).set('authorization', `Bearer ${token}`);
const allow = (isGiven: boolean) =>
  club.visitor().post('/api/home/consents').set('authorization', `Bearer ${token}`).send({ kind: 'badges', isGiven }).expect(204);
const badgeId = async (): Promise<string> => (await fromHome(`/api/home/badges/${award.grade_id}`).expect(200)).body.id;
const verified = async (svg: string): Promise<string> => {
  const folder = await mkdtemp(join(tmpdir(), 'badge-'));
  const file = join(folder, 'badge.svg');
  await writeFile(file, svg);
  // a script that shares nothing with the server
  const told = await promisify(execFile)(process.execPath, [`${root}tools/verify-badge.mjs`, file]).then(
    ({ stdout }) => stdout.trim(),
    (error: unknown) => String(Object(error).stdout).trim(),
  );
  await rm(folder, { recursive: true });
  return told;
};
const picture = async (id: string): Promise<string> => {
  const answer = await fetch(`${origin}/api/badges/${id}/badge.svg`);
  expect(answer.status).toBe(200);
  expect(answer.headers.get('content-type')).toContain('image/svg+xml');
  // a page of somebody else that verifies badges may read it
  expect(answer.headers.get('access-control-allow-origin')).toBe('*');
  return answer.text();
};

/** Copies of the published contexts, and a schema written from the tables of the specification. */
const kept = async (name: string) => JSON.parse(await readFile(`${root}server/test/fixtures/open-badges/${name}.json`, 'utf8'));

describe('a badge', () => {
  it('is not handed out before the family allows it, and the address on paper names nobody', async () => {
    await fromHome(`/api/home/badges/${award.grade_id}`).expect(403);
    await owner.get(`/api/children/${award.child_id}/certificates/${award.grade_id}`).buffer().parse(asBuffer).expect(200);
    const [{ id }] = await club.source.query('SELECT id FROM badge WHERE award_id = $1', [award.id]);
    const about = (await club.visitor().get(`/api/badges/${id}`).expect(200)).body;
    expect(about).toMatchObject({ isHeld: true, isSigned: false, grade: { name: award.grade, childName: null } });
    expect(JSON.stringify(about)).not.toContain(award.given_name);
    await club.visitor().get(`/api/badges/${id}/credential`).expect(404);
    await club.visitor().get(`/api/badges/${id}/badge.svg`).expect(404);
  });

  it('is verified by somebody who knows only the file, and not when a letter of it was changed', async () => {
    await allow(true);
    const svg = await picture(await badgeId());
    expect(await verified(svg)).toBe(
      `Valid: ${award.given_name} ${award.family_initial}, ${award.grade}, given by The Sail Loft, Farholm on ${await awardedOn()}`,
    );
    const [, jwt = ''] = /verify="([^"]+)"/.exec(svg) ?? [];
    const [head = '', body = '', signature = ''] = jwt.split('.');
    const forged = JSON.parse(Buffer.from(body, 'base64url').toString());
    forged.credentialSubject.identifier[0].identityHash = 'Mallory X';
    const other = [head, Buffer.from(JSON.stringify(forged)).toString('base64url'), signature].join('.');
    expect(await verified(svg.replace(jwt, other))).toMatch(/^Not valid: signature/);
    // the same by another hand: Node's own Ed25519
    const jwk = (await (await fetch(`${origin}/api/issuers/${clubId}/key`)).json()) as JsonWebKey;
    const key = createPublicKey({ key: jwk, format: 'jwk' });
    expect(verify(null, Buffer.from(`${head}.${body}`), key, Buffer.from(signature, 'base64url'))).toBe(true);
    // and drawn as a picture it is one
    expect(await sharp(Buffer.from(svg)).metadata()).toMatchObject({ width: 480, height: 480 });
  });

  it('fits the data model of Open Badges 3.0, and every word of it means something in the published contexts', async () => {
    const jwt = await (await fetch(`${origin}/api/badges/${await badgeId()}/credential`)).text();
    const payload = JSON.parse(Buffer.from(jwt.split('.')[1] ?? '', 'base64url').toString());
    const schema = await kept('achievement-credential.schema');
    const fits = new Ajv2019({ strict: false, validateFormats: false }).compile(schema);
    expect(fits(payload), JSON.stringify(fits.errors)).toBe(true);
    for (const field of ['issuer', 'validFrom', 'credentialSubject', 'type', '@context'])
      expect(fits({ ...payload, [field]: undefined }), field).toBe(false);
    const { iss, jti, nbf, sub, ...credential } = payload;
    expect([iss, jti, sub, nbf]).toEqual([
      credential.issuer.id,
      credential.id,
      credential.credentialSubject.id,
      Date.parse(credential.validFrom) / 1000,
    ]);
    const known = new Map([
      ['https://purl.imsglobal.org/spec/ob/v3p0/context-3.0.3.json', await kept('context-3.0.3')],
      ['https://purl.imsglobal.org/spec/ob/v3p0/extensions.json', await kept('extensions')],
      ['https://www.w3.org/ns/credentials/v2', await kept('credentials-v2')],
    ]);
    const load = async (url: string) => {
      const document = known.get(url);
      if (document === undefined) throw new Error(`${url} is no published context`);
      return Promise.resolve({ documentUrl: url, document });
    };
    // "safe" refuses what would be lost: a word that no context knows
    const [expanded] = await jsonld.expand(credential, { documentLoader: load, safe: true });
    const subject = expanded?.['https://www.w3.org/2018/credentials#credentialSubject']?.[0];
    const achievement = subject?.['https://purl.imsglobal.org/spec/vc/ob/vocab.html#achievement']?.[0];
    expect(achievement?.['https://schema.org/name']?.[0]?.['@value']).toBe(award.grade);
    await expect(jsonld.expand({ ...credential, belt: 'blue' }, { documentLoader: load, safe: true })).rejects.toThrow();
    // the addresses in it lead somewhere
    for (const url of [credential.issuer.id, credential.credentialSubject.achievement.id, credential.credentialStatus.id])
      expect(await (await fetch(url)).json()).toMatchObject({ id: url });
  });

  it('shows as revoked while the family does not allow it, and is valid again when it does', async () => {
    const id = await badgeId();
    const svg = await picture(id);
    await allow(false);
    expect(await verified(svg)).toBe('Not valid: revoked: The family does not allow it any more.');
    await club.visitor().get(`/api/badges/${id}/badge.svg`).expect(404);
    expect((await club.visitor().get(`/api/badges/${id}`).expect(200)).body.grade.childName).toBeNull();
    await allow(true);
    expect(await verified(svg)).toMatch(/^Valid/);
  });

  it('is revoked for good by a grade that is taken back; given again it is another badge', async () => {
    const before = await badgeId();
    const svg = await picture(before);
    const day = await awardedOn();
    await club.source.query('DELETE FROM grade_award WHERE id = $1', [award.id]);
    expect(await verified(svg)).toBe('Not valid: revoked: The grade is not held any more.');
    expect((await club.visitor().get(`/api/badges/${before}`).expect(200)).body).toEqual({
      clubName: 'The Sail Loft, Farholm',
      isHeld: false,
      grade: null,
      isSigned: false,
    });
    await club.visitor().get(`/api/badges/${before}/credential`).expect(410);
    [{ id: award.id }] = await club.source.query(
      'INSERT INTO grade_award (club_id, child_id, grade_id, awarded_on) VALUES ($1, $2, $3, $4) RETURNING id',
      [clubId, award.child_id, award.grade_id, day],
    );
    const after = await badgeId();
    expect(after).not.toBe(before);
    expect(await verified(await picture(after))).toMatch(/^Valid/);
    expect(await verified(svg)).toMatch(/^Not valid/);
  });

  it('of an erased child is revoked, and names nobody', async () => {
    const id = await badgeId();
    const svg = await picture(id);
    await owner.delete(`/api/children/${award.child_id}`).expect(204);
    expect(await verified(svg)).toBe('Not valid: revoked: The grade is not held any more.');
    const revoked = await (await fetch(`${origin}/api/issuers/${clubId}/revoked`)).text();
    expect(revoked).toContain(id);
    expect(revoked).not.toContain(award.child_id);
  });
});

const awardedOn = async (): Promise<string> =>
  (await club.source.query('SELECT awarded_on FROM grade_award WHERE id = $1', [award.id]))[0].awarded_on;

describe('the look of a club', () => {
  const give = (body: Buffer, type = 'application/octet-stream') => owner.put('/api/club/crest').set('content-type', type).send(body);
  const crest = async (): Promise<Buffer> => {
    const answer = await fetch(`${origin}/api/issuers/${clubId}/crest.png`);
    expect(answer.status).toBe(200);
    return Buffer.from(await answer.arrayBuffer());
  };

  it('takes a drawing with a script, and keeps nothing of it but its pixels', async () => {
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 20 10" onload="alert(1)">
      <script>fetch('https://evil.example')</script><image href="file:///etc/passwd" width="9" height="9"/><image xlink:href="https://evil.example/a.png" width="9" height="9"/>
      <foreignObject><b>hello</b></foreignObject><rect width="20" height="10" fill="#123456"/></svg>`;
    await give(Buffer.from(svg), 'image/svg+xml').expect(204);
    const kept = await crest();
    expect(await sharp(kept).metadata()).toMatchObject({ format: 'png', width: 1024 });
    expect([...(await sharp(kept).extract({ left: 500, top: 250, width: 1, height: 1 }).removeAlpha().raw().toBuffer())]).toEqual([
      0x12, 0x34, 0x56,
    ]);
    for (const word of ['script', 'evil', 'passwd', 'alert']) expect(kept.includes(word), word).toBe(false);
  });

  it('takes a PNG without the place it was photographed at', async () => {
    const png = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#abcdef' } })
      .withExif({ IFD0: { Artist: 'Somebody Private' } })
      .png()
      .toBuffer();
    expect(png.includes('Somebody Private')).toBe(true);
    await give(png).expect(204);
    const kept = await crest();
    expect(kept.includes('Somebody Private')).toBe(false);
    expect(await sharp(kept).metadata()).toMatchObject({ width: 300, height: 200 });
    expect((await owner.get('/api/club/look').expect(200)).body.crestPath).toMatch(/crest\.png\?at=\d+$/);
  });

  it('refuses what is no picture, too large or a bomb, with a sentence, and keeps the crest it had', async () => {
    const before = await crest();
    const bomb = `<?xml version="1.0"?><!DOCTYPE s [<!ENTITY a "aaaaaaaaaa">${'bcdefghij'
      .split('')
      .map((name, index) => `<!ENTITY ${name} "${`&${'abcdefghi'.charAt(index)};`.repeat(10)}">`)
      .join('')}]><svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><text>&j;</text></svg>`;
    const jpeg = await sharp({ create: { width: 9, height: 9, channels: 3, background: 'red' } })
      .jpeg()
      .toBuffer();
    for (const file of [Buffer.from('GIF89a'), Buffer.from('<html></html>'), Buffer.from(bomb), jpeg, Buffer.alloc(10)])
      expect((await give(file).expect(422)).body.detail).toMatch(/SVG or a PNG/);
    await give(Buffer.alloc(4_300_000)).expect(413);
    await owner.put('/api/club/crest').expect(422);
    expect((await crest()).equals(before)).toBe(true);
  });

  it('is the owner’s to change; a colour is a colour', async () => {
    const tomasz = await club.as('gymnastics');
    await tomasz.put('/api/club/look').send({ colour: '#aa3311', secondColour: null }).expect(403);
    await tomasz.put('/api/club/crest').set('content-type', 'image/png').send(Buffer.from('x')).expect(403);
    await tomasz.delete('/api/club/crest').expect(403);
    await owner.put('/api/club/look').send({ colour: '#aa3311', secondColour: null }).expect(204);
    expect((await tomasz.get('/api/club/look').expect(200)).body).toMatchObject({ colour: '#aa3311', secondColour: null });
    for (const colour of ['red', '#AA3311', '#aa3311" onload="x', 7])
      expect((await owner.put('/api/club/look').send({ colour, secondColour: null }).expect(400)).body.errors[0].field).toBe('colour');
    await owner.delete('/api/club/crest').expect(204);
    expect((await fetch(`${origin}/api/issuers/${clubId}/crest.png`)).status).toBe(404);
  });
});
