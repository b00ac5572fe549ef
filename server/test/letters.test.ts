import { randomUUID } from 'node:crypto';
import type { LettersToWriteResponse } from '@leiter/contract';
import { SMTPServer } from 'smtp-server';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { PostService } from '../src/letters/post.service.js';
import { TidyService } from '../src/tidy/tidy.service.js';
import { testApp, type Agent, type TestApp } from './test-app.js';

/** A mail server that takes what comes, or says why not. */
function mailServer(answer: () => number | null): { readonly server: SMTPServer; readonly mails: string[] } {
  const mails: string[] = [];
  const server = new SMTPServer({
    disabledCommands: ['AUTH', 'STARTTLS'],
    onData(stream, _session, done) {
      const chunks: Buffer[] = [];
      stream.on('data', (chunk: Buffer) => chunks.push(chunk));
      stream.on('end', () => {
        const code = answer();
        if (code === null) {
          mails.push(Buffer.concat(chunks).toString('utf8'));
          done();
        } else done(Object.assign(new Error('not now'), { responseCode: code }));
      });
    },
  });
  return { server, mails };
}

const portOf = (server: SMTPServer): Promise<number> =>
  new Promise((resolve) => {
    const listening = server.listen(0, '127.0.0.1', () => {
      resolve((listening.address() as { port: number }).port);
    });
  });

let club: TestApp;
let owner: Agent;
let all: readonly { id: string; givenName: string; groupIds: readonly string[] }[];
const idOf = (name: string): string => all.find(({ givenName }) => givenName === name)?.id ?? '';
const letter = (child: string, said: object = {}) => ({
  childId: idOf(child),
  kind: 'own',
  language: 'en',
  subject: 'Hello',
  body: 'A line.\nAnother.',
  ...said,
});
const write = (body: object, id: string = randomUUID(), agent = owner) => agent.put(`/api/letters/${id}`).send(body);
const withAddress = (child: string, email: string) =>
  owner
    .patch(`/api/children/${idOf(child)}`)
    .send({ contacts: [{ name: 'Ida', email }] })
    .expect(200);

