import type { MovementResponse, PhraseResponse } from '@leiter/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { otherClub, testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let amara: Agent;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  amara = await club.as('dance');
});
afterAll(() => club.close());

const path = '/api/library/jazz-box/phrase';
const read = async (): Promise<PhraseResponse> => (await amara.get(path).expect(200)).body as PhraseResponse;
const steps = (text: string, stored: PhraseResponse) => ({ ...stored.phrase, text });
const eventsOf = async (): Promise<number> =>
  (await club.source.query(`SELECT count(*)::int AS count FROM event WHERE topic = 'phrase'`))[0].count as number;

describe('the steps of a movement', () => {
  it('are saved on top of a version, as the club’s own, and told to whoever has them open', async () => {
    const stored = await read();
    const before = await eventsOf();
    const phrase = steps(`${stored.phrase?.text ?? ''}\n1 R side, 2 L close`, stored);
    const saved: PhraseResponse = (await amara.put(path).send({ version: stored.version, phrase }).expect(200)).body;
    expect(saved).toEqual({ version: stored.version + 1, phrase, savedBy: expect.stringMatching(/^Amara /) });
    expect(await read()).toEqual(saved);
    const entry: MovementResponse = (await amara.get('/api/library/jazz-box').expect(200)).body;
    expect([entry.isOwn, entry.phrase]).toEqual([true, phrase]);
    // the same again is no version, and tells nobody
    expect((await amara.put(path).send({ version: saved.version, phrase }).expect(200)).body).toEqual(saved);
    expect(await eventsOf()).toBe(before + 1);
  });

  it('of two who write at once, the second is shown what the first saved, and nothing is lost', async () => {
    const stored = await read();
    const answers = await Promise.all(
      ['1 R fwd, 2 L close', '1 R back, 2 L close'].map((text) =>
        amara.put(path).send({ version: stored.version, phrase: steps(text, stored) }),
      ),
    );
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409]);
    const won = answers.find(({ status }) => status === 200)?.body as PhraseResponse;
    expect(answers.find(({ status }) => status === 409)?.body.current).toEqual(won);
    expect(await read()).toEqual(won);
  });

  it('that cannot be read are refused by line, and what is stored stays', async () => {
    const stored = await read();
    for (const [text, field, words] of [
      ['1 R fwd\n2 L tuch', 'jazz-box.phrase.line-2', /tuch/],
      ['1 R '.repeat(6000), 'jazz-box.phrase', /./],
    ] as const) {
      const { body } = await amara
        .put(path)
        .send({ version: stored.version, phrase: steps(text, stored) })
        .expect(422);
      expect(body.errors[0]).toEqual({ field, message: expect.stringMatching(words) });
    }
    await amara
      .put(path)
      .send({ version: stored.version, phrase: { text: '1 R fwd' } })
      .expect(422);
    expect(await read()).toEqual(stored);
  });

  it('come by a file of their own through the import: looked at, taken in, told to whoever has them open, undone', async () => {
    const stored = await read();
    const file = (movement: string | null, text: string) => ({
      format: 'leiter-phrase/1',
      ...(movement === null ? {} : { movement }),
      phrase: steps(text, stored),
    });
    const taking = (body: object, dryRun = '') => amara.post(`/api/library/import${dryRun}`).send(body);
    const before = await eventsOf();
    const looked = await taking(file('jazz-box', '1 R side, 2 L cross'), '?dryRun=true').expect(200);
    expect(looked.body).toMatchObject({ added: [], changed: [{ slug: 'jazz-box', fields: ['phrase'] }], importId: null });
    expect(await read()).toEqual(stored);
    const taken = await taking(file('jazz-box', '1 R side, 2 L cross')).expect(200);
    expect(await read()).toMatchObject({ version: stored.version + 1, phrase: { text: '1 R side, 2 L cross' } });
    expect((await taking(file('jazz-box', '1 R side, 2 L cross')).expect(200)).body).toMatchObject({ same: ['jazz-box'], importId: null });
    await amara.delete(`/api/library/imports/${String(taken.body.importId)}`).expect(204);
    expect(await read()).toMatchObject({ version: stored.version + 2, phrase: stored.phrase });
    expect(await eventsOf()).toBe(before + 2);
    for (const [body, field, words] of [
      [file('jazz-boxes', '1 R side'), 'movement', /“jazz-boxes” is no movement of this library/],
      [file(null, '1 R side'), 'movement', /whose steps/],
      [file('jazz-box', '1 R sideways'), 'phrase', /Line 1: “sideways”/],
      [{ ...file('jazz-box', '1 R side'), extra: 1 }, 'phrase', /“extra”/],
      [{ format: 'leiter-phrase/1', movement: 'jazz-box', phrase: null }, 'phrase', /lacks a field/],
    ] as const)
      expect((await taking(body).expect(400)).body.errors).toEqual([{ field, message: expect.stringMatching(words) }]);
    expect((await read()).version).toBe(stored.version + 2);
  });

  it('changed by an import are another version; the form of an entry leaves them alone', async () => {
    const stored = await read();
    const { isOwn: _own, isPutAway: _away, ownCue: _cue, ...entry } = (await amara.get('/api/library/jazz-box').expect(200)).body;
    const phrase = steps('1 L side, 2 R close', stored);
    await amara
      .post('/api/library/import')
      .send({ format: 'leiter-library/1', movements: [{ ...entry, phrase }] })
      .expect(200);
    const taken = await read();
    expect(taken).toEqual({ version: stored.version + 1, phrase, savedBy: null });
    await amara.put(path).send({ version: stored.version, phrase: stored.phrase }).expect(409);
    // from a page that was open since before
    await amara
      .put('/api/library/jazz-box')
      .send({ movement: { ...entry, plainMeaning: 'A square of four steps' } })
      .expect(200);
    expect(await read()).toEqual(taken);
    expect((await amara.get('/api/library/jazz-box').expect(200)).body.plainMeaning).toBe('A square of four steps');
  });

  it('are taken away by null, and begun anew', async () => {
    const stored = await read();
    const none: PhraseResponse = (await amara.put(path).send({ version: stored.version, phrase: null }).expect(200)).body;
    expect(none).toMatchObject({ version: stored.version + 1, phrase: null });
    expect((await amara.get('/api/library/jazz-box').expect(200)).body).not.toHaveProperty('phrase');
    await amara.put(path).send({ version: none.version, phrase: stored.phrase }).expect(200);
  });

  it('are written by those who teach, of their own club', async () => {
    const stored = await read();
    const runa = await club.as('assistant');
    expect((await runa.get(path).expect(200)).body).toEqual(stored);
    await runa.put(path).send({ version: stored.version, phrase: null }).expect(403);
    await amara.get('/api/library/nobody-knows-it/phrase').expect(404);
    await otherClub(club.source);
    expect(
      (
        await club.source.query(`SELECT count(DISTINCT club_id)::int AS clubs FROM movement WHERE slug = 'jazz-box' AND phrase_version > 0`)
      )[0].clubs,
    ).toBe(1);
  });
});