describe('without a mail server', () => {
  beforeAll(async () => {
    club = await testApp({ filled: 'demo' });
    owner = await club.as('owner');
    all = (await owner.get('/api/children').expect(200)).body;
    await withAddress('Ilse', 'ida@home.example');
  });
  afterAll(() => club.close());

  it('a letter is caught and shown, sent twice under one id it is one', async () => {
    const id = randomUUID();
    const body = letter('Ilse', { subject: 'What to lay out', body: 'Grüße – a chair\nand a scarf' });
    expect((await write(body, id).expect(200)).body).toMatchObject({
      state: 'caught',
      to: ['ida@home.example'],
      writtenBy: 'Solveig Aune',
    });
    await write(body, id).expect(200);
    const box = (await owner.get('/api/letters').expect(200)).body;
    expect(box.isSent).toBe(false);
    expect(box.letters).toMatchObject([{ id, subject: 'What to lay out', body: 'Grüße – a chair\nand a scarf', childId: idOf('Ilse') }]);
  });

  it('goes to the addresses that are kept of that child, and to nobody where there is none', async () => {
    await owner
      .patch(`/api/children/${idOf('Otto')}`)
      .send({ contacts: [] })
      .expect(200);
    expect((await write(letter('Otto')).expect(422)).body.errors[0].message).toMatch(/Copy the text/);
    await write({ ...letter('Ilse'), to: ['mallory@evil.example'] }).expect(400);
    await write(letter('Ilse', { subject: 'A\nBcc: mallory@evil.example' })).expect(400);
  });

  it('is written by the staff of the child, and read by who wrote it and the owner', async () => {
    const [tomasz, kenji, runa] = await Promise.all([club.as('gymnastics'), club.as('martial-arts'), club.as('assistant')]);
    const mine = (await write(letter('Ilse'), randomUUID(), tomasz).expect(200)).body.id;
    await write(letter('Ilse'), randomUUID(), kenji).expect(403);
    await runa.get('/api/letters').expect(403);
    expect((await tomasz.get('/api/letters').expect(200)).body.letters.map(({ id }: { id: string }) => id)).toEqual([mine]);
    expect((await kenji.get('/api/letters').expect(200)).body.letters).toEqual([]);
    expect((await owner.get('/api/letters').expect(200)).body.letters.length).toBeGreaterThan(1);
  });

  it('with the link of a family does not keep it: a day later it is gone from what is kept', async () => {
    const { token } = (await owner.post(`/api/children/${idOf('Ilse')}/home`).expect(201)).body;
    const id = (await write(letter('Ilse', { kind: 'link', body: `Look: https://leiter.example/home#${token}` })).expect(200)).body.id;
    const record = (await owner.get(`/api/children/${idOf('Ilse')}/record`).expect(200)).text;
    expect(record).toContain('home#…');
    expect(record).not.toContain(token);
    await club.source.query(`UPDATE letter SET written_at = now() - interval '25 hours' WHERE id = $1`, [id]);
    await club.app.get(TidyService).tidy();
    expect((await club.source.query('SELECT body FROM letter WHERE id = $1', [id]))[0].body).toBe('Look: https://leiter.example/home#…');
  });

  it('tells each family of its own child alone: what to lay out before, the task after, and who was missed', async () => {
    const [coming] = await club.source.query(
      `SELECT c.id FROM class_session c JOIN class_plan l ON l.class_id = c.id WHERE c.taught_at IS NULL AND c.cancelled_because IS NULL ORDER BY c.day LIMIT 1`,
    );
    const before: LettersToWriteResponse = (await owner.get(`/api/classes/${coming.id}/letters`).expect(200)).body;
    expect(before.kinds).toEqual(['before', 'own']);
    expect(before.families.length).toBeGreaterThan(3);
    for (const { kinds, layOut, childId, task } of before.families) {
      expect([kinds[0], task]).toEqual(['before', null]);
      expect(layOut).toMatchObject({ childId, lengthM: expect.any(Number) });
      expect(layOut?.lengthM).toBeGreaterThan(0);
    }
    const [taught] = await club.source.query(
      `SELECT c.id FROM class_session c JOIN class_plan l ON l.class_id = c.id JOIN attendance a ON a.class_id = c.id AND a.status = 'absent'
       WHERE c.taught_at IS NOT NULL AND l.document -> 'homeTask' IS NOT NULL AND EXISTS (
         SELECT 1 FROM enrolment e WHERE e.child_id = a.child_id AND e.group_id = c.group_id AND e.from_day <= c.day AND e.to_day IS NULL)
       ORDER BY c.day DESC LIMIT 1`,
    );
    const after: LettersToWriteResponse = (await owner.get(`/api/classes/${taught.id}/letters`).expect(200)).body;
    const roll: readonly { child_id: string; status: string }[] = await club.source.query(
      'SELECT child_id, status FROM attendance WHERE class_id = $1',
      [taught.id],
    );
    const statusOf = (childId: string): string | undefined => roll.find(({ child_id }) => child_id === childId)?.status;
    for (const { childId, kinds } of after.families)
      expect(kinds[0]).toBe(['present', 'late', 'watched'].includes(statusOf(childId) ?? '') ? 'after' : 'missed');
    expect(new Set(after.families.map(({ kinds }) => kinds[0]))).toEqual(new Set(['after', 'missed']));
    const kenji = await club.as('martial-arts');
    const [gymnastics] = await club.source.query(
      `SELECT c.id FROM class_session c JOIN teaching_group t ON t.id = c.group_id WHERE t.name = 'Kittiwakes' LIMIT 1`,
    );
    await kenji.get(`/api/classes/${gymnastics.id}/letters`).expect(403);
  });

  it('of a grading day tells when it begins for the child, as its family’s page does', async () => {
    const [day] = (await owner.get('/api/gradings').expect(200)).body;
    await owner.post(`/api/gradings/${day.id}/timetable`);
    const page: LettersToWriteResponse = (await owner.get(`/api/gradings/${day.id}/letters`).expect(200)).body;
    expect(page.families.length).toBeGreaterThan(0);
    for (const { childId, startsAt, gradeName } of page.families) {
      const { token } = (await owner.post(`/api/children/${childId}/home`).expect(201)).body;
      const home = (await club.visitor().get('/api/home').set('authorization', `Bearer ${token}`).expect(200)).body;
      expect(home.grading).toMatchObject([{ gradeName, warmUpAt: startsAt }]);
    }
  });

  it('of a grading day invites a child that is ready and not entered, and nobody once the day is closed', async () => {
    const [day] = (await owner.get('/api/gradings').expect(200)).body;
    const read = async (): Promise<LettersToWriteResponse> => (await owner.get(`/api/gradings/${day.id}/letters`).expect(200)).body;
    const [entered] = (await read()).families;
    await owner.delete(`/api/gradings/${day.id}/children/${entered?.childId ?? ''}`).expect(200);
    const page = await read();
    const invited = page.families.filter(({ kinds }) => kinds[0] === 'ready');
    expect(invited.map(({ childId }) => childId)).toContain(entered?.childId);
    expect(invited.find(({ childId }) => childId === entered?.childId)).toMatchObject({
      gradeName: entered?.gradeName,
      kinds: ['ready', 'own'],
    });
    // those who have far to go are not written to
    const { children } = (await owner.get(`/api/gradings/${day.id}`).expect(200)).body;
    const far = children.filter((one: { readiness: { kind: string } | null }) => one.readiness?.kind === 'not-yet');
    expect(far.length).toBeGreaterThan(0);
    for (const { childId } of far) expect(invited.map((one) => one.childId)).not.toContain(childId);
    await write(letter('Ilse', { kind: 'ready', aboutId: day.id })).expect(200);
    await club.source.query('UPDATE grading_day SET closed_at = now() WHERE id = $1', [day.id]);
    expect((await read()).families.map(({ kinds }) => kinds[0])).not.toContain('ready');
  });

  it('is erased with the child', async () => {
    await owner.delete(`/api/children/${idOf('Ilse')}`).expect(204);
    expect((await owner.get('/api/letters').expect(200)).body.letters).toEqual([]);
  });
});

describe('with a mail server', () => {
  let answer: number | null = null;
  let mail: ReturnType<typeof mailServer>;
  beforeEach(async () => {
    answer = null;
    mail = mailServer(() => answer);
    process.env['LEITER_SMTP_URL'] = `smtp://127.0.0.1:${String(await portOf(mail.server))}`;
    process.env['LEITER_MAIL_FROM'] = 'office@sail-loft.example';
    club = await testApp({ filled: 'demo' });
    delete process.env['LEITER_SMTP_URL'];
    delete process.env['LEITER_MAIL_FROM'];
    owner = await club.as('owner');
    all = (await owner.get('/api/children').expect(200)).body;
    await withAddress('Ilse', 'ida@home.example');
  });
  afterEach(async () => {
    await club.close();
    await new Promise<void>((resolve) => {
      mail.server.close(resolve);
    });
  });
  const stateOf = async (id: string): Promise<{ state: string; whyNot: string | null; body: string }> =>
    (await owner.get('/api/letters').expect(200)).body.letters.find((one: { id: string }) => one.id === id);
  const delivered = () => club.app.get(PostService).deliver();

  it('goes out once, from the club, to be answered to who wrote it; a link is not kept', async () => {
    const id = randomUUID();
    const body = letter('Ilse', { body: `Grüße aus Farholm\nhttps://leiter.example/home#${'a'.repeat(43)}` });
    await Promise.all([write(body, id).expect(200), write(body, id).expect(200)]);
    await delivered();
    await delivered();
    expect(mail.mails).toHaveLength(1);
    const [text = ''] = mail.mails;
    expect(text).toMatch(/From: .*office@sail-loft.example/);
    expect(text).toMatch(/To: ida@home.example/);
    expect(text).toMatch(/Reply-To: .*owner@sail-loft.example/);
    expect(text).toContain(`Message-ID: <${id}@sail-loft.example>`);
    expect(text.replaceAll('=\r\n', '')).toContain('a'.repeat(43));
    expect(await stateOf(id)).toMatchObject({ state: 'sent', whyNot: null, body: 'Grüße aus Farholm\nhttps://leiter.example/home#…' });
  });

  it('waits while the mail server is away, and goes out once when it is back', async () => {
    answer = 451;
    const id = (await write(letter('Ilse')).expect(200)).body.id;
    await delivered();
    expect(await stateOf(id)).toMatchObject({ state: 'waiting', whyNot: expect.stringMatching(/tried again/) });
    answer = null;
    // not before its time
    await delivered();
    expect(mail.mails).toHaveLength(0);
    await club.source.query(`UPDATE letter SET next_try_at = now()`);
    await delivered();
    expect(mail.mails).toHaveLength(1);
    expect((await stateOf(id)).state).toBe('sent');
  });

  it('that is refused for good says so, and is sent again when asked', async () => {
    answer = 550;
    const id = (await write(letter('Ilse')).expect(200)).body.id;
    await delivered();
    expect(await stateOf(id)).toMatchObject({ state: 'failed', whyNot: 'The mail server refused it (550).' });
    answer = null;
    await owner.post(`/api/letters/${id}/again`).expect(204);
    await delivered();
    expect(mail.mails).toHaveLength(1);
    await owner.post(`/api/letters/${id}/again`).expect(404);
  });

  it('during which the server stopped is not sent a second time by itself', async () => {
    answer = 451;
    const id = (await write(letter('Ilse')).expect(200)).body.id;
    await delivered();
    await club.source.query(`UPDATE letter SET state = 'sending', next_try_at = now() - interval '1 minute' WHERE id = $1`, [id]);
    answer = null;
    await delivered();
    expect(mail.mails).toHaveLength(0);
    expect(await stateOf(id)).toMatchObject({ state: 'unsure', whyNot: expect.stringMatching(/may have arrived/) });
  });
});
